<?php

declare(strict_types=1);

namespace OddSpark\Marking;

use OddSpark\Appliance\Model;
use OddSpark\Meter\Mode;
use OddSpark\Meter\Reading;
use OddSpark\Parts\Role;

/** What feeds an appliance: by which volts a reading shows that a supply is there, wherever it was taken. */
final readonly class Feeds
{
    /** A supply may be so far from what it is called: common practice, no source. */
    private const SPAN = 0.15;

    /** @var list<float> volts of its supplies, the line's first */
    private array $volts;

    public function __construct(Model $model)
    {
        $volts = [];
        foreach ($model->parts() as $part) {
            foreach ($part->kind->primitives as $spec) {
                foreach ($spec->wiring() as $wired) {
                    if ($wired->role === Role::Supply && in_array($wired->class, ['line', 'control'], true)) {
                        $volts[] = $wired->volts;
                    }
                }
            }
        }
        rsort($volts);
        $this->volts = array_values(array_unique($volts));
    }

    /** The volts of the supply that a reading shows; null when it shows none. */
    public function shownBy(?Reading $reading): ?float
    {
        if ($reading === null || $reading->live || $reading->unsteady || ! $this->isVolts($reading)) {
            return null;
        }
        foreach ($this->volts as $volts) {
            if (abs($reading->value - $volts) <= self::SPAN * $volts) {
                return $volts;
            }
        }

        return null;
    }

    private function isVolts(Reading $reading): bool
    {
        return in_array($reading->mode, [Mode::VoltsAc, Mode::VoltsLow], true);
    }
}
