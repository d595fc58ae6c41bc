<?php

declare(strict_types=1);

namespace OddSpark\Process;

use OddSpark\Parts\Ability\HoldsHeat;
use OddSpark\Parts\Condition;
use OddSpark\Parts\Fittings;
use OddSpark\Parts\Primitive;
use OddSpark\Parts\Surroundings;
use OddSpark\Trade\Response;

/**
 * Something that holds heat: a boiler's water, a cylinder, a radiator loop, a room. Slot: course, aim, sampled.
 *
 * C dT/dt = Σ gains − Σ G (T − T′): first order as long as who gains and loses stays the same. A store
 * beside it is taken at the temperature that it has, and looked at again when that has moved by a
 * twentieth of what lies between the two.
 * Units hang together: Btu/h, Btu/h per °F and Btu per °F, or W, W/K and Wh/K.
 *
 * @phpstan-import-type Figures from Primitive
 */
final class Store extends Primitive implements HoldsHeat
{
    public const GIVEN = ['start' => 'number', 'holds' => 'number', 'gains' => 'items?', 'loses' => 'items'];

    /** How far a neighbour moves before it is looked at again: a share of the difference, and degrees at least. */
    private const SHARE = 0.05;

    private const LEAST = 0.3;

    /**
     * @param Figures $p start; holds: capacity; gains: list of {gives, if: list of {@see Condition},
     *     ways}; loses: list of {per_degree, to: degrees or process id, if, ways}
     */
    public function __construct(private readonly array $p, Fittings $f) {}

    public function initial(): array
    {
        return ['course' => Response::still(0, (float) $this->p['start']), 'aim' => null, 'sampled' => []];
    }

    public function follows(): array
    {
        $ids = [];
        foreach ([...($this->p['gains'] ?? []), ...$this->p['loses']] as $item) {
            array_push($ids, ...Condition::followed($item['if'] ?? []), ...($item['ways'] ?? []));
            if (isset($item['to']) && is_string($item['to'])) {
                $ids[] = $item['to'];
            }
        }

        return array_values(array_unique($ids));
    }

    public function react(array $slot, Surroundings $now): array
    {
        $gain = $conductance = 0.0;
        foreach ($this->p['gains'] ?? [] as $item) {
            $gain += $item['gives'] * $this->share($item, $now);
        }
        $sampled = [];
        foreach ($this->p['loses'] as $i => $item) {
            $g = $item['per_degree'] * $this->share($item, $now);
            $to = $item['to'];
            if (is_string($to)) {
                $there = $now->value($to);
                $kept = $slot['sampled'][$i] ?? null;
                $sampled[$i] =
                    $kept !== null && abs($there - $kept[0]) < $kept[1] - 1e-6
                        ? $kept
                        : [
                            round($there, 3),
                            max(
                                self::LEAST,
                                round(self::SHARE * abs($there - Response::at($slot['course'], $now->tick)), 2),
                            ),
                        ];
                $to = $sampled[$i][0];
            }
            $gain += $g * $to;
            $conductance += $g;
        }
        $aim = [round($gain / $conductance, 3), round(3600 * $this->p['holds'] / $conductance, 3)];
        if ($aim === $slot['aim'] && $sampled === $slot['sampled']) {
            return $slot;
        }
        $course =
            $aim === $slot['aim']
                ? $slot['course']
                : Response::towards($now->tick, Response::at($slot['course'], $now->tick), ...$aim);

        return ['course' => $course, 'aim' => $aim, 'sampled' => $sampled];
    }

    public function next(array $slot, Surroundings $now): int
    {
        $next = self::NEVER;
        foreach ([...($this->p['gains'] ?? []), ...$this->p['loses']] as $item) {
            $next = min($next, Condition::next($item['if'] ?? [], $now));
        }
        foreach ($slot['sampled'] as $i => [$at, $step]) {
            $next = min($next, $now->crossing($this->p['loses'][$i]['to'], [$at - $step, $at + $step]));
        }

        return $next;
    }

    /** @param Figures $item */
    private function share(array $item, Surroundings $now): float
    {
        if (! Condition::allHold($item['if'] ?? [], $now)) {
            return 0.0;
        }
        $free = 1.0;
        foreach ($item['ways'] ?? [] as $way) {
            $free *= $now->follow($way, 'free') ?? 1.0;
        }

        return $free;
    }
}
