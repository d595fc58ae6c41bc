<?php

declare(strict_types=1);

namespace OddSpark\Tests\Comparing;

use OddSpark\Acts\ActionLog;
use OddSpark\Acts\Catalogue;
use OddSpark\Bench\Attempt;
use OddSpark\Bench\PairedBench;
use OddSpark\Faults\FaultSet;
use OddSpark\Marking\AttemptReview;
use OddSpark\Marking\Lines\Compared;
use OddSpark\Marking\Rules;
use OddSpark\Run\Memory;
use OddSpark\Suspects\Tracker;
use OddSpark\Tests\TestRig;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Comparisons judged by hand from the drawings, before the judge was asked: common practice, no source. Where the two
 * were apart it is said beside the example.
 */
final class ComparedTest extends TestCase
{
    /** @return iterable<string, array{array<string, mixed>}> */
    public static function examples(): iterable
    {
        foreach (json_decode((string) file_get_contents(__DIR__.'/compared.json'), true) as $i => $example) {
            yield "$i {$example['model']} {$example['fault']}" => [$example];
        }
    }

    /** @param array<string, mixed> $example */
    #[DataProvider('examples')]
    public function test_what_was_judged_by_hand_is_judged_the_same(array $example): void
    {
        $plan = TestRig::plan($example['model']);
        $all = FaultSet::of($plan->model)->only([$example['fault'], 'healthy']);
        $log = [Catalogue::make(1000, 'door', ['to' => 'open']), Catalogue::make(2000, 'hold', ['to' => 'held'])];
        $tick = 2000;
        foreach ($example['acts'] as $act) {
            $tick += $act[0] === 'wait' ? 60_000 : 4000;
            $places = ['red' => $act[1] ?? null, 'black' => $act[2] ?? null];
            $log[] = match ($act[0]) {
                'there' => Catalogue::make($tick, 'twin', ['does' => 'leads'] + $places),
                'here' => Catalogue::make($tick, 'leads', $places),
                'wait' => Catalogue::make($tick, 'wait'),
            };
        }
        $seen = Attempt::run(
            $plan,
            $all->get($example['fault']),
            new ActionLog($log, seed: 5),
            $plan->model->visits()[0],
            new Memory(),
            at: PairedBench::class,
        )->observations;
        $tracker = new Tracker($plan, $all, $seen->visit);
        $review = new AttemptReview($plan, $all, $all->get($example['fault']), $seen, $tracker);
        $rules = Rules::of(json_decode((string) file_get_contents(__DIR__.'/../../rules/journeyman.json'), true));
        $line = (new Compared())->judge($review, $rules);
        self::assertEqualsWithDelta(
            $example['computed']['share'] ?? $example['share'],
            $line->share,
            1e-9,
            $example['why'].' '.implode(' ', array_column($line->why, 'text')),
        );
    }
}
