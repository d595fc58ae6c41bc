<?php

declare(strict_types=1);

namespace OddSpark\Instruments;

use OddSpark\Meter\Meter;
use OddSpark\Meter\Scale;
use OddSpark\Meter\Specification;
use OddSpark\Run\BenchState;

/** An instrument that is put to a tap of the appliance, and shows what is there. */
abstract readonly class AtTap extends Instrument implements Scale
{
    /** What follows the name of an instrument with a metric scale, in readings that are kept. */
    public const METRIC = '.metric';

    protected const SIGNED = false;

    /** What a figure of the run is on its scale where the supply is European. */
    protected const TO_METRIC = 1.0;

    private Specification $specification;

    /** @param bool $metric as it is bought where the supply is European */
    final public function __construct(private bool $metric = false)
    {
        $this->specification = $this->made($metric);
    }

    /** What it is: unit, ranges, accuracy, how fast. */
    abstract protected function made(bool $metric): Specification;

    public function key(): string
    {
        return static::KEY.($this->metric ? self::METRIC : '');
    }

    public function specification(): Specification
    {
        return $this->specification;
    }

    public function isSigned(): bool
    {
        return static::SIGNED;
    }

    public function wantsDead(): bool
    {
        return false;
    }

    public function isOn(BenchState $state): bool
    {
        return isset($state->taps[static::KEY]);
    }

    public function read(Site $site): Measured
    {
        return $this->at($site, $site->state->taps[static::KEY]);
    }

    /** What it would show at a tap. */
    public function at(Site $site, string $tap): Measured
    {
        $model = $site->plan->model;
        $isMetric = $model->region() === 'EU';
        $exact = $site->state->value($model->taps()[$tap]->of) * ($isMetric ? static::TO_METRIC : 1.0);
        $scale = $isMetric ? new static(true) : $this;

        return new Measured($exact, Meter::show($scale, $exact, $site->noise()));
    }
}
