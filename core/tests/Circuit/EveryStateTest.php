<?php

declare(strict_types=1);

namespace OddSpark\Tests\Circuit;

use OddSpark\Appliance\Library;
use OddSpark\Faults\Fault;
use OddSpark\Faults\FaultSet;
use OddSpark\Run\Machine;
use OddSpark\Run\MachineState;
use OddSpark\Run\Memory;
use OddSpark\Tests\Archetypes\HealthyCycleTest;
use OddSpark\Tests\Fixtures;
use OddSpark\Tests\TestRig;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Every node of every state of a heating cycle, healthy and under a sample of faults, against ngspice
 * from the exported netlist: 1e-6 relative or 1 µV; on floating islands differences are compared.
 * All faults: SPARK_ALL_FAULTS=1, as ./spark check does.
 */
final class EveryStateTest extends TestCase
{
    /** Faults of each model whose states are looked at in every run of the tests. */
    private const SAMPLE = [
        'furnace-80' => [
            Fault::HEALTHY,
            'limit:stuck-open',
            'transformer:secondary-open',
            'transformer:shorted-turns',
            'capacitor:weak@3.5',
            'w04:open',
            'n-nut:open',
            'rod:to-bracket',
            'w32:poor',
            'w27:rubs',
            'panel:swapped',
            'board:bridged',
            'w36:elsewhere',
        ],
        'furnace-standing-pilot' => [Fault::HEALTHY, 'thermocouple:weak', 'transformer:shorted-turns', 'w08:open'],
        'package-direct-spark' => [Fault::HEALTHY, 'w16:open', 'rod:dirty', 'panel:neutral-lost'],
        'boiler-hydronic' => [Fault::HEALTHY, 'n-nut:open', 'relay:transformer-open', 'w27:poor'],
        'zones-hydronic' => [Fault::HEALTHY, 'zv2:seized-open', 'panel:demand-welded', 'zv1:bridged', 'w17:elsewhere'],
        'boiler-simple-230' => [Fault::HEALTHY, 'w04:open'],
        'mid-position-230' => [Fault::HEALTHY, 'three-port:motor-dead', 'centre:loose-5'],
        'oil-furnace' => [Fault::HEALTHY, 'cell:dirty', 'n-nut:open'],
        'furnace-valve-ignition' => [Fault::HEALTHY], // four diodes
        'tube-heater' => [Fault::HEALTHY], // a cord whose inside is named as its terminals are, in small letters
    ];

    /** Of the faults of a model without a sample of its own each so-manieth is looked at. */
    private const EACH = 10;

    private int $arbitrated = 0;

    /** @return iterable<string, array{string}> */
    public static function models(): iterable
    {
        foreach (getenv('SPARK_ALL_FAULTS') ? (new Library())->names() : array_keys(self::SAMPLE) as $model) {
            yield $model => [$model];
        }
    }

    /**
     * All faults of those models that were there first; of the others nothing wrong and a sample.
     *
     * @return list<string>
     */
    private static function looked(string $model, FaultSet $faultSet): array
    {
        $all = array_map(strval(...), array_keys($faultSet->faults));
        if (isset(self::SAMPLE[$model]) && ! getenv('SPARK_ALL_FAULTS')) {
            return self::SAMPLE[$model];
        }
        if (count(self::SAMPLE[$model] ?? []) > 1) {
            return $all;
        }

        return array_values(array_filter($all, fn (int $i): bool => $i % self::EACH === 0, ARRAY_FILTER_USE_KEY));
    }

    #[DataProvider('models')]
    public function test_every_node_of_every_state_agrees_with_ngspice(string $model): void
    {
        $plan = TestRig::plan($model);
        $faultSet = FaultSet::of($plan->model);
        $done = [];
        $nodes = 0;
        $names = array_flip($plan->nodeNames());
        foreach (self::looked($model, $faultSet) as $fault) {
            $stand = TestRig::withFault($model, $fault);
            $states = [];
            $keep = function (MachineState $s) use ($stand, &$states, &$done): bool {
                $key = $stand->machine->key($s);
                if (! isset($done[$key])) {
                    $done[$key] = true;
                    $states[] = $s;
                }

                return false;
            };
            $keep($stand->state);
            if ($model === 'furnace-standing-pilot') {
                HealthyCycleTest::light($stand);
                $keep($stand->state);
            }
            $stand->machine->advance($stand->state, $stand->state->tick + 600_000, $keep);
            foreach ($states as $s) {
                self::compareOneByOne($stand->machine, $s, count($names));
                $nodes += $this->compare($stand->machine, $s, $names, "$fault at {$s->tick}");
            }
        }
        self::assertGreaterThan(max(2, count(self::SAMPLE[$model] ?? [])), count($done), 'states');
        self::assertGreaterThan(200, $nodes, 'node volts compared');
        self::assertLessThan(0.02 * $nodes, $this->arbitrated, 'all but a few are for ngspice to judge');
    }

    /** Volts of many pairs at once are those of each pair. */
    private static function compareOneByOne(Machine $machine, MachineState $state, int $nodes): void
    {
        $pairs = array_map(fn (int $n) => [$n, ($n * 7 + 3) % $nodes], range(0, $nodes - 1));
        $many = $machine->solution($state)->acVoltsOf($pairs);
        foreach ($pairs as $i => [$a, $b]) {
            $one = $machine->solution($state)->acVolts($a, $b);
            self::assertEqualsWithDelta($one, $many[$i], 1e-9 * max(1.0, $one), "$a and $b at {$state->tick}");
        }
    }

    /** To a simulator "L" and "l" are one: no two nodes of any model are called so. */
    public function test_no_two_nodes_are_one_to_a_simulator(): void
    {
        foreach ((new Library())->names() as $name) {
            $names = array_map(strtolower(...), TestRig::plan($name)->nodeNames());
            self::assertSame(count($names), count(array_unique($names)), $name);
        }
    }

    public function test_a_floating_secondary_agrees_with_forty_digits(): void
    {
        // the board's ground wire open: the flame pulls the whole 24 V side to −130 V against earth
        $plan = Fixtures::furnace();
        $machine = new Machine($plan, Fixtures::universe()->get('w10:open')->set, new Memory());
        $lit = null;
        $machine->advance($machine->settle($machine->initial()), 60_000, function (MachineState $s) use (&$lit): bool {
            $lit = $s->slots['rod.flame']['lit'] ? $s : null;

            return $lit !== null;
        });
        self::assertNotNull($lit);
        $solution = $machine->solution($lit);
        $exact = $this->withFortyDigits($machine, $lit);
        self::assertLessThan(-100, $exact[$plan->places['board.C']]);
        foreach ($plan->places as $place => $node) {
            self::assertEqualsWithDelta(
                $exact[$node],
                $solution->dcVolts($node, 0),
                max(1e-9, 1e-9 * abs($exact[$node])),
                $place,
            );
        }
    }

    /**
     * DC volts of every node with forty digits.
     *
     * @return list<float>
     */
    private function withFortyDigits(Machine $machine, MachineState $state): array
    {
        $plan = $machine->plan;
        $values = $machine->values($state);
        $sources = $values->dcDrive();
        $paths = [];
        foreach ($plan->primitives as $entry) {
            if ($entry['type'] === 'flame-path') {
                $paths[$entry['flames'][0]] = $entry['branches'][0];
            }
        }
        foreach (array_keys($values->flames) as $f) {
            [$amps, $siemens] = $machine->solution($state)->flameElement($f);
            [$rod, $burner] = $plan->flames[$f];
            $sources[$rod] = ($sources[$rod] ?? 0.0) - $amps;
            $sources[$burner] = ($sources[$burner] ?? 0.0) + $amps;
            $values->dc[$paths[$f]] = $siemens;
        }

        $branches = $plan->branches;
        foreach ($state->joined as [$a, $b, $siemens]) {
            $branches[] = [$a, $b];
            $values->dc[] = $siemens;
        }

        return Exact::dc($branches, $values->dc, $sources, count(array_unique($plan->places)) + 1);
    }

    /**
     * @param array<string, int> $names
     */
    private function compare(Machine $machine, MachineState $state, array $names, string $where): int
    {
        $solution = $machine->solution($state);
        $netlist = $machine->netlist($state);
        // What hangs on earth by strays alone is compared by differences: 500 S of joints against 1e-9 S is more than
        // ngspice's elimination holds.
        $islands = $netlist->islands(1e-6);
        // A whole secondary that hangs on earth by megohms: its common DC volts are 1e-5 off in ngspice, where
        // 500 S of joints are cancelled against 1e-8 S (see test_a_floating_secondary…). Compared within it.
        $weak = $netlist->islands(1e-6, true);
        $large = array_filter(array_count_values($weak), fn (int $n) => $n >= 20);
        $dcIslands = array_filter($weak, fn (int $r) => isset($large[$r])) + $islands;
        $uncertain = $large === [] ? [] : array_diff_key($weak, $dcIslands);
        [$phasors, $volts] = Ngspice::acAndOp($netlist->linear($solution), $machine->plan->hertz);
        $compared = 0;
        $exact = null;
        foreach ($names as $place => $node) {
            $their = $phasors[strtolower($place)] ?? null;
            if ($their === null) {
                continue; // nothing is joined to it in this state
            }
            $reference = $islands[$node] ?? 0;
            $refName = strtolower((string) array_search($reference, $names, true));
            [$refRe, $refIm] = $reference === 0 ? [0.0, 0.0] : ($phasors[$refName] ?? [0.0, 0.0]);
            [$re, $im] = $solution->acPhasor($node, $reference);
            $size = max(hypot($re, $im), hypot($their[0] - $refRe, $their[1] - $refIm));
            // what ngspice can hold of a difference on an island is limited by the common volts it assumes there
            $bound = max(1e-6, 1e-6 * $size);
            $off = hypot($re - $their[0] + $refRe, $im - $their[1] + $refIm);
            self::assertLessThanOrEqual(
                $bound,
                $off,
                "AC at $place, $where: $re, $im against {$their[0]}, {$their[1]}",
            );
            if (isset($uncertain[$node])) {
                continue;
            }
            $reference = $dcIslands[$node] ?? 0;
            $refName = strtolower((string) array_search($reference, $names, true));
            $dc = $volts[strtolower($place)] - ($reference === 0 ? 0.0 : $volts[$refName] ?? 0.0);
            $own = $solution->dcVolts($node, $reference);
            if (abs($own - $dc) > max(1e-6, 1e-6 * abs($own))) {
                // megohms beside 500 S are beyond ngspice's elimination: forty digits say who is right
                $exact ??= $this->withFortyDigits($machine, $state);
                self::assertEqualsWithDelta(
                    $exact[$node] - $exact[$reference],
                    $own,
                    max(1e-9, 1e-8 * abs($own)),
                    "DC at $place, $where: ngspice says $dc",
                );
                $this->arbitrated++;
            }
            $compared += 2;
        }

        return $compared;
    }
}
