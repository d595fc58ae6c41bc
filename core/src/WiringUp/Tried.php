<?php

declare(strict_types=1);

namespace OddSpark\WiringUp;

use OddSpark\Words\Words;

/**
 * What became of one thing that was tried, or of one load through the whole visit.
 *
 * @phpstan-type Otherwise array{load: string, title: string, fire: bool, at: int, sound: float|string,
 *     here: float|string}
 */
final readonly class Tried
{
    /**
     * @param Trying|null $trying null: the long visit
     * @param bool $counts something follows from it when the appliance is sound; else it is told only where it goes
     *     wrong
     * @param list<Otherwise> $otherwise loads that stand otherwise than in the sound one, and when: ms
     * @param bool $isUnsafe something goes on that a safety, or a lost flame, should have stopped
     * @param int $at when to look at it, ms into the visit, or into what follows: where it goes wrong, else where it
     *     begins
     */
    public function __construct(
        public ?Trying $trying,
        public string $title,
        public bool $counts,
        public array $otherwise,
        public bool $isUnsafe = false,
        public int $at = 0,
    ) {}

    public function isRight(): bool
    {
        return $this->otherwise === [];
    }

    /** @return list<string> */
    public function sentences(): array
    {
        return array_map(self::say(...), $this->otherwise);
    }

    /** @param Otherwise $o */
    private static function say(array $o): string
    {
        if ($o['fire']) {
            return $o['here'] > 0.0
                ? Words::say('wiring_up.tried.burns', ['load' => $o['title']])
                : Words::say('wiring_up.tried.burns_not', ['load' => $o['title']]);
        }
        if (is_string($o['sound']) || is_string($o['here'])) {
            return Words::say('wiring_up.tried.turns', [
                'load' => $o['title'], 'sound' => self::turning($o['sound']), 'here' => self::turning($o['here']),
            ]);
        }
        [$sound, $here] = [self::volts($o['sound']), self::volts($o['here'])];

        return match (true) {
            $o['here'] <= 0.0 => Words::say('wiring_up.tried.dead', ['load' => $o['title'], 'sound' => $sound]),
            $o['sound'] <= 0.0 => Words::say('wiring_up.tried.fed', ['load' => $o['title'], 'here' => $here]),
            default => Words::say('wiring_up.tried.other', [
                'load' => $o['title'], 'sound' => $sound, 'here' => $here,
            ]),
        };
    }

    private static function turning(float|string $how): string
    {
        [$shows, $speed] = explode(' ', "$how ");

        return Words::say('wiring_up.turning.'.($shows === '' ? 'stands' : $shows), ['speed' => $speed]);
    }

    private static function volts(float $volts): string
    {
        return $volts < 1.0 ? round(1000 * $volts).' mV' : round($volts, $volts < 10.0 ? 1 : 0).' V';
    }
}
