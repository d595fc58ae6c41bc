<?php

namespace App\Bench;

use App\Models\Appliance;
use App\Models\Assignment;
use OddSpark\Appliance\Compiler;
use OddSpark\Appliance\Model;
use OddSpark\Appliance\Plan;
use OddSpark\Appliance\Signs;
use OddSpark\Bench\Arrival;
use OddSpark\Faults\Fault;
use OddSpark\Faults\FaultSet;
use OddSpark\Run\Memory;
use OddSpark\Run\Processes;
use OddSpark\Run\Snapshot;
use OddSpark\Suspects\Tracker;

/**
 * Compiled plans, kept as PHP files so that OPcache holds them in shared memory: a request begins
 * with a plan at hand and compiles nothing.
 *
 * A plan depends on the document's hash and the engine alone; each machine of the web tier makes
 * its own copy from the document in the database.
 */
class Plans
{
    /** @var array<string, Plan> */
    private array $plans = [];

    public function ofAssignment(Assignment $assignment): Plan
    {
        return $this->get(
            $assignment->hash,
            fn () => (string) Assignment::query()->whereKey($assignment->id)->value('document'),
        );
    }

    public function ofAppliance(Appliance $appliance): Plan
    {
        return $this->get($appliance->hash, fn () => $appliance->document);
    }

    /** @param callable(): string $document */
    private function get(string $hash, callable $document): Plan
    {
        if (isset($this->plans[$hash])) {
            return $this->plans[$hash];
        }
        $file = ComputedFiles::named("plan-$hash.php");
        if (! is_file($file)) {
            $plan = Compiler::compile(new Model(json_decode($document(), true, 64, JSON_THROW_ON_ERROR)));
            ComputedFiles::write($file, '<?php return '.var_export($plan->toArray(), true).';');
        }

        return $this->plans[$hash] = Plan::fromArray(require $file);
    }

    /** The fault of a job by itself: the whole universe is not made anew for every act. */
    public function faultOf(Assignment $assignment): Fault
    {
        $file = ComputedFiles::named("fault-$assignment->hash-".substr(hash('sha256', $assignment->fault), 0, 16));
        if (! is_file($file)) {
            ComputedFiles::write(
                $file,
                serialize(FaultSet::of($this->ofAssignment($assignment)->model)->get($assignment->fault)),
            );
        }

        return unserialize((string) file_get_contents($file), ['allowed_classes' => [Fault::class, Signs::class]]);
    }

    /**
     * How each fault of a plan would be found on a visit: the same for every job on it.
     *
     * @param (callable(int, int): void)|null $progress faults run, of how many
     * @return array<string, Arrival>
     */
    public function arrivals(Plan $plan, string $visit, ?callable $progress = null): array
    {
        $file = $this->arrivalsFile($plan->hash, $visit);
        if (! is_file($file)) {
            $tracker = new Tracker($plan, FaultSet::of($plan->model), $visit, new Memory());
            $arrivals = $tracker->arrivals($progress, Processes::here());
            ComputedFiles::write($file, self::packArrivals($arrivals));
        }

        return self::unpackArrivals((string) file_get_contents($file));
    }

    private function arrivalsFile(string $hash, string $visit): string
    {
        return ComputedFiles::named("arrivals-$hash-".substr(hash('sha256', $visit), 0, 8).'.json');
    }

    /** @param array<string, Arrival> $arrivals */
    public static function packArrivals(array $arrivals): string
    {
        return Snapshot::pack(array_map(fn (Arrival $a) => $a->toArray(), $arrivals));
    }

    /** @return array<string, Arrival> */
    public static function unpackArrivals(string $text): array
    {
        return array_map(Arrival::fromArray(...), Snapshot::unpack($text));
    }
}
