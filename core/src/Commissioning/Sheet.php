<?php

declare(strict_types=1);

namespace OddSpark\Commissioning;

use OddSpark\Marking\Care;
use OddSpark\Marking\Line;
use OddSpark\Marking\Mark;
use OddSpark\Marking\Rules;
use OddSpark\Words\Words;

/** A commissioning sheet judged: its mark under house rules. */
final readonly class Sheet
{
    /**
     * @param list<RowJudged> $judged figures and safeties
     * @param string|null $signed "in_service", "out_of_service"; null: not signed
     * @param bool $ranFirst a fire burned as it was found
     * @param bool $runs it runs as it was left
     * @param bool $isShutDown it was made safe and tagged out, and the customer told
     * @param bool $mustNotRun what is wrong with it, and left, lets nobody run it, whatever its figures
     */
    public function __construct(
        public array $judged,
        public ?string $signed,
        public bool $ranFirst,
        public bool $runs,
        public bool $isShutDown,
        public bool $mustNotRun = false,
    ) {}

    /**
     * @param list<string> $dangers what was unsafe; ids of {@see \OddSpark\Acts\Danger}
     * @param array<string, int> $hints how many were taken, by grade
     */
    public function mark(Rules $rules, array $dangers = [], array $hints = []): Mark
    {
        $figures = array_values(array_filter($this->judged, fn (RowJudged $r): bool => $r->row !== null));
        $safeties = array_values(array_filter($this->judged, fn (RowJudged $r): bool => $r->row === null));
        // what nobody may run, and does not burn, has nothing to measure; else to make it burn is part of the work
        $isNone = $this->judged === [] && $this->mustNotRun;
        $lines = [
            ...$isNone ? [] : [self::line('measured', $figures), self::line('acted', $safeties)],
            $this->putRight($isNone ? 1.0 : self::share($figures)),
            Care::line($dangers, $isNone ? (float) ($this->signed !== null) : self::share($this->judged)),
        ];
        $caps = [
            ...$this->isSignedWrong() ? ['signed_wrong'] : [],
            ...Care::isGrave($dangers) && in_array('unsafe', $rules->caps, true) ? ['unsafe'] : [],
        ];

        return new Mark(
            array_values(array_filter($lines, fn (Line $line): bool => $rules->weights[$line->id] > 0)),
            $this->verdict(),
            $caps,
            $hints,
            ['hours' => 0, 'said' => []],
            $rules,
        );
    }

    /** Whether it was signed into service with something of it out of order. */
    public function isSignedWrong(): bool
    {
        return $this->signed === 'in_service' && (! $this->runs || $this->mustNotRun || $this->out() !== []);
    }

    /** @return list<RowJudged> what is out of order as it was left, as far as anybody can know */
    private function out(): array
    {
        return array_values(array_filter($this->judged, fn (RowJudged $r): bool => $r->row === null
            ? $r->isOut === true
            : $r->left !== null && ! $r->row->isInRange($r->left) && ! $r->row->isDoubtful($r->left)));
    }

    private function verdict(): string
    {
        return match (true) {
            $this->isSignedWrong() => 'signed_wrong',
            $this->signed === null => 'unsigned',
            $this->signed === 'out_of_service' => $this->isRightlyOut() ? 'shut_down' : 'unsigned',
            array_filter($this->judged, fn (RowJudged $r): bool => ! $r->isRight()) !== [] => 'unsigned',
            default => 'commissioned',
        };
    }

    /** Whether what is out of service has to be. */
    private function isRightlyOut(): bool
    {
        $wasOut = array_filter($this->judged, fn (RowJudged $r): bool => $this->wasOut($r)) !== [];

        return $this->isShutDown && (! $this->ranFirst || $this->mustNotRun || $wasOut);
    }

    private function wasOut(RowJudged $r): bool
    {
        return $r->row === null
            ? $r->isOut === true
            : $r->found !== null && ! $r->row->isInRange($r->found) && ! $r->row->isDoubtful($r->found);
    }

    /**
     * What was out of order is in order, or the appliance out of service; what was in order is so still; and it was
     * signed as it is. As much counts as was measured: who knows nothing has put nothing right.
     */
    private function putRight(float $measured): Line
    {
        $why = [];
        $isKept = $this->isRightlyOut() && $this->signed === 'out_of_service';
        foreach ($isKept ? [] : $this->out() as $r) {
            $text = $this->wasOut($r)
                ? Words::say('commissioning.sheet.still_out', ['title' => $r->title])
                : Words::say('commissioning.sheet.made_worse', ['title' => $r->title]);
            $why[] = Line::say($text, $r->entry);
        }
        if ($this->mustNotRun && ! $isKept) {
            $why[] = Line::say(Words::say('commissioning.sheet.must_not_run'));
        }
        if (! $this->runs && ! $isKept) {
            $why[] = Line::say(Words::say('commissioning.sheet.does_not_run'));
        }
        $isSigned = $isKept || $this->signed === 'in_service';
        if (! $isSigned) {
            $why[] = Line::say($this->signed === null
                ? Words::say('commissioning.sheet.not_signed')
                : Words::say('commissioning.sheet.no_reason_to_be_out'));
        }
        $share = $why === [] ? 1.0 : ($isSigned && count($why) === 1 && $this->runs && ! $this->mustNotRun ? 0.4 : 0.0);
        $said = $isKept
            ? Words::say('commissioning.sheet.kept_out')
            : Words::say('commissioning.sheet.all_in_order');

        return new Line('put_right', $share * $measured, $why === []
            ? [Line::say($said)]
            : $why);
    }

    /** @param list<RowJudged> $rows */
    private static function line(string $id, array $rows): Line
    {
        $right = count(array_filter($rows, fn (RowJudged $r): bool => $r->isRight()));
        $why = [Line::say(Words::say('commissioning.sheet.right', ['right' => $right, 'of' => count($rows)]))];
        foreach ($rows as $r) {
            if (! $r->isRight()) {
                $why[] = Line::say($r->why, $r->entry);
            }
        }

        return new Line($id, self::share($rows), $why);
    }

    /** @param list<RowJudged> $rows */
    private static function share(array $rows): float
    {
        return $rows === []
            ? 0.0
            : array_sum(array_map(fn (RowJudged $r): float => $r->share, $rows)) / count($rows);
    }
}
