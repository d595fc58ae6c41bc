<?php

declare(strict_types=1);

namespace OddSpark\Tests\WiringUp;

use OddSpark\Appliance\Compiler;
use OddSpark\Appliance\Library;
use OddSpark\Tests\Sample;
use OddSpark\WiringUp\Judge;
use OddSpark\WiringUp\Task;
use OddSpark\WiringUp\Tried;
use OddSpark\WiringUp\Verdict;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Wirings judged by hand from the drawings, before the judge was asked: common practice, no source. Where the two were
 * apart it is said beside the example.
 */
final class WorkedTest extends TestCase
{
    /** @return iterable<string, array{list<array<string, mixed>>}> by model */
    public static function examples(): iterable
    {
        $by = [];
        foreach (json_decode((string) file_get_contents(__DIR__.'/worked.json'), true) as $example) {
            $by[$example['model']][] = $example;
        }
        foreach ($by as $model => $examples) {
            yield $model => [$examples];
        }
    }

    /** @param list<array<string, mixed>> $examples */
    #[DataProvider('examples')]
    public function test_what_was_judged_by_hand_is_judged_the_same(array $examples): void
    {
        $sound = (new Library())->model($examples[0]['model']);
        $judge = new Judge(Compiler::compile($sound), $sound->visits()[0]);
        $apart = [];
        foreach (Sample::of(3, $examples) as $e) {
            $laid = array_map(fn (array $l): array => ['from' => $l[0], 'to' => $l[1]], $e['lay']);
            $verdict = $judge->of((new Task($sound, $e['off']))->with($laid));
            $isAs = $verdict->isRight() === $e['right']
                && (! isset($e['unsafe']) || $verdict->isUnguarded() === $e['unsafe'])
                && (! isset($e['load']) || self::isAmong($e['load'], $verdict));
            if (! $isAs) {
                $apart[] = "{$e['name']}: ".implode(' ', $verdict->first()?->sentences() ?? ['right']);
            }
        }
        self::assertSame([], $apart);
    }

    private static function isAmong(string $load, Verdict $verdict): bool
    {
        $wrong = array_merge(...array_map(
            fn (Tried $t): array => array_column($t->otherwise, 'load'),
            [...$verdict->visited, ...$verdict->tried],
        ));

        return array_filter($wrong, fn (string $id): bool => str_starts_with($id, $load)) !== [];
    }
}
