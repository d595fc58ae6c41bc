<?php

namespace App\Http\Controllers;

use App\Building\LabBook;
use App\Http\Paper;
use App\Models\Appliance;
use App\Models\LabReading;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use Inertia\Inertia;
use Inertia\Response;
use OddSpark\Appliance\DocumentError;
use OddSpark\Appliance\Model;
use OddSpark\Building\EditError;
use OddSpark\Building\LabList;
use OddSpark\Building\LiveReadings;
use OddSpark\Faults\Fault;
use OddSpark\Faults\FaultSet;
use OddSpark\Instruments\Bag;
use OddSpark\Meter\Mode;
use OddSpark\Run\RunError;
use Symfony\Component\HttpFoundation\Response as HttpResponse;

/** The lab book of a model: readings of real units beside what the model gives. */
class LabController extends Controller
{
    public function __construct(private readonly LabBook $book) {}

    public function show(Request $request, Appliance $appliance): Response
    {
        $model = $appliance->model();

        return Inertia::render('Lab', [
            'model' => ['id' => $appliance->id, 'title' => $appliance->title],
            'readings' => $this->book->of($appliance)->map(fn (LabReading $r) => [
                'id' => $r->id, 'mine' => $r->user_id === $request->user()->id, 'is_in' => self::unit(
                    $model,
                    $r->row(),
                ),
            ] + $r->row())->all(),
            'compared' => LabBook::COMPARED,
            'visits' => $model->visitTitles(),
            'faults' => array_values(array_map(
                fn (Fault $f) => ['id' => $f->id, 'title' => $f->title],
                FaultSet::of($model)->faults,
            )),
            'modes' => array_map(
                fn (Mode $m) => ['mode' => $m->value, 'title' => $m->title(), 'unit' => $m->specification()->unit],
                LiveReadings::MODES,
            ),
            'taps' => array_map(
                fn (string $tap) => [
                    'tap' => $tap,
                    'title' => self::tap($model, $tap),
                    'unit' => self::unit($model, ['tap' => $tap]),
                ],
                array_map(strval(...), array_keys($model->taps())),
            ),
            'places' => self::places($model),
        ]);
    }

    public function store(Request $request, Appliance $appliance): RedirectResponse
    {
        $this->noted($request, $appliance, fn (LabList $list) => [$list->checked($request->post())]);

        return redirect("/models/$appliance->id/lab");
    }

    /** All of a list, or nothing of it. */
    public function import(Request $request, Appliance $appliance): RedirectResponse
    {
        $this->noted($request, $appliance, fn (LabList $list) => $list->read($this->text($request, 'csv')));

        return redirect("/models/$appliance->id/lab");
    }

    public function csv(Appliance $appliance): HttpResponse
    {
        $rows = $this->book->of($appliance)->map(fn (LabReading $r) => $r->row())->all();

        return Paper::file(LabList::write($rows), "lab-book-$appliance->id.csv");
    }

    public function destroy(Appliance $appliance, LabReading $reading): RedirectResponse
    {
        abort_unless($reading->appliance_id === $appliance->id, 404);
        $reading->delete();

        return redirect("/models/$appliance->id/lab");
    }

    /** What the model gives where and when they were taken. */
    public function compared(Appliance $appliance): JsonResponse
    {
        return $this->run(fn () => ['rows' => $this->book->compared($appliance)]);
    }

    public function fit(Request $request, Appliance $appliance): JsonResponse
    {
        return $this->run(fn () => $this->book->fitted($appliance, $this->text($request, 'unit')));
    }

    public function keep(Request $request, Appliance $appliance): RedirectResponse
    {
        try {
            $draft = $this->book->keep($request->user(), $appliance, $this->text($request, 'unit'));
        } catch (DocumentError|RunError|EditError $e) {
            throw ValidationException::withMessages(['unit' => $e->getMessage()]);
        }
        if ($draft === null) {
            throw ValidationException::withMessages(
                ['unit' => 'Nothing had to be changed: the model is as this unit is.'],
            );
        }

        return redirect("/drafts/$draft->id");
    }

    /** @param callable(LabList): list<array<string, mixed>> $rows */
    private function noted(Request $request, Appliance $appliance, callable $rows): void
    {
        try {
            $this->book->note($request->user(), $appliance, $rows(new LabList($appliance->model())));
        } catch (EditError $e) {
            throw ValidationException::withMessages([ltrim($e->pointer, '/') ?: 'csv' => $e->getMessage()]);
        }
    }

    /** @param callable(): array<string, mixed> $what */
    private function run(callable $what): JsonResponse
    {
        try {
            return response()->json($what());
        } catch (DocumentError|RunError $e) {
            return response()->json(['message' => 'The model does not run. '.$e->getMessage()], 422);
        }
    }

    /** @return list<array{place: string, title: string}> terminals, and ends of wires */
    private static function places(Model $model): array
    {
        $places = [];
        foreach ($model->parts() as $part) {
            array_push($places, ...$part->places());
        }
        foreach ($model->wires() as $wire) {
            array_push($places, "$wire->id.a", "$wire->id.b");
        }

        return array_map(fn (string $p) => ['place' => $p, 'title' => $model->placeName($p)], $places);
    }

    private static function tap(Model $model, string $tap): string
    {
        $of = $model->tap($tap);

        return $of === null ? $tap : trim(($model->part($of->part)->label ?? '').", $of->label", ', ');
    }

    /** @param array<string, mixed> $row */
    private static function unit(Model $model, array $row): string
    {
        $tap = ($row['tap'] ?? '') === '' ? null : $model->tap($row['tap']);

        return $tap !== null
            ? Bag::atTap($tap->instrument, $model->region() === 'EU')->specification()->unit
            : Mode::tryFrom($row['mode'] ?? '')?->specification()->unit ?? '';
    }
}
