<?php

declare(strict_types=1);

namespace OddSpark\Marking;

use OddSpark\Acts\Danger;
use OddSpark\Acts\Notes\Report;
use OddSpark\Marking\Lines\Trace;
use OddSpark\Suspects\Choice;
use OddSpark\Suspects\Suspects;
use OddSpark\Words\Words;

/**
 * An attempt gone over entry by entry: what was known, what each said, what would have told more, where it was won or
 * lost.
 */
final readonly class Debrief
{
    /** Faults, families and turning points that are listed. */
    private const LISTED = 6;

    private const TURNS = 3;

    public function __construct(private AttemptReview $account) {}

    /**
     * @return array{entries: list<array<string, mixed>>, won: list<array<string, mixed>>,
     *     lost: list<array<string, mixed>>,
     *     same: list<string>, report: list<array{label: string, text: string}>, entered: list<string>,
     *     bits: float} plain data; figures in bits
     */
    public function toArray(): array
    {
        $asked = Trace::questions($this->account);
        $rows = [];
        foreach (array_keys($this->account->seen->entries) as $i) {
            $rows[] = $this->row($i, $asked[$i] ?? null);
        }

        return [
            'entries' => $rows,
            'won' => $this->won(),
            'lost' => $this->lost($asked),
            'same' => $this->same(),
            'report' => $this->report(),
            'entered' => $this->account->steps === []
                    ? []
                    : array_map(strval(...), array_keys($this->account->steps[0]->before->weights)),
            'bits' => $this->account->steps === [] ? 0.0 : round($this->account->steps[0]->before->entropy(), 2),
        ];
    }

    /**
     * The closing report as it is printed; nothing when none was written.
     *
     * @return list<array{label: string, text: string}>
     */
    private function report(): array
    {
        $entries = $this->account->entries([Report::NAME]);
        if ($entries === []) {
            return [];
        }
        $act = $this->account->act($entries[count($entries) - 1]);
        $part = $this->account->wording->part(...);
        $read = fn (?int $i): string => isset($this->account->seen->entries[$i ?? -1])
            ? $this->account->wording->entry(...$this->account->seen->entries[$i])
            : '';
        $rows = array_filter([
            'cause' => $act->get('cause') === null
                ? Words::say('marking.debrief.nothing_found_wrong')
                : $part($act->get('cause')),
            'work_done' => implode(', ', array_map($part, $act->get('done') ?? [])),
            'read_before' => $read($act->get('before')),
            'read_after' => $read($act->get('after')),
            'parts' => (string) $act->get('parts'),
            'minutes' => (string) $act->get('minutes'),
            'remarks' => (string) $act->get('words'),
        ], fn (string $text): bool => $text !== '');

        return array_map(
            fn (string $what, string $text): array => [
                'label' => Words::say("marking.debrief.report.$what"),
                'text' => $text,
            ],
            array_keys($rows),
            array_values($rows),
        );
    }

    /** @return array<string, mixed> */
    private function row(int $i, ?float $share): array
    {
        $account = $this->account;
        [$act, $outcome] = $account->seen->entries[$i];
        $step = $account->steps[$i];

        return [
            'at_s' => $act->tick / 1000,
            'text' => $account->wording->entry($act, $outcome),
            'act' => $act->name,
            'done' => $outcome->refused === null ? $act->toArray() : null,
            'before' => $step->before->count(),
            'after' => $step->after->count(),
            'bits_before' => round($step->before->entropy(), 2),
            'bits_after' => round($step->after->entropy(), 2),
            'gained' => round($step->gained(), 2),
            'watched' => round($step->watched, 2),
            'worth' => round($step->worth, 2),
            'share' => $share === null ? null : round($share, 2),
            'left' => array_map(fn (float $s) => round($s, 3), array_slice($step->after->ranked(), 0, self::LISTED)),
            'families' => $this->families($step->before, $step->after),
            'best' => array_map(
                fn (Choice $c) => [
                    'text' => $c->said($account->wording),
                    'splits' => $c->splits(),
                    'bits' => round($c->bits, 2),
                    'kind' => $c->kind,
                    'red' => $c->red,
                    'black' => $c->black,
                ],
                $step->best,
            ),
            'flaws' => array_values(array_diff_key($step->flaws, ['chassis' => 1])),
            'dangers' => array_map(fn (string $d) => Danger::text($d), $outcome->dangers),
        ];
    }

    /**
     * What an entry said about each family: its share of all suspicion before and after.
     *
     * @return list<array{family: string, before: float, after: float}> those that changed most first
     */
    private function families(Suspects $before, Suspects $after): array
    {
        $of = function (Suspects $suspects): array {
            $shares = [];
            foreach ($suspects->ranked() as $id => $share) {
                $family = $this->account->faultSet->faults[$id]->family;
                $shares[$family] = ($shares[$family] ?? 0.0) + $share;
            }

            return $shares;
        };
        [$was, $is] = [$of($before), $of($after)];
        $rows = [];
        foreach (array_keys($was + $is) as $family) {
            $rows[] = [
                'family' => (string) $family,
                'before' => round($was[$family] ?? 0.0, 3),
                'after' => round($is[$family] ?? 0.0, 3),
            ];
        }
        usort(
            $rows,
            fn (array $a, array $b) => abs($b['before'] - $b['after']) <=> abs($a['before'] - $a['after']) ?:
            $b['after'] <=> $a['after'],
        );

        return array_slice($rows, 0, self::LISTED);
    }

    /** @return list<array{entry: int, bits: float, text: string}> entries that told most */
    private function won(): array
    {
        $gains = [];
        foreach ($this->account->steps as $i => $step) {
            if ($step->gained() + $step->watched >= 0.3) {
                $gains[$i] = $step->gained() + $step->watched;
            }
        }
        arsort($gains);
        $turns = [];
        foreach (array_slice($gains, 0, self::TURNS, true) as $i => $bits) {
            $turns[] = [
                'entry' => $i,
                'bits' => round($bits, 2),
                'text' => Words::say('marking.debrief.from_suspects_to', [
                    'act' => $this->account->wording->act($this->account->act($i)),
                    'before' => $this->account->steps[$i]->before->count(),
                    'after' => $this->account->steps[$i]->after->count(),
                ]),
            ];
        }

        return $turns;
    }

    /**
     * @param array<int, float> $asked
     * @return list<array{entry: int, bits: float, text: string}> entries at which most was left lying
     */
    private function lost(array $asked): array
    {
        $losses = [];
        foreach ($asked as $i => $share) {
            $step = $this->account->steps[$i];
            if ($share < 0.9 && $step->best !== []) {
                $losses[$i] = $step->could() - min($step->could(), $step->told());
            }
        }
        arsort($losses);
        $turns = [];
        foreach (array_slice($losses, 0, self::TURNS, true) as $i => $bits) {
            $turns[] = [
                'entry' => $i,
                'bits' => round($bits, 2),
                'text' => Words::say('marking.debrief.would_have_told_more', [
                    'act' => $this->account->wording->act($this->account->act($i)),
                    'wording' => $this->account->steps[$i]->best[0]->said($this->account->wording),
                ]),
            ];
        }

        return $turns;
    }

    /** @return list<string> titles of the faults that would have shown the same as what was named, when it was named */
    private function same(): array
    {
        $names = $this->account->named();
        if ($names === [] || ! in_array($this->account->verdict(), ['supported', 'guess'], true)) {
            return [];
        }
        $known = $this->account->steps[end($names)]->before;

        return array_map(
            fn (int|string $id) => $this->account->title((string) $id),
            array_slice(array_values(array_diff(array_keys($known->ranked()), array_keys($names))), 0, 12),
        );
    }
}
