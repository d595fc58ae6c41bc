<?php

declare(strict_types=1);

namespace OddSpark\Drawing;

use OddSpark\Appliance\Medium;
use OddSpark\Appliance\Model;
use OddSpark\Words\Words;

/** The board and the ladder as SVG, for paper: with each wire's colour in words beside it. */
final class Sheet
{
    private const COLOURS = [
        'black' => '#1d1b19',
        'white' => '#b9b2a4',
        'red' => '#c5262b',
        'blue' => '#2458b8',
        'yellow' => '#d9a900',
        'green' => '#1f8a3b',
        'orange' => '#d9761f',
        'brown' => '#7a4a21',
        'violet' => '#7a3fa0',
        'grey' => '#808080',
        'bare' => '#b0672b',
        'green-yellow' => '#5f9a1f',
    ];

    /** How broad a pipe is drawn, its colour and its pattern, by what flows in it; seats are thin and dotted. */
    private const PIPES = [
        'gas' => [7, '#d9c48a', ''],
        'oil' => [5, '#b5a68f', ''],
        'air' => [13, '#d3dfe4', ''],
        'flue' => [10, '#cfc9c4', '14 4'],
        'water' => [7, '#a6cdd0', ''],
        'heat' => [1.6, '#c79a8b', '2 5'],
        'flame' => [1.6, '#d9b48c', '7 4'],
    ];

    /** @param array{id: string, from: string, to: string, medium: string, points: list<array{int, int}>} $pipe */
    private static function pipe(array $pipe): string
    {
        [$width, $colour, $dash] = self::PIPES[$pipe['medium']];
        $points = implode(' ', array_map(fn (array $p): string => "$p[0],$p[1]", $pipe['points']));

        return "<polyline points=\"$points\" fill=\"none\" stroke=\"$colour\" stroke-width=\"$width\"".
            ($dash === '' ? '' : " stroke-dasharray=\"$dash\"").
            '><title>'.
            self::text(Medium::from($pipe['medium'])->pipe()).
            '</title></polyline>';
    }

    /** Of the jacket, duct or wrap in which wires run unseen. */
    private const BUNDLE = '#b9b1a4';

    public static function board(Model $model): string
    {
        $board = Board::of($model);
        $svg = array_map(self::pipe(...), $board['pipes']);
        foreach ($board['wires'] as $wire) {
            [$in, $out] = $wire['bundled'] ?? [null, null];
            if ($in !== null) {
                $svg[] = self::run(
                    array_slice($wire['points'], $in, $out - $in + 1),
                    self::BUNDLE,
                    9,
                    Words::say('drawing.sheet.wires_run_hidden'),
                );
            }
        }
        foreach ($board['wires'] as $wire) {
            [$in, $out] = $wire['bundled'] ?? [null, 0];
            $seen = $in === null
                ? [$wire['points']]
                : [array_slice($wire['points'], 0, $in + 1), array_slice($wire['points'], $out)];
            foreach ($seen as $points) {
                $svg[] = self::run($points, '#fffdf8', 5).
                    self::run($points, self::COLOURS[$wire['colour']], 2.4, "{$wire['id']}: {$wire['colour']}");
            }
        }
        foreach ($board['parts'] as $part) {
            $svg[] = "<rect x=\"{$part['x']}\" y=\"{$part['y']}\" width=\"{$part['w']}\" height=\"{$part['h']}\" rx=\"4\" fill=\"#ffffff\" stroke=\"#29241d\" stroke-width=\"1.4\"/>";
            foreach ($part['text'] as $i => $line) {
                $y = $part['y'] + $part['h'] / 2 + 4 + ($i - (count($part['text']) - 1) / 2) * $part['size'] * 1.1;
                $svg[] =
                    '<text x="'.
                    ($part['x'] + $part['w'] / 2).
                    "\" y=\"$y\" text-anchor=\"middle\" font-size=\"{$part['size']}\">".
                    self::text($line).
                    '</text>';
            }
            foreach ($part['terminals'] as $t) {
                $svg[] = "<circle cx=\"{$t['x']}\" cy=\"{$t['y']}\" r=\"4\" fill=\"#ffffff\" stroke=\"#29241d\" stroke-width=\"1.4\"/>";
                if (count($part['terminals']) > 2) {
                    $svg[] = self::terminal($t);
                }
            }
        }

        return self::sheet($model->title(), $board['width'], $board['height'], $svg);
    }

    /** @param list<array{int, int}> $points */
    private static function run(array $points, string $colour, float $width, string $title = ''): string
    {
        $through = implode(' ', array_map(fn (array $p): string => "$p[0],$p[1]", $points));

        return "<polyline points=\"$through\" fill=\"none\" stroke=\"$colour\" stroke-width=\"$width\"".
            ($title === '' ? '/>' : '><title>'.self::text($title).'</title></polyline>');
    }

    /** @param array{name: string, x: int, y: int, edge: string} $t */
    private static function terminal(array $t): string
    {
        [$dx, $dy, $anchor] = match ($t['edge']) {
            'left' => [9, 3, 'start'],
            'right' => [-9, 3, 'end'],
            'up' => [0, 15, 'middle'],
            default => [0, -8, 'middle'],
        };

        return '<text x="'.
            ($t['x'] + $dx).
            '" y="'.
            ($t['y'] + $dy).
            "\" text-anchor=\"$anchor\" font-size=\"9\" fill=\"#5f574b\">".
            self::text($t['name']).
            '</text>';
    }

    public static function ladder(Model $model): string
    {
        $ladder = Ladder::of($model);
        $right = $ladder['width'] - 24;
        $svg = [];
        foreach ($ladder['circuits'] as $c) {
            $svg[] =
                '<text x="16" y="'.
                ($c['y'] + 22).
                '" font-size="15" font-weight="bold">'.
                self::text($c['title']).
                '</text>';
            foreach ([24, $right] as $x) {
                $svg[] =
                    "<line x1=\"$x\" x2=\"$x\" y1=\"".
                    ($c['y'] + 34).
                    '" y2="'.
                    ($c['y'] + $c['height'] - 12).
                    '" stroke="#29241d" stroke-width="2.4"/>';
            }
            foreach ($c['rungs'] as $rung) {
                $x = 24;
                foreach ($rung['elements'] as $e) {
                    $middle = $e['x'] + $e['w'] / 2;
                    $half = $e['load'] ? 18 : 8;
                    $svg[] = self::line($x, $middle - $half, $rung['y']);
                    $svg[] = $e['load']
                        ? "<circle cx=\"$middle\" cy=\"{$rung['y']}\" r=\"18\" fill=\"#ffffff\" stroke=\"#29241d\" stroke-width=\"1.8\"/>"
                        : implode(
                            '',
                            array_map(
                                fn (float $at) => "<line x1=\"$at\" x2=\"$at\" y1=\"".
                                    ($rung['y'] - 11).
                                    '" y2="'.
                                    ($rung['y'] + 11).
                                    '" stroke="#29241d" stroke-width="2.2"/>',
                                [$middle - 8.0, $middle + 8.0],
                            ),
                        );
                    $svg[] =
                        "<text x=\"$middle\" y=\"".
                        ($rung['y'] + 32).
                        '" text-anchor="middle" font-size="11">'.
                        self::text($e['title']).
                        '</text>';
                    $x = $middle + $half;
                }
                $svg[] = self::line($x, $right, $rung['y']);
            }
        }

        return self::sheet($model->title(), $ladder['width'], $ladder['height'], $svg);
    }

    private static function line(float $from, float $to, float $y): string
    {
        return "<line x1=\"$from\" x2=\"$to\" y1=\"$y\" y2=\"$y\" stroke=\"#29241d\" stroke-width=\"1.4\"/>";
    }

    /** @param list<string> $svg */
    private static function sheet(string $title, int $width, int $height, array $svg): string
    {
        $all = $height + 64;

        return "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 $width $all\" width=\"$width\" height=\"$all\" font-family=\"sans-serif\" font-size=\"12\">\n<title>".
            self::text($title).
            "</title>\n<rect width=\"$width\" height=\"$all\" fill=\"#fffdf8\"/>\n".
            '<text x="16" y="24" font-size="17" font-weight="bold">'.
            self::text($title).
            "</text>\n<g transform=\"translate(0 36)\">\n".
            implode("\n", $svg).
            "\n</g>\n<text x=\"16\" y=\"".
            ($all - 8).
            '" font-size="11" fill="#5f574b">'.
            self::text(Words::say('drawing.sheet.caution')).
            "</text>\n</svg>\n";
    }

    private static function text(string $s): string
    {
        return htmlspecialchars($s, ENT_XML1 | ENT_QUOTES);
    }
}
