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
use OddSpark\Run\BenchState;
use OddSpark\Run\Memory;
use OddSpark\Suspects\Tracker;
use OddSpark\Tests\Models;
use OddSpark\Tests\TestRig;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The failed unit beside its sound twin: two boards, one meter, and what a comparison is. */
final class TwinTest extends TestCase
{
    private const OPEN = [['door', ['to' => 'open']], ['hold', ['to' => 'held']]];

    public function test_what_is_set_is_set_on_both_and_the_leads_are_where_they_were_put_last(): void
    {
        $leads = ['red' => 'limit.b', 'black' => 'board.C'];
        $run = self::worked('furnace-80', 'limit:stuck-open', [...self::OPEN, ['wait', []], ['twin', ['does' => 'leads'] + $leads]]);
        $twin = $run->state->twin;
        self::assertNotNull($twin);
        self::assertSame(['limit.b', null], [$twin->red, $run->state->red]);
        self::assertTrue($twin->slots['burners.fire']['lit'], 'it is called as the failed one is');
        self::assertFalse($run->state->slots['burners.fire']['lit']);
        self::assertSame($run->state->open, $twin->open);

        $run = self::worked('furnace-80', 'limit:stuck-open', [...self::OPEN, ['twin', ['does' => 'leads'] + $leads], ['leads', $leads]]);
        self::assertSame([null, 'limit.b'], [$run->state->twin?->red, $run->state->red]);
        $dialled = self::worked('furnace-80', 'healthy', [['twin', ['does' => 'dial', 'mode' => 'ohm']]]);
        self::assertSame(['ohm', 'ohm'], [$dialled->state->mode->value, $dialled->state->twin?->mode->value]);
        $kept = BenchState::fromArray(json_decode((string) json_encode($run->state->toArray()), true));
        self::assertEquals($run->state->twin->slots, $kept->twin?->slots);
    }

    public function test_a_repair_is_done_to_the_failed_unit_alone(): void
    {
        $run = self::worked('furnace-80', 'limit:stuck-open', [...self::OPEN, ['mend', ['part' => 'limit', 'how' => 'replace']]]);
        self::assertSame(['limit'], $run->state->mended);
        self::assertSame([], $run->state->twin?->mended);
    }

    /** @return iterable<string, array{string}> */
    public static function models(): iterable
    {
        return Models::some(3);
    }

    /** The twin tells nothing of the failed unit by itself: with its readings and without, the same suspects stand. */
    #[DataProvider('models')]
    public function test_readings_on_the_twin_strike_no_suspect(string $model): void
    {
        $plan = TestRig::plan($model);
        $all = FaultSet::of($plan->model);
        $some = $all->only(array_slice(array_keys($all->faults), 0, 12));
        $fault = (string) array_keys($some->faults)[3];
        $places = [];
        foreach ($plan->model->parts() as $part) {
            array_push($places, ...($part->inVan ? [] : $part->places()));
        }
        $read = ['leads', ['red' => $places[0], 'black' => $places[1]]];
        $pause = ['pause', []];
        $plain = [...self::OPEN, $pause, ['wait', []], $read, $pause, ['wait', []]];
        $on = ['twin', ['does' => 'leads', 'red' => $places[2], 'black' => $places[3]]];
        $look = ['twin', ['does' => 'look', 'part' => explode('.', $places[0])[0]]];
        $twin = [...self::OPEN, $on, ['wait', []], $read, $look, ['wait', []]];
        $left = [];
        foreach ([$plain, $twin] as $acts) {
            $seen = self::worked($model, $fault, $acts)->observations;
            $tracker = new Tracker($plan, $some, $seen->visit, new Memory());
            $tracker->follow($seen);
            $left[] = array_keys($tracker->suspects()->weights);
            self::assertTrue($tracker->suspects()->has($fault));
        }
        self::assertSame($left[0], $left[1]);
    }

    public function test_like_is_compared_with_like_or_it_is_no_comparison(): void
    {
        $places = ['red' => 'limit.b', 'black' => 'board.C'];
        $there = ['twin', ['does' => 'leads'] + $places];
        $here = ['leads', $places];
        $wait = ['wait', []];

        [$share, $why] = self::compared([...self::OPEN, $wait, $wait, $there, $here]);
        self::assertSame(1.0, $share, $why);
        self::assertStringContainsString('difference between the two was found', $why);

        [$share, $why] = self::compared([...self::OPEN, $wait, $wait, $there]);
        self::assertSame(0.0, $share);
        self::assertStringContainsString('not read on the failed unit', $why);

        $valve = ['red' => 'valve.MV', 'black' => 'valve.MVC'];
        [$share, $why] = self::compared([
            ...self::OPEN, ['leads', $valve], $wait, $wait, $wait, $wait, ['twin', ['does' => 'leads'] + $valve],
        ]);
        self::assertLessThan(0.5, $share, 'read before the call and after it: '.$why);
        self::assertStringContainsString('another moment', $why);

        $supply = ['red' => 'board.R', 'black' => 'board.C'];
        [$share, $why] = self::compared([...self::OPEN, ['leads', $supply], ['twin', ['does' => 'leads'] + $supply]]);
        self::assertEqualsWithDelta(0.7, $share, 1e-9, 'like with like, and no difference: '.$why);
        self::assertSame([0.0, 'Nothing was read on the sound twin.'], self::compared(self::OPEN));
    }

    /**
     * @param list<array{string, array<string, mixed>}> $acts
     * @return array{float, string}
     */
    private static function compared(array $acts): array
    {
        $plan = TestRig::plan('furnace-80');
        $all = FaultSet::of($plan->model)->only(['limit:stuck-open', 'healthy', 'w27:open']);
        $seen = self::worked('furnace-80', 'limit:stuck-open', $acts)->observations;
        $tracker = new Tracker($plan, $all, $seen->visit);
        $review = new AttemptReview($plan, $all, $all->get('limit:stuck-open'), $seen, $tracker);
        $rules = Rules::of(json_decode((string) file_get_contents(__DIR__.'/../../rules/journeyman.json'), true));
        $line = (new Compared())->judge($review, $rules);

        return [$line->share, implode(' ', array_column($line->why, 'text'))];
    }

    /** @param list<array{string, array<string, mixed>}> $acts a minute apart, but leads that follow each other */
    private static function worked(string $model, string $fault, array $acts): Attempt
    {
        $plan = TestRig::plan($model);
        $tick = 0;
        $log = [];
        foreach ($acts as [$name, $with]) {
            $tick += $name === 'wait' ? 60_000 : 4_000;
            $log[] = Catalogue::make($tick, $name === 'pause' ? 'wait' : $name, $with);
        }
        $visit = $plan->model->visits()[0];
        $all = FaultSet::of($plan->model);

        $done = new ActionLog($log, seed: 5);

        return Attempt::run($plan, $all->get($fault), $done, $visit, new Memory(), at: PairedBench::class);
    }
}
