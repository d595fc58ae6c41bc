<?php

declare(strict_types=1);

namespace OddSpark\Predicting;

use OddSpark\Appliance\Doors;
use OddSpark\Appliance\Plan;
use OddSpark\Bench\Bench;
use OddSpark\Faults\Fault;
use OddSpark\Instruments\Site;
use OddSpark\Run\BenchState;
use OddSpark\Run\Memory;
use OddSpark\Senses\Perception;
use OddSpark\Senses\Record;
use OddSpark\Suspects\Trial;
use OddSpark\Wiring\Nets;

/**
 * An appliance through one long visit, looked at at each of its moments before anything is tapped: arrival, doors off,
 * calls, their ends.
 */
final readonly class Standings
{
    public Nets $nets;

    /** @var array<int, Standing> by tick */
    public array $at;

    /** @var array<string, list<array{int, int, mixed}>> what was perceived meanwhile, by channel */
    public array $perceived;

    /** @var array<int, string> by tick, how a person would say it: "30 s into a call" */
    public array $titles;

    public function __construct(public Plan $plan, public Fault $fault, string $visit, Memory $memory = new Memory())
    {
        $this->nets = new Nets($plan->model);
        $trial = new Trial($plan->model);
        $this->titles = array_filter(
            $trial->moments(),
            fn (int $tick): bool => ! $trial->isTapped($tick),
            ARRAY_FILTER_USE_KEY,
        );
        $bench = new Bench($plan, $fault, $memory);
        $state = $bench->resume(
            $bench->arrive($visit)->state->with(open: Doors::ALL, held: Doors::ALL, eyes: Perception::EVERYWHERE),
        );
        $at = [];
        $record = new Record();
        $see = function (BenchState $s) use ($bench, $record): bool {
            $record->see($s->now(), $bench->now($s));

            return false;
        };
        $see($state);
        $acts = $trial->acts();
        foreach (array_keys($this->titles) as $tick) {
            while ($acts !== [] && $acts[0]->tick <= $tick) {
                $act = array_shift($acts);
                [$state] = $bench->do($bench->watch($state, $act->tick, $see), $act);
                $state = $state->with(eyes: Perception::EVERYWHERE);
                $see($state);
            }
            $state = $bench->watch($state, $tick, $see);
            $at[$tick] = new Standing(
                new Site($plan, $bench->machine(), $bench->withoutMeter($state)),
                self::told($bench, $state),
            );
        }
        $this->at = $at;
        $this->perceived = $record->until($state->now());
    }

    /** @return list<string> what shows that something goes on: "inducer runs" */
    private static function told(Bench $bench, BenchState $state): array
    {
        $told = [];
        foreach ($bench->now($state) as $channel => $class) {
            if (is_string($class) && $class !== '' && ! str_starts_with($channel, 'meter ')) {
                $told[] = $bench->perception()->say($channel, $class);
            }
        }

        return array_values(array_unique($told));
    }
}
