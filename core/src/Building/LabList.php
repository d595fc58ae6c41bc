<?php

declare(strict_types=1);

namespace OddSpark\Building;

use OddSpark\Appliance\Model;
use OddSpark\Faults\Fault;
use OddSpark\Faults\FaultSet;
use OddSpark\Meter\Mode;
use OddSpark\Trade\Csv;
use OddSpark\Words\Words;

/**
 * Readings that were taken on real units of a model, as a list for spreadsheets and as rows that are checked against
 * the model: where, in which state, with what.
 *
 * @phpstan-type Said array<string, mixed>
 * @phpstan-type LabRow array{unit: string, date: string, by: string, meter: string, visit: string, at_s: float,
 *     fault: string, mode: string, red: string, black: string, tap: string, value: float, note: string}
 */
final readonly class LabList
{
    public const COLUMNS = [
        'unit', 'date', 'by', 'meter', 'visit', 'at_s', 'fault', 'mode', 'red', 'black', 'tap', 'value', 'note',
    ];

    public const MOST = 500;

    /** Of a text, letters. */
    private const LONGEST = 120;

    private const LATEST_S = 200_000;

    /** @var array<string, Fault> */
    private array $faults;

    public function __construct(private Model $model)
    {
        $this->faults = FaultSet::of($model)->faults;
    }

    /**
     * @return list<LabRow>
     *
     * @throws EditError with the line
     */
    public function read(string $csv): array
    {
        $rows = [];
        try {
            foreach (Csv::named(
                $csv,
                self::COLUMNS,
                ['unit', 'date', 'visit', 'at_s', 'value'],
                self::MOST,
                'readings',
            ) as $line => $cells) {
                try {
                    $rows[] = $this->checked($cells);
                } catch (EditError $e) {
                    throw new EditError($e->pointer, Words::say('building.lab_list.line', [
                        'line' => $line,
                        'get_message' => $e->getMessage(),
                    ]));
                }
            }
        } catch (\InvalidArgumentException $e) {
            throw new EditError('/csv', $e->getMessage());
        }

        return $rows;
    }

    /** @param iterable<LabRow> $rows */
    public static function write(iterable $rows): string
    {
        $lines = [self::COLUMNS];
        foreach ($rows as $row) {
            $lines[] = array_map(fn (string $column) => $row[$column], self::COLUMNS);
        }

        return Csv::write($lines);
    }

    /**
     * @param Said $said
     * @return LabRow
     *
     * @throws EditError what is wrong with it
     */
    public function checked(array $said): array
    {
        $text = function (string $key, bool $needed = false) use ($said): string {
            $value = trim((string) ($said[$key] ?? ''));
            $needed && $value === '' && throw new EditError("/$key", Words::say('building.lab_list.is_missing', [
                'key' => $key,
            ]));
            mb_strlen($value) <= self::LONGEST ||
                throw new EditError("/$key", Words::say('building.lab_list.is_longer_than_letters', [
                    'key' => $key,
                    'longest' => self::LONGEST,
                ]));

            return $value;
        };
        $row = [
            'unit' => $text(
                'unit',
                true,
            ), 'date' => $text('date', true), 'by' => $text('by'), 'meter' => $text('meter'),
            'visit' => $text('visit', true), 'at_s' => self::number($said, 'at_s'), 'fault' => $text('fault'),
            'mode' => $text('mode'), 'red' => $text('red'), 'black' => $text('black'), 'tap' => $text('tap'),
            'value' => self::number($said, 'value'), 'note' => $text('note'),
        ];
        $day = \DateTimeImmutable::createFromFormat('!Y-m-d', $row['date']);
        $day !== false && $day->format('Y-m-d') === $row['date'] ||
            throw new EditError('/date', Words::say('building.lab_list.is_no_date_write_it', [
                'date' => $row['date'],
            ]));
        $row['at_s'] >= 0 && $row['at_s'] <= self::LATEST_S ||
            throw new EditError('/at_s', Words::say('building.lab_list.at_s_is_the_seconds', [
                'latest_s' => self::LATEST_S,
            ]));
        in_array($row['visit'], $this->model->visits(), true) ||
            throw new EditError('/visit', Words::say('building.lab_list.there_is_no_visit_there', [
                'visit' => $row['visit'],
                'visits' => implode(', ', $this->model->visits()),
            ]));
        $row['fault'] === '' || isset($this->faults[$row['fault']]) ||
            throw new EditError('/fault', Words::say('building.lab_list.this_model_has_no_fault', [
                'fault' => $row['fault'],
            ]));
        $this->where($row);

        return $row;
    }

    /** @param LabRow $row */
    private function where(array $row): void
    {
        if ($row['tap'] !== '') {
            $this->model->tap($row['tap']) !== null ||
                throw new EditError('/tap', Words::say('building.lab_list.there_is_no_tap_there', [
                    'tap' => $row['tap'],
                    'taps' => implode(', ', array_keys($this->model->taps())),
                ]));

            return;
        }
        $mode = Mode::tryFrom($row['mode']);
        $mode !== null && in_array($mode, LiveReadings::MODES, true) || throw new EditError(
            '/mode',
            Words::say('building.lab_list.mode_must_be_one_of', [
                'modes' => implode(', ', array_map(fn (Mode $m) => $m->value, LiveReadings::MODES)),
            ]),
        );
        foreach (['red', 'black'] as $lead) {
            $this->model->isPlace($row[$lead]) ||
                throw new EditError("/$lead", Words::say('building.lab_list.there_is_no_place_for', [
                    'row' => $row[$lead],
                    'lead' => $lead,
                ]));
        }
        if ($mode->isSeries() && array_filter([$row['red'], $row['black']], $this->model->isWireEnd(...)) === []) {
            throw new EditError('/red', Words::say('building.lab_list.amps_are_read_in_series'));
        }
    }

    /** @param Said $said */
    private static function number(array $said, string $key): float
    {
        $value = str_replace(',', '.', trim((string) ($said[$key] ?? '')));
        if (! is_numeric($value) || ! is_finite((float) $value)) {
            throw new EditError("/$key", Words::say('building.lab_list.must_be_a_number', ['key' => $key]));
        }

        return (float) $value;
    }
}
