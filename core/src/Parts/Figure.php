<?php

declare(strict_types=1);

namespace OddSpark\Parts;

/** A figure that a primitive has: its key, its unit, and how far it may go where it is not told by what is usual. */
final readonly class Figure
{
    /** How far from the usual a figure may be set: a tenth to ten times, and no further. */
    private const SPAN = 10.0;

    private const FARTHEST = 1e6;

    /** Units that follow from what a sensor feels, and from where the appliance stands. */
    public const AS_FELT = '@felt';

    public const DEGREES = '@degrees';

    /** Units that follow from what flows there, and from where the appliance stands. */
    public const OF_FLOW = '@flow';

    public const OF_PRESSURE = '@pressure';

    public const OF_HEAT_HELD = '@heat held';

    public const OF_HEAT_PER_DEGREE = '@heat per degree';

    /**
     * @param bool $varies from one real unit to the next, so that readings of a real one settle it: an igniter's ohms,
     *     a manifold pressure
     */
    public function __construct(
        public string $key,
        public string $unit,
        public ?float $least = null,
        public ?float $most = null,
        public bool $varies = false,
    ) {}

    /** @return array{float, float} how far it may be set where this is usual */
    public function range(float $usual): array
    {
        if ($this->least !== null && $this->most !== null) {
            return [$this->least, $this->most];
        }
        $ends = [$usual / self::SPAN, $usual * self::SPAN];

        return $usual == 0.0 ? [-self::FARTHEST, self::FARTHEST] : [min($ends), max($ends)];
    }

    /** As it is said: without the unit that its key ends in. */
    public function label(): string
    {
        return trim(
            str_replace('_', ' ', (string) preg_replace('/_(ohm|s|ms|f|v|amps|volts|microfarad)$/', '', $this->key)),
        );
    }
}
