<?php

namespace App\Http\Controllers;

use App\Models\PartKind;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Inertia\Response;
use OddSpark\Appliance\Library;
use OddSpark\Appliance\Primitives;
use OddSpark\Building\OwnKind;

/** The school's own kinds of parts. */
class PartKindController extends Controller
{
    public function index(Library $library): Response
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
            'kinds' => PartKind::query()
                ->orderBy('title')
                ->get()
                ->map(fn (PartKind $k) => ['id' => $k->id, 'title' => $k->title, 'document' => $k->document]),
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
        $saved = PartKind::query()->updateOrCreate(
            ['name' => $kind['kind']],
            ['user_id' => $request->user()->id, 'title' => $kind['title'], 'document' => $kind],
        );

        return response()->json(['id' => $saved->id, 'kind' => $kind]);
    }
}
