<?php

declare(strict_types=1);

namespace OddSpark\Tests\Marking;

use OddSpark\Bench\Attempt;
use OddSpark\Bench\Kit;
use OddSpark\Faults\FaultSet;
use OddSpark\Marking\Marker;
use OddSpark\Run\Memory;
use OddSpark\Tests\Fixtures;
use OddSpark\Tests\TestRig;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * The service calls done by the book, each under the rules of its own school: an expert loses next to nothing. One of
 * each fifth model; all of them: SPARK_ALL_FAULTS=1, as ./spark check does.
 */
final class ExpertsTest extends TestCase
{
    private const LEAST = 90.0;

    /** @return iterable<string, array{string}> */
    public static function calls(): iterable
    {
        $models = [];
        foreach ((array) glob(__DIR__.'/../calls/*.json') as $file) {
            $model = json_decode((string) file_get_contents((string) $file), true)['model'];
            if (isset($models[$model]) && getenv('SPARK_ALL_FAULTS') === false) {
                continue;
            }
            $models[$model] = true;
            if (getenv('SPARK_ALL_FAULTS') === false && count($models) % 5 !== 1) {
                continue;
            }
            yield basename((string) $file, '.json') => [(string) $file];
        }
    }

    #[DataProvider('calls')]
    public function test_a_call_done_by_the_book_gets_ninety(string $file): void
    {
        $call = json_decode((string) file_get_contents($file), true, 16, JSON_THROW_ON_ERROR);
        $plan = TestRig::plan($call['model']);
        $faultSet = FaultSet::of($plan->model);
        $entries = array_map(
            fn (array $e): array => array_diff_key($e, ['reads' => 1, 'sees' => 1, 'because' => 1]),
            $call['entries'],
        );
        $rules = Marking::rules($call['rules']);
        $seen = Attempt::run(
            $plan,
            $faultSet->get($call['fault']),
            Fixtures::log($entries, 7),
            $call['visit'],
            new Memory(),
            null,
            new Kit(),
            $rules->stops,
        )->observations;
        $mark = Marker::of(Marking::account($plan, $faultSet, $call['fault'], $seen))->mark($rules);
        $why = '';
        foreach ($mark->lines as $line) {
            $why .= $line->share < 1.0
                ? "\n$line->id $line->share: ".implode(' | ', array_column($line->why, 'text'))
                : '';
        }
        self::assertSame([], $mark->caps, $why);
        self::assertGreaterThanOrEqual(self::LEAST, $mark->total(), $why);
    }
}
