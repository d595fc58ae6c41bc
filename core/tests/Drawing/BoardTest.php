<?php

declare(strict_types=1);

namespace OddSpark\Tests\Drawing;

use OddSpark\Appliance\Library;
use OddSpark\Drawing\Lettering;
use OddSpark\Tests\Models;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class BoardTest extends TestCase
{
    /** @return iterable<string, array{string}> */
    public static function models(): iterable
    {
        return Models::some(3);
    }

    #[DataProvider('models')]
    public function test_parts_lie_apart_and_wires_run_squarely_round_them(string $name): void
    {
        $model = (new Library())->model($name);
        $board = Boards::of($name);
        foreach ($board['parts'] as $i => $p) {
            self::assertLessThanOrEqual($board['width'], $p['x'] + $p['w'], $p['id']);
            self::assertLessThanOrEqual($board['height'], $p['y'] + $p['h'], $p['id']);
            foreach (array_slice($board['parts'], $i + 1) as $q) {
                $apart =
                    $q['x'] >= $p['x'] + $p['w'] ||
                    $p['x'] >= $q['x'] + $q['w'] ||
                    $q['y'] >= $p['y'] + $p['h'] ||
                    $p['y'] >= $q['y'] + $q['h'];
                self::assertTrue($apart, "{$p['id']} lies on {$q['id']}");
            }
        }
        self::assertCount(count($model->wires()), $board['wires']);
        foreach ($board['wires'] as $wire) {
            foreach (array_slice($wire['points'], 1) as $i => [$x, $y]) {
                [$u, $v] = $wire['points'][$i];
                self::assertTrue($x === $u || $y === $v, "{$wire['id']} runs aslant");
                foreach ($board['parts'] as $p) {
                    $through =
                        max($x, $u) > $p['x'] + 1 &&
                        min($x, $u) < $p['x'] + $p['w'] - 1 &&
                        max($y, $v) > $p['y'] + 1 &&
                        min($y, $v) < $p['y'] + $p['h'] - 1;
                    self::assertFalse($through, "{$wire['id']} runs through {$p['id']}");
                }
            }
        }
    }

    /** Two wires that meet at a terminal may share the last bit of it; nowhere else does one run upon another. */
    #[DataProvider('models')]
    public function test_no_wire_runs_upon_another(string $name): void
    {
        $wires = Boards::of($name)['wires'];
        $runs = function (array $wire): array { // without what runs hidden in one line with others
            $runs = array_map(null, array_slice($wire['points'], 0, -1), array_slice($wire['points'], 1));
            [$in, $out] = $wire['bundled'] ?? [0, 0];
            array_splice($runs, $in, $out - $in);

            return $runs;
        };
        foreach ($wires as $i => $a) {
            foreach (array_slice($wires, $i + 1) as $b) {
                $meet = array_intersect([$a['from'], $a['to']], [$b['from'], $b['to']]) !== [];
                foreach ($runs($a) as [$p, $q]) {
                    foreach ($runs($b) as [$u, $v]) {
                        $k = $p[1] === $q[1] ? 0 : 1; // along which they run
                        if ($u[1 - $k] !== $v[1 - $k] || $p[1 - $k] !== $u[1 - $k]) {
                            continue;
                        }
                        $shared =
                            min(max($p[$k], $q[$k]), max($u[$k], $v[$k])) -
                            max(min($p[$k], $q[$k]), min($u[$k], $v[$k]));
                        self::assertLessThanOrEqual($meet ? 21 : 0, $shared, "{$a['id']} and {$b['id']}");
                    }
                }
            }
        }
    }

    /** Wires of a hidden cable come out one by one at each end, and are one line between. */
    public function test_wires_that_run_hidden_are_one_bundle(): void
    {
        $wires = array_filter(
            Boards::of('furnace-80')['wires'],
            fn (array $w): bool => $w['cable'] === 'thermostat',
        );
        self::assertCount(5, $wires);
        $between = [];
        foreach ($wires as $wire) {
            [$in, $out] = $wire['bundled'];
            self::assertGreaterThan(0, $in, 'a piece of it is seen at one end');
            self::assertLessThan(count($wire['points']) - 1, $out, 'and at the other');
            // but for where it comes to the others
            $between[] = array_slice($wire['points'], $in + 1, $out - $in - 1);
        }
        self::assertNotSame([], array_intersect(...array_map(
            fn (array $run): array => array_map(fn (array $p): string => "$p[0] $p[1]", $run),
            $between,
        )), 'they share their line');
        $open = array_filter(
            Boards::of('furnace-80')['wires'],
            fn (array $w): bool => $w['cable'] === null,
        );
        self::assertSame([], array_column($open, 'bundled'));
    }

    #[DataProvider('models')]
    public function test_everything_lies_on_the_paper_and_labels_within_their_parts(string $name): void
    {
        $board = Boards::of($name);
        foreach ($board['wires'] as $wire) {
            foreach ($wire['points'] as [$x, $y]) {
                self::assertTrue($x >= 0 && $y >= 0 && $x <= $board['width'] && $y <= $board['height'], $wire['id']);
            }
        }
        foreach ($board['parts'] as $part) {
            self::assertSame(
                str_replace(' ', '', $part['label']),
                str_replace(' ', '', implode($part['text'])),
                'nothing is cut off',
            );
            self::assertGreaterThanOrEqual(
                Lettering::width($part['text'], $part['size']) * Lettering::PRESSED,
                $part['w'] - 4,
                $part['label'],
            );
        }
    }
}
