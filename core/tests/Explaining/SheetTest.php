<?php

declare(strict_types=1);

namespace OddSpark\Tests\Explaining;

use OddSpark\Appliance\Compiler;
use OddSpark\Appliance\Library;
use OddSpark\Explaining\Asking;
use OddSpark\Explaining\Question;
use OddSpark\Explaining\Sheet;
use OddSpark\Faults\FaultSet;
use OddSpark\Marking\Rules;
use OddSpark\Tests\Models;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Questions why a load is off: on every model the computed chains are right, and each can be picked. */
final class SheetTest extends TestCase
{
    /** @return iterable<string, array{string}> */
    public static function models(): iterable
    {
        return Models::some(2);
    }

    #[DataProvider('models')]
    public function test_every_chain_is_right_can_be_picked_and_is_wrong_without_its_end(string $name): void
    {
        $plan = Compiler::compile((new Library())->model($name));
        foreach (array_slice(array_keys(FaultSet::of($plan->model)->faults), 0, 40, true) as $i => $id) {
            if ($i % 13 !== 0) {
                continue;
            }
            $asking = new Asking($plan, FaultSet::of($plan->model)->get((string) $id), $plan->model->visits()[0]);
            $pickable = array_column($asking->pickable(), 'id');
            foreach ($asking->all() as $question) {
                $question = Question::of(json_decode((string) json_encode($question->toArray()), true));
                foreach ($question->chains as $chain) {
                    $ids = array_column($chain, 'id');
                    self::assertSame([], array_diff($ids, $pickable), "$id: $question->load");
                    self::assertTrue($question->judge($ids)->isRight());
                    self::assertFalse($question->judge([])->isRight());
                    self::assertFalse($question->judge(['nothing.of_it', ...$ids])->isRight());
                }
            }
        }
        $this->addToAssertionCount(1);
    }

    public function test_a_sheet_is_marked_by_its_chains_and_their_beginnings(): void
    {
        $plan = Compiler::compile((new Library())->model('boiler-hydronic'));
        $asking = new Asking($plan, FaultSet::of($plan->model)->get('high:stuck-open'), 'cold');
        $questions = $asking->questions(3, 1);
        self::assertCount(3, $questions);
        self::assertSame(3, count(array_unique(array_column($questions, 'load'))), 'each another load');
        $whole = array_map(fn (Question $q) => $q->judge(array_column($q->chains[0], 'id')), $questions);
        $rules = Rules::of((new Library())->rules('first-year'));
        $mark = (new Sheet($whole))->mark($rules);
        self::assertSame(100.0, $mark->total());
        self::assertSame('explained', $mark->verdict);
        self::assertSame(['explained', 'root'], array_column($mark->toArray()['lines'], 'id'));

        $none = (new Sheet(array_map(fn (Question $q) => $q->judge([]), $questions), ['where' => 1]))->mark($rules);
        self::assertSame(0.0, $none->total());
        self::assertSame('unexplained', $none->verdict);

        $guess = fn (Question $q): array => array_column($asking->pickable(), 'id'); // whoever picks everything
        $all = (new Sheet(array_map(fn (Question $q) => $q->judge($guess($q)), $questions)))->mark($rules);
        self::assertLessThan(35.0, $all->total());
    }

    public function test_hints_go_along_the_chain_to_where_it_begins(): void
    {
        $plan = Compiler::compile((new Library())->model('furnace-80'));
        $asking = new Asking($plan, FaultSet::of($plan->model)->get('pressure:stuck-open'), 'cold');
        $hints = $asking->question('valve.coil', 40_000)?->hints() ?? [];
        self::assertSame(Rules::HINTS, array_keys($hints));
        self::assertCount(3, array_unique($hints));
        self::assertStringContainsString('valve relay', $hints['where']);
        self::assertStringContainsString('Pressure switch', $hints['reading']);
    }
}
