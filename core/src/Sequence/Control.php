<?php

declare(strict_types=1);

namespace OddSpark\Sequence;

use OddSpark\Parts\Ability\Decides;
use OddSpark\Parts\Condition;
use OddSpark\Parts\Fittings;
use OddSpark\Parts\NaturalFault;
use OddSpark\Parts\Primitive;
use OddSpark\Parts\Surroundings;
use OddSpark\Parts\Wired;
use OddSpark\Words\Words;

/**
 * A control whose behaviour is a table: states with outputs and a lamp, and ordered guards that
 * lead from one to the next. Slot: state, since, in, due, count, timer, out, lamp, lit (since when it is so), turns
 * (what it is to show, and from when), latched, kept; codes: the last that its lamp has shown, the newest first; level:
 * per cent by name, see {@see Levels}; set: seconds by name, of times that are set on it.
 *
 * The table is read afresh from its document for every run; nothing of any appliance's sequence
 * is written here.
 *
 * @phpstan-import-type Figures from Primitive
 * @phpstan-import-type Requirement from Condition
 * @phpstan-import-type Slot from Primitive
 * @phpstan-import-type TableDocument from Table
 */
final class Control extends Primitive implements Decides
{
    public const DOES = 'sequences decides times';

    /** Volts at which it reads the ohms of what hangs on it; from memory. */
    private const SENSING_V = 5.0;

    public const READS_CIRCUIT = true;

    public const DARK = 'dark';

    /** @var TableDocument */
    private readonly array $table;

    /** @var array<string, Input> */
    private readonly array $inputs;

    /** @var array<string, float> */
    private readonly array $times;

    /** Input that powers it; null for one that needs no power. */
    private readonly ?string $supply;

    /** @var list<Requirement> what is so when it is too warm for it */
    private readonly array $tooWarm;

    private readonly bool $hasLevels;

    private readonly Steps $steps;

    /**
     * @param Figures $p table: as in docs/formats.md, inputs: by name, see {@see Input}, times: overrides,
     *     set_by: times that are set on it, by name {by: lever, at: seconds by position},
     *     lamp_dead, heat_shy: {of: process, above}: locks out when warmer, and only a power cycle when cooler frees it
     */
    public function __construct(private readonly array $p, Fittings $f)
    {
        $this->table = $p['table'];
        $this->inputs = array_map(fn (array $input) => new Input($input, $f), $p['inputs']);
        $this->times = ($p['times'] ?? []) + $p['table']['times'];
        $this->supply = $p['table']['supply'] ?? null;
        $this->tooWarm = isset($p['heat_shy'])
            ? [['by' => $p['heat_shy']['of'], 'above' => $p['heat_shy']['above']]]
            : [];
        $this->steps = new Steps($this->table, $this->times);
        $this->hasLevels = array_filter($this->table['states'], fn (array $row): bool => isset($row['levels'])) !== [];
    }

    public static function wiring(array $spec): array
    {
        $supplies = [];
        foreach ($spec['inputs'] as $input) {
            if (isset($input['ohms'])) {
                $supplies[] = Wired::supply(
                    $input['ohms'][0],
                    $input['ohms'][1],
                    self::SENSING_V,
                    Words::say('sequence.control.what_it_reads_the_ohms'),
                    'sensing',
                );
            }
        }

        return $supplies;
    }

    public static function faults(array $spec): array
    {
        return [
            new NaturalFault(
                'dead',
                'dead',
                (isset($spec['inputs']['supply']) ? ['inputs.supply.dead' => true] : []) + ['lamp_dead' => true],
                1.0,
            ),
        ];
    }

    public function initial(): array
    {
        return $this->steps->enter(self::DARK, 0, [
            'in' => array_fill_keys(array_keys($this->inputs), false),
            'due' => [],
            'count' => [],
            'timer' => [],
            'kept' => null,
            'lamp' => 'off',
        ]) + (isset($this->table['remembers']['codes']) ? ['codes' => []] : []);
    }

    public function follows(): array
    {
        $ids = [];
        foreach ($this->inputs as $input) {
            $id = $input->followed();
            if ($id !== null) {
                $ids[] = $id;
            }
        }

        array_push($ids, ...array_column($this->p['set_by'] ?? [], 'by'));

        return isset($this->p['heat_shy']) ? [...$ids, $this->p['heat_shy']['of']] : $ids;
    }

    public function react(array $slot, Surroundings $now): array
    {
        $next = $this->given($this->stepped($this->asSet($slot, $now), $now), $now);
        $keeps = max(0, (int) ($this->table['remembers']['codes'] ?? 0));
        if ($keeps === 0) {
            return $next;
        }
        $codes = $slot['codes'] ?? [];
        if ($next['lamp'] !== $slot['lamp'] && Lamp::isCode($next['lamp']) && ($codes[0] ?? '') !== $next['lamp']) {
            $codes = array_slice([$next['lamp'], ...$codes], 0, $keeps);
        }

        return ['codes' => $codes] + $next;
    }

    /**
     * With the times that are set on it as they are set.
     *
     * @param Slot $slot
     * @return Slot
     */
    private function asSet(array $slot, Surroundings $now): array
    {
        foreach ($this->p['set_by'] ?? [] as $time => $by) {
            $seconds = $by['at'][(string) $now->follow($by['by'], 'at')] ?? $this->times[$time];
            if (($slot['set'][$time] ?? null) !== $seconds) {
                $slot['set'][$time] = $seconds;
            }
        }

        return $slot;
    }

    /**
     * With the levels that it gives in the state that it is in.
     *
     * @param Slot $slot
     * @return Slot
     */
    private function given(array $slot, Surroundings $now): array
    {
        if (! $this->hasLevels) {
            return $slot;
        }
        $row = $this->table['states'][$slot['state']]['levels'] ?? [];

        return ['level' => Levels::at($row, $slot['level'] ?? [], $this->inputs, $now)] + $slot;
    }

    /**
     * A step through the table, if one is due.
     *
     * @param Slot $slot
     * @return Slot
     */
    private function stepped(array $slot, Surroundings $now): array
    {
        $slot = Lamp::at($now->tick, $this->sense($slot, $now));
        if ($this->supply !== null && ! $slot['in'][$this->supply]) {
            if ($slot['state'] !== self::DARK) {
                return $this->fallDark($slot, $now->tick);
            }

            return $slot['kept'] === 'warm' && ! $this->isTooWarm($now) ? ['kept' => null] + $slot : $slot;
        }
        if ($this->isTooWarm($now) && $slot['state'] !== self::DARK) {
            // dead until it has cooled and the power has been away
            return $this->steps->enter(self::DARK, $now->tick, ['kept' => 'warm'] + $slot);
        }
        if ($slot['state'] === self::DARK) {
            if ($slot['kept'] === 'warm') {
                return $slot;
            }
            $go = is_string($slot['kept']) ? $slot['kept'] : $this->table['start'];

            return $this->steps->enter($go, $now->tick, ['kept' => null] + $slot);
        }
        $row = $this->table['states'][$slot['state']];
        if (isset($row['reset']) && ! $slot['latched']) { // a person has pressed its button
            return $this->steps->enter($row['reset'], $now->tick, $slot);
        }
        foreach ($row['guards'] as $guard) {
            if ($this->steps->holds($guard, $slot, $now->tick)) {
                $done = $this->steps->done($slot, $guard['do'] ?? [], $now->tick);

                return $this->steps->enter($guard['go'], $now->tick, $done);
            }
        }

        return $slot;
    }

    public function next(array $slot, Surroundings $now): int
    {
        $next = min($slot['due'] === [] ? self::NEVER : min($slot['due']), $slot['turns'][1] ?? self::NEVER);
        foreach ($this->inputs as $input) {
            $next = min($next, $input->next($now));
        }
        $next = min($next, Condition::next($this->tooWarm, $now));
        if ($this->hasLevels) {
            $row = $this->table['states'][$slot['state']]['levels'] ?? [];
            $next = min($next, Levels::next($row, $slot['level'] ?? [], $this->inputs, $now));
        }
        foreach ($this->table['states'][$slot['state']]['guards'] ?? [] as $guard) {
            foreach ($this->steps->moments($guard, $slot) as $at) {
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
     * @param Slot $slot
     * @return Slot
     */
    private function sense(array $slot, Surroundings $now): array
    {
        foreach ($this->inputs as $name => $input) {
            $on = $slot['in'][$name];
            $wanted = $input->wanted($on, $now);
            if ($wanted === $on) {
                unset($slot['due'][$name]);

                continue;
            }
            $slot['due'][$name] ??= $now->tick + $input->after();
            if ($now->tick >= $slot['due'][$name]) {
                $slot['in'][$name] = $wanted;
                unset($slot['due'][$name]);
            }
        }

        return $slot;
    }

    /**
     * Without power: what its table says that it remembers is kept, the rest is gone.
     *
     * @param Slot $slot
     * @return Slot
     */
    private function fallDark(array $slot, int $tick): array
    {
        return $this->steps->enter(self::DARK, $tick, [
            'kept' => in_array($slot['state'], $this->table['remembers']['states'] ?? [], true) ? $slot['state'] : null,
            'count' => array_intersect_key($slot['count'], array_flip($this->table['remembers']['counts'] ?? [])),
            'timer' => [],
        ] + $slot);
    }

    private function isTooWarm(Surroundings $now): bool
    {
        return $this->tooWarm !== [] && Condition::holds($this->tooWarm[0], $now);
    }
}
