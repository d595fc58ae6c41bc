<?php

declare(strict_types=1);

namespace OddSpark\Tests\Returning;

use OddSpark\Acts\Act;
use OddSpark\Acts\ActionLog;
use OddSpark\Acts\Catalogue;
use OddSpark\Acts\Notes\ComeBack;
use OddSpark\Bench\Attempt;
use OddSpark\Bench\Outcome;
use OddSpark\Faults\FaultSet;
use OddSpark\Instruments\Logger;
use OddSpark\Marking\AttemptReview;
use OddSpark\Marking\Lines\Night;
use OddSpark\Marking\Rules;
use OddSpark\Run\Memory;
use OddSpark\Suspects\Comparison;
use OddSpark\Suspects\LoggerChart;
use OddSpark\Suspects\Overnight;
use OddSpark\Suspects\Tracker;
use OddSpark\Suspects\Trial;
use OddSpark\Suspects\UsualPairs;
use OddSpark\Tests\AtTheBench;
use OddSpark\Tests\TestRig;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A logger that is left for a night: what it writes down, what that tells, and what it never does. */
final class NightTest extends TestCase
{
    use AtTheBench;

    public function test_a_logger_goes_on_while_nobody_is_there_and_nothing_else_is_perceived(): void
    {
        $this->arrive('package-direct-spark', 'inducer-relay:tired');
        $this->do('door', ['to' => 'open']);
        self::assertNull($this->do('logger', self::valve())->refused);
        $this->do('door', ['to' => 'shut']);
        $evening = $this->state->now();
        self::assertNull($this->do('come_back')->refused);
        $this->wait(ComeBack::NIGHT / 1000 + 60);
        $heard = $this->bench->record->until($this->state->now());
        $chart = $heard['logger vac valve.MV valve.MVC'];
        self::assertContains('26', array_column($chart, 2), 'the valve had its volts in the night');
        self::assertSame('0', $chart[count($chart) - 1][2], 'and has them no longer');
        $others = array_filter($heard, fn (string $c): bool => ! Logger::isOf($c), ARRAY_FILTER_USE_KEY);
        foreach (array_merge(...array_values($others)) as [$from, $to]) {
            self::assertTrue($to <= $evening + 2000 || $from >= $evening + ComeBack::NIGHT, "$from to $to");
        }
    }

    public function test_what_is_in_the_hand_is_taken_along_and_the_door_left_open_is_told(): void
    {
        $this->arrive('furnace-80');
        self::assertStringContainsString('pairs', (string) $this->do('logger', ['on' => ['board.R'], 'mode' => 'vac'])->refused);
        $same = ['on' => ['board.R', 'board.R'], 'mode' => 'vac'];
        self::assertStringContainsString('two places', (string) $this->do('logger', $same)->refused);
        $behind = ['on' => ['board.R', 'board.C'], 'mode' => 'vac'];
        self::assertStringContainsString('behind the door', (string) $this->do('logger', $behind)->refused);
        $this->do('door', ['to' => 'open']);
        $this->do('hold', ['to' => 'held']);
        $this->do('leads', ['red' => 'board.R', 'black' => 'board.C']);
        self::assertStringContainsString('instruments off', (string) $this->do('come_back')->refused);
        $this->do('leads', ['red' => null, 'black' => null]);
        self::assertEqualsCanonicalizing(['door-open', 'door-switch-held'], $this->do('come_back')->dangers);
    }

    public function test_the_next_morning_a_moment_is_known_from_the_coming_back(): void
    {
        $left = [[Catalogue::make(5000, 'come_back'), new Outcome()]];
        $morning = 5000 + ComeBack::NIGHT;
        self::assertSame(2000.0, (float) Comparison::after($left)->tolerance($morning + 3000));
        $stayed = [[Catalogue::make(5000, 'come_back'), Outcome::refuse('no')]];
        self::assertGreaterThan(3_000_000, Comparison::after($stayed)->tolerance($morning + 3000));
    }

    public function test_it_can_be_left_for_three_nights_and_no_more(): void
    {
        $this->arrive('furnace-80');
        foreach ([1, 2, 3] as $night) {
            self::assertNull($this->do('come_back')->refused, "night $night");
            $this->wait(ComeBack::NIGHT / 1000);
        }
        self::assertStringContainsString('3 nights', (string) $this->do('come_back')->refused);
    }

    public function test_a_logger_loads_the_circuit_as_a_meter_does(): void
    {
        $this->arrive('furnace-80');
        $this->do('door', ['to' => 'open']);
        $this->do('hold', ['to' => 'held']);
        $before = count($this->state->joined);
        $this->do('logger', ['on' => ['board.R', 'board.C', 'board.W', 'board.C'], 'mode' => 'vac']);
        self::assertSame($before + 2, count($this->state->joined));
        self::assertSame(1e-7, $this->state->joined[$before][2]);
        $this->do('logger', ['on' => [], 'mode' => 'vac']);
        self::assertSame($before, count($this->state->joined));
    }

    public function test_charts_are_compared_by_how_long_a_thing_stood_and_not_by_when(): void
    {
        $on = 'logger vac a b';
        $one = [[0, 100_000, '0'], [100_000, 700_000, '24'], [700_000, 9_000_000, '0']];
        $late = [[0, 400_000, '0'], [400_000, 1_040_000, '25'], [1_040_000, 9_000_000, '0']];
        self::assertTrue(LoggerChart::agree($on, $one, $late));
        self::assertFalse(LoggerChart::agree($on, $one, [[0, 9_000_000, '0']]), 'it never had its volts');
        self::assertFalse(LoggerChart::agree($on, [[0, 9_000_000, '0']], $one), 'nor the other way round');
        $short = [[0, 100_000, '0'], [100_000, 160_000, '24'], [160_000, 9_000_000, '0']];
        self::assertFalse(LoggerChart::agree($on, $one, $short), 'ten minutes are not one');
        $low = [[0, 100_000, '0'], [100_000, 700_000, '17'], [700_000, 9_000_000, '0']];
        self::assertFalse(LoggerChart::agree($on, $one, $low), 'nor are 24 V 17 V');
        $end = [[0, 8_900_000, '0'], [8_900_000, 9_000_000, '24']];
        self::assertTrue(LoggerChart::agree($on, $end, [[0, 9_000_000, '0']]), 'it may begin after the chart ends');
    }

    /** @return iterable<string, array{string, string, int}> */
    public static function nights(): iterable
    {
        $faults = [
            'package-direct-spark' => ['inducer-relay:tired', 'rod:dirty', 'healthy'],
            'oil-furnace' => ['cell:dirty', 'motor:coupling'],
            'boiler-hydronic' => ['breaker:weak', 'healthy'],
            'furnace-standing-pilot' => ['healthy'],
            'tube-heater' => ['healthy'],
            'wall-heater-millivolt' => ['healthy'],
        ];
        foreach ($faults as $model => $ids) {
            foreach ($ids as $i => $id) {
                yield "$model $id" => [$model, $id, 11 + $i];
            }
        }
    }

    /** Parts scatter, and the trainee's appliance is no twin of the suspect's: its own fault stays in all the same. */
    #[DataProvider('nights')]
    public function test_a_chart_never_strikes_the_fault_that_it_is_of(string $model, string $fault, int $seed): void
    {
        $plan = TestRig::plan($model);
        $usual = UsualPairs::of($plan->model);
        $pairs = array_values(array_filter($usual->pairs(), fn (array $p): bool => ! $usual->isOneConductor(...$p)));
        $visit = $plan->model->visits()[0];
        $many = getenv('SPARK_ALL_FAULTS') === false ? 1 : 4;
        foreach (array_chunk(array_slice($pairs, $seed % 3, $many * Logger::PAIRS), Logger::PAIRS) as $some) {
            $on = ['on' => array_merge(...$some), 'mode' => $model === 'wall-heater-millivolt' ? 'mvdc' : 'vac'];
            $acts = [...self::evening($model), ['logger', $on], ['come_back', []]];
            [$seen, $tracker] = self::followed($model, $fault, $seed, $acts, [$fault]);
            self::assertNull($seen->entries[count($seen->entries) - 2][1]->refused, (string) json_encode($on));
            self::assertTrue($tracker->suspects()->has($fault), "$visit ".json_encode($on));
        }
    }

    public function test_what_comes_and_goes_is_found_by_the_chart_and_marked_by_where_it_was_left(): void
    {
        $model = 'package-direct-spark';
        $fault = 'inducer-relay:tired';
        $day = self::evening($model);
        [, $tracker] = self::followed($model, $fault, 7, $day);
        $before = $tracker->suspects();
        self::assertGreaterThan(4, $before->count(), 'by day it does not show');
        $best = (new Overnight(TestRig::plan($model), $tracker->candidates(), $before->weights))->best();
        self::assertNotNull($best);
        $on = ['on' => [$best['from'], $best['to']], 'mode' => $best['mode']->value];
        [, $tracker] = self::followed($model, $fault, 7, [...$day, ['logger', $on], ['come_back', []]]);
        self::assertLessThan($before->count() / 2, $tracker->suspects()->count());
        self::assertTrue($tracker->suspects()->has($fault));

        $line = fn (array $left) => self::night($model, $fault, [...$day, ...$left, ['come_back', []]]);
        self::assertSame(1.0, $line([['logger', $on]])[0]);
        [$share, $why] = $line([['logger', ['on' => ['transformer.H1', 'transformer.H2'], 'mode' => 'vac']]]);
        self::assertLessThan(0.3, $share);
        self::assertStringContainsString('elsewhere', $why);
        [$share, $why] = $line([]);
        self::assertSame(0.0, $share);
        self::assertStringContainsString('no logger', $why);
        self::assertStringContainsString('never left', self::night($model, $fault, $day)[1]);
    }

    /** Each third of a model's faults, with one of them and what is sound. */
    private static function some(string $model, string $fault): FaultSet
    {
        $ids = array_keys(FaultSet::of(TestRig::plan($model)->model)->faults);
        $some = array_filter($ids, fn (int $i): bool => $i % 3 === 0, ARRAY_FILTER_USE_KEY);

        return FaultSet::of(TestRig::plan($model)->model)->only([...$some, $fault, 'healthy']);
    }

    /** @return array{on: list<string>, mode: string} */
    private static function valve(): array
    {
        return ['on' => ['valve.MV', 'valve.MVC'], 'mode' => 'vac'];
    }

    /**
     * Everything open, reset and called.
     *
     * @return list<array{string, array<string, mixed>}>
     */
    private static function evening(string $model): array
    {
        $trial = new Trial(TestRig::plan($model)->model);
        $acts = [...$trial->calls(0), ...$trial->resets(0)];
        $acts = array_map(fn (Act $act): array => [$act->name, $act->with], $acts);

        return [['door', ['to' => 'open']], ['hold', ['to' => 'held']], ...$acts, ['wait', []]];
    }

    /**
     * @param list<array{string, array<string, mixed>}> $acts two minutes apart
     * @param list<string> $of suspects; none: some of all
     * @return array{\OddSpark\Bench\Observations, Tracker}
     */
    private static function followed(string $model, string $fault, int $seed, array $acts, array $of = []): array
    {
        $plan = TestRig::plan($model);
        $all = $of === [] ? self::some($model, $fault) : FaultSet::of($plan->model)->only($of);
        $memory = new Memory();
        $visit = $plan->model->visits()[0];
        $tick = 0;
        $log = [];
        foreach ($acts as [$name, $with]) {
            $log[] = Catalogue::make($tick += 120_000, $name, $with);
        }
        $isLeft = array_column($acts, 0)[count($acts) - 1] === ComeBack::NAME;
        $log[] = Catalogue::make($tick + 1000 + ($isLeft ? ComeBack::NIGHT : 0), 'wait');
        $seen = Attempt::run($plan, $all->get($fault), new ActionLog($log, seed: $seed), $visit, $memory)->observations;
        $tracker = new Tracker($plan, $all, $visit, $memory);
        $tracker->follow($seen);

        return [$seen, $tracker];
    }

    /**
     * @param list<array{string, array<string, mixed>}> $acts
     * @return array{float, string} its share, and why
     */
    private static function night(string $model, string $fault, array $acts): array
    {
        [$seen] = self::followed($model, $fault, 7, $acts);
        $plan = TestRig::plan($model);
        $all = self::some($model, $fault);
        $tracker = new Tracker($plan, $all, $seen->visit);
        $review = new AttemptReview($plan, $all, $all->get($fault), $seen, $tracker);
        $rules = Rules::of(json_decode((string) file_get_contents(__DIR__.'/../../rules/journeyman.json'), true));
        $line = (new Night())->judge($review, $rules);

        return [$line->share, implode(' ', array_column($line->why, 'text'))];
    }
}
