<?php

declare(strict_types=1);

namespace OddSpark\Circuit;

/**
 * What the states of one appliance have in common: the elimination of all that the variable branches
 * do not touch. Made from the values of any of its states, and good for all of them.
 */
final class StaticPart
{
    private ?AcElimination $ac = null;

    private ?DcElimination $dc = null;

    /**
     * @var array<string, array{array<int, array{float, float}>, array{array<int, float>, array<int, float>, list<int>,
     *     bool, float, int}}>
     */
    private array $begun = [];

    public function __construct(private readonly Topology $topology, private readonly Values $values) {}

    public function ac(): AcElimination
    {
        return $this->ac ??= AcElimination::early($this->topology, $this->values->re, $this->values->im);
    }

    public function dc(): DcElimination
    {
        return $this->dc ??= DcElimination::early($this->topology, $this->values->dc);
    }

    /**
     * A forward pass through the early pivots, kept for the next state that asks the same.
     *
     * @param array<int, array{float, float}> $amps
     * @return array{array<int, float>, array<int, float>, list<int>, bool, float, int} for {@see AcElimination::goOn}
     */
    public function begun(string $what, array $amps): array
    {
        if (! isset($this->begun[$what]) || $this->begun[$what][0] !== $amps) {
            $this->begun[$what] = [$amps, $this->ac()->begin($amps)];
        }

        return $this->begun[$what][1];
    }
}
