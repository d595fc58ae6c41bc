<?php

declare(strict_types=1);

namespace OddSpark\Marking;

use OddSpark\Acts\Act;
use OddSpark\Acts\Metering\Dial;
use OddSpark\Acts\Notes\Expect;
use OddSpark\Acts\Quality;
use OddSpark\Acts\Safety\ProveDead;
use OddSpark\Appliance\Model;
use OddSpark\Meter\Mode;
use OddSpark\Words\Words;

/** Habits of those who trace well, as far as a log can show them: each said once, at the entry that shows it. */
final readonly class GoodHabits
{
    public const ALL = [
        'foretold',
        'leads-proved',
        'watched-twice',
        'halved',
        'zero-first',
        'compared',
        'before-and-after',
        'next-cause',
    ];

    /** Figures under which a meter in volts shows nothing, V. */
    private const ZERO_V = 1.0;

    /** Ohms under which leads that touch each other are whole. */
    private const WHOLE_OHM = 1.0;

    /** How far a figure that was foretold may be off. Ours. */
    private const NEAR = 0.15;

    /** Ticks after which the same event has come again. */
    private const AGAIN = 20_000;

    public function __construct(private AttemptReview $account) {}

    /** @return array<string, int> the entry that shows each, by id of {@see ALL}, in the order in which they came */
    public function shown(): array
    {
        $found = array_filter([
            'foretold' => $this->foretold(),
            'leads-proved' => $this->leadsProved(),
            'watched-twice' => $this->watchedTwice(),
            'halved' => $this->halved(),
            'zero-first' => $this->zeroFirst(),
            'compared' => $this->compared(),
            'before-and-after' => $this->beforeAndAfter(),
            'next-cause' => $this->nextCause(),
        ], fn (?int $entry): bool => $entry !== null);
        asort($found);

        return $found;
    }

    /** @return list<array{text: string, entry: int|null}> as {@see Line} has them */
    public function told(): array
    {
        $told = [];
        foreach ($this->shown() as $habit => $entry) {
            $told[] = Line::say(Words::say("marking.good_habits.$habit"), $entry);
        }

        return $told;
    }

    private function foretold(): ?int
    {
        foreach ($this->account->entries([Expect::NAME]) as $i) {
            $expected = (float) $this->account->act($i)->get('value');
            $next = $this->readings(fn (int $j): bool => $j > $i)[0] ?? null;
            $shown = $next === null ? null : $this->account->sound()[$next]->reading?->value;
            if ($shown !== null && abs($expected - abs($shown)) <= max(self::ZERO_V, self::NEAR * abs($shown))) {
                return $i; // what it should be, whatever it was
            }
        }

        return null;
    }

    private function leadsProved(): ?int
    {
        $live = null;
        foreach ($this->readings() as $i) {
            [$red, $black] = $this->at($i);
            $reading = $this->account->outcome($i)->reading;
            $isOhms = in_array($reading?->mode, [Mode::Ohms, Mode::Beep], true);
            if ($isOhms && $red !== null && $red === $black && $reading->value < self::WHOLE_OHM) {
                return $i;
            }
            if (! $this->isVolts($i)) {
                continue;
            }
            if ($live !== null && $live[0] === [$red, $black] && $live[1]) {
                return $i; // live, nothing elsewhere, and live again
            }
            $live = match (true) {
                abs($reading->value) >= self::ZERO_V => [[$red, $black], false],
                $live !== null => [$live[0], true],
                default => null,
            };
        }

        return $this->account->entries([ProveDead::NAME])[0] ?? null;
    }

    /** The same places and mode again in a later run of the same event, with something there both times. */
    private function watchedTwice(): ?int
    {
        $known = $this->account->knownAt() ?? count($this->account->seen->entries);
        $first = [];
        foreach ($this->readings(fn (int $i): bool => $i < $known && $this->isVolts($i)) as $i) {
            if (abs($this->account->outcome($i)->reading->value) < self::ZERO_V) {
                continue;
            }
            $key = json_encode([$this->at($i), $this->account->outcome($i)->reading->mode->key()]);
            $tick = $this->account->act($i)->tick;
            if (isset($first[$key]) && $tick - $first[$key] >= self::AGAIN) {
                return $i;
            }
            $first[$key] ??= $tick;
        }

        return null;
    }

    /** One act that took between a third and two thirds of what stood, of six or more. */
    private function halved(): ?int
    {
        foreach ($this->account->steps as $i => $step) {
            [$before, $after] = [$step->before->count(), $step->after->count()];
            $act = $this->account->act($i);
            $isAsked = AttemptReview::isQuestion($act) && ! $act->is(Quality::Swaps);
            if ($isAsked && $before >= 6 && $after >= $before / 3 && $after <= 2 * $before / 3) {
                return $i;
            }
        }

        return null;
    }

    /** Nothing read, at the part, before the first work of hands on it. */
    private function zeroFirst(): ?int
    {
        foreach ($this->account->entriesThat(Quality::Touches) as $i) {
            $part = $this->account->act($i)->part();
            if ($part === '' || ! $this->isWork($this->account->act($i))) {
                continue;
            }
            foreach ($this->readings(fn (int $j): bool => $j < $i && $this->isVolts($j)) as $j) {
                $isThere = in_array($part, array_map($this->partAt(...), array_filter($this->at($j))), true);
                if ($isThere && abs($this->account->outcome($j)->reading->value) < self::ZERO_V) {
                    return $j;
                }
            }
        }

        return null;
    }

    /** The same asked of two parts of one kind, one right after the other. */
    private function compared(): ?int
    {
        $last = null;
        foreach ($this->readings(fn (int $i): bool => $i < ($this->account->knownAt() ?? PHP_INT_MAX)) as $i) {
            $parts = array_unique(array_map($this->partAt(...), array_filter($this->at($i))));
            $kind = count($parts) === 1 ? $this->account->kind((string) reset($parts))?->name : null;
            $now = [$kind, $this->account->outcome($i)->reading->mode->key(), reset($parts)];
            if ($kind !== null && $last !== null && [$last[0], $last[1]] === [$kind, $now[1]] && $last[2] !== $now[2]) {
                return $i;
            }
            $last = $now;
        }

        return null;
    }

    private function beforeAndAfter(): ?int
    {
        $swaps = $this->account->work();
        if ($swaps === []) {
            return null;
        }
        $before = [];
        foreach ($this->readings() as $i) {
            $key = json_encode([$this->at($i), $this->account->outcome($i)->reading->mode->key()]);
            if ($i < $swaps[0]) {
                $before[$key] = true;
            } elseif ($i > $swaps[count($swaps) - 1] && isset($before[$key])) {
                return $i;
            }
        }

        return null;
    }

    /** After the first repair something is asked of another part. */
    private function nextCause(): ?int
    {
        $first = $this->account->work()[0] ?? null;
        $part = $first === null ? '' : $this->account->act($first)->part();
        foreach ($this->account->entriesThat(Quality::Asks) as $i) {
            $at = [...array_map($this->partAt(...), array_filter($this->at($i))), $this->account->act($i)->part()];
            if ($first !== null && $i > $first && array_diff(array_filter($at), [$part]) !== []) {
                return $i;
            }
        }

        return null;
    }

    private function isWork(Act $act): bool
    {
        return $act->is(Quality::Mends) || $act->is(Quality::Swaps);
    }

    private function isVolts(int $i): bool
    {
        $mode = $this->account->outcome($i)->reading?->mode;

        return in_array($mode, [Mode::VoltsAc, Mode::VoltsLow, Mode::VoltsDc], true);
    }

    /**
     * Entries that read something on the meter.
     *
     * @param (callable(int): bool)|null $of
     * @return list<int>
     */
    private function readings(?callable $of = null): array
    {
        return array_values(array_filter(
            array_keys($this->account->seen->entries),
            fn (int $i): bool => $this->account->outcome($i)->reading?->mode instanceof Mode &&
                $this->account->act($i)->name !== Dial::NAME && ($of === null || $of($i)),
        ));
    }

    /** @return array{string|null, string|null} where the leads are */
    private function at(int $i): array
    {
        $act = $this->account->act($this->account->placing($i));

        return [$act->get('red'), $act->get('black')];
    }

    private function partAt(string $place): string
    {
        return Model::split($place)[0];
    }
}
