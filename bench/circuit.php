<?php

// The circuit and the run against ngspice, as ratios in one run. Returns rows for bench.php.

declare(strict_types=1);

use OddSpark\Appliance\Compiler;
use OddSpark\Appliance\Library;
use OddSpark\Circuit\Network;
use OddSpark\Circuit\Solution;
use OddSpark\Circuit\StaticPart;
use OddSpark\Circuit\Topology;
use OddSpark\Circuit\Values;
use OddSpark\Faults\FaultSet;
use OddSpark\Run\Machine;
use OddSpark\Run\MachineState;
use OddSpark\Run\Memory;

/** Seconds that ngspice takes for a deck, as a whole process. */
function ngspice(string $deck): float
{
    $file = (string) tempnam(sys_get_temp_dir(), 'bench');
    file_put_contents($file, $deck);
    $start = hrtime(true);
    shell_exec('ngspice -b '.escapeshellarg($file).' >/dev/null 2>&1');
    $seconds = (hrtime(true) - $start) / 1e9;
    unlink($file);

    return $seconds;
}

/** Least of some timings: what the work takes when nothing disturbs it. */
function least(int $times, callable $work): float
{
    $best = INF;
    for ($i = 0; $i < $times; $i++) {
        $start = hrtime(true);
        $work();
        $best = min($best, (hrtime(true) - $start) / 1e9);
    }

    return $best;
}

/**
 * A network like an appliance's: a trunk with branches of a few nodes, some cross-joined.
 *
 * @return array{Network, Values}
 */
function applianceLike(int $n): array
{
    mt_srand($n);
    $branches = [[1, 0]];
    for ($i = 2; $i < $n; $i++) {
        $branches[] = [$i, max(1, $i - ($i % 4 === 0 ? mt_rand(1, 12) : 1))];
        if ($i % 3 === 0) {
            $branches[] = [$i, mt_rand(0, 3) === 0 ? 0 : max(1, $i - mt_rand(2, 9))];
        }
    }
    $network = new Network(Topology::of($n, $branches), 60.0);
    $values = new Values(count($branches));
    foreach ($branches as $b => $_) {
        $values->resistor($b, 10 ** (mt_rand(-40, 20) / 10));
    }
    $values->acSources = [1 => [120.0, 0.0]];
    $values->dcSources = [1 => 1.0];

    return [$network, $values];
}

return function (): array {
    $rows = [];
    $plans = array_map(fn (string $name) => Compiler::compile((new Library())->model($name)), (new Library())->names());
    usort($plans, fn ($a, $b) => $b->topology['nodes'] <=> $a->topology['nodes']);
    $plan = $plans[0]; // the largest shipped, with all its wire ends
    unset($plans);
    $machine = new Machine($plan, [], new Memory());
    $state = $machine->advance($machine->settle($machine->initial()), 200_000);
    $network = $plan->network();
    $values = $machine->values($state);
    $late = $network->topology->order[$network->topology->early]; // one of those that parts read
    $static = new StaticPart($network->topology, $values);
    $solve = function () use ($network, $values, $static, $late): void {
        for ($i = 0; $i < 100; $i++) {
            $s = Solution::of($network, $values, $static);
            $s->acVolts($late, 0);
            $s->dcVolts($late, 0);
        }
    };
    $solve();
    $cards = $machine->netlist($state)->linear($machine->solution($state));
    $save =
        'save '.
        implode(' ', array_map(fn ($n) => "v($n)", array_slice(array_values($plan->nodeNames()), 0, 10))).
        "\n";
    $sweep = fn (
        int $points,
    ) => "* sweep\n$cards.control\nset noaskquit\n{$save}ac lin $points 60 60.01\nquit\n.endc\n.end\n";
    $loop = fn (
        int $n,
    ) => "* loop\n$cards.control\nset noaskquit\n{$save}repeat $n\nalter R0 = 0.12\nac lin 1 60 60\nend\nquit\n.endc\n.end\n";
    // in turns, since what else runs on the machine slows each of them down at times
    $own = $many = $one = $turns = $turn = INF;
    for ($round = 0; $round < 8; $round++) {
        $own = min($own, least(4, $solve) / 100);
        $many = min($many, ngspice($sweep(6001)));
        $one = min($one, ngspice($sweep(1)));
        $turns = min($turns, ngspice($loop(401)));
        $turn = min($turn, ngspice($loop(1)));
    }
    $kernel = ($many - $one) / 6000;
    $alter = ($turns - $turn) / 400;
    $nodes = $network->topology->nodes;
    $rows['AC and DC state, as times ngspice\'s kernel a point'] = [
        'measured' => $own / $kernel,
        'bar' => 5.0,
        'notes' => sprintf(
            '%s, n = %d; %.0f and %.0f µs',
            $plan->model->document['name'],
            $nodes,
            1e6 * $own,
            1e6 * $kernel,
        ),
    ];
    $rows['ngspice\'s alter loop, as times a state'] = [
        'measured' => $alter / $own,
        'bar' => -5.0,
        'notes' => sprintf('%.0f µs a turn', 1e6 * $alter),
    ];

    $faultSet = FaultSet::of($plan->model);
    $faults = array_values($faultSet->faults);
    $cycles = function (int $memory) use ($plan, $faults): array {
        $kept = new Memory($memory);
        $events = 0;
        $start = hrtime(true);
        for ($i = 0; $i < 150; $i++) {
            $m = new Machine($plan, $faults[$i % count($faults)]->set, $kept);
            $m->advance($m->settle($m->initial()), 900_000, function () use (&$events): bool {
                $events++;

                return false;
            });
        }

        return [(hrtime(true) - $start) / 1e9, $events, $kept->solved, $kept->asked];
    };
    $cycles(8000);
    $with = $without = [INF, 0, 0, 0];
    for ($i = 0; $i < 6; $i++) {
        $with = min($with, $cycles(8000));
        $without = min($without, $cycles(0));
    }
    $peak = memory_get_peak_usage() / 1e6;
    $rows['150 heating cycles of 15 min with memory of states, s'] = [
        'measured' => $with[0],
        'bar' => 0.6,
        'notes' => sprintf('%d events, %d of %d solves done', $with[1], $with[2], $with[3]),
    ];
    $rows['150 heating cycles without memory, s'] = [
        'measured' => $without[0],
        'bar' => 3.0,
        'notes' => sprintf('%d solves', $without[2]),
    ];
    $tran = $machine->netlist($state)->transient();
    $tenth =
        ngspice("* tran\n$tran.control\nset noaskquit\n{$save}tran 0.8333m 3 0 0.8333m\nquit\n.endc\n.end\n") -
        ngspice("* tran\n$tran.control\nset noaskquit\n{$save}tran 0.8333m 0.01 0 0.8333m\nquit\n.endc\n.end\n");
    $rows['ngspice\'s transient at 20 points a cycle, as times the cycles with memory'] = [
        'measured' => (($tenth / 3) * 900 * 150) / $with[0],
        'bar' => -5000.0,
        'notes' => sprintf('extrapolated from 3 s of it: %.2f s', $tenth),
    ];
    $rows['peak memory, MB'] = ['measured' => $peak, 'bar' => 64.0, 'notes' => ''];

    $day = INF;
    for ($i = 0; $i < 3; $i++) {
        $m = new Machine($plan, [], new Memory());
        $events = $lit = 0;
        $was = false;
        $start = hrtime(true);
        $m->advance($m->settle($m->initial()), 86_400_000, function (MachineState $s) use (
            &$events,
            &$lit,
            &$was,
        ): bool {
            $events++;
            $is = $s->slots['boiler.burners.fire']['lit'] ?? false;
            $lit += $is && ! $was ? 1 : 0;
            $was = $is;

            return false;
        });
        $day = min($day, (hrtime(true) - $start) / 1e9);
    }
    $rows['a simulated day, s'] = [
        'measured' => $day,
        'bar' => 1.0,
        'notes' => sprintf('%d events, %d burner cycles', $events, $lit),
    ];

    $x = $y = [];
    foreach ([80, 160, 320, 640] as $n) {
        [$net, $v] = applianceLike($n);
        $t = least(7, function () use ($net, $v): void {
            for ($i = 0; $i < 20; $i++) {
                $s = Solution::of($net, $v);
                $s->acVolts(1, 2);
                $s->dcVolts(1, 2);
            }
        }) / 20;
        $x[] = log($n);
        $y[] = log($t);
    }
    $mx = array_sum($x) / 4;
    $my = array_sum($y) / 4;
    $slope =
        array_sum(array_map(fn ($a, $b) => ($a - $mx) * ($b - $my), $x, $y)) /
        array_sum(array_map(fn ($a) => ($a - $mx) ** 2, $x));
    $rows['growth of a solve with n = 80 to 640, exponent'] = [
        'measured' => $slope,
        'bar' => 1.3,
        'notes' => implode(', ', array_map(fn ($l) => sprintf('%.0f µs', 1e6 * exp($l)), $y)),
    ];

    return $rows;
};
