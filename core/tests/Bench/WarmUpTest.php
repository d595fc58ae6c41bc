<?php

declare(strict_types=1);

namespace OddSpark\Tests\Bench;

use OddSpark\Appliance\Compiler;
use OddSpark\Appliance\Library;
use OddSpark\Bench\Attempt;
use OddSpark\Bench\WarmUp;
use OddSpark\Drawing\Board;
use OddSpark\Drawing\Ladder;
use OddSpark\Faults\Fault;
use OddSpark\Run\Memory;
use OddSpark\Tests\Fixtures;
use PHPUnit\Framework\TestCase;

final class WarmUpTest extends TestCase
{
    public function test_every_step_can_be_done_in_order_and_counts_when_it_is_done(): void
    {
        $acts = [
            'look' => [['act' => 'look', 'part' => 'fuse']],
            'line' => [['act' => 'leads', 'red' => 'transformer.H1', 'black' => 'transformer.H2']],
            'control' => [['act' => 'leads', 'red' => 'transformer.X2', 'black' => 'transformer.X1']],
            'open' => [['act' => 'leads', 'red' => 'toggle.line', 'black' => 'toggle.load']],
            'meant' => [['act' => 'meant', 'meaning' => 'good']],
            'on' => [['act' => 'set', 'part' => 'toggle', 'lever' => 'lever', 'to' => 'on']],
            'closed' => [['act' => 'read']],
            'ladder' => [['act' => 'leads', 'red' => 'relay.A', 'black' => 'relay.B']],
            'clamp' => [['act' => 'clamp', 'wires' => ['w11']]],
            'dead' => [
                ['act' => 'set', 'part' => 'service', 'lever' => 'lever', 'to' => 'off'],
                ['act' => 'dial', 'mode' => 'ohm'],
            ],
            'ohms' => [['act' => 'leads', 'red' => 'inducer.L', 'black' => 'inducer.N']],
            'restore' => [
                ['act' => 'set', 'part' => 'service', 'lever' => 'lever', 'to' => 'on'],
                ['act' => 'leads', 'red' => null, 'black' => null],
            ],
        ];
        self::assertSame(array_column(WarmUp::steps(), 'id'), array_keys($acts));
        $plan = Compiler::compile((new Library())->model(WarmUp::MODEL));
        $entries = $expected = [];
        $t = 1;
        foreach ($acts as $step => $those) {
            foreach ($those as $act) {
                $entries[] = ['at_s' => $t += 3] + $act;
            }
            $expected[] = $step;
            $run = Attempt::run($plan, Fault::none(), Fixtures::log($entries), WarmUp::VISIT, new Memory());
            self::assertSame($expected, WarmUp::done($run->observations->entries), $step);
        }
    }

    public function test_the_wrong_places_do_not_count(): void
    {
        $plan = Compiler::compile((new Library())->model(WarmUp::MODEL));
        $run = Attempt::run(
            $plan,
            Fault::none(),
            Fixtures::log([
                ['at_s' => 1, 'act' => 'look', 'part' => 'relay'],
                ['at_s' => 2, 'act' => 'leads', 'red' => 'panel.L', 'black' => 'panel.N'],
                ['at_s' => 3, 'act' => 'dial', 'mode' => 'ohm'],
                ['at_s' => 4, 'act' => 'leads', 'red' => 'inducer.L', 'black' => 'inducer.N'],
            ]),
            WarmUp::VISIT,
            new Memory(),
        );
        self::assertSame([], WarmUp::done($run->observations->entries));
    }

    public function test_its_board_and_ladder_are_drawn(): void
    {
        $model = (new Library())->model(WarmUp::MODEL);
        self::assertCount(13, Board::of($model)['wires']);
        self::assertSame([2, 1], array_map(fn (array $c) => count($c['rungs']), Ladder::of($model)['circuits']));
    }
}
