<?php

declare(strict_types=1);

namespace OddSpark\Tests\Trade;

use OddSpark\Faults\FaultSet;
use OddSpark\Tests\TestRig;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * A sheet of what practitioners know, each computed on a shipped model: tests/Trade/facts.php, where the source of each
 * stands beside it. `./spark check` prints it with the values.
 */
final class FactsTest extends TestCase
{
    /**
     * @return iterable<string, array{string, string, list<array{0: string, 1: string|int|float, 2?: mixed}>,
     *     list<array{0: string, 1: string, 2: list<string>, 3: float|bool, 4?: float, 5?: string}>}>
     */
    public static function states(): iterable
    {
        foreach (require __DIR__.'/facts.php' as $title => [$model, $fault, $steps, $facts]) {
            yield "$model: $title" => [$model, $fault, $steps, $facts];
        }
    }

    /**
     * @param list<array{0: string, 1: string|int|float, 2?: mixed}> $steps set LEVER TO, lift END, run SECONDS, until
     *     BURNER SECONDS
     * @param list<array{0: string, 1: string, 2: list<string>, 3: float|bool, 4?: float, 5?: string}> $facts words;
     *     vac,
     *     vdc, ohm, ua, tap, lit, shows; of what; from, to; source
     */
    #[DataProvider('states')]
    public function test_it_is_as_practitioners_know_it(string $model, string $fault, array $steps, array $facts): void
    {
        $plan = TestRig::plan($model);
        $rig = TestRig::of($model, FaultSet::of($plan->model)->get($fault)->set);
        foreach ($steps as $step) {
            match ($step[0]) {
                'set' => $rig->set((string) $step[1], $step[2]),
                'lift' => $rig->lift((string) $step[1]),
                'run' => $rig->run((float) $step[1]),
                'until' => self::assertNotNull(
                    $rig->until(fn (TestRig $s): bool => $s->isLit((string) $step[1]), (float) $step[2]),
                    "{$step[1]} never lit",
                ),
                default => self::fail("There is no step \"{$step[0]}\"."),
            };
        }
        foreach ($facts as $fact) {
            [$words, $what, $of, $from] = $fact;
            $is = $this->value($rig, $what, $of);
            if (getenv('SPARK_FACTS') !== false) {
                fwrite(
                    STDOUT,
                    sprintf(
                        "%s; %s: %s %s (%s)\n",
                        $model,
                        $words,
                        json_encode($is),
                        $what,
                        $fact[5] ?? 'common practice, no source',
                    ),
                );
            }
            if (! is_float($from) && ! is_int($from)) {
                self::assertSame($from, $is, $words);
            } else {
                self::assertGreaterThanOrEqual($from, $is, $words);
                self::assertLessThanOrEqual($fact[4] ?? $from, $is, $words);
            }
        }
    }

    public function test_the_sheet_has_its_facts(): void
    {
        $facts = array_merge(...array_column(array_values(require __DIR__.'/facts.php'), 3));
        self::assertGreaterThanOrEqual(200, count($facts));
        self::assertSame(array_unique(array_column($facts, 0)), array_column($facts, 0), 'each once');
    }

    /** @param list<string> $of */
    private function value(TestRig $rig, string $what, array $of): float|bool|string
    {
        $node = fn (string $place): int => $place === 'earth' ? 0 : $rig->plan->places[$place];

        return match ($what) {
            'vac' => $rig->machine->solution($rig->state)->acVolts($node($of[0]), $node($of[1])),
            'vdc' => $rig->machine->solution($rig->state)->dcVolts($node($of[0]), $node($of[1])),
            'ohm' => $rig->machine->solution($rig->state)->dcOhms($node($of[0]), $node($of[1])),
            'ua' => 1e6 * $rig->machine->solution($rig->state)->flameAmps(0),
            'tap' => $rig->value($rig->plan->model->taps()[$of[0]]->of),
            'lit' => $rig->isLit($of[0]),
            'shows' => $rig->machine->shows($rig->state, $of[0]),
            default => self::fail("There is nothing called \"$what\" to be measured."),
        };
    }
}
