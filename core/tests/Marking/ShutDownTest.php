<?php

declare(strict_types=1);

namespace OddSpark\Tests\Marking;

use OddSpark\Bench\Attempt;
use OddSpark\Bench\Kit;
use OddSpark\Faults\FaultSet;
use OddSpark\Marking\Mark;
use OddSpark\Marking\Marker;
use OddSpark\Run\Memory;
use OddSpark\Tests\Fixtures;
use OddSpark\Tests\TestRig;
use PHPUnit\Framework\TestCase;

/** Made safe, tagged out and the customer told: a right ending where a fault must not run, and none elsewhere. */
final class ShutDownTest extends TestCase
{
    private const SHUT_DOWN = [
        ['at_s' => 60, 'act' => 'set', 'part' => 'cock', 'lever' => 'handle', 'to' => 'shut'],
        ['at_s' => 62, 'act' => 'set', 'part' => 'service', 'lever' => 'lever', 'to' => 'off'],
        ['at_s' => 63, 'act' => 'door', 'to' => 'shut'],
        ['at_s' => 64, 'act' => 'tag_out', 'to' => 'tagged'],
        ['at_s' => 66, 'act' => 'tell', 'about' => 'unsafe'],
        ['at_s' => 70, 'act' => 'hand_back'],
    ];

    public function test_a_cracked_exchanger_is_shut_down_and_that_is_right(): void
    {
        $mark = self::mark('exchanger:cracked', [
            ['at_s' => 12, 'act' => 'look', 'part' => 'exchanger'],
            ['at_s' => 20, 'act' => 'name', 'fault' => 'exchanger:cracked'],
            ...self::SHUT_DOWN,
        ]);
        self::assertNotContains('fault_left', $mark->caps);
        self::assertNotContains('called_back', $mark->caps);
        self::assertSame(1.0, $mark->line('repair')->share);
        self::assertSame(1.0, $mark->line('verify')->share);
    }

    public function test_without_the_tag_or_the_word_it_is_not(): void
    {
        foreach (['tag_out', 'tell'] as $left) {
            $mark = self::mark('exchanger:cracked', [
                ['at_s' => 12, 'act' => 'look', 'part' => 'exchanger'],
                ['at_s' => 20, 'act' => 'name', 'fault' => 'exchanger:cracked'],
                ...array_values(array_filter(self::SHUT_DOWN, fn (array $act): bool => $act['act'] !== $left)),
            ]);
            self::assertContains('fault_left', $mark->caps, "without $left");
        }
    }

    public function test_what_can_be_put_right_is_not_shut_down(): void
    {
        $mark = self::mark('limit:stuck-open', [
            ['at_s' => 12, 'act' => 'name', 'fault' => 'limit:stuck-open'],
            ...self::SHUT_DOWN,
        ]);
        self::assertContains('fault_left', $mark->caps);
        self::assertStringContainsString(
            'could have been repaired',
            implode(' ', array_column($mark->line('repair')->why, 'text')),
        );
    }

    /** @param list<array<string, mixed>> $entries */
    private static function mark(string $fault, array $entries): Mark
    {
        $plan = TestRig::plan('furnace-80');
        $faultSet = FaultSet::of($plan->model);
        $before = [
            ['at_s' => 2, 'act' => 'look', 'part' => 'thermostat'],
            ['at_s' => 4, 'act' => 'look', 'part' => 'breaker'],
            ['at_s' => 6, 'act' => 'look', 'part' => 'cock'],
            ['at_s' => 8, 'act' => 'look', 'part' => 'board'],
            ['at_s' => 10, 'act' => 'door', 'to' => 'open'],
        ];
        $seen = Attempt::run(
            $plan,
            $faultSet->get($fault),
            Fixtures::log([...$before, ...$entries], 7),
            'cold',
            new Memory(),
            null,
            new Kit(),
        )->observations;

        return Marker::of(Marking::account($plan, $faultSet, $fault, $seen))->mark(Marking::rules());
    }
}
