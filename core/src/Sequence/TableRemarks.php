<?php

declare(strict_types=1);

namespace OddSpark\Sequence;

use OddSpark\Words\Words;

/**
 * What is odd about a table that can be run: states that are never reached or left, lines that never hold, fuel that is
 * given without proof or end, times out of the usual.
 *
 * @phpstan-import-type TableDocument from Table
 * @phpstan-import-type Row from Table
 * @phpstan-import-type Guard from Table
 */
final readonly class TableRemarks
{
    /** Usual times by what a name ends in, s; common practice, no source. */
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
     * What is odd about a table that can be run.
     *
     * @return list<array{pointer: string, text: string}>
     */
    public function all(): array
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
                    'text' => Words::say('sequence.table_remarks.is_never_reached', [
                        'title' => $this->table['states'][$s]['title'],
                    ]),
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
                    'text' => Words::say('sequence.table_remarks.has_no_way_out_but', ['title' => $row['title']]),
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
                            'text' => Words::say('sequence.table_remarks.can_never_hold_an_earlier'),
                        ];
                        break;
                    }
                }
                foreach (array_keys($guard['count'] ?? []) as $counter) {
                    if (! $this->counts((string) $counter)) {
                        $found[] = [
                            'pointer' => "/states/$state/guards/$i/count/$counter",
                            'text' => Words::say('sequence.table_remarks.can_never_hold_nothing_counts', [
                                'counter' => $counter,
                            ]),
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
                        'text' => Words::say('sequence.table_remarks.gives_fuel_and_does_not', [
                            'title' => $row['title'],
                            'proof' => $proof,
                        ]),
                    ];
                }
            }
            $flame = $fuel['flame'] ?? null;
            if ($flame !== null && ! $this->ends((string) $state, $flame)) {
                $found[] = [
                    'pointer' => "/states/$state",
                    'text' => Words::say('sequence.table_remarks.gives_fuel_without_flame_and', [
                        'title' => $row['title'],
                    ]),
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
                        'text' => Words::say('sequence.table_remarks.s_is_out_of_the', [
                            'seconds' => $seconds,
                            'low' => $low,
                            'high' => $high,
                        ]),
                    ];
                }
            }
        }

        return $found;
    }
}
