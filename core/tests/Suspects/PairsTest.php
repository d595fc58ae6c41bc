<?php

declare(strict_types=1);

namespace OddSpark\Tests\Suspects;

use OddSpark\Appliance\Plan;
use OddSpark\Bench\Attempt;
use OddSpark\Bench\Bench;
use OddSpark\Bench\Observations;
use OddSpark\Faults\FaultSet;
use OddSpark\Run\Memory;
use OddSpark\Suspects\Choice;
use OddSpark\Suspects\NextSteps;
use OddSpark\Suspects\Pairs;
use OddSpark\Suspects\Suspects;
use OddSpark\Suspects\Tracker;
use OddSpark\Tests\Fixtures;
use OddSpark\Tests\TestRig;
use PHPUnit\Framework\TestCase;

/** Two faults at once, what no candidate stands for, and what to do next. */
final class PairsTest extends TestCase
{
    private const SCENE = [
        ['at_s' => 1, 'act' => 'door', 'to' => 'open'],
        ['at_s' => 2, 'act' => 'hold', 'to' => 'held'],
    ];

    public function test_a_compound_shows_the_condition_of_each_and_is_mended_one_by_one(): void
    {
        $plan = Fixtures::furnace();
        $both = Fixtures::universe()->compound(['igniter:cracked', 'filter:blocked@nearly']);
        $bench = new Bench($plan, $both, new Memory());
        $state = $bench->arrive('cold')->state;
        $state = $bench->resume($state);
        $do = function (float $at, string $act, array $with) use ($bench, &$state) {
            [$state, $outcome] = $bench->do($state, Fixtures::act($at, $act, $with));

            return $outcome;
        };
        $do(0, 'door', ['to' => 'open']);
        $do(1, 'take', ['part' => 'igniter', 'to' => 'off']);
        self::assertSame('A hairline across one leg.', $do(1, 'look', ['part' => 'igniter'])->seen['condition']);
        self::assertStringStartsWith('Gray felt', $do(2, 'look', ['part' => 'filter'])->seen['condition']);
        $do(3, 'mend', ['part' => 'filter', 'how' => 'replace']);
        self::assertSame('Light dust.', $do(4, 'look', ['part' => 'filter'])->seen['condition']);
        self::assertTrue($bench->isFaulty($state), 'the other is left');
        $do(5, 'mend', ['part' => 'igniter', 'how' => 'replace']);
        self::assertFalse($bench->isFaulty($state));
    }

    public function test_two_faults_that_no_single_one_explains_are_found_as_a_pair(): void
    {
        $truth = ['igniter:cracked', 'filter:blocked@nearly'];
        [$plan, $faultSet, $seen, $steps, $memory] = $this->follow('furnace-80', $truth, [
            ...self::SCENE, ['at_s' => 40, 'act' => 'leads', 'red' => 'igniter.1', 'black' => 'igniter.2'],
            ['at_s' => 50, 'act' => 'look', 'part' => 'igniter'], ['at_s' => 60, 'act' => 'look', 'part' => 'filter'],
        ]);
        $end = end($steps);
        self::assertSame([], $end->weights, 'no single fault has both');
        self::assertSame(1.0, $end->unknownShare());
        $pairs = Pairs::of($plan, $faultSet, $seen, $steps, $memory);
        self::assertContains(
            implode('+', $truth),
            array_map(
                fn (string $id) => self::sorted($id, $truth),
                array_map(strval(...), array_keys($pairs->left->weights)),
            ),
        );
        foreach (array_keys($pairs->left->weights) as $pair) {
            self::assertStringContainsString('filter:', (string) $pair);
            self::assertStringContainsString('igniter:', (string) $pair);
        }
        self::assertLessThanOrEqual(Pairs::MOST, $pairs->run);
        self::assertGreaterThanOrEqual($pairs->run, $pairs->of);
    }

    public function test_what_could_be_anything_gains_as_the_likely_ones_fall(): void
    {
        self::assertEqualsWithDelta(0.2, (new Suspects(['a' => 4.0], 1.0))->unknownShare(), 1e-12);
        self::assertSame(1.0, (new Suspects([], 0.0))->unknownShare());
        [, , , $steps] = $this->follow(
            'furnace-80',
            ['igniter:aged'],
            [
                ...self::SCENE,
                ['at_s' => 50, 'act' => 'look', 'part' => 'igniter'],
                ['at_s' => 60, 'act' => 'look', 'part' => 'filter'],
            ],
        );
        self::assertGreaterThan(0.0, $steps[0]->unknownShare());
        self::assertLessThan(0.1, $steps[0]->unknownShare());
    }

    public function test_hundreds_of_usual_readings_are_weighed_on_the_largest_and_none_of_them_hurts(): void
    {
        [$plan, $faultSet, $seen, , $memory, $tracker] = $this->follow(
            'zones-hydronic',
            ['zv1:motor-open'],
            [
                ['at_s' => 1, 'act' => 'door', 'to' => 'open'],
                ['at_s' => 30, 'act' => 'leads', 'red' => 'zv1.M1', 'black' => 'zv1.M2'],
                ['at_s' => 60, 'act' => 'leads', 'red' => 'zv1.E1', 'black' => 'zv1.E2'],
            ],
        );
        $suspects = $tracker->suspects();
        [$choices, $weighed] = (new NextSteps($plan, $faultSet, $memory))->of(
            $tracker->candidates(),
            $suspects->weights,
            20,
        );
        self::assertGreaterThanOrEqual(300, $weighed);
        self::assertCount(20, $choices);
        foreach ($choices as $i => $choice) {
            self::assertLessThanOrEqual(
                $suspects->entropy() + 1e-9,
                $choice->bits,
                'nothing tells more than there is to know',
            );
            self::assertSame($suspects->count(), array_sum(array_map(count(...), $choice->outcomes)));
            self::assertTrue($i === 0 || $choice->bits <= $choices[$i - 1]->bits + 1e-3, 'the most telling first');
        }
        self::assertGreaterThan(0.1, $choices[0]->bits);
    }

    public function test_an_act_is_proposed_where_nothing_can_be_read_without_it(): void
    {
        // the door switch is let go at its end
        $trace = json_decode((string) file_get_contents(__DIR__.'/../../../bench/trace-15.json'), true)['entries'];
        [$plan, $faultSet, , , $memory, $tracker] = $this->follow('furnace-80', ['limit:stuck-open'], $trace);
        [$choices] = (new NextSteps($plan, $faultSet, $memory))->of(
            $tracker->candidates(),
            $tracker->suspects()->weights,
            200,
        );
        $after = array_values(array_filter($choices, fn (Choice $c) => $c->after?->name === 'hold'));
        self::assertNotSame([], $after);
        self::assertSame('held', $after[0]->after?->get('to'));
        self::assertGreaterThan($after[0]->bits / 10, $after[0]->bitsPerMinute());
    }

    /**
     * @param list<string> $faults
     * @param list<array<string, mixed>> $entries
     * @return array{Plan, FaultSet, Observations, non-empty-list<Suspects>, Memory, Tracker}
     */
    private function follow(string $model, array $faults, array $entries): array
    {
        $plan = TestRig::plan($model);
        $faultSet = FaultSet::of($plan->model);
        $memory = new Memory();
        $visit = $plan->model->visits()[0];
        $seen = Attempt::run($plan, $faultSet->compound($faults), Fixtures::log($entries), $visit, $memory)
            ->observations;
        $tracker = new Tracker($plan, $faultSet, $visit, $memory);
        $steps = $tracker->follow($seen);
        self::assertNotSame([], $steps);

        return [$plan, $faultSet, $seen, $steps, $memory, $tracker];
    }

    /**
     * @param list<string> $order
     */
    private static function sorted(string $pair, array $order): string
    {
        $both = explode('+', $pair);
        usort($both, fn (string $a, string $b) => array_search($a, $order, true) <=> array_search($b, $order, true));

        return implode('+', $both);
    }
}
