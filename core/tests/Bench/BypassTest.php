<?php

declare(strict_types=1);

namespace OddSpark\Tests\Bench;

use OddSpark\Acts\Bypass;
use OddSpark\Appliance\Library;
use OddSpark\Appliance\Model;
use OddSpark\Wiring\Guards;
use OddSpark\Wiring\Nets;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A jumper is judged by what the circuit is with it, wherever its two ends are. */
final class BypassTest extends TestCase
{
    /**
     * Those in which nothing that is judged lies between what feeds the valve and the valve: all of it lies before the
     * transformer, or behind the coil in the thermopile's loop, or the coil's ends are inside the valve.
     */
    private const NOTHING_TO_FEED = [
        'boiler-standing-pilot',
        'furnace-standing-pilot',
        'furnace-valve-ignition',
        'wall-heater-millivolt',
        'water-heater-thermopile',
    ];

    /** @return iterable<string, array{string}> */
    public static function models(): iterable
    {
        foreach ((new Library())->names() as $name) {
            yield $name => [$name];
        }
    }

    /** Every safety that a fuel valve needs, bridged from any place before it to any place behind it. */
    #[DataProvider('models')]
    public function test_every_safety_in_the_path_of_the_fuel_is_missed_from_wherever_it_is_bridged(string $name): void
    {
        $model = (new Library())->model($name);
        $nets = new Nets($model);
        $needed = array_merge(...array_values((new Guards($nets))->ofFuel()) ?: [[]]);
        $bridged = 0;
        foreach ($nets->elements() as $e) {
            $kind = $model->kindOf($e['part']);
            if (! isset($needed["{$e['part']}.{$e['name']}"]) || ! $kind->isGuardingSwitch($e['name'])) {
                continue;
            }
            foreach ($this->on($nets, $e['a']) as $from) {
                foreach ($this->on($nets, $e['b']) as $to) {
                    self::assertContains('safety-jumpered', Bypass::by($model, [], [$from, $to]), "$from to $to");
                    self::assertContains('safety-jumpered', Bypass::by($model, [], [$to, $from]), "$to to $from");
                    $bridged++;
                }
            }
        }
        self::assertGreaterThan(0, $bridged);
    }

    /** The feed of the fuel valve brought to it past all. */
    #[DataProvider('models')]
    public function test_feeding_the_valve_past_its_control_or_its_safeties_is_told(string $name): void
    {
        $model = (new Library())->model($name);
        $nets = new Nets($model);
        $fed = 0;
        foreach (array_filter((new Guards($nets))->ofFuel()) as $valve => $guards) {
            [$part, $load] = Model::split($valve);
            $e = array_values(array_filter(
                $nets->elements(),
                fn (array $e): bool => [$e['part'], $e['name']] === [$part, $load],
            ))[0];
            foreach ($nets->supplies() as $supply) {
                // what lies before the transformer stops it still
                $before = $this->before($nets, $supply['part']);
                $judged = array_filter(
                    array_keys(array_diff_key($guards, $before)),
                    fn (string $switch): bool => $this->isJudged($model, $switch),
                );
                foreach ([[$e['a'], $e['b']], [$e['b'], $e['a']]] as [$end, $other]) {
                    $returns = $nets->reached($nets->root($supply['return']), [$nets->root($supply['hot'])]);
                    $isItsReturn = array_key_exists($nets->root($other), $returns);
                    if ($model->isPlace($end) && $isItsReturn && $judged !== [] && $nets->root($end) !== $nets->root(
                        $supply['hot'],
                    )) {
                        self::assertNotSame([], Bypass::by($model, [], [$supply['hot'], $end]), "to $end");
                        $fed++;
                    }
                }
            }
        }
        self::assertSame(in_array($name, self::NOTHING_TO_FEED, true), $fed === 0);
    }

    public function test_ways_that_were_silent_once(): void
    {
        $furnace = (new Library())->model('furnace-80');
        foreach ([
            'the limit, at the control' => ['board.LIM-OUT', 'board.LIM-IN', 'safety-jumpered'],
            'the feed to the valve' => ['board.R', 'valve.MV', 'valve-jumpered'],
            'the door switch, on itself' => ['door-switch.line', 'door-switch.load', 'safety-jumpered'],
            'the door switch, from the nut to the control' => ['l-nut.out', 'board.L1', 'safety-jumpered'],
        ] as $what => [$from, $to, $danger]) {
            self::assertContains($danger, Bypass::by($furnace, [], [$from, $to]), $what);
        }
    }

    public function test_what_does_away_with_no_safety_is_none(): void
    {
        $furnace = (new Library())->model('furnace-80');
        foreach ([
            'a call by hand' => ['board.R', 'board.W'],
            'common to common' => ['board.C', 'valve.MVC'],
            'the valve short-circuited' => ['valve.MV', 'valve.MVC'],
            'R to C' => ['board.R', 'board.C'],
        ] as $what => $jumper) {
            self::assertSame([], Bypass::by($furnace, [], $jumper), $what);
        }
        // two that are none by themselves, and one safety together
        $before = [['board.LIM-OUT', 'board.G']];
        self::assertSame([], Bypass::by($furnace, [], $before[0]));
        self::assertContains('safety-jumpered', Bypass::by($furnace, $before, ['board.G', 'board.LIM-IN']));
    }

    /** @return list<string> places of a net, some of them */
    private function on(Nets $nets, string $place): array
    {
        return array_slice(array_unique([$place, ...$nets->places()[$nets->root($place)] ?? []]), 0, 3);
    }

    /** @return array<string, true> */
    private function before(Nets $nets, string $supply): array
    {
        $guards = [];
        foreach ($nets->elements() as $e) {
            if ($e['load'] && $e['part'] === $supply) {
                $guards += (new Guards($nets))->of("$supply.{$e['name']}");
            }
        }

        return $guards;
    }

    private function isJudged(Model $model, string $switch): bool
    {
        [$part, $name] = Model::split($switch);
        $kind = $model->kindOf($part);

        return $kind?->isGuardingSwitch($name) === true || $kind?->family->value === 'control';
    }
}
