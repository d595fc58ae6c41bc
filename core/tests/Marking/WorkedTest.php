<?php

declare(strict_types=1);

namespace OddSpark\Tests\Marking;

use OddSpark\Bench\Attempt;
use OddSpark\Faults\Universe;
use OddSpark\Run\Memory;
use OddSpark\Tests\Fixtures;
use OddSpark\Tests\Stand;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Worked attempts as documents in tests/worked, marked by hand by the sheet of docs/marking.md. */
final class WorkedTest extends TestCase
{
    private const LINES = ['safety', 'basics', 'technique', 'trace', 'reasoning', 'finding', 'repair', 'verify'];

    /** @return iterable<string, array{array<string, mixed>}> */
    public static function attempts(): iterable
    {
        foreach (glob(__DIR__.'/../worked/*.json') ?: [] as $file) {
            yield basename($file, '.json') => [json_decode((string) file_get_contents($file), true, 32, JSON_THROW_ON_ERROR)];
        }
    }

    /** @param array<string, mixed> $worked */
    #[DataProvider('attempts')]
    public function test_everything_in_it_can_be_done_and_every_line_is_judged(array $worked): void
    {
        self::assertSame(self::LINES, array_keys($worked['lines']));
        foreach ($worked['lines'] as $id => $line) {
            self::assertContains($line['level'], ['full', 'most', 'some', 'none'], $id);
            self::assertNotSame('', $line['why'], $id);
            foreach ($line['at'] ?? [] as $i) {
                self::assertArrayHasKey($i, $worked['entries'], $id);
            }
        }
        $plan = Stand::plan($worked['model']);
        $log = Fixtures::log($worked['entries'], $worked['seed'] ?? 7);
        foreach (Attempt::run($plan, Universe::of($plan->model)->get($worked['fault']), $log, $worked['visit'], new Memory())->observations->entries as $i => [$act, $outcome]) {
            self::assertNull($outcome->refused, "entry $i, $act->name");
        }
    }

    public function test_there_are_enough_of_each_kind(): void
    {
        $all = array_map(fn (array $a) => $a[0], array_values(iterator_to_array(self::attempts())));
        self::assertGreaterThanOrEqual(40, count($all));
        self::assertCount(9, array_unique(array_column($all, 'model')));
        $kinds = array_count_values(array_column($all, 'kind'));
        foreach (['good', 'lucky', 'unsafe', 'wrong meter mode', 'right place at the wrong moment', 'right answer by guess', 'first fault found taken for the only one',
            'fuse replaced and cause left', 'parts swapped', 'jumper left', 'safety reset again and again', 'all verified and restored'] as $kind) {
            self::assertArrayHasKey($kind, $kinds);
        }
    }
}
