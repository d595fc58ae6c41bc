<?php

declare(strict_types=1);

namespace OddSpark\Sequence;

use OddSpark\Parts\Primitive;

/**
 * A sequence table by itself: overridden line by line, and looked at without running it.
 *
 * What is an error cannot be run; what is a remark can, and is told to whoever made it.
 *
 * @phpstan-type Guard array{if?: array<string, bool>, count?: array<string, int>, timer?: array<string, string>,
 *     after?: string, do?: array<string, string>, go: string}
 * @phpstan-type Row array{title: string, outputs: list<string>, lamp: string, guards: list<Guard>, reset?: string,
 *     until_power?: bool}
 * @phpstan-type TableDocument array{table?: string, version?: int, title: string, supply?: string, start: string,
 *     remembers?: array{states?: list<string>, counts?: list<string>},
 *     fuel?: array{outputs: list<string>, proofs: list<string>, flame: string},
 *     times: array<string, int|float>, states: array<string, Row>}
 * @phpstan-import-type Changes from Primitive
 */
final readonly class Table
{
    /** Usual times by what a name ends in, s; common practice, no source, but for those of the trade's handbooks. */
    private const USUAL = [
        'prepurge_s' => [0, 60],
        'warm_up_s' => [7, 60],
        'trial_s' => [2, 90],
        'blower_on_s' => [0, 90],
        'blower_off_s' => [30, 240],
        'postpurge_s' => [0, 60],
        'interpurge_s' => [0, 300],
        'lockout_s' => [300, 7200],
        'valve_delay_s' => [0, 30],
    ];

    /** @param TableDocument $table */
    public function __construct(private array $table) {}

    /**
     * The table with some of its lines changed: by path, "states.trial.lamp" or "times.trial_s"; null takes a line out.
     *
     * @param TableDocument $table
     * @param Changes $lines
     * @return TableDocument
     *
     * @throws TableError when a path leads nowhere
     */
    public static function with(array $table, array $lines): array
    {
        foreach ($lines as $path => $value) {
            $keys = explode('.', (string) $path);
            $last = array_pop($keys);
            $at = &$table;
            foreach ($keys as $key) {
                if (! is_array($at) || ! array_key_exists($key, $at)) {
                    throw new TableError('/overrides/'.$path, "There is no \"$key\" in the table to change.");
                }
                $at = &$at[$key];
            }
            if ($value === null) {
                unset($at[$last]);
                $at = is_int($last) || ctype_digit($last) ? array_values($at) : $at;
            } else {
                $at[$last] = $value;
            }
            unset($at);
        }

        return $table;
    }

    /**
     * @param list<string> $inputs names of the control's inputs
     *
     * @throws TableError at the first line that cannot be run
     */
    public function check(array $inputs): void
    {
        $t = $this->table;
        $fail = fn (string $pointer, string $sentence) => throw new TableError($pointer, $sentence);
        if (! isset($t['states']) || ! is_array($t['states']) || $t['states'] === []) {
            $fail('/states', 'A table needs states.');
        }
        if (! isset($t['states'][$t['start'] ?? ''])) {
            $fail('/start', 'Must be one of the states.');
        }
        if (isset($t['supply']) && ! in_array($t['supply'], $inputs, true)) {
            $fail('/supply', "There is no input called \"{$t['supply']}\"; there are ".implode(', ', $inputs).'.');
        }
        foreach ($t['times'] ?? [] as $name => $seconds) {
            if (! is_int($seconds) && ! is_float($seconds) || ! is_finite((float) $seconds) || $seconds < 0) {
                $fail("/times/$name", 'Must be seconds, zero or more.');
            }
        }
        foreach ($t['states'] as $state => $row) {
            foreach (['title', 'outputs', 'lamp', 'guards'] as $key) {
                if (! isset($row[$key])) {
                    $fail("/states/$state/$key", 'Is missing.');
                }
            }
            if (isset($row['reset']) && ! isset($t['states'][$row['reset']])) {
                $fail("/states/$state/reset", "There is no state called \"{$row['reset']}\".");
            }
            foreach ($row['guards'] as $i => $guard) {
                $pointer = "/states/$state/guards/$i";
                if (! isset($t['states'][$guard['go'] ?? ''])) {
                    $fail("$pointer/go", 'There is no state called "'.($guard['go'] ?? '').'".');
                }
                foreach ($guard['if'] ?? [] as $input => $on) {
                    if (! in_array($input, $inputs, true)) {
                        $fail(
                            "$pointer/if/$input",
                            "There is no input called \"$input\"; there are ".implode(', ', $inputs).'.',
                        );
                    }
                    if (! is_bool($on)) {
                        $fail("$pointer/if/$input", 'Must be true or false.');
                    }
                }
                foreach (
                    [...isset($guard['after']) ? [$guard['after']] : [], ...array_values($guard['timer'] ?? [])] as $time
                ) {
                    if (! isset($t['times'][$time])) {
                        $fail($pointer, "There is no time called \"$time\".");
                    }
                }
                $unknown = array_diff(array_keys($guard), ['if', 'count', 'timer', 'after', 'do', 'go']);
                if ($unknown !== []) {
                    $fail("$pointer/".reset($unknown), 'Not known here.');
                }
                if (array_diff_key($guard, ['do' => 1, 'go' => 1]) === []) {
                    $fail($pointer, 'Holds always: it needs something to wait for.');
                }
            }
        }
    }

    /**
     * The table in words, to be read.
     *
     * @return list<array{state: string, title: string, outputs: list<string>, lamp: string, lines: list<string>}>
     */
    public function words(): array
    {
        $states = [];
        foreach ($this->table['states'] as $state => $row) {
            $lines = array_map($this->line(...), $row['guards']);
            if (isset($row['reset'])) {
                $lines[] = "reset by hand → {$this->table['states'][$row['reset']]['title']}";
            }
            $states[] = [
                'state' => (string) $state,
                'title' => $row['title'],
                'outputs' => $row['outputs'],
                'lamp' => $row['lamp'],
                'lines' => $lines,
            ];
        }

        return $states;
    }

    /**
     * A guard as a line: "call, not limit, after 15 s → Igniter warms up".
     *
     * @param Guard $guard
     */
    private function line(array $guard): string
    {
        $times = $this->table['times'];
        $words = [];
        foreach ($guard['if'] ?? [] as $input => $on) {
            $words[] = ($on ? '' : 'not ').$input;
        }
        foreach ($guard['count'] ?? [] as $counter => $least) {
            $words[] = "$counter at least $least";
        }
        foreach ($guard['timer'] ?? [] as $timer => $time) {
            $words[] = "{$times[$time]} s since $timer";
        }
        if (isset($guard['after'])) {
            $words[] = "after {$times[$guard['after']]} s";
        }
        foreach ($guard['do'] ?? [] as $name => $step) {
            $words[] = "($name $step)";
        }

        return implode(', ', $words)." → {$this->table['states'][$guard['go']]['title']}";
    }

    /**
     * What is odd about a table that can be run.
     *
     * @return list<array{pointer: string, text: string}>
     */
    public function remarks(): array
    {
        return [
            ...$this->unreachable(),
            ...$this->deadEnds(),
            ...$this->neverHold(),
            ...$this->unproved(),
            ...$this->unusual(),
        ];
    }

    /** @return list<array{pointer: string, text: string}> */
    private function unreachable(): array
    {
        $reached = [];
        $todo = [$this->table['start'], ...($this->table['remembers']['states'] ?? [])];
        while ($todo !== []) {
            $state = array_pop($todo);
            if (isset($reached[$state])) {
                continue;
            }
            $reached[$state] = true;
            $row = $this->table['states'][$state];
            array_push($todo, ...array_column($row['guards'], 'go'), ...(isset($row['reset']) ? [$row['reset']] : []));
        }

        return array_values(
            array_map(
                fn (string $s) => [
                    'pointer' => "/states/$s",
                    'text' => "\"{$this->table['states'][$s]['title']}\" is never reached.",
                ],
                array_diff(array_map('strval', array_keys($this->table['states'])), array_keys($reached)),
            ),
        );
    }

    /** @return list<array{pointer: string, text: string}> */
    private function deadEnds(): array
    {
        $found = [];
        foreach ($this->table['states'] as $state => $row) {
            if ($row['guards'] === [] && ! isset($row['reset']) && ! ($row['until_power'] ?? false)) {
                $found[] = [
                    'pointer' => "/states/$state",
                    'text' => "\"{$row['title']}\" has no way out but losing its power.",
                ];
            }
        }

        return $found;
    }

    /**
     * @return list<array{pointer: string, text: string}> guards that an earlier one of their state always forestalls
     */
    private function neverHold(): array
    {
        $found = [];
        foreach ($this->table['states'] as $state => $row) {
            foreach ($row['guards'] as $i => $guard) {
                foreach (array_slice($row['guards'], 0, $i) as $earlier) {
                    if (self::implies($guard, $earlier)) {
                        $found[] = [
                            'pointer' => "/states/$state/guards/$i",
                            'text' => 'Can never hold: an earlier line holds whenever this one would.',
                        ];
                        break;
                    }
                }
                foreach (array_keys($guard['count'] ?? []) as $counter) {
                    if (! $this->counts((string) $counter)) {
                        $found[] = [
                            'pointer' => "/states/$state/guards/$i/count/$counter",
                            'text' => "Can never hold: nothing counts \"$counter\" up.",
                        ];
                    }
                }
            }
        }

        return $found;
    }

    /**
     * Whether the second holds whenever the first does.
     *
     * @param Guard $first
     * @param Guard $second
     */
    private static function implies(array $first, array $second): bool
    {
        foreach ($second['if'] ?? [] as $input => $on) {
            if (($first['if'][$input] ?? null) !== $on) {
                return false;
            }
        }
        foreach ($second['count'] ?? [] as $counter => $least) {
            if (($first['count'][$counter] ?? -1) < $least) {
                return false;
            }
        }

        return (! isset($second['after']) || ($first['after'] ?? null) === $second['after'])
            && array_diff_assoc($second['timer'] ?? [], $first['timer'] ?? []) === [];
    }

    private function counts(string $counter): bool
    {
        foreach ($this->table['states'] as $row) {
            foreach ($row['guards'] as $guard) {
                if (($guard['do'][$counter] ?? '0') !== '0') {
                    return true;
                }
            }
        }

        return false;
    }

    /**
     * States that give fuel: each must leave, and shut it, as soon as any proof is gone; where flame is not proved
     * yet, after a time. What the wiring itself proves (a string in series with the valve) is listed under "wired".
     *
     * @return list<array{pointer: string, text: string}>
     */
    private function unproved(): array
    {
        $found = [];
        $fuel = $this->table['fuel'] ?? null;
        if ($fuel === null) {
            return [];
        }
        foreach ($this->table['states'] as $state => $row) {
            if (array_intersect($row['outputs'], $fuel['outputs']) === []) {
                continue;
            }
            foreach ($fuel['proofs'] as $proof) {
                if (! $this->leavesWithout($row, $proof)) {
                    $found[] = [
                        'pointer' => "/states/$state",
                        'text' => "\"{$row['title']}\" gives fuel and does not stop when \"$proof\" is gone.",
                    ];
                }
            }
            $flame = $fuel['flame'] ?? null;
            if ($flame !== null && ! $this->ends((string) $state, $flame)) {
                $found[] = [
                    'pointer' => "/states/$state",
                    'text' => "\"{$row['title']}\" gives fuel without flame and without end.",
                ];
            }
        }

        return $found;
    }

    /** @param Row $row */
    private function leavesWithout(array $row, string $proof): bool
    {
        foreach ($row['guards'] as $guard) {
            if (
                ($guard['if'] ?? []) === [$proof => false] &&
                ! isset($guard['after'], $guard['timer']) &&
                ! isset($guard['count']) &&
                $this->shuts($guard['go'])
            ) {
                return true;
            }
        }

        return false;
    }

    /**
     * Whether a state that gives fuel shuts it when no flame comes: at once, after its time, or in a state that its
     * time leads to.
     *
     * @param array<string, true> $through states on the way, which do not count again
     */
    private function ends(string $state, string $flame, array $through = []): bool
    {
        $row = $this->table['states'][$state];
        if ($this->leavesWithout($row, $flame)) {
            return true;
        }
        foreach ($row['guards'] as $guard) {
            $needs = $guard['if'] ?? [];
            $comesAnyway =
                array_diff_key($needs, [$flame => 1]) === [] &&
                ($needs[$flame] ?? false) === false &&
                ! isset($guard['count']);
            if (
                isset($guard['after']) &&
                $comesAnyway &&
                ($this->shuts($guard['go']) ||
                    (! isset($through[$guard['go']]) && $this->ends($guard['go'], $flame, [$state => true] + $through)))
            ) {
                return true;
            }
        }

        return false;
    }

    private function shuts(string $state): bool
    {
        return array_intersect($this->table['states'][$state]['outputs'], $this->table['fuel']['outputs']) === [];
    }

    /** @return list<array{pointer: string, text: string}> */
    private function unusual(): array
    {
        $found = [];
        foreach ($this->table['times'] ?? [] as $name => $seconds) {
            foreach (self::USUAL as $ending => [$low, $high]) {
                if (str_ends_with((string) $name, $ending) && ($seconds < $low || $seconds > $high)) {
                    $found[] = [
                        'pointer' => "/times/$name",
                        'text' => "$seconds s is out of the usual, $low to $high.",
                    ];
                }
            }
        }

        return $found;
    }
}
