<?php

namespace App\Http\Controllers;

use App\Models\PartKind;
use App\Models\Share;
use App\People\Sharing;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use Inertia\Inertia;
use Inertia\Response;
use OddSpark\Appliance\Library;
use OddSpark\Appliance\Primitives;
use OddSpark\Building\OwnKind;

/** The school's own kinds of parts. */
class PartKindController extends Controller
{
    public function index(Request $request, Library $library): Response
    {
        $tables = [];
        foreach ($library->tables() as $name) {
            $table = $library->table($name);
            $inputs = [];
            foreach ($table['states'] as $row) {
                foreach ($row['guards'] as $guard) {
                    $inputs += $guard['if'] ?? [];
                }
            }
            $tables[] = [
                'name' => $name,
                'title' => $table['title'],
                'inputs' => array_values(
                    array_unique([
                        ...isset($table['supply']) ? [$table['supply']] : [],
                        ...array_map('strval', array_keys($inputs)),
                    ]),
                ),
                'outputs' => array_values(
                    array_unique(
                        array_merge(...array_values(array_map(fn (array $r) => $r['outputs'], $table['states']))),
                    ),
                ),
            ];
        }

        return Inertia::render('Kinds', [
            'courses' => Sharing::courses($request->user()),
            'kinds' => PartKind::query()
                ->readableBy($request->user())
                ->orderBy('title')
                ->get()
                ->map(fn (PartKind $k) => [
                    'id' => $k->id, 'name' => $k->name, 'title' => $k->title, 'document' => $k->document,
                    'mine' => $k->user_id === $request->user()->id,
                    'shares' => $k->user_id === $request->user()->id ? Share::shown('kind', $k->name) : [],
                ]),
            'types' => array_values(
                array_filter(
                    array_keys(Primitives::TYPES),
                    fn (string $t) => in_array(
                        $t,
                        [
                            'contact',
                            'coil',
                            'resistor',
                            'heater',
                            'motor',
                            'lever',
                            'sensor',
                            'fuse',
                            'actuator',
                            'passage',
                            'control',
                        ],
                        true,
                    ),
                ),
            ),
            'tables' => $tables,
        ]);
    }

    /** Kept under its name; one of the same name is changed for what is placed from now on. */
    public function store(Request $request, OwnKind $maker): JsonResponse
    {
        $kind = $maker->make(
            array_intersect_key(
                $request->json()->all(),
                array_flip([
                    'name',
                    'title',
                    'family',
                    'symbol',
                    'terminals',
                    'primitives',
                    'look',
                    'modes',
                    'joined',
                    'references',
                ]),
            ),
        );
        $saved = PartKind::query()->firstOrNew(['name' => $kind['kind']], ['user_id' => $request->user()->id]);
        if ($saved->exists && ! $saved->isEditableBy($request->user())) {
            throw ValidationException::withMessages([
                'title' => 'A colleague has a part of this name. Give yours another, or ask for a share of it.',
            ]);
        }
        $saved->fill(['title' => $kind['title'], 'document' => $kind])->save();

        return response()->json(['id' => $saved->id, 'kind' => $kind]);
    }
}
