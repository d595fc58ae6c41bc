<?php

declare(strict_types=1);

namespace OddSpark\Tests\Marking;

use OddSpark\Appliance\Library;
use OddSpark\Faults\FaultSet;
use OddSpark\Marking\Proficiency;
use OddSpark\Marking\Shown;
use OddSpark\Trade\Competency;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class ProficiencyTest extends TestCase
{
    /**
     * Examples of R. G. Newcombe, "Two-sided confidence intervals for the single proportion", Statistics in Medicine
     * 17,
     * 1998, table I, method 3; from memory.
     */
    #[TestWith([81, 263, 0.2553, 0.3662])]
    #[TestWith([15, 148, 0.0624, 0.1605])]
    #[TestWith([0, 20, 0.0, 0.1611])]
    #[TestWith([1, 29, 0.0061, 0.1718])]
    public function test_the_interval_is_wilsons(int $right, int $of, float $low, float $high): void
    {
        $of = Proficiency::of([...array_fill(0, $right, 1.0), ...array_fill(0, $of - $right, 0.0)]);
        self::assertEqualsWithDelta($low, $of->low, 0.00006);
        self::assertEqualsWithDelta($high, $of->high, 0.00006);
    }

    public function test_nothing_shown_says_nothing_and_more_jobs_say_it_more_surely(): void
    {
        self::assertSame([0.0, 1.0], [Proficiency::of([])->low, Proficiency::of([])->high]);
        $few = Proficiency::of([1.0, 0.5]);
        $many = Proficiency::of(array_merge(...array_fill(0, 10, [1.0, 0.5])));
        self::assertSame($few->share, $many->share);
        self::assertLessThan($few->high - $few->low, $many->high - $many->low);
    }

    public function test_lines_show_what_they_are_about_and_the_trace_what_had_failed(): void
    {
        $shown = Shown::by(
            ['trace' => 0.8, 'finding' => 1.0, 'technique' => 0.5, 'verify' => 0.0, 'money' => 1.0],
            'igniter',
        );
        self::assertEqualsWithDelta(0.9, $shown[Competency::Ignition->value], 1e-9);
        self::assertSame(0.5, $shown[Competency::Meter->value]);
        self::assertSame(0.0, $shown[Competency::Verification->value]);
        self::assertCount(3, $shown);
    }

    /** What no competency stands for is a fault that nobody can be shown to be good at. */
    public function test_every_family_of_a_shipped_fault_has_its_competency(): void
    {
        $without = [];
        foreach ((new Library())->names() as $name) {
            foreach (FaultSet::of((new Library())->model($name))->faults as $fault) {
                if (Shown::byFinding($fault->family) === null) {
                    $without[$fault->family] = true;
                }
            }
        }
        // nothing wrong, what others left behind, and several at once are about no one thing
        self::assertSame([], array_diff(array_keys($without), ['healthy', 'found', 'compound', 'compounds']));
    }
}
