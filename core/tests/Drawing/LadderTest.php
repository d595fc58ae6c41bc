<?php

declare(strict_types=1);

namespace OddSpark\Tests\Drawing;

use OddSpark\Appliance\Library;
use OddSpark\Appliance\Model;
use OddSpark\Drawing\Ladder;
use OddSpark\Tests\Fixtures;
use OddSpark\Tests\OtherNames;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The ladder of every shipped model, held to the rules that it is read by. */
final class LadderTest extends TestCase
{
    /** Types of load that a technician looks for on a ladder. */
    private const LOADS = ['coil', 'heater', 'motor', 'actuator', 'windings'];

    /** @return iterable<string, array{string}> */
    public static function models(): iterable
    {
        foreach ((new Library())->names() as $name) {
            yield $name => [$name];
        }
    }

    #[DataProvider('models')]
    public function test_every_load_has_a_rung_and_switches_come_before_it(string $name): void
    {
        $model = (new Library())->model($name);
        $rungs = array_merge(...array_column(Ladder::of($model)['circuits'], 'rungs'));
        self::assertNotSame([], $rungs);
        $loads = array_unique(array_column($rungs, 'load'));
        foreach ($model->document['parts'] as $part) {
            $types = array_column($model->document['kinds'][$part['kind']]['primitives'], 'type');
            if (array_intersect(self::LOADS, $types) !== []) {
                self::assertContains($part['id'], $loads);
            }
        }
        $millivolts = array_merge(...array_map(
            fn (array $c): array => array_column($c['rungs'], 'load'),
            array_filter(
                Ladder::of($model)['circuits'],
                fn (array $c): bool => str_contains($c['title'], 'millivolts'),
            ),
        ) ?: [[]]);
        foreach ($rungs as $rung) {
            $loads = array_keys(array_filter(array_column($rung['elements'], 'load')));
            self::assertCount(1, $loads, 'one load a rung');
            foreach ($rung['elements'] as $i => $e) {
                // behind the load only what opens the return, as both poles of a switch do; in the loop of a
                // thermopile, which no side of is earth, and within the load itself, anything
                self::assertTrue(
                    $i <= $loads[0] || $e['part'] === $rung['elements'][$loads[0]]['part'] ||
                        in_array($rung['load'], $millivolts, true) ||
                        in_array($model->kindOf($e['part'])?->family->value, ['supply', 'limit', 'relay'], true),
                    "{$e['title']} lies behind the load",
                );
            }
        }
    }

    #[DataProvider('models')]
    public function test_each_rung_can_be_followed_along_the_wires_from_the_one_side_to_the_other(string $name): void
    {
        $model = (new Library())->model($name);
        foreach (Ladder::of($model)['circuits'] as $circuit) {
            foreach ($circuit['rungs'] as $rung) {
                $at = $circuit['hot'];
                foreach ([...$rung['elements'], ['a' => $circuit['return'], 'b' => $circuit['return']]] as $i => $e) {
                    foreach ($rung['links'][$i] as $wire) {
                        $w = $model->wires()[$wire];
                        self::assertTrue(
                            $this->joined($model, $at, $w->from) || $this->joined($model, $at, $w->to),
                            "$wire does not begin at $at",
                        );
                        $at = $this->joined($model, $at, $w->from) ? $w->to : $w->from;
                    }
                    self::assertTrue($this->joined($model, $at, $e['a']), "$at is not {$e['a']}");
                    $at = $e['b'];
                }
            }
        }
    }

    #[DataProvider('models')]
    public function test_nothing_lies_on_anything_else_and_all_of_it_inside(string $name): void
    {
        $ladder = Ladder::of((new Library())->model($name));
        $below = 0;
        foreach ($ladder['circuits'] as $circuit) {
            self::assertSame($below, $circuit['y']);
            $below += $circuit['height'];
            $last = $circuit['y'];
            foreach ($circuit['rungs'] as $rung) {
                self::assertGreaterThan($last + 30, $rung['y']);
                $last = $rung['y'];
                $right = 24;
                foreach ($rung['elements'] as $e) {
                    self::assertGreaterThanOrEqual($right + 8, $e['x'], $e['title']);
                    self::assertGreaterThanOrEqual(60, $e['w'], $e['title']);
                    $right = $e['x'] + $e['w'];
                }
                self::assertLessThanOrEqual($ladder['width'] - 24, $right);
            }
            self::assertLessThan($below, $last);
        }
        self::assertSame($below, $ladder['height']);
    }

    /** The furnace's limit string, read off its drawing by hand. */
    public function test_the_valve_of_the_furnace_hangs_behind_the_whole_string(): void
    {
        $circuits = Ladder::of(Fixtures::furnace()->model)['circuits'];
        self::assertSame(['120 V panel: 120 V', 'Transformer: its secondary, 24 V'], array_column($circuits, 'title'));
        $valve = array_values(array_filter($circuits[1]['rungs'], fn (array $r) => $r['load'] === 'valve'));
        self::assertSame(
            ['fuse', 'limit', 'rollout-l', 'rollout-r', 'pressure', 'board', 'valve'],
            array_column($valve[0]['elements'], 'part'),
        );
        self::assertSame(
            [['w13'], ['w20'], ['w21', 'w22'], ['w23'], ['w24', 'w25'], ['w26'], ['w27'], ['w28', 'w14']],
            $valve[0]['links'],
        );
    }

    public function test_it_is_the_same_whatever_the_parts_are_called_but_for_the_order(): void
    {
        [$plan, $as] = OtherNames::furnace(5);
        $count = fn (Model $m): array => array_map(fn (array $c) => count($c['rungs']), Ladder::of($m)['circuits']);
        self::assertSame($count(Fixtures::furnace()->model), $count($plan->model));
        $chains = fn (Model $m, callable $name): array => array_map(
            fn (array $r) => implode('-', array_map(fn (array $e) => $name($e['part']), $r['elements'])),
            array_merge(...array_column(Ladder::of($m)['circuits'], 'rungs')),
        );
        $ours = $chains(Fixtures::furnace()->model, $as);
        $theirs = $chains($plan->model, fn (string $id) => $id);
        sort($ours);
        sort($theirs);
        self::assertSame($ours, $theirs);
    }

    /** Whether two places are one terminal, or joined without a wire. */
    private function joined(Model $model, string $a, string $b): bool
    {
        $groups = $model->document['joined'] ?? [];
        foreach ($model->document['parts'] as $part) {
            $kind = $model->document['kinds'][$part['kind']];
            $at = fn (string $t): string => "{$part['id']}.$t";
            foreach ($kind['joined'] ?? [] as $group) {
                $groups[] = array_map($at, $group);
            }
            foreach ($kind['primitives'] as $spec) {
                $madeUp =
                    ($kind['primitives'][$spec['follows'] ?? '']['type'] ?? '') === 'lever' &&
                    ! isset($kind['controls'][$spec['follows']]);
                if (
                    isset($spec['between']) &&
                    (($spec['type'] === 'resistor' && $spec['ohm'] < 1) ||
                        ($spec['type'] === 'contact' &&
                            $madeUp &&
                            $spec['when'] === $kind['primitives'][$spec['follows']]['at']))
                ) {
                    $groups[] = array_map($at, $spec['between']);
                }
            }
        }
        $reached = [$a];
        do {
            $before = count($reached);
            foreach ($groups as $group) {
                if (array_intersect($group, $reached) !== []) {
                    $reached = array_values(array_unique([...$reached, ...$group]));
                }
            }
        } while (count($reached) > $before);

        return in_array($b, $reached, true);
    }
}
