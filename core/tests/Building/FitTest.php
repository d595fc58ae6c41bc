<?php

declare(strict_types=1);

namespace OddSpark\Tests\Building;

use OddSpark\Appliance\Compiler;
use OddSpark\Appliance\Library;
use OddSpark\Building\Edits;
use OddSpark\Building\Fit;
use OddSpark\Building\LiveReadings;
use OddSpark\Instruments\Measured;
use PHPUnit\Framework\TestCase;

/**
 * A model fitted to readings of a unit whose figures are known, since a model gave them: what differs is found again,
 * and
 * nothing else is touched.
 */
final class FitTest extends TestCase
{
    private const FURNACE = [
        'igniter cold' => [
            'visit' => 'cold',
            'at_s' => 1,
            'mode' => 'ohm',
            'red' => 'igniter.1',
            'black' => 'igniter.2',
        ],
        'flame' => ['visit' => 'cold', 'at_s' => 120, 'mode' => 'ua', 'red' => 'w29.b', 'black' => 'rod.rod'],
        'manifold' => ['visit' => 'cold', 'at_s' => 120, 'tap' => 'manifold'],
        'supply air' => ['visit' => 'cold', 'at_s' => 600, 'tap' => 'supply-duct'],
        'return air' => ['visit' => 'cold', 'at_s' => 600, 'tap' => 'return-duct'],
        '24 volts' => ['visit' => 'cold', 'at_s' => 100, 'mode' => 'vac', 'red' => 'board.R', 'black' => 'board.C'],
    ];

    public function test_what_a_real_unit_has_otherwise_is_found_again(): void
    {
        $library = new Library();
        $shipped = $library->document('furnace-80');
        $edits = new Edits($library);
        $unit = $shipped;
        $truth = ['igniter.element.cold_ohm' => 1.4, 'rod.flame.forward_ohm' => 1.5, 'valve.body.set' => 0.9];
        $usual = [];
        foreach ($truth as $path => $times) {
            [$part, $primitive, $key] = explode('.', $path);
            $usual[$path] = self::figure($library, $shipped, $part, $primitive, $key);
            $unit = $edits->apply($unit, [
                'do' => 'param', 'part' => $part, 'primitive' => $primitive, 'key' => $key, 'value' => $usual[$path] * $times,
            ]);
        }
        $fit = (new Fit($library))->of($shipped, array_values(self::FURNACE), self::read($library, $unit));
        $found = [];
        foreach ($fit['changes'] as $change) {
            $found["{$change['part']}.{$change['edit']['primitive']}.{$change['edit']['key']}"] = $change['becomes'] / $change['was'];
        }
        ksort($found);
        ksort($truth);
        self::assertSame(array_keys($truth), array_keys($found));
        foreach ($truth as $path => $times) {
            self::assertEqualsWithDelta($times, $found[$path], 0.04, $path);
        }
        self::assertContains(false, array_column($fit['before'], 'agrees'));
        self::assertNotContains(false, array_column($fit['after'], 'agrees'));
    }

    public function test_a_unit_that_is_as_the_model_has_it_changes_nothing(): void
    {
        $library = new Library();
        $shipped = $library->document('furnace-80');
        $fit = (new Fit($library))->of($shipped, array_values(self::FURNACE), self::read($library, $shipped));
        self::assertSame([], $fit['changes']);
        self::assertNotContains(false, array_column($fit['before'], 'agrees'));
    }

    public function test_a_part_of_an_included_appliance_is_fitted_there(): void
    {
        $library = new Library();
        $document = $library->document('zones-hydronic');
        $rows = [['visit' => 'cold', 'at_s' => 300, 'tap' => 'boiler.manifold']];
        $is = (new Fit($library))->compared($document, $rows, [0.0])[0]['model'];
        self::assertNotNull($is);
        $fit = (new Fit($library))->of($document, $rows, [$is * 0.8]);
        self::assertCount(1, $fit['changes']);
        self::assertSame('boiler.valve', $fit['changes'][0]['part']);
        self::assertTrue($fit['after'][0]['agrees']);
    }

    public function test_what_is_not_there_any_more_is_said(): void
    {
        $library = new Library();
        $rows = [
            ['visit' => 'cold', 'at_s' => 1, 'tap' => 'moon'],
            ['visit' => 'noon', 'at_s' => 1, 'tap' => 'manifold'],
            ['visit' => 'cold', 'at_s' => 1, 'mode' => 'vac', 'red' => 'board.R', 'black' => 'board.X9'],
        ];
        $says = array_column(
            (new Fit($library))->compared($library->document('furnace-80'), $rows, [1.0, 1.0, 1.0]),
            'says',
        );
        self::assertSame('There is no tap "moon" any more.', $says[0]);
        self::assertSame('There is no visit "noon" any more.', $says[1]);
        self::assertStringContainsString('board.X9', (string) $says[2]);
    }

    /**
     * @param array<string, mixed> $document
     * @return list<float> what its instruments show
     */
    private static function read(Library $library, array $document): array
    {
        $plan = Compiler::compile($library->resolve($document));

        return array_values(array_map(
            fn (Measured|string $m) => is_string($m) ? self::fail($m) : $m->reading->value,
            (new LiveReadings($plan))->of(self::FURNACE),
        ));
    }

    /** @param array<string, mixed> $document */
    private static function figure(
        Library $library,
        array $document,
        string $part,
        string $primitive,
        string $key,
    ): float {
        $of = $library->resolve($document)->part($part) ?? self::fail($part);

        return (float) ($of->params[$primitive][$key] ?? $of->kind->primitives[$primitive]->get($key));
    }
}
