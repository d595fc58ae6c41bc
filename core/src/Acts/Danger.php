<?php

declare(strict_types=1);

namespace OddSpark\Acts;

use OddSpark\Words\Words;

/** What would hurt in life, said once and plainly where it is done. */
final class Danger
{
    public const ALL = [
        'ohms-on-live',
        'meter-fuse',
        'live-work',
        'customer-live',
        'charged-capacitor',
        'shorted-capacitor',
        'igniter-knocked',
        'igniter-touched',
        'harsh-cleaning',
        'spark-lead',
        'hot-igniter',
        'reset-again',
        'rollout-reset',
        'safety-jumpered',
        'valve-jumpered',
        'gas-opened',
        'oil-opened',
        'water-opened',
        'lock-left',
        'tag-unsaid',
        'head-off',
        'setting-left',
        'part-off',
        'jumper-left',
        'suction',
        'gas-trials',
        'casing-opened',
        'not-proved-dead',
        'joint-untested',
        'flue-aside',
        'flue-left',
        'filter-left',
        'over-fused',
        'moving-part',
        'pushed-by-hand',
        'door-switch-held',
        'door-open',
        'power-off',
        'wire-lifted',
    ];

    /** Of those, what only some houses mind: it is told where they stop it, and judged where they say so. */
    public const BY_HOUSE = ['casing-opened'];

    /** Of those, what is known only when all is done, so that nothing can stop it. */
    public const JUDGED = ['not-proved-dead', 'joint-untested'];

    /** Of those, what puts the meter at risk, or leaves nobody hurt at once. */
    public const SLIGHT = [
        'ohms-on-live',
        'meter-fuse',
        'suction',
        'reset-again',
        'filter-left',
        'door-open',
        'power-off',
        'wire-lifted',
        'part-off',
        'igniter-knocked',
        'igniter-touched',
        'harsh-cleaning',
        'head-off',
        'setting-left',
        'lock-left',
        'oil-opened',
        'water-opened',
        'casing-opened',
        'not-proved-dead',
        'joint-untested',
    ];

    /** @return array<string, string> what house rules can stop before it is done */
    public static function stoppable(): array
    {
        return Words::each('acts.danger', array_values(array_diff(self::ALL, self::JUDGED)));
    }

    public static function text(string $danger): string
    {
        return Words::say("acts.danger.$danger");
    }
}
