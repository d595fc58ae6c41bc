<?php

declare(strict_types=1);

namespace OddSpark\Sequence;

use OddSpark\Parts\Fittings;
use OddSpark\Parts\Primitive;
use OddSpark\Parts\Surroundings;

/**
 * A control whose behaviour is a table: states with outputs and a lamp, and ordered guards that
 * lead from one to the next. Slot: state, since, in, due, count, out, lamp.
 *
 * The table is read afresh from its document for every run; nothing of any appliance's sequence
 * is written here.
 */
final class Control extends Primitive
{
    public const READS_CIRCUIT = true;

    private const DARK = 'dark';

    /** @var array<string, mixed> */
    private readonly array $table;

    /** @var array<string, array<string, mixed>> */
    private readonly array $inputs;

    /** @var array<string, float> */
    private readonly array $times;

    /**
     * @param array<string, mixed> $p table: as in docs/formats.md, inputs: by name {ac: [node, node] | ua_through:
     *     [node, node] with ohm, on, off, after_ms, dead}, times: overrides, lamp_dead
     */
    public function __construct(private readonly array $p, private readonly Fittings $f)
    {
        $this->table = $p['table'];
        $this->inputs = $p['inputs'];
        $this->times = ($p['times'] ?? []) + $p['table']['times'];
    }

    public function initial(): array
    {
        return $this->enter(self::DARK, 0, array_fill_keys(array_keys($this->inputs), false), [], []);
    }

    public function react(array $slot, Surroundings $now): array
    {
        $slot = $this->sense($slot, $now);
        if (! $slot['in'][$this->table['supply']]) {
            return $slot['state'] === self::DARK ? $slot : $this->enter(self::DARK, $now->tick, $slot['in'], $slot['due'], []);
        }
        if ($slot['state'] === self::DARK) {
            return $this->enter($this->table['start'], $now->tick, $slot['in'], $slot['due'], []);
        }
        foreach ($this->table['states'][$slot['state']]['guards'] as $guard) {
            if ($this->holds($guard, $slot, $now->tick)) {
                return $this->enter($guard['go'], $now->tick, $slot['in'], $slot['due'], $this->counted($slot['count'], $guard['do'] ?? []));
            }
        }

        return $slot;
    }

    public function next(array $slot, Surroundings $now): int
    {
        $next = self::NEVER;
        foreach ($slot['due'] as $due) {
            $next = min($next, $due);
        }
        foreach ($this->table['states'][$slot['state']]['guards'] ?? [] as $guard) {
            if (isset($guard['after'])) {
                $at = $slot['since'] + (int) round(1000 * $this->times[$guard['after']]);
                if ($at > $now->tick) {
                    $next = min($next, $at);
                }
            }
        }

        return $next;
    }

    public function shows(array $slot): string
    {
        return ($this->p['lamp_dead'] ?? false) ? 'off' : $slot['lamp'];
    }

    /**
     * The inputs as they stand, each changed only when it has lasted.
     *
     * @param array<string, mixed> $slot
     * @return array<string, mixed>
     */
    private function sense(array $slot, Surroundings $now): array
    {
        foreach ($this->inputs as $name => $input) {
            $on = $slot['in'][$name];
            $wanted = ! ($input['dead'] ?? false) && $this->measured($input, $now) >= ($on ? $input['off'] : $input['on']);
            if ($wanted === $on) {
                unset($slot['due'][$name]);

                continue;
            }
            $slot['due'][$name] ??= $now->tick + ($input['after_ms'] ?? 0);
            if ($now->tick >= $slot['due'][$name]) {
                $slot['in'][$name] = $wanted;
                unset($slot['due'][$name]);
            }
        }

        return $slot;
    }

    /** @param array<string, mixed> $input */
    private function measured(array $input, Surroundings $now): float
    {
        if (isset($input['ac'])) {
            return $now->acVolts($this->f->nodes[$input['ac'][0]], $this->f->nodes[$input['ac'][1]]);
        }

        return $now->dcVolts($this->f->nodes[$input['ua_through'][0]], $this->f->nodes[$input['ua_through'][1]]) / $input['ohm'] * 1e6;
    }

    /**
     * @param array<string, mixed> $guard
     * @param array<string, mixed> $slot
     */
    private function holds(array $guard, array $slot, int $tick): bool
    {
        foreach ($guard['if'] ?? [] as $input => $on) {
            if ($slot['in'][$input] !== $on) {
                return false;
            }
        }
        foreach ($guard['count'] ?? [] as $counter => $atLeast) {
            if (($slot['count'][$counter] ?? 0) < $atLeast) {
                return false;
            }
        }

        return ! isset($guard['after']) || $tick >= $slot['since'] + (int) round(1000 * $this->times[$guard['after']]);
    }

    /**
     * @param array<string, int> $count
     * @param array<string, string> $do counter => "+1" or "0"
     * @return array<string, int>
     */
    private function counted(array $count, array $do): array
    {
        foreach ($do as $counter => $step) {
            $count[$counter] = $step === '0' ? 0 : ($count[$counter] ?? 0) + (int) $step;
        }

        return $count;
    }

    /**
     * @param array<string, bool> $in
     * @param array<string, int> $due
     * @param array<string, int> $count
     * @return array<string, mixed>
     */
    private function enter(string $state, int $tick, array $in, array $due, array $count): array
    {
        $row = $this->table['states'][$state] ?? ['outputs' => [], 'lamp' => 'off'];

        return [
            'state' => $state,
            'since' => $tick,
            'in' => $in,
            'due' => $due,
            'count' => $count,
            'out' => array_fill_keys($row['outputs'], true),
            'lamp' => $row['lamp'],
        ];
    }
}
