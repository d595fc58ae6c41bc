<?php

declare(strict_types=1);

namespace OddSpark\Tests\Predicting;

use OddSpark\Appliance\Compiler;
use OddSpark\Appliance\Library;
use OddSpark\Faults\Fault;
use OddSpark\Marking\Rules;
use OddSpark\Meter\Mode;
use OddSpark\Predicting\AskedReading;
use OddSpark\Predicting\Judge;
use OddSpark\Predicting\Sheet;
use PHPUnit\Framework\TestCase;

/** What a filled-in sheet is worth under house rules. */
final class SheetTest extends TestCase
{
    private static function rules(int $predicted = 70, int $live = 30): Rules
    {
        $document = (new Library())->rules('first-year');

        $weights = ['predicted' => $predicted, 'live' => $live] + $document['weights'];

        return Rules::of(['weights' => $weights] + $document);
    }

    /** @param list<float|null> $said */
    private static function sheet(array $said): Sheet
    {
        $plan = Compiler::compile((new Library())->model('furnace-80'));
        $judge = new Judge($plan, Fault::none(), 'cold');
        $asked = [['valve.MV', 'valve.MVC'], ['board.R', 'board.C'], ['limit.a', 'limit.b'], ['panel.L', 'panel.N']];
        $judged = [];
        foreach ($asked as $i => [$red, $black]) {
            $judged[] = $judge->answer(new AskedReading(300_000, Mode::VoltsAc, $red, $black))->judge($said[$i]);
        }

        return new Sheet($judged);
    }

    public function test_all_right_is_all_of_it(): void
    {
        $mark = self::sheet([24.0, 24.0, 0.0, 120.0])->mark(self::rules());
        self::assertSame(100.0, $mark->total());
        self::assertTrue($mark->passed());
        self::assertSame('sound', $mark->verdict);
        self::assertSame(['predicted', 'live'], array_column($mark->toArray()['lines'], 'id'));
    }

    public function test_what_is_live_and_called_dead_costs_twice(): void
    {
        $mark = self::sheet([0.0, 24.0, 0.0, 120.0])->mark(self::rules());
        self::assertEqualsWithDelta(70 * 3 / 4 + 30 * 2 / 3, $mark->total(), 1e-9);
        self::assertSame('moment', $mark->verdict);
        self::assertSame([0], array_column($mark->line('live')->why, 'entry'));
        // the same number right, and nothing live called dead
        $other = self::sheet([24.0, 24.0, 24.0, 120.0])->mark(self::rules());
        self::assertEqualsWithDelta(70 * 3 / 4 + 30, $other->total(), 1e-9);
    }

    public function test_what_was_not_said_is_not_right_and_not_called_dead(): void
    {
        $mark = self::sheet([null, null, null, null])->mark(self::rules());
        self::assertEqualsWithDelta(30.0, $mark->total(), 1e-9);
        self::assertFalse($mark->passed());
        self::assertSame('unsure', $mark->verdict);
    }

    public function test_a_line_without_weight_is_not_in_the_mark(): void
    {
        $mark = self::sheet([0.0, 24.0, 0.0, 120.0])->mark(self::rules(50, 0));
        self::assertEqualsWithDelta(75.0, $mark->total(), 1e-9);
        self::assertCount(1, $mark->lines);
    }

    public function test_rules_of_before_there_were_sheets_weigh_them_as_usual(): void
    {
        $document = (new Library())->rules('first-year');
        $weights = array_diff_key($document['weights'], Rules::OTHER_WORK['predict']);
        foreach ([Rules::of(['weights' => $weights] + $document), self::rules(0, 0)] as $rules) {
            self::assertEquals(Rules::OTHER_WORK['predict'], array_intersect_key($rules->weights, Rules::OTHER_WORK['predict']));
        }
    }
}
