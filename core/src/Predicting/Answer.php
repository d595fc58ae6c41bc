<?php

declare(strict_types=1);

namespace OddSpark\Predicting;

use OddSpark\Meter\Closeness;
use OddSpark\Meter\Meter;
use OddSpark\Meter\Mode;
use OddSpark\Words\Words;

/** What a meter shows at a place and moment that is asked for, and what it would by each usual mistake. */
final readonly class Answer
{
    /**
     * @param float $exact in the unit of the mode
     * @param bool $isStray it comes through the insulation of a cable
     * @param list<array{string, float, string}> $mistaken id of a mistake, the figure that it leads to, what that is;
     *     what lies nearest first
     * @param array{where: string, circuit: string, reading: string} $hints by grade
     */
    public function __construct(
        public AskedReading $asked,
        public float $exact,
        public bool $isStray,
        public array $mistaken,
        public array $hints,
    ) {}

    /** @param float|null $said INF for OL; null where nothing was said */
    public function judge(?float $said): Judgement
    {
        $mode = $this->asked->mode;
        $shown = Meter::show($mode, $this->exact);
        $isLive = ! $this->isStray && $mode !== Mode::Millivolts && ! Closeness::isNothing($mode, $this->exact);
        if ($said === null) {
            $why = Words::say('predicting.judge.nothing_was_said');

            return new Judgement($this->asked, null, $shown, false, null, $why, $isLive, false);
        }
        if (
            Closeness::isNear($mode, $said, $this->exact) ||
            $this->isStray && Closeness::isAsStray($mode, $said, $this->exact)
        ) {
            $why = $this->isStray
                ? Words::say('predicting.judge.stray', ['shown' => $shown->text()])
                : Words::say('predicting.judge.right');

            return new Judgement($this->asked, $said, $shown, true, null, $why, $isLive, false);
        }
        [$mistake, $why] = [null, Words::say('predicting.judge.none_of_the_usual')];
        foreach ($this->mistaken as [$id, $figure, $sentence]) {
            if (Closeness::isNear($mode, $said, $figure)) {
                [$mistake, $why] = [$id, $sentence];
                break;
            }
        }
        $isDead = $isLive && Closeness::isNothing($mode, $said);

        return new Judgement($this->asked, $said, $shown, false, $mistake, $why, $isLive, $isDead);
    }

    /** @return list<string> the mistakes by which one would say something else than what is shown */
    public function leadingElsewhere(): array
    {
        $elsewhere = array_filter(
            $this->mistaken,
            fn (array $m): bool => ! Closeness::isNear($this->asked->mode, $m[1], $this->exact),
        );

        return array_values(array_unique(array_column($elsewhere, 0)));
    }

    /** @return array<string, mixed> for {@see of}: it says what is shown, and goes to nobody who is asked */
    public function toArray(): array
    {
        return $this->asked->toArray() + [
            'exact' => $this->exact, 'stray' => $this->isStray, 'mistaken' => $this->mistaken,
            'hints' => $this->hints,
        ];
    }

    /** @param array<string, mixed> $array from {@see toArray} */
    public static function of(array $array): self
    {
        return new self(
            AskedReading::of($array),
            (float) $array['exact'],
            (bool) $array['stray'],
            array_map(fn (array $m): array => [(string) $m[0], (float) $m[1], (string) $m[2]], $array['mistaken']),
            $array['hints'],
        );
    }
}
