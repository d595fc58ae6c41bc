<?php

declare(strict_types=1);

namespace OddSpark\Marking;

use OddSpark\Acts\Catalogue;
use OddSpark\Appliance\Plan;
use OddSpark\Bench\Bench;
use OddSpark\Circuit\Solution;
use OddSpark\Faults\Fault;
use OddSpark\Run\BenchState;
use OddSpark\Run\Memory;
use OddSpark\Senses\Perception;
use OddSpark\Words\Words;

/**
 * A heating cycle of the appliance with nothing wrong in it: what stands where, and when. Run when it is first asked.
 */
final class HealthyCycle
{
    private const SECONDS = 300;

    /** @var list<array{int, Solution}>|null from a tick on */
    private ?array $moments = null;

    public function __construct(
        private readonly Plan $plan,
        private readonly string $visit,
        private readonly Memory $memory,
    ) {}

    /** When more than some volts AC stand between two nodes: "from 0:36 to 0:57"; null when they never do. */
    public function stands(int $a, int $b, float $volts): ?string
    {
        $from = $to = null;
        foreach ($this->moments() as [$tick, $solution]) {
            $is = $solution->acVolts($a, $b) > $volts;
            if ($is && $from === null) {
                $from = $tick;
            }
            if (! $is && $from !== null) {
                $to = $tick;
                break;
            }
        }

        return match (true) {
            $from === null => null,
            $to === null => Words::say('marking.healthy_cycle.from_on', ['clock' => self::clock($from)]),
            default => Words::say('marking.healthy_cycle.from_to', [
                'clock' => self::clock($from),
                'clock_2' => self::clock($to),
            ]),
        };
    }

    /** @return list<array{int, Solution}> */
    private function moments(): array
    {
        if ($this->moments !== null) {
            return $this->moments;
        }
        $bench = new Bench($this->plan, Fault::none(), $this->memory);
        $state = $bench->arrive($this->visit)->state;
        $state = $bench->resume($state);
        foreach ([['door', 'open'], ['hold', 'held']] as [$act, $to]) {
            [$state] = $bench->do($state, Catalogue::make(0, $act, ['to' => $to]));
        }
        $state = $state->with(eyes: Perception::EVERYWHERE);
        $moments = [];
        $bench->watch($state, self::SECONDS * 1000, function (BenchState $s) use ($bench, &$moments): bool {
            $solution = $bench->machine()->solution($s);
            $last = $moments === [] ? null : $moments[count($moments) - 1][1];
            if ($solution !== $last) {
                $moments[] = [$s->now(), $solution];
            }

            return false;
        });

        return $this->moments = $moments;
    }

    private static function clock(int $tick): string
    {
        return sprintf('%d:%02d', intdiv($tick, 60_000), intdiv($tick, 1000) % 60);
    }
}
