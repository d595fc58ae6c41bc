<?php

declare(strict_types=1);

namespace OddSpark\Tests\Marking;

use OddSpark\Acts\ActionLog;
use OddSpark\Bench\Attempt;
use OddSpark\Faults\FaultSet;
use OddSpark\Marking\Mark;
use OddSpark\Marking\Marker;
use OddSpark\Run\Memory;
use OddSpark\Tests\Fixtures;
use OddSpark\Tests\TestRig;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Ways to a mark without the skill, judged by hand: none of them passes under any shipped rules. Beside each stands the
 * same attempt as it should be done, which does.
 */
final class CheatsTest extends TestCase
{
    private const RULES = ['first-year', 'journeyman', 'examination'];

    private const REPAIRED = [
        ['at_s' => 55, 'act' => 'leads', 'red' => null, 'black' => null],
        ['at_s' => 60, 'act' => 'name', 'fault' => 'limit:stuck-open'],
        ['at_s' => 62, 'act' => 'hold', 'to' => 'released'],
        ['at_s' => 64, 'act' => 'set', 'part' => 'service', 'lever' => 'lever', 'to' => 'off'],
        ['at_s' => 70, 'act' => 'mend', 'part' => 'limit', 'how' => 'replace'],
        ['at_s' => 80, 'act' => 'set', 'part' => 'service', 'lever' => 'lever', 'to' => 'on'],
        ['at_s' => 82, 'act' => 'door', 'to' => 'shut'],
        ['at_s' => 84, 'act' => 'look', 'part' => 'board'],
        ['at_s' => 400, 'act' => 'wait'],
        ['at_s' => 401, 'act' => 'look', 'part' => 'registers'],
    ];

    /**
     * @return iterable<string, array{list<array<string, mixed>>, string}> what is done at the end, and what is lost
     *     by it
     */
    public static function endings(): iterable
    {
        $set = fn (string $part, string $lever, string|int $to): array => [
            ['at_s' => 450, 'act' => 'set', 'part' => $part, 'lever' => $lever, 'to' => $to],
        ];
        yield 'the gas shut' => [$set('cock', 'handle', 'shut'), 'called_back'];
        yield 'the thermostat turned down' => [$set('thermostat', 'set', 50), 'called_back'];
        yield 'the thermostat off' => [$set('thermostat', 'mode', 'off'), 'called_back'];
        yield 'the service switch off' => [$set('service', 'lever', 'off'), 'called_back'];
        yield 'the breaker off' => [$set('breaker', 'handle', 'off'), 'called_back'];
        yield 'the door off' => [[['at_s' => 450, 'act' => 'door', 'to' => 'open']], 'called_back'];
    }

    public function test_done_as_it_should_be_it_passes(): void
    {
        $mark = self::furnace([...Fixtures::limitTrace(), ...self::REPAIRED]);
        self::assertTrue($mark->passed());
        self::assertGreaterThan(90, $mark->total());
    }

    /** @param list<array<string, mixed>> $ending */
    #[DataProvider('endings')]
    public function test_handed_back_so_that_it_does_not_work_it_does_not_pass(array $ending, string $cap): void
    {
        $mark = self::furnace([...Fixtures::limitTrace(), ...self::REPAIRED, ...$ending]);
        self::assertFalse($mark->passed());
        self::assertContains($cap, $mark->caps);
    }

    public function test_a_safety_bridged_from_elsewhere_is_unsafe(): void
    {
        $before = array_slice(Fixtures::limitTrace(), 0, 6);
        foreach ([
            ['board.LIM-OUT', 'board.LIM-IN'],
            ['board.R', 'rollout-l.a'],
            ['fuse.b', 'limit.b'],
        ] as [$from, $to]) {
            $bridge = [
                ['at_s' => 13, 'act' => 'jump', 'from' => $from, 'to' => $to],
                ['at_s' => 38, 'act' => 'unjump', 'from' => $from, 'to' => $to],
            ];
            $rest = array_slice(Fixtures::limitTrace(), 6);
            $mark = self::furnace([...$before, ...$bridge, ...$rest, ...self::REPAIRED]);
            self::assertFalse($mark->passed(), "$from to $to");
            self::assertContains('unsafe', $mark->caps, "$from to $to");
        }
    }

    /** @return iterable<string, array{string, string}> model, and a fault whose part is swapped at first guess */
    public static function swaps(): iterable
    {
        yield 'furnace-80' => ['furnace-80', 'limit:stuck-open'];
        yield 'boiler-hydronic' => ['boiler-hydronic', 'relay:coil-open'];
        yield 'oil-furnace' => ['oil-furnace', 'primary:valve-dead'];
        yield 'package-direct-spark' => ['package-direct-spark', 'module:valve-dead'];
        yield 'furnace-standing-pilot' => ['furnace-standing-pilot', 'transformer:primary-open'];
        yield 'boiler-simple-230' => ['boiler-simple-230', 'fan:open'];
    }

    /** A swap proves itself: what counts is what was known before it. */
    #[DataProvider('swaps')]
    public function test_a_part_that_is_swapped_at_first_guess_and_named_when_it_runs_does_not_pass(
        string $model,
        string $fault,
    ): void {
        $plan = TestRig::plan($model);
        $faultSet = FaultSet::of($plan->model);
        if (! isset($faultSet->faults[$fault])) {
            self::fail("$model has no fault $fault; there are ".implode(', ', array_keys($faultSet->faults)));
        }
        $part = explode(':', $fault)[0];
        $off = [];
        $on = [];
        foreach ($plan->model->parts() as $p) {
            foreach ($p->kind->isSupply() ? array_keys($p->kind->settings) : [] as $lever) {
                $off[] = ['at_s' => 10, 'act' => 'set', 'part' => $p->id, 'lever' => $lever, 'to' => 'off'];
                $on[] = ['at_s' => 40, 'act' => 'set', 'part' => $p->id, 'lever' => $lever, 'to' => 'on'];
            }
        }
        $door = fn (int $at, string $to): array => $plan->model->doors() === []
            ? []
            : [['at_s' => $at, 'act' => 'door', 'to' => $to]];
        $entries = [
            ...$off,
            ...$door(12, 'open'),
            ['at_s' => 20, 'act' => 'mend', 'part' => $part, 'how' => 'replace'],
            ...$door(30, 'shut'),
            ...$on,
            ['at_s' => 900, 'act' => 'wait'],
            ['at_s' => 905, 'act' => 'name', 'fault' => $fault],
            ['at_s' => 910, 'act' => 'hand_back'],
        ];
        $seen = Attempt::run(
            $plan,
            $faultSet->get($fault),
            ActionLog::of(['odd_spark_actions' => 1, 'visit' => $plan->model->visits()[0], 'entries' => $entries]),
            $plan->model->visits()[0],
            new Memory(),
        )->observations;
        $account = Marking::account($plan, $faultSet, $fault, $seen);
        self::assertNotContains($account->verdict(), ['proved', 'supported']);
        foreach (self::RULES as $name) {
            $mark = Marker::of($account)->mark(Marking::rules($name));
            self::assertFalse($mark->passed(), $name);
            // a first year is to learn it; from then on a part swapped without proof does not pass
            self::assertContains($name === 'first-year' ? 'guess' : 'swapped', $mark->caps, $name);
            self::assertLessThan(75, $mark->total(), $name);
        }
    }

    /** @param list<array<string, mixed>> $entries */
    private static function furnace(array $entries): Mark
    {
        return Marking::ofFurnace('limit:stuck-open', [...$entries, ['at_s' => 500, 'act' => 'hand_back']]);
    }
}
