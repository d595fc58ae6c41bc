<?php

declare(strict_types=1);

namespace OddSpark\Parts;

/**
 * What a primitive is to the wiring, as documented: a load, a switch, a joint, a supply, a ground. Terminals are those
 * of its part.
 */
final readonly class Wired
{
    /** Volts above which a supply is of line voltage, and below which it is of millivolts. */
    private const LINE = 60.0;

    private const MILLIVOLT = 1.0;

    /**
     * @param string $a of a supply, its hot side
     * @param string $b of a supply, its return
     * @param string $class of a supply: line, control, millivolt, battery (within a part) or sensing (a control reads
     *     the ohms of what hangs there)
     * @param float $volts of a supply, effective
     * @param string $title of a supply: what it is called after its part
     */
    private function __construct(
        public Role $role,
        public string $a,
        public string $b = '',
        public string $class = '',
        public float $volts = 0.0,
        public string $title = '',
    ) {}

    public static function load(string $a, string $b): self
    {
        return new self(Role::Load, $a, $b);
    }

    public static function switch(string $a, string $b): self
    {
        return new self(Role::Switch, $a, $b);
    }

    public static function joint(string $a, string $b): self
    {
        return new self(Role::Joint, $a, $b);
    }

    public static function ground(string $at): self
    {
        return new self(Role::Ground, $at);
    }

    /** @param string|null $class null: by its volts */
    public static function supply(string $hot, string $return, float $volts, string $title, ?string $class = null): self
    {
        $class ??= $volts > self::LINE ? 'line' : ($volts < self::MILLIVOLT ? 'millivolt' : 'control');

        return new self(Role::Supply, $hot, $return, $class, $volts, $title);
    }
}
