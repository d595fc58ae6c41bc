<?php

declare(strict_types=1);

namespace OddSpark\Building;

use OddSpark\Appliance\Plan;
use OddSpark\Appliance\Shapes;
use OddSpark\Meter\Mode;
use OddSpark\Meter\Reading;
use OddSpark\Run\Memory;
use OddSpark\Words\Words;

/**
 * What an instructor expects of his model: readings at moments of its visits, with a fault or without, and between what
 * figures each is right. They are run with the model as it is now, and those that no longer hold are told.
 *
 * @phpstan-import-type ExpectedDocument from Shapes
 * @phpstan-type Outcome array{shows: string|null, value: float|null, holds: bool|null, says: string|null}
 */
final readonly class ExpectedReadings
{
    /** Modes of the meter that can be expected: those that are read live. */
    public const MODES = [Mode::VoltsAc, Mode::VoltsLow, Mode::VoltsDc, Mode::Millivolts];

    public function __construct(private Plan $plan, private Memory $memory = new Memory()) {}

    /**
     * @return list<Outcome> for each of the model's expected readings, in their order: what is shown, without the
     *     noise of the instrument, its figure in the unit of the mode (null for none), whether it is right (null while
     *     nothing has been said to be), and a sentence when it is not or cannot be read
     */
    public function outcomes(): array
    {
        $rows = array_values($this->plan->model->expected());
        $taken = (new LiveReadings($this->plan, $this->memory))->of($rows);

        return array_map(
            fn (array $row, mixed $measured) => is_string($measured)
                ? ['shows' => null, 'value' => null, 'holds' => false, 'says' => $measured]
                : self::judged($row, $measured->reading),
            $rows,
            $taken,
        );
    }

    /**
     * @param ExpectedDocument $row
     * @return Outcome
     */
    private static function judged(array $row, Reading $reading): array
    {
        [$least, $most] = [$row['least'] ?? null, $row['most'] ?? null];
        $value = is_finite($reading->value) ? $reading->value : null;
        $outcome = ['shows' => $reading->text(), 'value' => $value, 'holds' => null, 'says' => null];
        if ($least === null && $most === null) {
            return $outcome;
        }
        $outcome['holds'] =
            $value !== null && ($least === null || $value >= $least) && ($most === null || $value <= $most);
        if (! $outcome['holds']) {
            $right = match (true) {
                $least === null => Words::say('building.expected_readings.at_most', [
                    'most' => sprintf('%g', $most),
                ]),
                $most === null => Words::say('building.expected_readings.or_more', [
                    'least' => sprintf('%g', $least),
                ]),
                default => Words::say('building.expected_readings.to', [
                    'least' => sprintf('%g', $least),
                    'most' => sprintf('%g', $most),
                ]),
            };
            $outcome['says'] = Words::say('building.expected_readings.it_shows_right_is', [
                'reading' => $reading->text(),
                'right' => $right,
            ]);
        }

        return $outcome;
    }
}
