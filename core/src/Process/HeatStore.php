<?php

declare(strict_types=1);

namespace OddSpark\Process;

use OddSpark\Parts\Ability\HoldsHeat;
use OddSpark\Parts\Ability\IsWarm;
use OddSpark\Parts\Ability\NeedsPipes;
use OddSpark\Parts\Condition;
use OddSpark\Parts\Figure;
use OddSpark\Parts\Fittings;
use OddSpark\Parts\Primitive;
use OddSpark\Parts\Surroundings;
use OddSpark\Trade\Response;

/**
 * Something of a part that holds heat: an exchanger's metal, a boiler's water, a radiator, a cylinder, a room.
 *
 * C dT/dt = Σ G (T′ − T) + gains: with what flows through it, with the flame, with what it lies beside, with what does
 * not change. First order as long as who gives and takes stays the same; a store beside it is taken at the
 * temperature that it has, and looked at again when that has moved by a twentieth of what lies between the two.
 * Heat from a flame falls with the place's own temperature, so that nothing gets hotter than what heats it. Water
 * stands at its boiling point. Slot: course, aim, sampled, boils; beside and heat, as they
 * were last.
 *
 * @phpstan-import-type Figures from Primitive
 * @phpstan-import-type Slot from Primitive
 */
final class HeatStore extends Primitive implements HoldsHeat, IsWarm, NeedsPipes
{
    public const AT_ONCE = true;

    public const DOES = 'holds heat';

    /** How far a neighbour moves before it is looked at again: of what lies between the two, of what it has to go. */
    private const BETWEEN = 0.1;

    private const TO_GO = 0.2;

    private const LEAST = 0.5;

    /**
     * @param Figures $p start, holds (Btu/°F or Wh/K); streams: list of {run, ua: conductance to what flows; all of it
     *     is in it when left out}; fired_by: burner; share: of the input that it gets when it is at rated degrees, from
     *     what is as hot as flame; loss: heat for each degree to what stands at outdoors; boils: degrees;
     *     pulled: {to: degrees, per_degree: heat, if: list of Condition}, what a refrigerant boils off in it;
     *     networks, stores, own: as it was joined
     */
    public function __construct(private readonly array $p, Fittings $f) {}

    public static function figures(array $spec): array
    {
        return [
            new Figure('start', Figure::DEGREES, -60.0, 250.0),
            new Figure('holds', Figure::OF_HEAT_HELD, 1e-3, 1e6),
            new Figure('loss', Figure::OF_HEAT_PER_DEGREE, 0.0, 1e5),
            new Figure('outdoors', Figure::DEGREES, -60.0, 250.0),
            new Figure('share', '', 0.0, 1.0),
            new Figure('flame', Figure::DEGREES, 100.0, 3000.0),
            new Figure('rated', Figure::DEGREES, 20.0, 1000.0),
            new Figure('boils', Figure::DEGREES, 90.0, 350.0),
        ];
    }

    public static function isOfTheFire(array $spec): bool
    {
        return isset($spec['fired_by']);
    }

    public function initial(): array
    {
        return [
            'course' => Response::still(0, (float) $this->p['start']),
            'aim' => null,
            'sampled' => [],
            'boils' => false,
            'beside' => null,
            'heat' => 0.0,
        ];
    }

    public function follows(): array
    {
        $ids = array_map(strval(...), [
            ...$this->p['networks'] ?? [],
            ...array_diff($this->p['stores'] ?? [], [$this->p['own']]),
        ]);
        if (isset($this->p['fired_by'])) {
            $ids[] = (string) $this->p['fired_by'];
        }
        $ids = [...$ids, ...Condition::followed($this->p['pulled']['if'] ?? [])];

        return array_map(strval(...), array_keys(array_flip($ids)));
    }

    public function reads(): array
    {
        $reads = array_fill_keys($this->follows(), ['course']);
        foreach ($this->p['networks'] ?? [] as $network) {
            $reads[(string) $network] = [['stores', (string) $this->p['own']]];
        }
        if (isset($this->p['fired_by'])) {
            $reads[(string) $this->p['fired_by']] = ['heat'];
        }
        foreach (Condition::read($this->p['pulled']['if'] ?? []) as $of => $keys) {
            $reads[$of] = [...$reads[$of] ?? [], ...$keys];
        }

        return $reads;
    }

    public function react(array $slot, Surroundings $now): array
    {
        $beside = $this->beside($now);
        $heat = isset($this->p['fired_by']) ? (float) $now->follow($this->p['fired_by'], 'heat') : 0.0;
        $isAsBefore = $slot['aim'] !== null && $beside === $slot['beside'] && $heat === $slot['heat'];
        if ($isAsBefore && $this->stand($slot['sampled'], $now)) {
            return $this->atBoil($slot, $now) !== $slot['boils'] ? $this->aimed($slot, $now) : $slot;
        }
        $here = Response::at($slot['course'], $now->tick);
        [$gain, $conductance] = $this->flame($heat);
        $sampled = [];
        foreach ($beside as [$to, $g]) {
            if ($g <= 0.0) {
                continue;
            }
            if (is_string($to)) {
                $sampled[$to] = $this->sample($to, $slot['sampled'][$to] ?? null, $here, $now);
                $to = $sampled[$to][2];
            }
            $gain += $g * $to;
            $conductance += $g;
        }
        $aim = $conductance > 0
            ? [round($gain / $conductance, 3), round((3600 * $this->p['holds']) / $conductance, 3)]
            : [round($here, 3), 1.0];
        $slot = ['beside' => $beside, 'heat' => $heat, 'sampled' => $sampled] + $slot;

        return $aim === $slot['aim'] ? $slot : $this->aimed(['aim' => $aim] + $slot, $now);
    }

    /**
     * On its way to where it goes, or standing where it boils.
     *
     * @param Slot $slot
     * @return Slot
     */
    private function aimed(array $slot, Surroundings $now): array
    {
        $here = Response::at($slot['course'], $now->tick);
        $slot['boils'] = $this->atBoil($slot, $now);
        $slot['course'] = $slot['boils']
            ? Response::still($now->tick, (float) $this->p['boils'])
            : Response::towards($now->tick, $here, ...($slot['aim'] ?? [$here, 1.0]));

        return $slot;
    }

    /** @param Slot $slot */
    private function atBoil(array $slot, Surroundings $now): bool
    {
        $boils = (float) ($this->p['boils'] ?? INF);

        return ($slot['aim'][0] ?? 0.0) > $boils &&
            Response::at($slot['course'], $now->tick) >= $boils - Condition::slack($boils);
    }

    /**
     * Whether those beside it are still near enough to where they were looked at.
     *
     * @param array<string, array{float, float, float, float}> $sampled
     */
    private function stand(array $sampled, Surroundings $now): bool
    {
        foreach ($sampled as $to => $kept) {
            if (! self::isNear($kept, (string) $to, $now)) {
                return false;
            }
        }

        return true;
    }

    /**
     * Whether it has neither moved far nor turned to go somewhere else.
     *
     * @param array{float, float, float, float} $kept
     */
    private static function isNear(array $kept, string $to, Surroundings $now): bool
    {
        [$at, $step, , $rest] = $kept;

        return abs($now->value($to) - $at) < $step - 1e-6 && abs($now->course($to)[1] - $rest) <= 2 * $step;
    }

    /**
     * @param array{float, float, float, float}|null $kept where it was, how far it may go, at what it is taken,
     *     where it was going
     * @return array{float, float, float, float}
     */
    private function sample(string $to, ?array $kept, float $here, Surroundings $now): array
    {
        if ($kept !== null && self::isNear($kept, $to, $now)) {
            return $kept;
        }
        $there = $now->value($to);
        $rest = $now->course($to)[1];
        $toGo = $rest - $there;
        $wide = max(self::BETWEEN * abs($there - $here), self::TO_GO * abs($toGo));
        $step = round(max(self::LEAST, min($wide, 0.5 * abs($toGo))), 2); // and not so wide that its end is missed

        // it is taken half a step further on its way: as it will be on the average until then
        return [round($there, 3), $step, round($there + 0.5 * max(-$step, min($step, $toGo)), 3), round($rest, 3)];
    }

    public function next(array $slot, Surroundings $now): int
    {
        $next = self::NEVER;
        foreach ($slot['sampled'] as $of => [$at, $step]) {
            $next = min($next, $now->crossing((string) $of, [$at - $step, $at + $step]));
        }
        if (isset($this->p['boils']) && ! $slot['boils'] && ($slot['aim'][0] ?? 0.0) > $this->p['boils']) {
            $to = Response::crossing($slot['course'], (float) $this->p['boils'], $now->tick);
            $next = min($next, $to ?? self::NEVER);
        }

        return $next;
    }

    public function shows(array $slot): string
    {
        return $slot['boils'] ? 'boils' : '';
    }

    /**
     * What the flame gives: as a conductance from what is as hot as it is.
     *
     * @return array{float, float} gain and conductance
     */
    private function flame(float $heat): array
    {
        if ($heat <= 0.0) {
            return [0.0, 0.0];
        }
        $g = $heat * $this->p['share'] / max(1.0, $this->p['flame'] - $this->p['rated']);

        return [$g * $this->p['flame'], $g];
    }

    /**
     * What it gives heat to and takes it from: store or degrees, and conductance.
     *
     * @return list<array{string|float, float}>
     */
    private function beside(Surroundings $now): array
    {
        $beside = [];
        foreach ($this->p['networks'] ?? [] as $network) {
            foreach ($now->follow($network, 'stores', (string) $this->p['own']) ?? [] as [$from, $g]) {
                $beside[] = [str_starts_with($from, '=') ? (float) substr($from, 1) : $from, $g];
            }
        }
        if (isset($this->p['pulled']) && Condition::allHold($this->p['pulled']['if'], $now)) {
            $beside[] = [(float) $this->p['pulled']['to'], (float) $this->p['pulled']['per_degree']];
        }
        if (isset($this->p['loss'])) {
            $beside[] = [(float) $this->p['outdoors'], (float) $this->p['loss']];
        }

        return $beside;
    }
}
