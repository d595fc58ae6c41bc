<?php

declare(strict_types=1);

namespace OddSpark\Tests\Predicting;

use OddSpark\Appliance\Compiler;
use OddSpark\Appliance\Library;
use OddSpark\Faults\Fault;
use OddSpark\Meter\Closeness;
use OddSpark\Meter\Meter;
use OddSpark\Meter\Mode;
use OddSpark\Predicting\Answer;
use OddSpark\Predicting\AskedReading;
use OddSpark\Predicting\Judge;
use OddSpark\Predicting\Proposal;
use OddSpark\Tests\Models;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** On every shipped model: what is asked can be answered, and what is shown is right at every moment. */
final class EveryModelTest extends TestCase
{
    private const ASKED = 8;

    /** @return iterable<string, array{string}> */
    public static function models(): iterable
    {
        return Models::some(2);
    }

    #[DataProvider('models')]
    public function test_what_is_shown_is_right_and_what_is_not_is_wrong(string $name): void
    {
        $plan = Compiler::compile((new Library())->model($name));
        $judge = new Judge($plan, Fault::none(), $plan->model->visits()[0]);
        $asked = (new Proposal($judge))->of(self::ASKED, 7);
        self::assertGreaterThanOrEqual(4, count($asked), 'there is too little to ask');
        self::assertGreaterThan(1, count(array_unique(array_map(fn (Answer $a): int => $a->asked->tick, $asked))));
        foreach ($judge->now->at as $tick => $standing) {
            foreach (array_column($asked, 'asked') as $a) {
                $at = new AskedReading($tick, $a->mode, $a->red, $a->black);
                $shown = Meter::show($a->mode, $standing->reads($a->mode, $a->red, $a->black));
                $of = "$a->red to $a->black, {$judge->now->titles[$tick]}";
                $answer = Answer::of($judge->answer($at)->toArray());
                self::assertTrue($answer->judge($shown->value)->isRight, "$of: $shown->value");
                $isRight = $answer->judge(3.0 * abs($shown->value) + 40.0)->isRight;
                self::assertFalse($isRight, "$of: thrice what is shown");
                self::assertFalse($answer->judge(null)->isRight);
            }
        }
    }

    public function test_another_seed_asks_otherwise_and_the_same_the_same(): void
    {
        $plan = Compiler::compile((new Library())->model('furnace-80'));
        $proposal = new Proposal(new Judge($plan, Fault::none(), 'cold'));
        $of = fn (int $seed): array => array_map(fn (Answer $a): array => $a->toArray(), $proposal->of(6, $seed));
        self::assertSame($of(1), $of(1));
        self::assertNotSame($of(1), $of(2));
        self::assertEquals($proposal->of(6, 1), array_map(Answer::of(...), $of(1)));
    }

    public function test_what_a_person_calls_it_is_right_and_its_neighbours_are_not(): void
    {
        $mode = Mode::VoltsAc;
        foreach ([[24.0, 26.7], [120.0, 121.0], [230.0, 228.0], [0.0, 0.4], [0.0, 0.0]] as [$said, $exact]) {
            self::assertTrue(Closeness::isNear($mode, $said, $exact), "$said for $exact");
        }
        $apart = [[24.0, 0.0], [0.0, 26.7], [120.0, 26.7], [120.0, 208.0], [208.0, 252.0], [INF, 24.0]];
        foreach ($apart as [$said, $exact]) {
            self::assertFalse(Closeness::isNear($mode, $said, $exact), "$said for $exact");
        }
    }
}
