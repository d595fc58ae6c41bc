<?php

declare(strict_types=1);

namespace OddSpark\Tests\Remote;

use OddSpark\Acts\Act;
use OddSpark\Acts\ActionLog;
use OddSpark\Acts\Catalogue;
use OddSpark\Bench\Attempt;
use OddSpark\Faults\FaultSet;
use OddSpark\Marking\AttemptReview;
use OddSpark\Marking\Lines\Guided;
use OddSpark\Marking\Rules;
use OddSpark\Remote\PhoneBench;
use OddSpark\Run\Memory;
use OddSpark\Suspects\Tracker;
use OddSpark\Tests\TestRig;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Calls by telephone judged by hand, before the judge was asked: common practice, no source. Where the two were apart
 * it is said beside the example.
 */
final class GuidedTest extends TestCase
{
    /** @return iterable<string, array{array<string, mixed>}> */
    public static function examples(): iterable
    {
        foreach (json_decode((string) file_get_contents(__DIR__.'/guided.json'), true) as $i => $example) {
            yield "$i {$example['model']}" => [$example];
        }
    }

    /** @param array<string, mixed> $example */
    #[DataProvider('examples')]
    public function test_what_was_judged_by_hand_is_judged_the_same(array $example): void
    {
        $plan = TestRig::plan($example['model']);
        $all = FaultSet::of($plan->model)->only(['healthy']);
        $log = [Catalogue::make(1000, 'door', ['to' => 'open'])];
        foreach ($example['acts'] as $act) {
            $log[] = self::act(4000 * (count($log) + 1), $act);
        }
        $visit = $plan->model->visits()[0];
        $done = new ActionLog($log, seed: 5);
        $run = Attempt::run($plan, $all->get('healthy'), $done, $visit, new Memory(), at: PhoneBench::class);
        $seen = $run->observations;
        foreach ($seen->entries as [$act, $outcome]) {
            self::assertNull($outcome->refused, $act->name);
        }
        $asked = [];
        foreach ($example['slips'] as $i => $act) {
            $asked[(int) $i + 1] = self::act(4000 * ((int) $i + 2), $act); // the door comes first
        }
        $arrivals = array_map(PhoneBench::alone(...), (new Tracker($plan, $all, $visit))->arrivals());
        $tracker = new Tracker($plan, $all, $visit, new Memory(), $arrivals);
        $rules = Rules::of(json_decode((string) file_get_contents(__DIR__.'/../../rules/journeyman.json'), true));
        $review = new AttemptReview($plan, $all, $all->get('healthy'), $seen, $tracker);
        $line = (new Guided($asked))->judge($review, $rules);
        self::assertEqualsWithDelta(
            $example['computed']['share'] ?? $example['share'],
            $line->share,
            1e-9,
            $example['why'].' '.implode(' ', array_column($line->why, 'text')),
        );
    }

    /** @param list<string> $act name, and what it takes */
    private static function act(int $tick, array $act): Act
    {
        $fields = [
            'leads' => ['red', 'black'], 'dial' => ['mode'], 'set' => ['part', 'lever', 'to'], 'name' => ['fault'],
        ][$act[0]] ?? [];

        return Catalogue::make($tick, $act[0], array_combine($fields, array_slice($act, 1)));
    }
}
