<?php

declare(strict_types=1);

namespace OddSpark\Tests\Marking;

use OddSpark\Appliance\Library;
use OddSpark\Marking\Marker;
use OddSpark\Marking\Rules;
use OddSpark\Marking\RulesError;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Where good practitioners differ, the rules choose: one account, two marks. */
final class SchoolsTest extends TestCase
{
    /**
     * @return iterable<string, array{string, string, array<string, mixed>, string, float, float}> worked attempt,
     *     question, way, line, share under either, under this way
     */
    public static function ways(): iterable
    {
        yield 'begun at the thermostat, the lamp is wanted first' => [
            'furnace-limit-good',
            'basics',
            ['start' => 'lamp'],
            ['start' => 'any'],
            1.0,
            2 / 3,
        ];
        yield 'begun at the thermostat, as wanted' => [
            'furnace-limit-good',
            'basics',
            ['start' => 'thermostat'],
            ['start' => 'any'],
            1.0,
            1.0,
        ];
        yield 'to the cabinet, where the own common is wanted' => [
            'package-limit-ground',
            'technique',
            ['reference' => 'own_common'],
            ['reference' => 'any_metal'],
            1.0,
            0.5,
        ];
        yield 'a limit by volts, where ohms are wanted' => [
            'furnace-limit-good',
            'technique',
            ['limit_test' => 'ohms_dead'],
            ['limit_test' => 'either'],
            1.0,
            0.75,
        ];
        yield 'a limit by volts, as wanted' => [
            'furnace-limit-good',
            'technique',
            ['limit_test' => 'volts'],
            ['limit_test' => 'either'],
            1.0,
            1.0,
        ];
        yield 'a valve by volts, where amps are wanted' => [
            'furnace-healthy-good',
            'technique',
            ['valve_test' => 'amps_first'],
            ['valve_test' => 'volts_first'],
            1.0,
            0.75,
        ];
        yield 'a short jumper, where it is allowed' => [
            'furnace-jumper-supervised',
            'safety',
            ['safety_jumper' => 'never'],
            ['safety_jumper' => 'supervised'],
            1.0,
            0.4,
        ];
        yield 'a sealed casing opened, where it stays closed' => [
            'simple-fan-live',
            'safety',
            ['sealed_casing' => 'stays'],
            ['sealed_casing' => 'may_open'],
            0.4,
            0.15,
        ];
        yield 'trial after trial, where a few are ordinary' => [
            'furnace-gas-left-on',
            'safety',
            ['ignition_trials' => 'ordinary'],
            ['ignition_trials' => 'grave'],
            0.4,
            1.0,
        ];
        yield 'a part replaced unproved, where it is to be proved' => [
            'furnace-igniter-good',
            'safety',
            ['proved_dead' => 'proved'],
            ['proved_dead' => 'switched_off'],
            1.0,
            0.75,
        ];
        yield 'a jumper left is never allowed' => [
            'furnace-limit-jumper-left',
            'safety',
            ['safety_jumper' => 'supervised'],
            ['safety_jumper' => 'never'],
            0.0,
            0.0,
        ];
        yield 'a dirty rod replaced, where cleaning is wanted' => [
            'furnace-rod-replaced-blind',
            'repair',
            ['rod_replacement' => 'damaged_only'],
            ['rod_replacement' => 'either'],
            1.0,
            0.6,
        ];
        yield 'a fuse put in after a look for the short' => [
            'furnace-short-good',
            'repair',
            ['after_short' => 'look_further'],
            ['after_short' => 'part_then_test'],
            1.0,
            1.0,
        ];
    }

    /**
     * @param array<string, string> $this_way
     * @param array<string, string> $other
     */
    #[DataProvider('ways')]
    public function test_a_school_changes_the_line_that_it_is_about(
        string $worked,
        string $line,
        array $this_way,
        array $other,
        float $then,
        float $now,
    ): void {
        $marker = Marker::of(Marking::accountOf(Marking::worked($worked)));
        self::assertEqualsWithDelta(
            $then,
            $marker->mark(Marking::rules('first-year', ['schools' => $other]))->line($line)->share,
            1e-9,
        );
        self::assertEqualsWithDelta(
            $now,
            $marker->mark(Marking::rules('first-year', ['schools' => $this_way]))->line($line)->share,
            1e-9,
        );
    }

    public function test_a_flame_current_is_good_from_what_the_house_says(): void
    {
        $worked = Marking::worked('furnace-rod-good');
        array_splice($worked['entries'], 13, 0, [['at_s' => 88, 'act' => 'meant', 'meaning' => 'good']]);
        $marker = Marker::of(Marking::accountOf($worked));
        $share = fn (float $ua): float => $marker
            ->mark(Marking::rules('first-year', ['schools' => ['flame_current_ua' => $ua]]))
            ->line('reasoning')->share;
        self::assertGreaterThan($share(1.8), $share(0.2), '0.3 microamps are good where 0.2 will do');
    }

    public function test_safeties_and_readings_count_where_the_rules_ask_for_them(): void
    {
        $whole = Marker::of(Marking::accountOf(Marking::worked('furnace-verified')))
            ->mark(Marking::rules('journeyman'))
            ->line('verify');
        self::assertSame(1.0, $whole->share);
        foreach (
            [
                'Pressure switch was made to act',
                'The flame proving was made to act',
                'Limit was made to act',
                'A reading was taken after the repair',
            ] as $sentence
        ) {
            self::assertStringContainsString($sentence, implode(' ', array_column($whole->why, 'text')));
        }
        $little = Marker::of(Marking::accountOf(Marking::worked('furnace-verified-little')));
        self::assertSame(0.5, $little->mark(Marking::rules('journeyman'))->line('verify')->share);
        self::assertSame(1.0, $little->mark(Marking::rules('first-year'))->line('verify')->share);
    }

    public function test_time_and_money_are_off_until_they_weigh(): void
    {
        $marker = Marker::of(Marking::accountOf(Marking::worked('furnace-inducer-swapped')));
        self::assertNotContains('money', array_column($marker->mark(Marking::rules())->toArray()['lines'], 'id'));
        $share = fn (int $parts, int $minutes) => $marker
            ->mark(
                Marking::rules('first-year', [
                    'weights' => ['money' => 10],
                    'budget' => ['parts' => $parts, 'minutes' => $minutes],
                ]),
            )
            ->line('money')->share;
        self::assertSame(1.0, $share(3, 120));
        self::assertEqualsWithDelta((1 + 1 / 3 + 1) / 3, $share(1, 120), 1e-9, 'two parts too many');
        self::assertLessThan(1.0, $share(3, 20));
    }

    public function test_caps_decide_over_the_sum(): void
    {
        $marker = Marker::of(Marking::accountOf(Marking::worked('furnace-limit-wrong-spare')));
        self::assertGreaterThan(90, $marker->mark(Marking::rules())->total());
        self::assertFalse($marker->mark(Marking::rules())->passed());
        $open = (new Library())->rules('first-year');
        $open['not_passed'] = [];
        self::assertTrue($marker->mark(Rules::of($open))->passed());
    }

    public function test_hints_are_paid_for(): void
    {
        $entries = Marking::worked('furnace-limit-good')['entries'];
        array_splice($entries, 6, 0, [
            ['at_s' => 30, 'act' => 'hint', 'grade' => 'where'],
            ['at_s' => 31, 'act' => 'hint', 'grade' => 'reading'],
        ]);
        $plain = Marking::ofFurnace('limit:stuck-open', Marking::worked('furnace-limit-good')['entries']);
        $helped = Marking::ofFurnace('limit:stuck-open', $entries);
        self::assertEqualsWithDelta($plain->total() - 13, $helped->total(), 1e-6);
        self::assertSame(['where' => 1, 'reading' => 1], $helped->hints);
    }

    public function test_the_three_that_are_shipped_are_as_the_format_asks_and_come_back_as_they_were(): void
    {
        foreach (['first-year', 'journeyman', 'examination'] as $name) {
            $rules = Marking::rules($name);
            self::assertEquals($rules, Rules::of($rules->toArray()), $name);
        }
        self::assertNotSame([], Marking::rules('examination')->stops);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function mistakes(): iterable
    {
        yield 'no such line' => [['weights' => ['luck' => 5]], '/weights/luck'];
        yield 'weight below nothing' => [['weights' => ['trace' => -1]], '/weights/trace'];
        yield 'pass mark' => [['pass_mark' => 120], '/pass_mark'];
        yield 'no such school' => [['schools' => ['start' => 'attic']], '/schools/start'];
        yield 'no such question' => [['schools' => ['lunch' => 'noon']], '/schools/lunch'];
        yield 'no such danger' => [['stops' => ['noise']], '/stops/0'];
        yield 'no such act' => [['barred' => ['sing']], '/barred/0'];
        yield 'safeties' => [['verify' => ['safeties' => 'some']], '/verify/safeties'];
        yield 'no such key' => [['bonus' => 5], '/bonus'];
        yield 'version' => [['version' => 0], '/version'];
    }

    /** @param array<string, mixed> $with */
    #[DataProvider('mistakes')]
    public function test_rules_that_are_not_as_the_format_asks_say_where(array $with, string $pointer): void
    {
        try {
            Marking::rules('first-year', $with);
        } catch (RulesError $e) {
            self::assertSame($pointer, $e->pointer);

            return;
        }
        self::fail('It was taken.');
    }
}
