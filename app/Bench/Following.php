<?php

namespace App\Bench;

use App\Models\Assignment;
use App\Models\Attempt;
use App\Models\Entry;
use OddSpark\Bench\Arrival;
use OddSpark\Faults\FaultSet;
use OddSpark\Run\Memory;
use OddSpark\Run\Snapshot;
use OddSpark\Suspects\Tracker;

use function Illuminate\Support\defer;

/**
 * Which suspects an attempt leaves, followed through what was done in it: from where it was followed to before, if this
 * machine still has that, else from the arrival.
 */
class Following
{
    /** So long what nobody asked for again is kept, s. */
    private const KEPT_S = 2 * 86_400;

    public function __construct(private readonly Plans $plans, private readonly Attempts $attempts) {}

    /**
     * @param Entry|null $before only what came before this entry
     * @param callable(float): void $tell how far it is, 0 to 1
     * @return array{Tracker, list<int>} as it stands then, and how many were left on arrival and after each entry
     */
    public function through(Attempt $attempt, ?Entry $before, callable $tell): array
    {
        $assignment = $attempt->assignment;
        $seen = $this->attempts->observations($attempt, $before);
        $plan = $this->plans->ofAssignment($assignment);
        $kept = $this->kept($attempt, $assignment, count($seen->entries));
        $arrivals = $kept === null ? self::arrivals($assignment) : [];
        $tracker = new Tracker($plan, FaultSet::of($plan->model), $assignment->visit, new Memory(), $arrivals);
        if ($kept === null) {
            $tracker->begin($seen);
            $left = [count($tracker->candidates())];
        } else {
            $tracker->resume($kept['suspects']);
            $left = $kept['left'];
        }
        $many = count($seen->entries);
        $done = count($left) - 1;
        for ($i = $done; $i < $many; $i++) {
            if ($i === $many - 1 && $i > $done) { // after the last there was time that the next goes through anew
                $of = self::of($attempt, $assignment, $i);
                $state = ['of' => $of, 'left' => $left, 'suspects' => $tracker->snapshot()];
                defer(fn () => $this->keep($attempt, $state)); // once whoever waits has his answer
            }
            $tracker->step($seen, $i);
            $left[] = count($tracker->candidates());
            $tell(($i + 1 - $done) / ($many - $done));
        }

        return [$tracker, $left];
    }

    /** @return array<string, Arrival> of all its faults, which are megabytes */
    private static function arrivals(Assignment $assignment): array
    {
        return Plans::unpackArrivals((string) Assignment::query()->whereKey($assignment->id)->value('arrivals'));
    }

    /**
     * As it was kept, if it is of what was done in this attempt, and of fewer entries than there are: the last of them
     * is gone through with the time that was played after it.
     *
     * @return array{of: string, left: list<int>, suspects: array<string, mixed>}|null
     */
    private function kept(Attempt $attempt, Assignment $assignment, int $entries): ?array
    {
        $file = self::file($attempt);
        try {
            /** @var array{of: string, left: list<int>, suspects: array<string, mixed>} $kept */
            $kept = is_file($file) ? Snapshot::unpack((string) gzuncompress((string) file_get_contents($file))) : null;
        } catch (\Throwable) {
            return null; // cut off, or gone meanwhile
        }

        $many = count($kept['left'] ?? []) - 1;

        return $many > 0 && $many < $entries && $kept['of'] === self::of($attempt, $assignment, $many) ? $kept : null;
    }

    /** What some first entries of an attempt were, and at which job: its number alone can come to be another's. */
    private static function of(Attempt $attempt, Assignment $assignment, int $many): string
    {
        $done = $attempt->entries->take($many)->map(fn (Entry $entry): array => [
            $entry->client_id, $entry->tick, $entry->act,
            $entry->act['act'] === 'hint' ? null : $entry->outcome, // which is filled in when it is there
        ]);

        return hash('sha256', (string) json_encode([
            $assignment->hash, $assignment->visit, $assignment->fault, $assignment->said, $attempt->seed, $done,
        ]));
    }

    /** @param array{of: string, left: list<int>, suspects: array<string, mixed>} $state */
    private function keep(Attempt $attempt, array $state): void
    {
        try {
            ComputedFiles::forget('following-*', self::KEPT_S);
            ComputedFiles::write(self::file($attempt), (string) gzcompress(Snapshot::pack($state), 1));
        } catch (\Throwable) {
            return; // what is not kept is followed again
        }
    }

    private static function file(Attempt $attempt): string
    {
        return ComputedFiles::named("following-$attempt->id");
    }
}
