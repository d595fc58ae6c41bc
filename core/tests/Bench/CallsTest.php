<?php

declare(strict_types=1);

namespace OddSpark\Tests\Bench;

use OddSpark\Acts\Catalogue;
use OddSpark\Bench\Bench;
use OddSpark\Bench\Outcome;
use OddSpark\Bench\Wording;
use OddSpark\Faults\FaultSet;
use OddSpark\Run\Memory;
use OddSpark\Tests\TestRig;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Service calls from the call to the hand-back, as documents in tests/calls: what a good technician does, and
 * what he would read and see at each step by the values of the trade (common practice, no source).
 */
final class CallsTest extends TestCase
{
    /** @return iterable<string, array{array<string, mixed>}> */
    public static function calls(): iterable
    {
        foreach (glob(__DIR__.'/../calls/*.json') ?: [] as $file) {
            yield basename($file, '.json') => [
                json_decode((string) file_get_contents($file), true, 32, JSON_THROW_ON_ERROR),
            ];
        }
    }

    /** @param array<string, mixed> $call */
    #[DataProvider('calls')]
    public function test_a_call_goes_as_a_good_technician_would_expect(array $call): void
    {
        $plan = TestRig::plan($call['model']);
        $bench = new Bench($plan, FaultSet::of($plan->model)->get($call['fault']), new Memory(), 7);
        $state = $bench->arrive($call['visit'])->state;
        $state = $bench->resume($state);
        $wording = new Wording($plan->model);
        foreach ($call['entries'] as $i => $entry) {
            $act = Catalogue::act(array_diff_key($entry, ['reads' => 1, 'sees' => 1, 'because' => 1]), "/entries/$i");
            [$state, $outcome] = $bench->do($state, $act);
            $where = "entry $i, {$wording->entry($act, $outcome)}";
            self::assertNull($outcome->refused, $where);
            self::assertSame([], $outcome->dangers, $where);
            if (isset($entry['reads'])) {
                $this->reads($entry['reads'], $outcome, $where);
            }
            if (isset($entry['sees'])) {
                self::assertStringContainsString($entry['sees'], implode(' ', $outcome->seen), $where);
            }
        }
        self::assertTrue(
            $state->slots[$call['heats']]['lit'] ?? $state->slots[$call['heats']]['band'] === 'full',
            'it heats when it is handed back',
        );
        self::assertSame($state->wired, $state->jumpers);
    }

    public function test_each_archetype_has_three(): void
    {
        $of = array_count_values(
            array_map(fn (array $c) => $c[0]['model'], array_values(iterator_to_array(self::calls()))),
        );
        $three = array_filter($of, fn (int $calls): bool => $calls >= 3);
        self::assertCount(29, $three, 'of these three and more; one that is another with its limit moved has fewer');
    }

    /** @param array{float|int, float|int}|string $reads */
    private function reads(array|string $reads, Outcome $outcome, string $where): void
    {
        self::assertNotNull($outcome->reading, $where);
        if ($reads === 'OL') {
            self::assertInfinite($outcome->reading->value, $where);

            return;
        }
        self::assertGreaterThanOrEqual($reads[0], $outcome->reading->value, $where);
        self::assertLessThanOrEqual($reads[1], $outcome->reading->value, $where);
    }
}
