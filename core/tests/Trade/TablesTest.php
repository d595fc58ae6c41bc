<?php

declare(strict_types=1);

namespace OddSpark\Tests\Trade;

use OddSpark\Appliance\Compiler;
use OddSpark\Run\Machine;
use OddSpark\Run\Memory;
use OddSpark\Tests\Fixtures;
use OddSpark\Trade\Conductor;
use OddSpark\Trade\Units;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Wire tables, units and bench sums against published figures; each source beside its check. */
final class TablesTest extends TestCase
{
    /** @return iterable<array{int, float}> gauge, Ω per 1000 ft */
    public static function table8(): iterable
    {
        // NFPA 70 (NEC), chapter 9, table 8: copper, uncoated, solid, DC at 75 °C; figures from memory of that table
        foreach ([18 => 7.77, 16 => 4.89, 14 => 3.07, 12 => 1.93, 10 => 1.21] as $awg => $ohm) {
            yield [$awg, $ohm];
        }
    }

    #[DataProvider('table8')]
    public function test_copper_by_gauge_at_75_degrees(int $awg, float $ohm): void
    {
        self::assertEqualsWithDelta($ohm, Conductor::ohms($awg, 1000, 75), 1e-9);
    }

    public function test_copper_by_temperature(): void
    {
        // the same table's note: R2 = R1 (1 + 0.00323 (T2 − 75))
        self::assertEqualsWithDelta(3.07 * (1 - 0.00323 * 50), Conductor::ohms(14, 1000, 25), 1e-9);
        self::assertEqualsWithDelta(3.07 * (1 + 0.00323 * 25), Conductor::ohms(14, 1000, 100), 1e-9);
    }

    public function test_gauges_that_the_table_leaves_out_follow_from_the_gauge_itself(): void
    {
        // 39 steps of gauge are a factor of 92 in diameter: three of them nearly double the area
        self::assertEqualsWithDelta(7.77 * 92 ** (4 / 39), Conductor::ohms(20, 1000, 75), 1e-9);
        self::assertEqualsWithDelta(
            Conductor::ohms(18, 1000, 75) / Conductor::ohms(10, 1000, 75),
            92 ** (16 / 39),
            0.1,
        );
        $this->expectExceptionMessage('13 AWG');
        Conductor::ohms(13, 10);
    }

    public function test_copper_by_square_millimetres(): void
    {
        // annealed copper, 1/58 Ω mm²/m at 20 °C (IEC 60028, from memory); 14 AWG is 2.08 mm²
        self::assertEqualsWithDelta(1 / 58 / 1.5 * 100, Conductor::metric(1.5, 100, 20), 1e-9);
        self::assertEqualsWithDelta(Conductor::ohms(14, 1000 / 0.3048, 20), Conductor::metric(2.08, 1000, 20), 0.35);
    }

    public function test_a_hot_wire_loses_more_volts(): void
    {
        $lost = function (float $celsius): float {
            $model = Fixtures::small(
                [
                    'panel' => 'supply',
                    'heat' => ['kind' => 'igniter', 'params' => ['element' => ['cold_ohm' => 10, 'hot_ohm' => 10]]],
                ],
                [['panel.L', 'heat.1', ['awg' => 14, 'feet' => 50, 'celsius' => $celsius]], ['panel.N', 'heat.2']],
            );
            $plan = Compiler::compile($model);
            $machine = new Machine($plan, [], new Memory());

            return $machine->solution($machine->initial())->acVolts($plan->places['w0.a'], $plan->places['w0.b']);
        };
        // by hand: 50 ft of 14 AWG carrying 12 A
        self::assertEqualsWithDelta(12 * Conductor::ohms(14, 50, 25), $lost(25), 0.05);
        self::assertEqualsWithDelta((1 + 0.00323 * 5) / (1 - 0.00323 * 50), $lost(80) / $lost(25), 0.01);
    }

    public function test_units(): void
    {
        // NIST SP 811, appendix B; the trade says 27.7 in. w.c. a psi
        self::assertEqualsWithDelta(27.68, Units::PA_PER_PSI / Units::PA_PER_IN_WC, 0.005);
        self::assertSame(0.2930711, Units::W_PER_BTU_H);
        // derived: 60 min × 0.075 lb/ft³ × 0.24 Btu/lb°F of standard air
        self::assertEqualsWithDelta(60 * 0.075 * 0.24, Units::AIR_BTU_H_PER_CFM_F, 1e-9);
    }

    public function test_a_capacitor_under_load(): void
    {
        // µF = 2652 A / V at 60 Hz and 3183 at 50 Hz: 10⁶ / 2πf, derived
        foreach ([60 => 2652, 50 => 3183] as $hertz => $factor) {
            $model = Fixtures::small(
                ['panel' => 'supply', 'can' => 'capacitor'],
                [['panel.L', 'can.1'], ['panel.N', 'can.2']],
                [],
                ['supply' => ['hertz' => $hertz, 'volts' => 120, 'region' => 'NA']],
            );
            $plan = Compiler::compile($model);
            $machine = new Machine($plan, [], new Memory());
            $solution = $machine->solution($machine->initial());
            $amps = $solution->acVolts($plan->places['w0.a'], $plan->places['w0.b']) / Conductor::ohms(18, 1.5);
            self::assertEqualsWithDelta(
                7.5,
                ($factor * $amps) / $solution->acVolts($plan->places['can.1'], $plan->places['can.2']),
                0.01,
            );
        }
    }

    public function test_a_transformer_by_its_turns_and_its_class(): void
    {
        $plan = Compiler::compile(
            Fixtures::small(
                ['panel' => 'supply', 'trafo' => 'transformer-120-24'],
                [['panel.L', 'trafo.H1'], ['panel.N', 'trafo.H2']],
            ),
        );
        $machine = new Machine($plan, [], new Memory());
        $solution = $machine->solution($machine->initial());
        $ratio =
            $solution->acVolts($plan->places['trafo.H1'], $plan->places['trafo.H2']) /
            $solution->acVolts($plan->places['trafo.X1'], $plan->places['trafo.X2']);
        self::assertEqualsWithDelta(4.4, $ratio, 0.05, 'its turns, but for what the core takes');
        // NFPA 70 art. 725, chapter 9 table 11: class 2 at 24 V is not above 100 VA; this one is 40
        self::assertStringContainsString('40 VA', $plan->model->kindOf('trafo')?->title);
        self::assertGreaterThan(24, $solution->acVolts($plan->places['trafo.X1'], $plan->places['trafo.X2']));
        self::assertLessThan(
            28,
            $solution->acVolts($plan->places['trafo.X1'], $plan->places['trafo.X2']),
            '24 to 28 V healthy, common practice',
        );
    }
}
