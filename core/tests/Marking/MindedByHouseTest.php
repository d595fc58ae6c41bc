<?php

declare(strict_types=1);

namespace OddSpark\Tests\Marking;

use OddSpark\Bench\Attempt;
use OddSpark\Faults\FaultSet;
use OddSpark\Marking\AttemptReview;
use OddSpark\Marking\Marker;
use OddSpark\Marking\MindedByHouse;
use OddSpark\Run\Memory;
use OddSpark\Tests\Fixtures;
use OddSpark\Tests\TestRig;
use PHPUnit\Framework\TestCase;

/** What only some houses mind: read off the log, and counted where the rules say so. */
final class MindedByHouseTest extends TestCase
{
    /**
     * A call by the book, without some of its acts and with others before them.
     *
     * @param list<array<string, mixed>> $more with the moment at which they are done
     */
    private function account(string $call, ?string $without = null, array $more = []): AttemptReview
    {
        $call = json_decode((string) file_get_contents(__DIR__."/../calls/$call.json"), true, 16, JSON_THROW_ON_ERROR);
        $entries = array_filter($call['entries'], fn (array $e): bool => $e['act'] !== $without);
        $entries = array_map(
            fn (array $e): array => array_diff_key($e, ['reads' => 1, 'sees' => 1, 'because' => 1]),
            [...$entries, ...$more],
        );
        usort($entries, fn (array $a, array $b): int => $a['at_s'] <=> $b['at_s']);
        $plan = TestRig::plan($call['model']);
        $faults = FaultSet::of($plan->model)->only(['healthy', $call['fault']]);
        $log = Fixtures::log($entries);
        $seen = Attempt::run($plan, $faults->get($call['fault']), $log, $call['visit'], new Memory())->observations;

        return Marking::account($plan, $faults, $call['fault'], $seen);
    }

    private function entry(AttemptReview $account, string $act): int
    {
        return $account->entries([$act])[0];
    }

    public function test_a_gas_joint_that_was_opened_is_tested_with_the_gas_on_again(): void
    {
        $tested = $this->account('furnace-valve-coil');
        self::assertFalse((new MindedByHouse($tested))->isUntested($this->entry($tested, 'mend')));
        $untested = $this->account('furnace-valve-coil', 'leak_test');
        self::assertTrue((new MindedByHouse($untested))->isUntested($this->entry($untested, 'mend')));
        $noGas = $this->account('furnace-inducer');
        self::assertFalse((new MindedByHouse($noGas))->isUntested($this->entry($noGas, 'mend')));
        $share = fn (string $way): float => Marker::of($untested)
            ->mark(Marking::rules(with: ['schools' => ['gas_joints' => $way]]))
            ->line('safety')->share;
        self::assertEqualsWithDelta(0.25, $share('left') - $share('tested'), 1e-9);
    }

    public function test_a_part_is_proved_dead_after_it_was_switched_off(): void
    {
        $unproved = $this->account('furnace-inducer');
        self::assertTrue((new MindedByHouse($unproved))->isUnproved($i = $this->entry($unproved, 'mend')));
        $at = $unproved->act($i)->tick / 1000;
        $proof = fn (string $place, float $when): array => [
            'at_s' => $when, 'act' => 'prove_dead', 'known' => 'panel.L', 'place' => $place,
        ];
        foreach (['inducer.L' => false, 'blower.RED' => true] as $place => $is) {
            $proved = $this->account('furnace-inducer', null, [$proof($place, $at - 0.5)]);
            self::assertSame($is, (new MindedByHouse($proved))->isUnproved($this->entry($proved, 'mend')), $place);
        }
        $early = $this->account('furnace-inducer', null, [$proof('inducer.L', 20.0)]); // while it runs
        self::assertTrue((new MindedByHouse($early))->isUnproved($this->entry($early, 'mend')));
    }

    public function test_a_sealed_casing_is_opened_by_whoever_takes_it_off(): void
    {
        $account = $this->account('simple-fan');
        self::assertTrue((new MindedByHouse($account))->opensCasing($this->entry($account, 'door')));
        $plain = $this->account('furnace-inducer');
        self::assertFalse((new MindedByHouse($plain))->opensCasing($this->entry($plain, 'door')));
    }
}
