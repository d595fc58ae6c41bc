<?php

declare(strict_types=1);

namespace OddSpark\Marking;

use OddSpark\Acts\Act;
use OddSpark\Acts\Notes\WriteDown;
use OddSpark\Meter\Reading;
use OddSpark\Words\Words;

/**
 * The sheet that a person keeps himself: each row against what the instruments showed before it was written.
 *
 * @phpstan-type Where array{tap: string|null, places: list<string>}
 */
final readonly class OwnSheet
{
    /** Share of a figure by which a row may be rounded. Ours. */
    private const ROUNDED = 0.01;

    private const PREFIXES = ['kΩ' => 1e3, 'MΩ' => 1e6];

    public function __construct(private AttemptReview $account) {}

    /** @return array<int, string> what is wrong with a row, in words, by its entry */
    public function wrong(): array
    {
        $wrong = [];
        foreach ($this->account->entries([WriteDown::NAME]) as $i) {
            $text = $this->against($i);
            if ($text !== null) {
                $wrong[$i] = $text;
            }
        }

        return $wrong;
    }

    public function isEmpty(): bool
    {
        return $this->account->entries([WriteDown::NAME]) === [];
    }

    /** What is wrong with a row; null when it is as it was read. */
    private function against(int $i): ?string
    {
        $row = $this->account->act($i);
        $unit = (string) $row->get('unit');
        $where = ['tap' => $row->get('tap'), 'places' => self::places($row)];
        $found = ['unit' => null, 'figure' => null, 'place' => null];
        for ($j = $i - 1; $j >= 0; $j--) {
            $reading = $this->account->outcome($j)->reading;
            if ($reading === null || $reading->live) {
                continue;
            }
            $isThere = self::isSame($where, $this->where($j, $reading));
            $isIn = (self::base($unit) ?? $unit) === $reading->mode->specification()->unit;
            $isSo = self::isFigure((string) $row->get('value'), self::PREFIXES[$unit] ?? 1.0, $reading);
            if ($isThere && $isIn && $isSo) {
                return null;
            }
            $almost = match (true) {
                $isThere && $isIn => 'figure',
                // the same digits in another unit
                $isThere && self::isDigits((string) $row->get('value'), $reading) => 'unit',
                $isIn && $isSo => 'place',
                default => null,
            };
            if ($almost !== null) {
                $found[$almost] ??= $reading->text();
            }
        }
        $written = "{$row->get('value')} $unit";

        return match (true) {
            $found['unit'] !== null => Words::say('marking.own_sheet.wrong_unit_written_down_the', [
                'written' => $written,
                'unit' => $found['unit'],
            ]),
            $found['figure'] !== null => Words::say('marking.own_sheet.misread_was_written_down_the', [
                'written' => $written,
                'figure' => $found['figure'],
            ]),
            $found['place'] !== null => Words::say('marking.own_sheet.wrong_place_written_down_was', [
                'written' => $written,
            ]),
            default => Words::say('marking.own_sheet.nothing_like_had_been_read', ['written' => $written]),
        };
    }

    /** @return Where where an entry read */
    private function where(int $entry, Reading $reading): array
    {
        $key = $reading->mode->key();
        for ($j = $entry; $j >= 0; $j--) {
            $act = $this->account->act($j);
            if ($this->account->outcome($j)->refused === null && $act->get('tap') !== null && $act->name === $key) {
                return ['tap' => $act->get('tap'), 'places' => []];
            }
        }

        return ['tap' => null, 'places' => self::places($this->account->act($this->account->placing($entry)))];
    }

    /** @return list<string> */
    private static function places(Act $act): array
    {
        return array_values(array_filter([$act->get('red'), $act->get('black')], is_string(...)));
    }

    /**
     * @param Where $written
     * @param Where $read
     */
    private static function isSame(array $written, array $read): bool
    {
        sort($written['places']);
        sort($read['places']);

        return $written === $read;
    }

    private static function base(string $unit): ?string
    {
        return isset(self::PREFIXES[$unit]) ? 'Ω' : null;
    }

    /** Whether a figure as written, in base units times the factor, is what the display said; the sign aside. */
    private static function isFigure(string $text, float $factor, Reading $reading): bool
    {
        if (is_infinite($reading->value)) {
            return strtoupper(trim($text)) === 'OL';
        }
        if (! is_numeric($text)) {
            return false;
        }
        $decimals = strlen(explode('.', trim($text))[1] ?? '');
        $off = abs(abs((float) $text * $factor) - abs($reading->value));

        return $off <= max(
            1.01 * $reading->step,
            self::ROUNDED * abs($reading->value),
            0.5 * $factor * 10.0 ** -$decimals,
        );
    }

    /** Whether the digits are those of the display, whatever they were taken for. */
    private static function isDigits(string $text, Reading $reading): bool
    {
        preg_match('/[\d.]+/', $reading->text(), $shown);

        $off = isset($shown[0]) && is_numeric($text) ? abs((float) $text - (float) $shown[0]) : INF;

        return $off <= self::ROUNDED * abs((float) $text);
    }
}
