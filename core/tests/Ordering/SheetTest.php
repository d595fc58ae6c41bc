<?php

declare(strict_types=1);

namespace OddSpark\Tests\Ordering;

use OddSpark\Appliance\Compiler;
use OddSpark\Appliance\Library;
use OddSpark\Faults\FaultSet;
use OddSpark\Marking\Rules;
use OddSpark\Ordering\Asking;
use OddSpark\Ordering\Course;
use OddSpark\Ordering\Item;
use OddSpark\Ordering\Sheet;
use OddSpark\Tests\Models;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Questions about sequences: what is right stands among what can be picked, and guessing is worth next to nothing. */
final class SheetTest extends TestCase
{
    /** @return iterable<string, array{string}> */
    public static function models(): iterable
    {
        return Models::some(0);
    }

    #[DataProvider('models')]
    public function test_every_model_asks_what_can_be_answered(string $name): void
    {
        $plan = Compiler::compile((new Library())->model($name));
        $visit = $plan->model->visits()[0];
        $course = new Course($plan, $visit);
        $asking = new Asking($course, $visit, 3);
        if (! $asking->isAnything()) {
            self::assertLessThan(3, count($course->steps));

            return;
        }
        self::assertNull($course->stopsAfter($course->sound), 'the sound one goes through');
        $items = $asking->items(10);
        self::assertGreaterThanOrEqual(6, count($items));
        $whole = $guessed = [];
        foreach ($items as $item) {
            $item = Item::of(json_decode((string) json_encode($item->toArray()), true));
            $texts = array_column($item->choices, 'text');
            self::assertSame($texts, array_values(array_unique($texts)), "$item->sort: two choices look alike");
            $right = $item->isOrder() ? $item->right : [$item->right[0]];
            self::assertTrue($item->takes($right));
            self::assertTrue($item->judge($right)->isRight(), $item->sort);
            self::assertFalse($item->judge([])->isRight());
            self::assertCount(3, array_filter($item->hints()));
            if ($item->isOrder()) {
                self::assertSame(0.0, $item->judge(array_reverse($right))->share);
                self::assertFalse($item->takes(array_slice($right, 1)), 'all of it is put in order');
            } else {
                $wrong = array_diff(array_column($item->choices, 'id'), $item->right);
                self::assertGreaterThanOrEqual(2, count($wrong), $item->sort);
                foreach ($wrong as $id) {
                    self::assertFalse($item->judge([$id])->isRight());
                }
            }
            $whole[] = [$item, $item->judge($right)];
            $guess = array_column($item->choices, 'id');
            $guessed[] = [$item, $item->judge($item->isOrder() ? $guess : [$guess[0]])];
        }
        self::assertNotSame([], $whole);
        $rules = Rules::of((new Library())->rules('first-year'));
        $mark = (new Sheet($whole))->mark($rules);
        self::assertSame([100.0, 'in_order'], [$mark->total(), $mark->verdict]);
        self::assertFalse((new Sheet($guessed))->mark($rules)->passed(), 'the first of everything');
    }

    public function test_a_fault_that_stops_nothing_is_not_shown_as_a_stopped_run(): void
    {
        $plan = Compiler::compile((new Library())->model('furnace-80'));
        $asking = new Asking(new Course($plan, 'cold'), 'cold', 1);
        $faults = FaultSet::of($plan->model);
        self::assertTrue($asking->isStopping($faults->get('pressure:stuck-open')));
        self::assertFalse($asking->isStopping($faults->get('limit:stuck-closed')));
        self::assertFalse($asking->isStopping($faults->get('healthy')));
        $items = $asking->items(4, $faults->get('igniter:cracked'));
        self::assertStringContainsString('Igniter', $items[3]->told);
    }

    public function test_hints_leave_less_and_less(): void
    {
        $plan = Compiler::compile((new Library())->model('furnace-80'));
        $proof = (new Asking(new Course($plan, 'cold'), 'cold', 1))->proof(0);
        self::assertNotNull($proof);
        $hints = $proof->hints();
        self::assertSame(Rules::HINTS, array_keys($hints));
        self::assertStringNotContainsString('Pressure switch', implode($hints));
        $named = fn (string $hint): int => substr_count($hint, ';');
        self::assertLessThan($named($hints['circuit']), $named($hints['where']));
        self::assertLessThan($named($hints['reading']), $named($hints['circuit']));
    }
}
