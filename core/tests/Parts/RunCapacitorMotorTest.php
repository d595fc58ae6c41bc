<?php

declare(strict_types=1);

namespace OddSpark\Tests\Parts;

use OddSpark\Tests\Fixtures;
use OddSpark\Tests\TestRig;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A motor of one speed with its run capacitor: common practice, no source. */
final class RunCapacitorMotorTest extends TestCase
{
    /** @return iterable<string, array{float, string}> µF on it, and how it runs */
    public static function capacitors(): iterable
    {
        yield 'as marked' => [7.5, 'runs'];
        yield 'weak' => [4.0, 'slow'];
        yield 'open' => [0.0001, 'hums'];
    }

    #[DataProvider('capacitors')]
    public function test_it_runs_as_its_capacitor_lets_it(float $microfarad, string $shows): void
    {
        $rig = self::fan(['plates' => ['microfarad' => $microfarad]]);
        self::assertSame($shows, $rig->machine->shows($rig->state, 'fan.motor'));
    }

    public function test_there_are_more_volts_on_a_sound_capacitor_than_the_line_has(): void
    {
        $rig = self::fan([]);
        self::assertGreaterThan(125, $rig->volts('cap.1', 'cap.2'));
    }

    /** @param array<string, array<string, mixed>> $params of the capacitor */
    private static function fan(array $params): TestRig
    {
        $model = Fixtures::small(
            ['panel' => 'supply', 'fan' => 'fan-psc', 'cap' => ['kind' => 'capacitor', 'params' => $params]],
            [
                ['panel.L', 'fan.BLK'],
                ['panel.N', 'fan.WHT'],
                ['fan.BRN1', 'cap.1'],
                ['fan.BRN2', 'cap.2'],
            ],
        );

        return TestRig::ofModel($model)->run(20);
    }
}
