<?php

declare(strict_types=1);

namespace OddSpark\Instruments;

use OddSpark\Meter\Mode;
use OddSpark\Meter\Reading;
use OddSpark\Meter\Scale;
use OddSpark\Words\Words;

/**
 * The instruments there are: the only list of them.
 *
 * @phpstan-import-type Shown from Reading
 */
final class Bag
{
    /** @var list<class-string<Instrument>> */
    private const INSTRUMENTS = [
        Multimeter::class,
        ClampMeter::class,
        Manometer::class,
        Thermometer::class,
        DraughtGauge::class,
        CombustionAnalyser::class,
        CarbonDioxide::class,
        CarbonMonoxide::class,
        Efficiency::class,
        SmokePump::class,
        OilPressureGauge::class,
        WaterGauge::class,
        BuiltInDisplay::class,
    ];

    /** @var array<string, Instrument> */
    private static array $all = [];

    /** @return array<string, Instrument> by key */
    public static function all(): array
    {
        if (self::$all === []) {
            foreach (self::INSTRUMENTS as $class) {
                self::$all[$class::KEY] = new $class();
            }
        }

        return self::$all;
    }

    /**
     * Puts one more into the bag.
     *
     * @param class-string<Instrument> $class
     */
    public static function register(string $class): void
    {
        self::$all = [...self::all(), $class::KEY => new $class()];
    }

    /** @return array<string, AtTap> those that are put to a tap, by key */
    public static function atTaps(): array
    {
        return array_filter(self::all(), fn (Instrument $i): bool => $i instanceof AtTap);
    }

    public static function meter(): Multimeter
    {
        /** @var Multimeter */
        return self::all()[Multimeter::KEY];
    }

    /** @param bool $metric as it is bought where the supply is European */
    public static function atTap(string $key, bool $metric = false): AtTap
    {
        $instrument = self::atTaps()[$key]
            ?? throw new \OutOfBoundsException(Words::say('instruments.bag.there_is_no_instrument_called', [
                'key' => $key,
            ]));

        return $metric ? new ($instrument::class)(true) : $instrument;
    }

    /** @return list<Scale> all that figures are read on, metric ones too */
    public static function scales(): array
    {
        $scales = Mode::cases();
        foreach (self::all() as $key => $instrument) {
            if ($instrument instanceof AtTap) {
                array_push($scales, self::atTap($key), self::atTap($key, true));
            } elseif ($instrument instanceof Scale) {
                $scales[] = $instrument;
            }
        }

        return $scales;
    }

    /** @return list<string> what a figure can be written down in: units of the displays, and of ohms their thousands */
    public static function units(): array
    {
        $units = array_map(fn (Scale $scale): string => $scale->specification()->unit, self::scales());

        return array_values(array_unique([...$units, 'kΩ', 'MΩ']));
    }

    /** What a figure was read on, by how it is written in a log. */
    public static function scale(string $key): Scale
    {
        $mode = Mode::tryFrom($key);
        if ($mode !== null) {
            return $mode;
        }
        if (str_ends_with($key, AtTap::METRIC)) {
            return self::atTap(substr($key, 0, -strlen(AtTap::METRIC)), true);
        }
        $instrument = self::all()[$key] ?? null;

        return $instrument instanceof Scale
            ? $instrument
            : throw new \OutOfBoundsException(Words::say('instruments.bag.nothing_is_read_on', ['key' => $key]));
    }

    /**
     * A reading as it was kept.
     *
     * @param Shown $json from {@see Reading::toArray}
     */
    public static function reading(array $json): Reading
    {
        return Reading::fromArray($json, self::scale($json['mode']));
    }
}
