<?php

declare(strict_types=1);

namespace OddSpark\Appliance;

use OddSpark\Sequence\LampCode;

/** One thing in a part that moves, shines or sounds, and is perceived without doing anything. */
final readonly class Move
{
    /**
     * @param string $percept of its kind
     * @param bool $isOil a flame of oil, which is yellow when it is as it should be
     * @param array<string, LampCode> $codes what a lamp shows, by class of what is perceived
     */
    private function __construct(
        public string $percept,
        public Motion $as,
        public bool $isOil,
        public array $codes,
    ) {}

    /** @return list<self> of a kind, in the order of its percepts */
    public static function in(Kind $kind): array
    {
        $moves = [];
        $isOil = array_filter($kind->ports, fn (Port $port) => $port->medium === Medium::Oil) !== [];
        foreach ($kind->percepts as $name => $percept) {
            $of = $kind->primitives[$percept['of']] ?? null;
            if ($of === null || in_array($percept['from'], ['look', 'off'], true)) {
                continue;
            }
            $as = Motion::of($of, $percept['sense']);
            if ($as !== null) {
                $classes = $as === Motion::Lamp ? array_map(strval(...), array_keys($percept['say'])) : [];
                $codes = array_combine($classes, array_map(LampCode::of(...), $classes));
                $moves[] = new self((string) $name, $as, $as === Motion::Flame && $isOil, $codes);
            }
        }

        return $moves;
    }
}
