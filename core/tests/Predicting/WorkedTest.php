<?php

declare(strict_types=1);

namespace OddSpark\Tests\Predicting;

use OddSpark\Appliance\Compiler;
use OddSpark\Appliance\Library;
use OddSpark\Faults\FaultSet;
use OddSpark\Meter\Mode;
use OddSpark\Predicting\AskedReading;
use OddSpark\Predicting\Judge;
use PHPUnit\Framework\TestCase;

/** Predictions that were judged by hand before there was a judge. */
final class WorkedTest extends TestCase
{
    public function test_what_was_judged_by_hand_is_judged_the_same(): void
    {
        $document = json_decode((string) file_get_contents(__DIR__.'/worked.json'), true);
        $judges = $apart = [];
        foreach ($document['examples'] as $e) {
            $judge = $judges["{$e['model']} {$e['fault']}"] ??= self::judge($e['model'], $e['fault']);
            $of = $judge
                ->answer(new AskedReading($e['at'], Mode::from($e['mode']), $e['red'], $e['black']))
                ->judge($e['said']);
            $hand = $e['computed'] ?? $e; // where the hand was wrong, it says why
            if ([$of->isRight, $of->mistake] !== [$hand['right'], $hand['mistake']]) {
                $is = $of->isRight ? 'right' : "wrong ($of->mistake): $of->why";
                $apart[] = "{$e['id']}: shows {$of->shown->text()}, $is";
            }
        }
        self::assertSame([], $apart);
    }

    private static function judge(string $model, string $fault): Judge
    {
        $plan = Compiler::compile((new Library())->model($model));

        return new Judge($plan, FaultSet::of($plan->model)->get($fault), $plan->model->visits()[0]);
    }
}
