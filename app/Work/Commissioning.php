<?php

namespace App\Work;

use App\Bench\Attempts;
use App\Bench\Plans;
use App\Bench\Told;
use App\Models\Appliance;
use App\Models\Assignment;
use App\Models\AssignmentWork;
use App\Models\Attempt;
use App\Models\Entry;
use App\Tasks\WorkError;
use OddSpark\Appliance\Plan;
use OddSpark\Commissioning\Advice;
use OddSpark\Commissioning\Judge;
use OddSpark\Commissioning\Row;
use OddSpark\Commissioning\Rows;
use OddSpark\Commissioning\Sheet as CommissioningSheet;
use OddSpark\Faults\Fault;
use OddSpark\Faults\FaultSet;
use OddSpark\Marking\AttemptSafetyTest;
use OddSpark\Marking\Rules;
use OddSpark\Run\BenchState;
use OddSpark\Run\Memory;
use OddSpark\Run\Snapshot;

/**
 * An appliance is put into service at the bench: measured, its safeties made to act, what is out of order put right or
 * the appliance kept out of service, its sheet filled in and signed. The job keeps the sheet: {rows, safeties}.
 *
 * @phpstan-import-type RowDocument from Row
 */
class Commissioning implements KindOfWork
{
    /** Fewer rows are no sheet. */
    private const LEAST = 3;

    public function __construct(private readonly Plans $plans, private readonly Attempts $attempts) {}

    public function freeze(
        Appliance $appliance,
        Plan $plan,
        string $fault,
        string $visit,
        Asked $asked,
        int $seed,
    ): Frozen {
        $rows = (new Rows($plan))->all();
        if (count($rows) < self::LEAST) {
            throw new WorkError('There is too little to measure on this appliance: it has no rating plate, or no taps.');
        }
        $trials = new AttemptSafetyTest($plan, Fault::none(), new Memory());
        $sheet = [
            'rows' => array_map(fn (Row $row): array => $row->toArray(), $rows),
            'safeties' => array_map(
                fn (string $id): array => ['id' => "safety $id", 'title' => ucfirst($trials->label($id))],
                $trials->all(),
            ),
        ];

        return Frozen::of($appliance, $this->plans->arrivals($plan, $visit), $fault, $sheet);
    }

    public function hasSuspects(): bool
    {
        return false;
    }

    public function hint(Attempt $attempt, string $grade, ?Entry $before, callable $tell): string
    {
        $assignment = Assignment::query()->findOrFail($attempt->assignment_id);
        $tell(0.2);

        return Advice::of($grade, $this->judged($attempt, $assignment));
    }

    public function account(Attempt $attempt, Assignment $assignment, ?callable $progress): array
    {
        $sheet = $this->judged($attempt, $assignment);
        [$dangers, $hints] = AtBench::counted($attempt);

        return [
            fn (Rules $rules) => $sheet->mark($rules, $dangers, $hints),
            fn (): array => CommissioningDebrief::of($sheet, $attempt),
        ];
    }

    public function past(Attempt $attempt, Assignment $assignment): array
    {
        return Told::channels(
            $this->attempts->bench($attempt->assignment, null),
            $this->attempts->observations($attempt)->perceived,
        );
    }

    /**
     * The sheet as it is filled in at the bench; null where the job is another.
     *
     * @return array<string, mixed>|null
     */
    public static function told(Assignment $job): ?array
    {
        if ($job->work !== AssignmentWork::Commission) {
            return null;
        }
        $sheet = Assignment::query()->select(['id', 'sheet'])->findOrFail($job->id)->sheet ?? [];

        return [
            'rows' => array_map(fn (Row $row): array => [
                'id' => $row->id, 'title' => $row->title, 'unit' => $row->unit, 'range' => $row->range(),
            ], self::rows($sheet)),
            'safeties' => $sheet['safeties'],
        ];
    }

    private function judged(Attempt $attempt, Assignment $assignment): CommissioningSheet
    {
        $plan = $this->plans->ofAssignment($assignment);
        $fault = FaultSet::of($plan->model)->get($assignment->fault);
        $left = BenchState::fromArray(Snapshot::unpack($attempt->refresh()->state));

        return (new Judge($plan, $fault, self::rows($assignment->sheet ?? [])))
            ->of($this->attempts->observations($attempt), $left);
    }

    /**
     * @param array<string, mixed> $sheet
     * @return list<Row>
     */
    private static function rows(array $sheet): array
    {
        return array_map(Row::of(...), $sheet['rows'] ?? []);
    }
}
