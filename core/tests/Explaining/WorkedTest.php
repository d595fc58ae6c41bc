<?php

declare(strict_types=1);

namespace OddSpark\Tests\Explaining;

use OddSpark\Appliance\Compiler;
use OddSpark\Appliance\Library;
use OddSpark\Explaining\Asking;
use OddSpark\Faults\FaultSet;
use PHPUnit\Framework\TestCase;

/** Explanations judged by hand before the judge was asked: common practice, no source. */
final class WorkedTest extends TestCase
{
    public function test_what_was_judged_by_hand_is_judged_the_same(): void
    {
        $apart = [];
        foreach (json_decode((string) file_get_contents(__DIR__.'/worked.json'), true) as $i => $e) {
            $plan = Compiler::compile((new Library())->model($e['model']));
            $fault = FaultSet::of($plan->model)->get($e['fault']);
            $question = (new Asking($plan, $fault, $plan->model->visits()[0]))->question($e['load'], 1000 * $e['at_s']);
            self::assertNotNull($question, "$i: there is nothing to ask");
            $is = $question->judge($e['picked']);
            $hand = ($e['computed'] ?? []) + $e; // where the hand was wrong, it says why
            if ([$is->isRight(), $is->isRoot] !== [$hand['right'], $hand['root']]) {
                $apart[] = "$i {$e['load']} ".implode(' ', $e['picked']).": $is->share $is->why";
            }
        }
        self::assertSame([], $apart);
    }
}
