<?php

declare(strict_types=1);

namespace OddSpark\Tests\Marking;

use OddSpark\Bench\Attempt;
use OddSpark\Bench\Kit;
use OddSpark\Faults\FaultSet;
use OddSpark\Marking\Marker;
use OddSpark\Run\Memory;
use OddSpark\Tests\Fixtures;
use OddSpark\Tests\Sample;
use OddSpark\Tests\TestRig;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Attempts at a mark without the skill, written and judged by hand (core/tests/cheats): none passes under the rules of
 * its school, nor under any other that is shipped. Some of them; all: SPARK_ALL_FAULTS=1, as ./spark check does.
 */
final class CheatsByHandTest extends TestCase
{
    private const RULES = ['first-year', 'journeyman', 'examination'];

    /** Of so many one is tried where not all are. */
    private const ONE_OF = 6;

    /** @return iterable<string, array{string}> */
    public static function cheats(): iterable
    {
        foreach (Sample::of(self::ONE_OF, (array) glob(__DIR__.'/../cheats/*.json')) as $file) {
            yield basename((string) $file, '.json') => [(string) $file];
        }
    }

    #[DataProvider('cheats')]
    public function test_it_does_not_pay(string $file): void
    {
        $cheat = json_decode((string) file_get_contents($file), true, 16, JSON_THROW_ON_ERROR);
        $plan = TestRig::plan($cheat['model']);
        $faultSet = FaultSet::of($plan->model);
        $seen = Attempt::run(
            $plan,
            $faultSet->get($cheat['fault']),
            Fixtures::log($cheat['entries'], 7),
            $cheat['visit'],
            new Memory(),
            null,
            new Kit(),
        )->observations;
        foreach ($seen->entries as $i => [, $outcome]) {
            self::assertNull($outcome->refused, "entry $i: $outcome->refused");
        }
        $marker = Marker::of(Marking::account($plan, $faultSet, $cheat['fault'], $seen));
        foreach (self::RULES as $rules) {
            $mark = $marker->mark(Marking::rules($rules));
            self::assertFalse($mark->passed(), "$rules: {$mark->total()} with ".implode(', ', $mark->caps));
        }
    }
}
