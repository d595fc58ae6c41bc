<?php

namespace App\Bench;

use App\Building\Running;
use App\Models\Appliance;
use App\Models\Assignment;
use App\Models\AssignmentKind;
use App\Models\Course;
use App\Models\RuleSet;
use App\Models\User;
use App\Work\Asked;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use OddSpark\Acts\Danger;
use OddSpark\Appliance\Library;
use OddSpark\Bench\Arrival;
use OddSpark\Bench\Preview;
use OddSpark\Faults\FaultSet;
use OddSpark\Marking\Rules;

/** Gives a job, frozen as it is now. */
class AssignJob
{
    public function __construct(private readonly Plans $plans) {}

    /**
     * @param list<int> $trainees ids, all of the class
     * @param array{low_battery?: bool, worn_leads?: bool} $kit
     * @param bool $stops whatever would hurt is stopped, more than the rules stop by themselves
     * @param RuleSet|null $rules house rules; null for those of a first year
     * @param array{opens_at?: Carbon|null, closes_at?: Carbon|null, minutes?: int|null} $window
     */
    public function give(
        User $instructor,
        Appliance $appliance,
        Course $course,
        array $trainees,
        string $title,
        string $fault,
        string $visit,
        AssignmentKind $kind,
        ?string $complaint,
        int $seed,
        array $kit = [],
        bool $stops = false,
        ?RuleSet $rules = null,
        array $window = [],
        Asked $asked = new Asked(),
    ): Assignment {
        $plan = $this->plans->ofAppliance($appliance);
        $work = $asked->work;
        $frozen = $work->kind()->freeze($appliance, $plan, $fault, $visit, $asked, $seed);
        $document = $rules->document ?? Rules::of((new Library())->rules('first-year'))->toArray();
        if ($stops) {
            $document['stops'] = array_keys(Danger::stoppable());
        }

        return DB::transaction(function () use (
            $instructor,
            $appliance,
            $course,
            $trainees,
            $title,
            $fault,
            $visit,
            $kind,
            $complaint,
            $seed,
            $kit,
            $document,
            $window,
            $work,
            $frozen,
        ): Assignment {
            $assignment = Assignment::query()->create([
                'appliance_id' => $appliance->id, 'instructor_id' => $instructor->id, 'course_id' => $course->id,
                'title' => $title, 'fault' => $fault, 'visit' => $visit, 'kind' => $kind, 'seed' => $seed,
                'complaint' => $complaint ?? self::worded($frozen->found),
                'said' => array_column($frozen->found->complaint, 'id'),
                'engine' => Assignment::ENGINE, 'hash' => $frozen->hash, 'rules' => $document, 'kit' => $kit,
                'document' => $frozen->document, 'board' => $frozen->board,
                'arrivals' => Plans::packArrivals($frozen->arrivals), ...$window,
                'work' => $work, 'sheet' => $frozen->sheet,
            ]);
            $assignment->trainees()->sync($trainees);

            return $assignment;
        });
    }

    /**
     * Runs every fault of a model up to a visit.
     *
     * @param (callable(int, int): void)|null $progress faults run, of how many
     */
    public function prepare(Appliance $appliance, string $visit, ?callable $progress = null): void
    {
        $this->plans->arrivals($this->plans->ofAppliance($appliance), $visit, $progress);
    }

    /** The complaint in the customer's words, as computed. */
    public static function worded(Arrival $arrival): string
    {
        return implode(' ', array_column($arrival->complaint, 'text'));
    }

    /**
     * What a fault does: the tape after the arrival beside the healthy one, and the complaint.
     *
     * @return array<string, mixed>
     */
    public function preview(Appliance $appliance, string $fault, string $visit, int $seconds): array
    {
        $plan = $this->plans->ofAppliance($appliance);
        $preview = Preview::of(
            $plan,
            FaultSet::of($plan->model)->get($fault),
            $visit,
            $seconds * 1000,
            Running::memory(),
        );

        return ['complaint' => $preview->arrival->complaint] + Told::taped($preview);
    }
}
