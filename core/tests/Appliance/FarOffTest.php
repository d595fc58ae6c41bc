<?php

declare(strict_types=1);

namespace OddSpark\Tests\Appliance;

use OddSpark\Appliance\Compiler;
use OddSpark\Appliance\DocumentError;
use OddSpark\Appliance\Library;
use OddSpark\Bench\Preview;
use OddSpark\Faults\Fault;
use OddSpark\Run\Memory;
use OddSpark\Run\RunError;
use OddSpark\Tests\Models;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Figures that are far off are refused, or run within bounds: a sample here, all of them in ops/trials/figures.php. */
final class FarOffTest extends TestCase
{
    private const EVERY = 41;

    /** @return iterable<string, array{string}> */
    public static function models(): iterable
    {
        return Models::some(1);
    }

    #[DataProvider('models')]
    public function test_a_figure_that_is_far_off_is_refused_or_runs_within_bounds(string $name): void
    {
        $library = new Library();
        $document = $library->document($name);
        $document['kinds'] = $library->draft($document)->document['kinds'];
        $refused = $tried = 0;
        foreach (self::figures($document) as $n => $path) {
            if ($n % self::EVERY !== 0) {
                continue;
            }
            $figure = [0, -1, 1e9, 1e-9][intdiv($n, self::EVERY) % 4];
            $changed = $document;
            $place = &$changed;
            foreach ($path as $key) {
                $place = &$place[$key];
            }
            $place = $figure;
            unset($place);
            $tried++;
            try {
                $model = $library->resolve(
                    json_decode((string) json_encode($changed, JSON_PRESERVE_ZERO_FRACTION), true),
                );
                Preview::of(
                    Compiler::compile($model),
                    Fault::none(),
                    $model->visits()[0],
                    900_000,
                    new Memory(mostMoments: 30_000),
                );
            } catch (DocumentError|RunError $e) {
                $refused++;
                self::assertNotSame('', $e->getMessage());
            }
        }
        self::assertGreaterThan(5, $tried);
        self::assertGreaterThan(0, $refused);
    }

    public function test_a_relay_that_chatters_for_ever_is_stopped_with_a_sentence(): void
    {
        $library = new Library();
        $document = $library->document('boiler-hydronic');
        $document['kinds'] = $library->draft($document)->document['kinds'];
        $document['kinds']['switching-relay']['primitives']['coil']['drop_out_v'] = 1e9;
        $plan = Compiler::compile($library->resolve($document));
        $this->expectException(RunError::class);
        $this->expectExceptionMessageMatches('/^More than 3,000 changes by \d+ s into the run: something chatters/');
        Preview::of($plan, Fault::none(), $plan->model->visits()[0], 900_000, new Memory(mostMoments: 3000));
    }

    /**
     * @param array<array-key, mixed> $value
     * @param list<array-key> $path
     * @return list<list<array-key>>
     */
    private static function figures(array $value, array $path = []): array
    {
        $all = [];
        foreach ($value as $key => $v) {
            if (in_array($key, ['at', 'via', 'size', 'version', 'odd_spark_model', 'board'], true) && ! is_string($v)) {
                continue;
            }
            if (is_array($v)) {
                array_push($all, ...self::figures($v, [...$path, $key]));
            } elseif (is_int($v) || is_float($v)) {
                $all[] = [...$path, $key];
            }
        }

        return $all;
    }
}
