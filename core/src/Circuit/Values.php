<?php

declare(strict_types=1);

namespace OddSpark\Circuit;

/**
 * The values of a network in one state: what the switches, coils and heaters are just now.
 *
 * Flat arrays by branch, winding pair, flame and node, all in SI units. Parts write them; two
 * states with the same {@see key} have the same solution.
 */
final class Values
{
    /** @var list<float> conductance of each branch at the supply frequency, S */
    public array $re;

    /** @var list<float> susceptance of each branch at the supply frequency, S */
    public array $im;

    /** @var list<float> conductance of each branch at DC, S */
    public array $dc;

    /** @var array<int, array{float, float, float}> by winding pair: admittance (re, im, S) and turns ratio p:s */
    public array $windings = [];

    /**
     * @var array<int, array{0: float, 1: float, 2?: float, 3?: bool}> by flame: forward and reverse resistance, Ω, the
     *     siemens of it that stand among the branches at DC already, and whether it is a diode; absent = no flame
     */
    public array $flames = [];

    /** @var array<int, array{float, float}> current into a node at the supply frequency, A rms */
    public array $acSources = [];

    /** @var array<int, float> direct current into a node, A */
    public array $dcSources = [];

    /**
     * @var array<int, array{int, int, float, float, float}> by branch: a current source beside it,
     *     from the second node to the first; AC re, im (A rms) and DC, A
     */
    private array $across = [];

    public function __construct(int $branches)
    {
        $this->re = $this->im = $this->dc = array_fill(0, $branches, 0.0);
    }

    /** A branch that is the same at any frequency. */
    public function resistor(int $branch, float $siemens): void
    {
        $this->re[$branch] = $this->dc[$branch] = $siemens;
        $this->im[$branch] = 0.0;
    }

    /** A branch of resistance and reactance in series, Ω; at DC the resistance alone. */
    public function impedance(int $branch, float $ohm, float $reactance): void
    {
        $d = $ohm * $ohm + $reactance * $reactance;
        $this->re[$branch] = $ohm / $d;
        $this->im[$branch] = -$reactance / $d;
        $this->dc[$branch] = 1.0 / $ohm;
    }

    /** A capacitance and what leaks through it: farad, siemens. */
    public function capacitor(int $branch, float $susceptance, float $leak): void
    {
        $this->re[$branch] = $this->dc[$branch] = $leak;
        $this->im[$branch] = $susceptance;
    }

    /**
     * The same with the admittances of some branches alone, in their order: what many states are kept by.
     *
     * @param list<int> $branches
     */
    public function only(array $branches): self
    {
        $lean = clone $this;
        $lean->re = $lean->im = $lean->dc = [];
        foreach ($branches as $b) {
            $lean->re[] = $this->re[$b];
            $lean->im[] = $this->im[$b];
            $lean->dc[] = $this->dc[$b];
        }

        return $lean;
    }

    /** A source of current beside a branch, into node $plus and out of node $minus; A rms re, im, and A at DC. */
    public function source(int $branch, int $plus, int $minus, float $re, float $im, float $dc): void
    {
        if ($re == 0.0 && $im == 0.0 && $dc == 0.0) {
            unset($this->across[$branch]);
        } else {
            $this->across[$branch] = [$plus, $minus, $re, $im, $dc];
        }
    }

    /** @return array<int, array{float, float}> alternating current into each node that is driven, A rms */
    public function acDrive(): array
    {
        $drive = $this->acSources;
        foreach ($this->across as [$plus, $minus, $re, $im]) {
            if ($re != 0.0 || $im != 0.0) {
                $drive[$plus] = [($drive[$plus][0] ?? 0.0) + $re, ($drive[$plus][1] ?? 0.0) + $im];
                $drive[$minus] = [($drive[$minus][0] ?? 0.0) - $re, ($drive[$minus][1] ?? 0.0) - $im];
            }
        }
        unset($drive[0]);

        return $drive;
    }

    /** @return array<int, float> direct current into each node that is driven, A */
    public function dcDrive(): array
    {
        $drive = $this->dcSources;
        foreach ($this->across as [$plus, $minus, , , $dc]) {
            if ($dc != 0.0) {
                $drive[$plus] = ($drive[$plus] ?? 0.0) + $dc;
                $drive[$minus] = ($drive[$minus] ?? 0.0) - $dc;
            }
        }
        unset($drive[0]);

        return $drive;
    }

    /** Names the state: equal for two states exactly when all values are equal. */
    public function key(): string
    {
        return pack('d*', ...$this->re, ...$this->im, ...$this->dc)
            .serialize([$this->windings, $this->flames, $this->acSources, $this->dcSources, $this->across]);
    }
}
