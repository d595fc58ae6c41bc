<?php

namespace App\Http\Controllers;

use App\Building\Running;
use App\Models\Draft;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use OddSpark\Appliance\Compiler;
use OddSpark\Appliance\DocumentError;
use OddSpark\Appliance\Library;
use OddSpark\Building\ExpectedReadings;
use OddSpark\Building\Included;
use OddSpark\Building\SafetyTest;
use OddSpark\Building\Why;
use OddSpark\Drawing\Ladder;
use OddSpark\Faults\Fault;
use OddSpark\Faults\FaultSet;
use OddSpark\Run\RunError;
use OddSpark\Wiring\Checks;
use OddSpark\Wiring\Circuits;
use OddSpark\Wiring\Finding;
use OddSpark\Wiring\Nets;

/**
 * What is computed of a model that is being made: its checks and circuits, its healthy run, and what is asked of that.
 */
class DraftRunController extends Controller
{
    /** Every safety is a run of its own. */
    private const TRIALS = 4;

    /** Expected readings may be spread over runs with different faults. */
    private const READINGS = 10;

    public function __construct(private readonly Running $running) {}

    /** What is wrong or odd about its wiring, its circuits one at a time, and what it lacks to run. */
    public function checks(Draft $draft, Library $library): JsonResponse
    {
        $model = $library->draft($draft->content());

        return response()->json(
            [
                'step' => $draft->step,
                'findings' => array_map(
                    fn (Finding $f) => $f->toArray(),
                    [...Included::newer($draft->content(), $library), ...Checks::of($model)],
                ),
                'lacks' => array_map(
                    fn (DocumentError $e) => ['pointer' => $e->pointer, 'text' => $e->sentence],
                    $library->lacks($draft->content()),
                ),
            ] + Circuits::of(new Nets($model)),
        );
    }

    public function ladder(Draft $draft, Library $library): JsonResponse
    {
        return response()->json(['ladder' => Ladder::of($library->draft($draft->content()))]);
    }

    public function run(Request $request, Draft $draft): JsonResponse
    {
        return $this->answered(fn () => $this->running->tape($draft, $this->text($request, 'visit')));
    }

    /** Volts everywhere at a moment, and what can be asked about. */
    public function moment(Request $request, Draft $draft): JsonResponse
    {
        $at = $request->float('at_s');

        return $this->answered(function () use ($request, $draft, $at): array {
            $run = $this->running->at($draft, $this->text($request, 'visit'), $at);

            return ['volts' => $run->everywhere(), 'askable' => (new Why($run))->askable()];
        });
    }

    public function why(Request $request, Draft $draft): JsonResponse
    {

        return $this->answered(
            fn () => (new Why($this->running->at($draft, $this->text($request, 'visit'), $request->float('at_s'))))->of(
                $this->text($request, 'of'),
            ),
        );
    }

    /** What can be wrong with it, and how likely. */
    public function faults(Draft $draft, Library $library): JsonResponse
    {
        return $this->answered(fn () => ['faults' => array_values(array_map(
            fn (Fault $f) => ['id' => $f->id, 'title' => $f->title, 'weight' => $f->weight],
            FaultSet::of($library->resolve($draft->content()))->faults,
        ))]);
    }

    /** Every safety made to act. */
    public function safeties(Request $request, Draft $draft): JsonResponse
    {
        return $this->answered(function () use ($request, $draft): array {
            [$plan, $visit] = $this->running->plan($draft, $this->text($request, 'visit'));

            return (new SafetyTest($plan, $visit, Running::memory(self::TRIALS)))->report();
        });
    }

    /** The readings that are expected of it, run with the model as it is now. */
    public function readings(Draft $draft, Library $library): JsonResponse
    {
        return $this->answered(function () use ($draft, $library): array {
            $plan = Compiler::compile($library->resolve($draft->content()));

            return [
                'step' => $draft->step,
                'readings' => (new ExpectedReadings($plan, Running::memory(self::READINGS)))->outcomes(),
            ];
        });
    }

    /** @param callable(): array<string, mixed> $what */
    private function answered(callable $what): JsonResponse
    {
        try {
            return response()->json($what());
        } catch (DocumentError|RunError $e) {
            return response()->json(
                [
                    'message' => ($e instanceof RunError ? 'It does not come to rest: ' : 'It cannot run yet. ').
                        $e->getMessage(),
                ],
                422,
            );
        }
    }
}
