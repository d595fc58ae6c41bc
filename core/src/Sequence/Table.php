<?php

declare(strict_types=1);

namespace OddSpark\Sequence;

use OddSpark\Parts\Primitive;
use OddSpark\Words\Words;

/**
 * A sequence table by itself: overridden line by line, and looked at without running it.
 *
 * What is an error cannot be run; what is a remark can, and is told to whoever made it.
 *
 * @phpstan-type Guard array{if?: array<string, bool>, count?: array<string, int>, timer?: array<string, string>,
 *     after?: string, do?: array<string, string>, go: string}
 * @phpstan-type Row array{title: string, outputs: list<string>, lamp: string, guards: list<Guard>, reset?: string,
 *     held_s?: int|float, until_power?: bool, levels?: array<string, Level>}
 * @phpstan-type TableDocument array{table?: string, version?: int, title: string, supply?: string, start: string,
 *     remembers?: array{states?: list<string>, counts?: list<string>, codes?: int},
 *     fuel?: array{outputs: list<string>, proofs: list<string>, flame: string},
 *     times: array<string, int|float>, states: array<string, Row>}
 * @phpstan-import-type Level from Levels
 * @phpstan-import-type Changes from Primitive
 */
final readonly class Table
{
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
                    throw new TableError('/overrides/'.$path, Words::say('sequence.table.there_is_no_in_the', [
                        'key' => $key,
                    ]));
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
     * Seconds for which the reset button has to be held in a state of a table; 0 where a press does.
     *
     * @param TableDocument $table
     */
    public static function heldFor(array $table, string $state): float
    {
        return (float) ($table['states'][$state]['held_s'] ?? 0.0);
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
            $fail('/states', Words::say('sequence.table.a_table_needs_states'));
        }
        if (! isset($t['states'][$t['start'] ?? ''])) {
            $fail('/start', Words::say('sequence.table.must_be_one_of_the'));
        }
        if (isset($t['supply']) && ! in_array($t['supply'], $inputs, true)) {
            $fail('/supply', Words::say('sequence.table.there_is_no_input_called', [
                'supply' => $t['supply'],
                'inputs' => implode(', ', $inputs),
            ]));
        }
        foreach ($t['times'] ?? [] as $name => $seconds) {
            if (! is_int($seconds) && ! is_float($seconds) || ! is_finite((float) $seconds) || $seconds < 0) {
                $fail("/times/$name", Words::say('sequence.table.must_be_seconds_zero_or'));
            }
        }
        foreach ($t['states'] as $state => $row) {
            foreach (['title', 'outputs', 'lamp', 'guards'] as $key) {
                if (! isset($row[$key])) {
                    $fail("/states/$state/$key", Words::say('sequence.table.is_missing'));
                }
            }
            if (isset($row['reset']) && ! isset($t['states'][$row['reset']])) {
                $fail("/states/$state/reset", Words::say('sequence.table.there_is_no_state_called', [
                    'reset' => $row['reset'],
                ]));
            }
            $wrong = Levels::fault($row['levels'] ?? [], $inputs);
            if ($wrong !== null) {
                $fail("/states/$state/levels$wrong[0]", $wrong[1]);
            }
            $held = $row['held_s'] ?? 0;
            $isTime = (is_int($held) || is_float($held)) && $held >= 0 && $held <= 120;
            if (! $isTime || $held > 0 && ! isset($row['reset'])) {
                $fail("/states/$state/held_s", Words::say('sequence.table.must_be_0_to_120'));
            }
            foreach ($row['guards'] as $i => $guard) {
                $pointer = "/states/$state/guards/$i";
                if (! isset($t['states'][$guard['go'] ?? ''])) {
                    $fail("$pointer/go", Words::say('sequence.table.there_is_no_state_called_2', [
                        'go' => $guard['go'] ?? '',
                    ]));
                }
                foreach ($guard['if'] ?? [] as $input => $on) {
                    if (! in_array($input, $inputs, true)) {
                        $fail(
                            "$pointer/if/$input",
                            Words::say('sequence.table.there_is_no_input_called_there', [
                                'input' => $input,
                                'inputs' => implode(', ', $inputs),
                            ]),
                        );
                    }
                    if (! is_bool($on)) {
                        $fail("$pointer/if/$input", Words::say('sequence.table.must_be_true_or_false'));
                    }
                }
                foreach (
                    [
                        ...isset($guard['after']) ? [$guard['after']] : [],
                        ...array_values($guard['timer'] ?? []),
                    ] as $time
                ) {
                    if (! isset($t['times'][$time])) {
                        $fail($pointer, Words::say('sequence.table.there_is_no_time_called', ['time' => $time]));
                    }
                }
                $unknown = array_diff(array_keys($guard), ['if', 'count', 'timer', 'after', 'do', 'go']);
                if ($unknown !== []) {
                    $fail("$pointer/".reset($unknown), Words::say('sequence.table.not_known_here'));
                }
                if (array_diff_key($guard, ['do' => 1, 'go' => 1]) === []) {
                    $fail($pointer, Words::say('sequence.table.holds_always_it_needs_something'));
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
                $by = ($row['held_s'] ?? 0) > 0 ? Words::say('sequence.table.reset_held_for_s', [
                    'held_s' => $row['held_s'],
                ]) : Words::say('sequence.table.reset_by_hand');
                $lines[] = "$by → {$this->table['states'][$row['reset']]['title']}";
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
            $words[] = Words::say('sequence.table.at_least', ['counter' => $counter, 'least' => $least]);
        }
        foreach ($guard['timer'] ?? [] as $timer => $time) {
            $words[] = Words::say('sequence.table.s_since', ['times' => $times[$time], 'timer' => $timer]);
        }
        if (isset($guard['after'])) {
            $words[] = Words::say('sequence.table.after_s', ['times' => $times[$guard['after']]]);
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
        return (new TableRemarks($this->table))->all();
    }
}
