<?php

declare(strict_types=1);

namespace OddSpark\Tests\Returning;

use OddSpark\Acts\Catalogue;
use OddSpark\Acts\Notes\ComeBack;
use OddSpark\Bench\Bench;
use OddSpark\Faults\FaultSet;
use OddSpark\Instruments\Logger;
use OddSpark\Run\Memory;
use OddSpark\Suspects\LoggerChart;
use OddSpark\Suspects\Trial;
use OddSpark\Tests\TestRig;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Whether a logger on two places tells two faults apart in a night, judged by hand from the drawings, before it was
 * computed: common practice, no source. Where the two were apart it is said beside the example.
 */
final class NightsByHandTest extends TestCase
{
    /** @return iterable<string, array{array<string, mixed>}> */
    public static function examples(): iterable
    {
        foreach (json_decode((string) file_get_contents(__DIR__.'/nights.json'), true) as $i => $example) {
            yield "$i {$example['model']} {$example['one']} {$example['other']}" => [$example];
        }
    }

    /** @param array<string, mixed> $example */
    #[DataProvider('examples')]
    public function test_what_was_judged_by_hand_is_judged_the_same(array $example): void
    {
        [$channel, $one] = self::chart($example['model'], $example['one'], $example['on']);
        [, $other] = self::chart($example['model'], $example['other'], $example['on']);
        self::assertSame(
            $example['computed']['apart'] ?? $example['apart'],
            ! LoggerChart::agree($channel, $one, $other),
            $example['why'].' '.json_encode(array_slice($one, 0, 12)).json_encode(array_slice($other, 0, 12)),
        );
    }

    /**
     * @param list<string> $on
     * @return array{string, list<array{int, int, mixed}>} the channel, and what it wrote
     */
    private static function chart(string $model, string $fault, array $on): array
    {
        $plan = TestRig::plan($model);
        $bench = new Bench($plan, FaultSet::of($plan->model)->get($fault), new Memory());
        $state = $bench->resume($bench->arrive($plan->model->visits()[0])->state);
        $trial = new Trial($plan->model);
        $acts = [
            Catalogue::make(1000, 'door', ['to' => 'open']), Catalogue::make(1000, 'hold', ['to' => 'held']),
            ...$trial->calls(2000), ...$trial->resets(2000),
            Catalogue::make(20_000, 'logger', ['on' => $on, 'mode' => 'vac']), Catalogue::make(21_000, 'come_back'),
        ];
        foreach ($acts as $act) {
            [$state, $outcome] = $bench->do($state, $act);
            self::assertNull($outcome->refused, $act->name);
        }
        $bench->advance($state, 21_000 + ComeBack::NIGHT + 1000);
        $charts = array_filter(
            $bench->record->until(21_000 + ComeBack::NIGHT + 1000),
            Logger::isOf(...),
            ARRAY_FILTER_USE_KEY,
        );
        self::assertCount(1, $charts);

        return [(string) array_key_first($charts), array_values($charts)[0]];
    }
}
