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

    public function __construct(private readonly Topology $topology, private readonly Values $values) {}

    public function ac(): AcElimination
    {
        return $this->ac ??= AcElimination::early($this->topology, $this->values->re, $this->values->im);
    }

    public function dc(): DcElimination
    {
        return $this->dc ??= DcElimination::early($this->topology, $this->values->dc);
    }
}
