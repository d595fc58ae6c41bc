<?php

declare(strict_types=1);

namespace OddSpark\Drawing;

use OddSpark\Words\Words;

/**
 * A sequence in time as SVG: a lane for each thing that can be seen or heard, and one for each control's
 * states. The same lanes as the tape in the browser; the colours are the paper theme's.
 */
final class Chart
{
    private const LEFT = 130;

    private const LANE = 26;

    private const TOP = 34;

    private const TONES = [
        'lamp' => '#b98a16',
        'moving' => '#5d7f5a',
        'glow' => '#d9661f',
        'copper' => '#984a15',
        'flame' => '#2f6fb5',
        'water' => '#2d7f86',
    ];

    private const STEPS = [5, 10, 15, 30, 60, 120, 300, 600, 1800, 3600, 7200];

    /** @var list<string> */
    private array $svg = [];

    private function __construct(private readonly int $width, private readonly float $seconds) {}

    /**
     * @param list<array{name: string, tone: string, stretches: list<array{float, float, string}>}> $lanes from and to
     *     in seconds, and
     *     what is perceived; '' and 'off' are drawn as quiet
     * @param list<array{name: string, stretches: list<array{float, float, string}>}> $states by control, with the
     *     states' titles
     */
    public static function svg(string $title, array $lanes, array $states, float $seconds, int $width = 1200): string
    {
        $chart = new self($width, $seconds);
        $height = self::TOP + self::LANE * (count($lanes) + count($states)) + 24;
        $chart->axis($height);
        foreach ($lanes as $i => $lane) {
            $chart->lane(
                self::TOP + self::LANE * $i,
                $lane['name'],
                self::TONES[$lane['tone']] ?? '#29241d',
                $lane['stretches'],
            );
        }
        foreach ($states as $i => $row) {
            $chart->states(self::TOP + self::LANE * (count($lanes) + $i), $row['name'], $row['stretches']);
        }

        return sprintf(
            "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 %1\$d %2\$d\" width=\"%1\$d\" height=\"%2\$d\" font-family=\"sans-serif\" font-size=\"12\">\n<title>%3\$s</title>\n<rect width=\"%1\$d\" height=\"%2\$d\" fill=\"#fffdf8\"/>\n%4\$s\n</svg>\n",
            $width, $height, self::text($title), implode("\n", $chart->svg),
        );
    }

    private function axis(int $height): void
    {
        $step = 14400;
        foreach (self::STEPS as $s) {
            if ($this->seconds / $s <= 12) {
                $step = $s;
                break;
            }
        }
        for ($t = 0; $t <= $this->seconds; $t += $step) {
            $x = $this->x($t);
            $this->svg[] = sprintf(
                '<line x1="%1$.1f" x2="%1$.1f" y1="%2$d" y2="%3$d" stroke="#d6cbb6"/>',
                $x,
                self::TOP - 8,
                $height - 20,
            );
            $this->svg[] = sprintf(
                '<text x="%.1f" y="%d" text-anchor="middle" fill="#655b4c">%d:%02d</text>',
                $x,
                self::TOP - 14,
                intdiv($t, 60),
                $t % 60,
            );
        }
        $this->svg[] = sprintf(
            '<text x="%d" y="%d" text-anchor="end" fill="#655b4c">%s</text>',
            $this->width - 8,
            $height - 6,
            self::text(Words::say('drawing.chart.minutes_and_seconds')),
        );
    }

    /** @param list<array{float, float, string}> $stretches */
    private function lane(int $y, string $name, string $colour, array $stretches): void
    {
        $this->svg[] = sprintf('<text x="8" y="%d" fill="#29241d">%s</text>', $y + 17, self::text($name));
        foreach ($stretches as [$from, $to, $value]) {
            $x = $this->x($from);
            $w = max(0.8, $this->x($to) - $x);
            if ($value === '' || $value === 'off') {
                $this->svg[] = sprintf(
                    '<line x1="%1$.1f" x2="%2$.1f" y1="%3$d" y2="%3$d" stroke="%4$s" opacity="0.6"/>',
                    $x,
                    $x + $w,
                    $y + 13,
                    $colour,
                );
            } else {
                $this->svg[] = sprintf(
                    '<rect x="%.1f" y="%d" width="%.1f" height="16" rx="2" fill="%s"><title>%s</title></rect>',
                    $x,
                    $y + 5,
                    $w,
                    $colour,
                    self::text($value),
                );
            }
        }
    }

    /** @param list<array{float, float, string}> $stretches */
    private function states(int $y, string $name, array $stretches): void
    {
        $this->svg[] = sprintf('<text x="8" y="%d" fill="#29241d">%s</text>', $y + 17, self::text($name));
        foreach ($stretches as $i => [$from, $to, $title]) {
            $x = $this->x($from);
            $w = max(0.8, $this->x($to) - $x);
            $this->svg[] = sprintf(
                '<rect x="%.1f" y="%d" width="%.1f" height="20" fill="%s" stroke="#d6cbb6"><title>%s</title></rect>',
                $x,
                $y + 3,
                $w,
                $i % 2 ? '#f1eadc' : '#f5e2d0',
                self::text($title),
            );
            if ($w > 6.6 * mb_strlen($title)) {
                $this->svg[] = sprintf(
                    '<text x="%.1f" y="%d" font-size="11" fill="#29241d">%s</text>',
                    $x + 4,
                    $y + 17,
                    self::text($title),
                );
            }
        }
    }

    private function x(float $seconds): float
    {
        return self::LEFT + ($this->width - self::LEFT - 16) * $seconds / $this->seconds;
    }

    private static function text(string $text): string
    {
        return htmlspecialchars($text, ENT_XML1 | ENT_QUOTES);
    }
}
