<?php

declare(strict_types=1);

namespace OddSpark\Building;

use OddSpark\Appliance\Plan;
use OddSpark\Appliance\Spec;
use OddSpark\Parts\Ability\Burns;
use OddSpark\Parts\Primitive;
use OddSpark\Run\BenchState;
use OddSpark\Run\Memory;
use OddSpark\Words\Words;

/**
 * Every safety of an appliance made to act while the fire burns, one at a time, and whether the fuel then stops.
 *
 * A safety is a contact that follows a sensor in a limit, a rollout, a draught switch or another safety, and the
 * proving of the flame: there the fire is put out and the fuel must not go on.
 *
 * @phpstan-import-type Slot from Primitive
 * @phpstan-import-type Changes from Primitive
 */
final readonly class SafetyTest
{
    /** Ticks in which the fire must come on at all, and for which it burns before the trial. */
    private const FIRE = 14_400_000;

    private const BURNS = 20_000;

    /** Ticks in which a second stage comes on. */
    private const STAGES = 900_000;

    /**
     * Ticks within which a contact that opens must stop the fuel, and a flame that is lost: a thermocouple takes its
     * time.
     */
    private const WITHIN = 10_000;

    private const FLAME_WITHIN = 180_000;

    /** Share of the fire that is left when what opened guards a second stage alone. */
    private const LOWER_STAGE = 0.85;

    public function __construct(private Plan $plan, private string $visit, private Memory $memory = new Memory()) {}

    /**
     * @return array{fire_s: float|null, safeties: list<array{part: string, title: string, stops: bool,
     *     after_s: float|null, words: string}>}
     *     stops: the fuel stops, or falls back to a lower stage; when the fire burned; null when it never did, and
     *     nothing could be tried
     */
    public function report(): array
    {
        // those that heat something; a pilot only lights the others
        $heats = array_column(array_column($this->plan->primitives, 'spec'), 'fired_by');
        $burners = array_values(
            array_filter(
                $this->plan->those(Burns::class),
                fn (string $id) => in_array($id, $heats, true) ||
                    isset($this->plan->primitives[$id]['spec']['input_btu_h']),
            ),
        );
        $burners = $burners === [] ? $this->plan->those(Burns::class) : $burners;
        $run = new HealthyRun($this->plan, $this->visit, 0, $this->memory);
        $lit = fn (HealthyRun $r): bool => array_filter($burners, fn (string $id) => $r->slot($id)['lit']) !== [];
        if ($burners === [] || ! $lit($run) && ! $run->until(self::FIRE, $lit)) {
            return ['fire_s' => null, 'safeties' => []];
        }
        $fire = $run->tickNow();
        $run->until($fire + self::BURNS, fn (HealthyRun $r) => ! $lit($r));
        $safeties = [];
        foreach ($this->closedFirst($run) as $id => [$part, $title]) {
            if (! $run->slot($id)['closed']) { // of a second stage, that comes later
                $isSo = fn (HealthyRun $r): bool => $r->slot($id)['closed'] || ! $lit($r);
                $run->until($run->tickNow() + self::STAGES, $isSo);
                $run->until($run->tickNow() + self::BURNS, fn (HealthyRun $r) => ! $lit($r));
            }
            $safeties[] = $this->trial($run, [
                "$id.stuck" => 'open',
            ], $burners, self::WITHIN, $part, Words::say('building.safety_test.opens', [
                'title' => $title,
            ]));
        }
        // every flame goes out and nothing lights again: what fed the fire is watched
        $all = $this->plan->those(Burns::class);
        $never = array_fill_keys(array_map(fn (string $id) => "$id.lights_in_s", $all), 1e6);
        $safeties[] = $this->trial(
            $run,
            $never,
            $burners,
            self::FLAME_WITHIN,
            '',
            Words::say('building.safety_test.all_flame_is_lost'),
            array_fill_keys($all, ['lit' => false, 'carried' => false, 'due' => null]),
        );

        return ['fire_s' => $fire / 1000, 'safeties' => $safeties];
    }

    /** @return array<string, array{string, string}> as below, those that are closed by now before the others */
    private function closedFirst(HealthyRun $run): array
    {
        $all = $this->contacts();
        $closed = array_filter($all, fn (string $id): bool => $run->slot($id)['closed'], ARRAY_FILTER_USE_KEY);

        return $closed + $all;
    }

    /** @return array<string, array{string, string}> part and title by contact */
    private function contacts(): array
    {
        $found = [];
        foreach ($this->plan->model->parts() as $part) {
            $switches = array_filter(
                $part->kind->stoppingSwitches(),
                fn (string $name): bool => $this->plan->model->guardsFuel($part, $name),
            );
            foreach ($switches as $name) {
                $several =
                    count(
                        array_filter(
                            $part->kind->primitives,
                            fn (Spec $s): bool => $s->follows() !== null && $s->wiring() !== [],
                        ),
                    ) > 1;
                $found["$part->id.$name"] = [$part->id, $part->label.($several ? ": $name" : '')];
            }
        }

        return $found;
    }

    /**
     * @param Changes $set
     * @param list<string> $burners whose fuel must stop
     * @param array<string, Slot> $slots
     * @return array{part: string, title: string, stops: bool, after_s: float|null, words: string}
     */
    private function trial(
        HealthyRun $run,
        array $set,
        array $burners,
        int $within,
        string $part,
        string $title,
        array $slots = [],
    ): array {
        [$bench, $state] = $run->changed($set, $slots);
        $from = $state->tick;
        $after = null;
        $before = array_sum(array_map(fn (string $id): float => (float) $run->slot($id)['heat'], $burners));
        $ends = $bench->watch($state, $from - $state->zero + $within, function (BenchState $s) use (
            $burners,
            $from,
            &$after,
        ): bool {
            if (array_filter($burners, fn (string $id) => $s->slots[$id]['gas']) !== []) {
                return false;
            }
            $after = ($s->tick - $from) / 1000;

            return true;
        });
        $heat = array_sum(array_map(fn (string $id): float => (float) $ends->slots[$id]['heat'], $burners));
        $left = $before > 0.0 ? $heat / $before : 1.0;

        return [
            'part' => $part,
            'title' => $title,
            'stops' => $after !== null || $left <= self::LOWER_STAGE,
            'after_s' => $after,
            'words' => match (true) {
                $after !== null => Words::say('building.safety_test.the_fuel_stops_after_s', [
                    'title' => $title,
                    'after' => sprintf('%.1f', $after),
                ]),
                $left <= self::LOWER_STAGE => Words::say('building.safety_test.the_fuel_falls_to_a', [
                    'title' => $title,
                    'what' => round(100 * $left),
                ]),
                default => Words::say('building.safety_test.the_fuel_goes_on_s', [
                    'title' => $title,
                    'within' => $within / 1000,
                ]),
            },
        ];
    }
}
