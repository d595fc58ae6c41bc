<?php

declare(strict_types=1);

namespace OddSpark\Sequence;

use OddSpark\Parts\Primitive;

/**
 * The lamp of a control: what it shows, since when (lit), and what it is about to show from when on (turns).
 *
 * @phpstan-import-type Slot from Primitive
 */
final class Lamp
{
    /**
     * How long a code must stand until it has been shown once, and can be read, ms; for what passes sooner a lamp stays
     * as it was. Common practice, no source: two to seven blinks and a pause.
     */
    private const A_CODE_MS = 2500;

    public const CODE = 'flash';

    /** Begins what a display shows in letters and figures, and not a lamp. */
    public const LETTERS = 'shows ';

    /** Whether what it shows is a code, to be counted or read. */
    public static function isCode(string $lamp): bool
    {
        return str_contains($lamp, self::CODE) || str_starts_with($lamp, self::LETTERS);
    }

    /**
     * Once what it is to show has stood long enough.
     *
     * @param Slot $slot
     * @return Slot
     */
    public static function at(int $tick, array $slot): array
    {
        return isset($slot['turns']) && $tick >= $slot['turns'][1]
            ? ['lamp' => $slot['turns'][0], 'lit' => $tick, 'turns' => null] + $slot
            : $slot;
    }

    /**
     * As it stands when the control comes to a state that has it show something.
     *
     * @param Slot $slot before
     * @return array{lamp: string, lit: int, turns: array{string, int}|null}
     */
    public static function turned(string $lamp, bool $hasPower, int $tick, array $slot): array
    {
        if ($slot['lamp'] === $lamp) {
            return ['lamp' => $lamp, 'lit' => (int) ($slot['lit'] ?? $tick), 'turns' => null];
        }
        $turns = $hasPower ? self::turns($lamp, $tick, $slot) : $tick;

        return $turns <= $tick
            ? ['lamp' => $lamp, 'lit' => $tick, 'turns' => null]
            : ['lamp' => $slot['lamp'], 'lit' => (int) ($slot['lit'] ?? $tick), 'turns' => [$lamp, $turns]];
    }

    /**
     * When it turns: to a code when that can be read, and from a code when it could be.
     *
     * @param Slot $slot before
     */
    private static function turns(string $lamp, int $tick, array $slot): int
    {
        if (($slot['turns'][0] ?? null) === $lamp) {
            return $slot['turns'][1]; // it has been on the way to that already
        }
        $isRead = self::isCode($slot['lamp']) ? (int) ($slot['lit'] ?? 0) + self::A_CODE_MS : $tick;

        return max($isRead, self::isCode($lamp) ? $tick + self::A_CODE_MS : $tick);
    }
}
