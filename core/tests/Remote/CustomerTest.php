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
use OddSpark\Marking\Marker;
use OddSpark\Marking\Rules;
use OddSpark\Remote\Customer;
use OddSpark\Remote\PhoneBench;
use OddSpark\Run\Memory;
use OddSpark\Suspects\Tracker;
use OddSpark\Tests\Models;
use OddSpark\Tests\TestRig;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A customer holds the meter: what he can be asked, what he does instead, and what that makes of the suspects. */
final class CustomerTest extends TestCase
{
    private const LIMIT = ['red' => 'limit.b', 'black' => 'board.C'];

    public function test_he_is_asked_for_nothing_that_takes_somebody_trained(): void
    {
        $customer = new Customer(TestRig::plan('furnace-80')->model, 1);
        foreach (['mend' => ['part' => 'limit', 'how' => 'replace'], 'jump' => ['from' => 'limit.a', 'to' => 'limit.b'],
            'lift' => ['end' => 'w01.a'], 'hold' => ['to' => 'held'], 'take' => ['part' => 'limit']] as $act => $with) {
            $refusal = $customer->refusal(Catalogue::make(0, $act, $with));
            self::assertStringContainsString('trained', (string) $refusal, $act);
        }
        $notes = ['leads' => self::LIMIT, 'dial' => ['mode' => 'vac'], 'suspect' => [], 'name' => [], 'read_out' => []];
        foreach ($notes as $act => $with) {
            self::assertNull($customer->refusal(Catalogue::make(0, $act, $with)), $act);
        }
        self::assertStringContainsString('His meter', (string) $customer->refusal(Catalogue::make(0, 'dial', ['mode' => 'ua'])));
    }

    public function test_he_errs_now_and_then_in_ways_of_his_own_and_always_the_same(): void
    {
        $model = TestRig::plan('furnace-80')->model;
        $slips = 0;
        foreach (range(1, 40) as $seed) {
            $customer = new Customer($model, $seed);
            foreach (range(0, 9) as $nth) {
                $asked = Catalogue::make(1000, 'leads', self::LIMIT);
                $done = $customer->does($asked, $nth);
                self::assertEquals($done, (new Customer($model, $seed))->does($asked, $nth));
                if ($done->with !== $asked->with) {
                    $slips++;
                    self::assertCount(1, array_diff_assoc($done->with, $asked->with), 'one lead at a time');
                    self::assertTrue($model->isPlace($done->get('red')) && $model->isPlace($done->get('black')));
                    self::assertNotSame($done->get('red'), $done->get('black'));
                }
                $dial = $customer->does(Catalogue::make(1000, 'dial', ['mode' => 'vac']), $nth);
                self::assertContains($dial->get('mode'), ['vac', 'vdc']);
                $look = Catalogue::make(1000, 'look', ['part' => 'limit']);
                self::assertSame($look, $customer->does($look, $nth));
            }
        }
        self::assertGreaterThan(60, $slips);
        self::assertLessThan(140, $slips);
    }

    public function test_nothing_is_perceived_but_what_he_is_asked_for_and_he_reads_out_where_his_leads_are(): void
    {
        $run = self::worked('furnace-80', 'limit:stuck-open', [
            ['door', ['to' => 'open']], ['leads', ['red' => 'thermostat.R', 'black' => 'thermostat.W']], ['read_out', []],
        ], 3);
        self::assertSame([], array_filter($run->observations->perceived, fn (array $s): bool => $s !== []));
        $said = $run->observations->entries[2][1]->seen['leads'];
        self::assertStringContainsString('Thermostat', $said);
        self::assertStringContainsString('volts AC', $said);
    }

    public function test_he_is_not_to_be_sent_to_line_voltage(): void
    {
        $run = self::worked('furnace-80', 'healthy', [['leads', ['red' => 'panel.L', 'black' => 'panel.N']]], 3);
        self::assertContains('customer-live', $run->observations->entries[0][1]->dangers);
        $run = self::worked('furnace-80', 'healthy', [['leads', ['red' => 'thermostat.R', 'black' => 'thermostat.W']]], 3);
        self::assertSame([], $run->observations->entries[0][1]->dangers);
    }

    public function test_nobody_sent_him_where_his_own_mistake_takes_him(): void
    {
        $plan = TestRig::plan('furnace-80');
        $bench = new PhoneBench($plan, FaultSet::of($plan->model)->get('healthy'), new Memory(), 3);
        $state = $bench->resume($bench->arrive('cold')->state);
        $bench->asked = Catalogue::make(1000, 'leads', ['red' => 'panel.G', 'black' => 'panel.N']);
        $done = Catalogue::make(1000, 'leads', ['red' => 'panel.L', 'black' => 'panel.N']);
        [$state, $outcome] = $bench->do($state, $done);
        self::assertSame([], $outcome->dangers);
        self::assertContains('customer-live', $bench->do($state, $done->at(2000))[1]->dangers, 'now he was sent');
    }

    /** @return iterable<string, array{string}> */
    public static function models(): iterable
    {
        return Models::some(4);
    }

    /** Suspects go by what he did, so his mistakes never strike the fault. */
    #[DataProvider('models')]
    public function test_what_he_does_wrong_never_strikes_the_fault(string $model): void
    {
        $plan = TestRig::plan($model);
        $all = FaultSet::of($plan->model);
        $ids = array_keys($all->faults);
        $places = array_merge(...array_values(array_map(
            fn ($part): array => $part->inVan ? [] : $part->places(),
            $plan->model->parts(),
        )));
        $customer = new Customer($plan->model, crc32($model));
        mt_srand(crc32($model));
        foreach ([2, 11] as $which) {
            $fault = (string) $ids[$which % count($ids)];
            $acts = [['door', ['to' => 'open']]];
            foreach (range(1, 6) as $nth) {
                $two = (array) array_rand(array_flip($places), 2);
                $asked = Catalogue::make(0, 'leads', ['red' => $two[0], 'black' => $two[1]]);
                $acts[] = ['leads', $customer->does($asked, $nth)->with];
            }
            $seen = self::worked($model, $fault, $acts, 9)->observations;
            $one = $all->only([$fault]);
            $arrivals = array_map(PhoneBench::alone(...), (new Tracker($plan, $one, $seen->visit))->arrivals());
            $tracker = new Tracker($plan, $one, $seen->visit, new Memory(), $arrivals);
            $tracker->follow($seen);
            self::assertTrue($tracker->suspects()->has($fault), $fault);
        }
    }

    public function test_a_mistake_that_is_found_out_costs_nothing_and_one_that_is_not_does(): void
    {
        $asked = Catalogue::make(8000, 'leads', ['red' => 'thermostat.R', 'black' => 'thermostat.W']);
        $done = [['door', ['to' => 'open']], ['leads', ['red' => 'thermostat.R', 'black' => 'thermostat.Y']]];
        [$found] = self::guided([...$done, ['read_out', []], ['name', ['fault' => 'limit:stuck-open']]], [1 => $asked]);
        $late = [...$done, ['name', ['fault' => 'limit:stuck-open']], ['read_out', []]];
        [$missed, $why] = self::guided($late, [1 => $asked]);
        [$none] = self::guided([...$done, ['name', ['fault' => 'limit:stuck-open']]], []);
        self::assertEqualsWithDelta([1.0, 0.4, 1.0], [$found, $missed, $none], 1e-9);
        self::assertStringContainsString('Thermostat Y', $why);
        [$sent, $why] = self::guided([['leads', ['red' => 'panel.L', 'black' => 'panel.N']]], []);
        self::assertEqualsWithDelta(0.6, $sent, 1e-9);
        self::assertStringContainsString('line voltage', $why);
    }

    public function test_a_call_is_marked_by_its_trace_and_name_and_nothing_of_a_repair(): void
    {
        [$review, $rules] = self::reviewed([['name', ['fault' => 'limit:stuck-open']], ['hand_back', []]]);
        $mark = Marker::of($review, new Memory(), 'remote', ['guided' => new Guided([])])->mark($rules);
        self::assertSame(
            ['safety', 'trace', 'reasoning', 'finding', 'guided'],
            array_column(array_map(fn ($l): array => ['id' => $l->id], $mark->lines), 'id'),
        );
        self::assertNotContains('fault_left', $mark->caps);
        self::assertContains('guess', $mark->caps);
        self::assertSame([], $mark->callBack['said'], 'nobody was there who could have left it otherwise');
    }

    /**
     * @param list<array{string, array<string, mixed>}> $acts
     * @param array<int, Act> $asked
     * @return array{float, string}
     */
    private static function guided(array $acts, array $asked): array
    {
        [$review, $rules] = self::reviewed($acts);
        $line = (new Guided($asked))->judge($review, $rules);

        return [$line->share, implode(' ', array_column($line->why, 'text'))];
    }

    /**
     * @param list<array{string, array<string, mixed>}> $acts
     * @return array{AttemptReview, Rules}
     */
    private static function reviewed(array $acts): array
    {
        $plan = TestRig::plan('furnace-80');
        $all = FaultSet::of($plan->model)->only(['limit:stuck-open', 'healthy', 'w27:open', 'valve:coil-open']);
        $seen = self::worked('furnace-80', 'limit:stuck-open', $acts, 5)->observations;
        $arrivals = array_map(PhoneBench::alone(...), (new Tracker($plan, $all, $seen->visit))->arrivals());
        $tracker = new Tracker($plan, $all, $seen->visit, new Memory(), $arrivals);
        $rules = Rules::of(json_decode((string) file_get_contents(__DIR__.'/../../rules/journeyman.json'), true));

        return [new AttemptReview($plan, $all, $all->get('limit:stuck-open'), $seen, $tracker), $rules];
    }

    /** @param list<array{string, array<string, mixed>}> $acts four seconds apart */
    private static function worked(string $model, string $fault, array $acts, int $seed): Attempt
    {
        $plan = TestRig::plan($model);
        $log = [];
        foreach ($acts as $i => [$name, $with]) {
            $log[] = Catalogue::make(4000 * ($i + 1), $name, $with);
        }
        $done = new ActionLog($log, seed: $seed);
        $fault = FaultSet::of($plan->model)->get($fault);

        return Attempt::run($plan, $fault, $done, $plan->model->visits()[0], new Memory(), at: PhoneBench::class);
    }
}
