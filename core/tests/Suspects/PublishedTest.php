<?php

declare(strict_types=1);

namespace OddSpark\Tests\Suspects;

use OddSpark\Meter\Meter;
use OddSpark\Meter\Mode;
use OddSpark\Suspects\InformationGain;
use PHPUnit\Framework\TestCase;

/**
 * The adders and multipliers of de Kleer & Williams, Diagnosing multiple faults, Artificial Intelligence 32 (1987) 97:
 * X = A·C, Y = B·D, Z = C·E; F = X + Y, G = Y + Z; A = 3, B = 2, C = 2, D = 3, E = 3; F is seen 10 for 12, G is 12.
 * (Figures and results from memory of that paper.) A failed unit may do anything.
 */
final class PublishedTest extends TestCase
{
    private const UNITS = ['M1', 'M2', 'M3', 'A1', 'A2'];

    /** A unit fails one time in a hundred, apart from the others. */
    private const FAILS = 0.01;

    public function test_the_minimal_diagnoses_are_the_published_ones(): void
    {
        self::assertEqualsCanonicalizing(
            [['A1'], ['M1'], ['M2', 'A2'], ['M2', 'M3']],
            self::minimal(array_values($this->consistent())),
        );
    }

    public function test_x_is_the_best_probe(): void
    {
        $candidates = $this->consistent();
        $weights = array_map(
            fn (array $failed) => self::FAILS ** count($failed) * (1 - self::FAILS) ** (5 - count($failed)),
            $candidates,
        );
        $bits = [];
        foreach (['X', 'Y', 'Z'] as $probe) {
            $bins = $unknown = [];
            foreach ($candidates as $id => $failed) {
                $value = $this->predict($failed, ['F' => 10.0, 'G' => 12.0])[$probe];
                $value === null ? $unknown[] = $id : $bins["$value"][] = $id;
            }
            $bits[$probe] = InformationGain::bits($bins, $weights, $unknown);
        }
        arsort($bits);
        self::assertSame('X', array_key_first($bits));
        self::assertGreaterThan(3 * $bits['Y'], $bits['X']);
        self::assertGreaterThan(3 * $bits['Z'], $bits['X']);
        // X parts the two single diagnoses, as likely as each other: nearly a whole bit
        self::assertEqualsWithDelta(1.0, $bits['X'], 0.1);
    }

    public function test_what_is_seen_at_x_leaves_one_of_the_single_diagnoses(): void
    {
        foreach ([4.0 => ['M1'], 6.0 => ['A1']] as $seen => $left) {
            $values = array_map(
                fn (array $failed) => $this->predict($failed, ['F' => 10.0, 'G' => 12.0])['X'],
                $this->consistent(),
            );
            $singles = array_filter(
                array_map(fn (string $id) => explode(' ', $id), self::agreeing($values, (float) $seen)),
                fn (array $failed) => count($failed) === 1,
            );
            self::assertSame([$left], array_values($singles));
        }
    }

    public function test_a_suspect_that_could_show_anything_takes_away_from_what_is_told(): void
    {
        $bins = ['high' => ['a'], 'low' => ['b']];
        self::assertEqualsWithDelta(1.0, InformationGain::bits($bins, ['a' => 1.0, 'b' => 1.0]), 1e-12);
        self::assertEqualsWithDelta(
            2 / 3,
            InformationGain::bits($bins, ['a' => 1.0, 'b' => 1.0, 'unknown' => 1.0], ['unknown']),
            1e-12,
        );
        self::assertEqualsWithDelta(
            0.0,
            InformationGain::bits($bins, ['a' => 0.0, 'b' => 0.0, 'unknown' => 1.0], ['unknown']),
            1e-12,
        );
    }

    /** @return array<string, list<string>> sets of failed units that agree with F and G, one after the other */
    private function consistent(): array
    {
        $all = [];
        for ($n = 1; $n < 32; $n++) {
            $failed = array_values(
                array_filter(self::UNITS, fn (int $i) => (($n >> $i) & 1) === 1, ARRAY_FILTER_USE_KEY),
            );
            $all[implode(' ', $failed)] = $failed;
        }
        $all['none'] = [];
        $seen = [];
        foreach (['F' => 10.0, 'G' => 12.0] as $output => $value) {
            $stays = self::agreeing(
                array_map(fn (array $failed) => $this->predict($failed, $seen)[$output], $all),
                $value,
            );
            $all = array_intersect_key($all, array_flip($stays));
            $seen[$output] = $value;
        }

        return $all;
    }

    /**
     * Values that follow from the inputs, what was seen and the units that work; null where nothing follows.
     *
     * @param list<string> $failed
     * @param array<string, float> $seen
     * @return array<string, float|null>
     */
    private function predict(array $failed, array $seen): array
    {
        $works = fn (string $unit): bool => ! in_array($unit, $failed, true);
        $v = [
            'X' => $works('M1') ? 6.0 : null,
            'Y' => $works('M2') ? 6.0 : null,
            'Z' => $works('M3') ? 6.0 : null,
            'F' => $seen['F'] ?? null,
            'G' => $seen['G'] ?? null,
        ];
        for ($again = 0; $again < 4; $again++) {
            foreach ([['A1', 'X', 'Y', 'F'], ['A2', 'Y', 'Z', 'G']] as [$adder, $p, $q, $sum]) {
                if ($works($adder)) {
                    $v[$sum] ??= $v[$p] === null || $v[$q] === null ? null : $v[$p] + $v[$q];
                    $v[$p] ??= $v[$sum] === null || $v[$q] === null ? null : $v[$sum] - $v[$q];
                    $v[$q] ??= $v[$sum] === null || $v[$p] === null ? null : $v[$sum] - $v[$p];
                }
            }
        }

        return $v;
    }

    /**
     * Those that agree with what a meter shows of a figure, by the comparison that suspects are held to.
     *
     * @param array<string, float|null> $values by suspect; null goes with anything
     * @return list<string>
     */
    private static function agreeing(array $values, float $seen): array
    {
        return array_keys(
            array_filter(
                $values,
                fn (?float $v): bool => $v === null || Meter::agrees(Meter::show(Mode::VoltsDc, $seen), $v),
            ),
        );
    }

    /**
     * @param list<list<string>> $sets
     * @return list<list<string>> those that hold no other
     */
    private static function minimal(array $sets): array
    {
        return array_values(
            array_filter(
                $sets,
                fn (array $set) => array_filter($sets, fn (array $o) => $o !== $set && array_diff($o, $set) === []) ===
                    [],
            ),
        );
    }
}
