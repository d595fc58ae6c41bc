<?php

declare(strict_types=1);

namespace OddSpark\Suspects;

use OddSpark\Acts\Act;
use OddSpark\Acts\Catalogue;
use OddSpark\Appliance\FaultMode;
use OddSpark\Appliance\Model;
use OddSpark\Words\Words;

/**
 * One long visit that shows as much of an appliance as any will: arrival, doors off; each thermostat calling alone
 * where there are several, then, with everything reset, all of them and the programmers till it is warm; the call
 * ended; the fan alone;
 * what yields to a tap tapped, all reset, and a call again; at the end the supply switched off.
 *
 * @phpstan-import-type Fields from Act
 */
final readonly class Trial
{
    /** Length of each phase, s. */
    private const ALONE_S = 200;

    private const ALL_S = 900;

    private const ENDED_S = 300;

    private const FAN_S = 60;

    private const TAPPED_S = 120;

    /** When a person would read something in a phase, s from its beginning. */
    private const MOMENTS_S = [
        'alone' => [30, 90, 180],
        'all' => [5, 20, 35, 50, 70, 100, 150, 300, 600, 890],
        'ended' => [5, 30, 200],
        'fan' => [15, 50],
        'tapped' => [30, 60, 110],
        'off' => [],
    ];

    /**
     * @var list<array{string, int, string, list<Act>}> kind of phase, tick of its beginning, its title,
     *     what is done there
     */
    private array $phases;

    /** @var list<Fields> settings that make every call */
    private array $calls;

    /** @var list<Fields> settings that end them */
    private array $ends;

    /** @var list<array{int, string, Fields}> ms, act, with: what puts everything back that has tripped */
    private array $resets;

    public function __construct(Model $model)
    {
        $warm = $cold = $fan = $off = $taps = $resets = [];
        foreach ($model->parts() as $part) {
            $kind = $part->kind;
            foreach ($kind->settings as $lever => $setting) {
                $set = fn (string|int $to): array => ['part' => $part->id, 'lever' => $lever, 'to' => $to];
                $positions = $setting->positions;
                if ($kind->isThermostat()) {
                    if ($setting->range !== null) {
                        $warm[$part->label][] = $set($setting->range[1]);
                        $cold[$part->label][] = $set($setting->range[0]);
                    } elseif (in_array('heat', $positions, true)) {
                        $warm[$part->label][] = $set('heat');
                    } elseif (in_array('auto', $positions, true)) {
                        $fan[] = $set('on');
                    } elseif ($positions === ['off', 'timed', 'on']) {
                        $warm[''][] = $set('on'); // without it no thermostat calls
                    }
                } elseif ($positions === ['out', 'pressed']) {
                    $resets[] = [0, 'set', $set('pressed')];
                    $resets[] = [2000, 'set', $set('out')];
                } elseif ($kind->isSupply() && $positions === ['on', 'off']) {
                    $off[] = $set('off');
                    if ($kind->isTrippedLever($lever)) { // a breaker: switched off and on again
                        array_push($resets, [0, 'set', $set('off')], [2000, 'set', $set('on')]);
                    }
                }
            }
            if (array_filter($kind->modes, fn (FaultMode $m): bool => $m->yieldsToTapping()) !== []) {
                $taps[] = [0, 'tap', ['part' => $part->id]];
            }
            if ($kind->resets !== []) {
                $resets[] = [0, 'reset', ['part' => $part->id]];
            }
        }
        $always = $warm[''] ?? [];
        unset($warm['']);
        $allWarm = array_merge($always, ...array_values($warm));
        $allCold = array_merge([], ...array_values($cold));
        $this->calls = $allWarm;
        $this->ends = $allCold;
        $phases = [];
        $tick = 0;
        $begin = function (string $kind, int $seconds, string $title, array $sets, array $more = []) use (
            &$phases,
            &$tick,
        ): void {
            $at = $tick;
            $phases[] = [
                $kind,
                $at,
                $title,
                [
                    ...array_map(fn (array $with) => Catalogue::make($at, 'set', $with), $sets),
                    ...array_map(fn (array $m) => Catalogue::make($at + $m[0], $m[1], $m[2]), $more),
                ],
            ];
            $tick += 1000 * $seconds;
        };
        usort($resets, fn (array $a, array $b) => $a[0] <=> $b[0]);
        $this->resets = $resets;
        $open = [[0, 'door', ['to' => 'open']], [0, 'hold', ['to' => 'held']]];
        foreach (count($warm) > 1 ? $warm : [] as $label => $calls) {
            $begin('alone', self::ALONE_S, Words::say('suspects.trial.into_a_call_of_alone', [
                'label' => $label,
            ]), [...$always, ...$allCold, ...$calls], $open);
            $open = [];
        }
        $begin('all', self::ALL_S, count($warm) > 1 ? Words::say(
            'suspects.trial.into_a_call_of_all',
        ) : Words::say('suspects.trial.into_a_call'), $allWarm, [
            ...$open,
            ...$resets,
        ]);
        $begin('ended', self::ENDED_S, Words::say('suspects.trial.after_the_call'), $allCold);
        if ($fan !== []) {
            $begin('fan', self::FAN_S, Words::say('suspects.trial.with_the_fan_on'), $fan);
        }
        $begin(
            'tapped',
            self::TAPPED_S,
            Words::say('suspects.trial.after_tapping_into_a_call'),
            $allWarm,
            [...$taps, ...$resets],
        );
        $begin('off', 0, Words::say('suspects.trial.with_the_supply_off'), $off, [[0, 'hold', ['to' => 'released']]]);
        $this->phases = $phases;
    }

    /** @return list<Act> in their order */
    public function acts(): array
    {
        return array_merge(...array_column($this->phases, 3));
    }

    /** @return list<Act> every call made at a tick */
    public function calls(int $tick): array
    {
        return array_map(fn (array $with): Act => Catalogue::make($tick, 'set', $with), $this->calls);
    }

    /** @return list<Act> every call ended at a tick */
    public function ends(int $tick): array
    {
        return array_map(fn (array $with): Act => Catalogue::make($tick, 'set', $with), $this->ends);
    }

    /** @return list<Act> everything reset that has tripped, from a tick on */
    public function resets(int $tick): array
    {
        return array_map(fn (array $r): Act => Catalogue::make($tick + $r[0], $r[1], $r[2]), $this->resets);
    }

    /** The last moment after the call has ended, with nothing that calls. */
    public function rested(): int
    {
        $phases = array_column($this->phases, 1, 0);

        return $phases['ended'] + 1000 * self::MOMENTS_S['ended'][count(self::MOMENTS_S['ended']) - 1];
    }

    /** Tick at which the supply goes off. */
    public function end(): int
    {
        return $this->phases[count($this->phases) - 1][1];
    }

    /** @return array<int, string> moments at which something is read: tick => how a person would say it */
    public function moments(): array
    {
        $moments = [];
        foreach ($this->phases as [$kind, $at, $title]) {
            foreach (self::MOMENTS_S[$kind] as $s) {
                $moments[$at + 1000 * $s] = ($s < 120 ? "$s s " : Words::say('suspects.trial.min', [
                    's' => round($s / 60),
                ])).$title;
            }
        }

        return $moments;
    }

    /** Minutes that a person waits for a moment: from the beginning of its phase, or of the call that has ended. */
    public function waited(int $tick): float
    {
        $begun = 0;
        foreach ($this->phases as [$kind, $at]) {
            $begun = $at <= $tick && $kind !== 'ended' ? $at : $begun;
        }

        return ($tick - $begun) / 60_000;
    }

    /** Whether a moment comes after what yields to a tap was tapped: to be used for that, and not otherwise. */
    public function isTapped(int $tick): bool
    {
        foreach ($this->phases as [$kind, $at]) {
            if ($kind === 'tapped') {
                return $tick >= $at;
            }
        }

        return false;
    }

    /** @return list<array{int, int, string}> phases: from a tick to a tick, how a person would say it */
    public function spans(): array
    {
        $spans = [];
        foreach ($this->phases as $i => [$kind, $at, $title]) {
            if ($kind !== 'off') {
                $spans[] = [$at, $this->phases[$i + 1][1], $title];
            }
        }

        return $spans;
    }

    /** @return list<int> ticks at which something is done: how well a moment is known counts from these */
    public function ticks(): array
    {
        return array_column($this->phases, 1);
    }
}
