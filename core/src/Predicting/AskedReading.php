<?php

declare(strict_types=1);

namespace OddSpark\Predicting;

use OddSpark\Meter\Mode;

/** A reading that is to be said before it is taken: when, on which setting of the dial, between which terminals. */
final readonly class AskedReading
{
    /** @param int $tick ms of the long visit ({@see \OddSpark\Suspects\Trial}) */
    public function __construct(public int $tick, public Mode $mode, public string $red, public string $black) {}

    /** @return array{at_s: float, mode: string, red: string, black: string} */
    public function toArray(): array
    {
        return [
            'at_s' => $this->tick / 1000,
            'mode' => $this->mode->value,
            'red' => $this->red,
            'black' => $this->black,
        ];
    }

    /** @param array{at_s: float|int, mode: string, red: string, black: string} $array from {@see toArray} */
    public static function of(array $array): self
    {
        return new self(
            (int) round(1000 * $array['at_s']),
            Mode::from($array['mode']),
            $array['red'],
            $array['black'],
        );
    }
}
