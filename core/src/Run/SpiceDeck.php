<?php

declare(strict_types=1);

namespace OddSpark\Run;

/**
 * A whole file for a general-purpose simulator: a heading, every place by its node, the netlist, and what is to be
 * solved.
 */
final class SpiceDeck
{
    /**
     * @param BenchState $state settled
     * @param string $of which fault, or none
     * @param float $at seconds after the arrival
     * @param bool $transient in time, with the flame as two slopes, rather than .op and .ac of the linear network
     */
    public static function of(
        Machine $machine,
        BenchState $state,
        string $of,
        float $at,
        bool $transient = false,
    ): string {
        $plan = $machine->plan;
        $text = sprintf("* %s, %s, at %.3f s; every place of a node is named here\n", $plan->model->name(), $of, $at);
        $names = $plan->nodeNames();
        foreach ($plan->places as $place => $node) {
            $text .= $names[$node] === $place ? '' : "* $place = {$names[$node]}\n";
        }
        $netlist = $machine->netlist($state);

        return $text.
            ($transient
                ? $netlist->transient().
                    sprintf(".tran %.3g 0.5 0.4 %.3g\n.end\n", 1 / $plan->hertz / 200, 1 / $plan->hertz / 200)
                : $netlist->linear($machine->solution($state)).
                    sprintf(".op\n.ac lin 1 %g %g\n.end\n", $plan->hertz, $plan->hertz));
    }
}
