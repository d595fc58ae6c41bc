<?php

declare(strict_types=1);

namespace OddSpark\Acts;

use OddSpark\Acts\Comparing\OnTwin;
use OddSpark\Acts\InHand as H;
use OddSpark\Acts\Metering as M;
use OddSpark\Acts\Notes as N;
use OddSpark\Acts\Perceiving as P;
use OddSpark\Acts\Repairs as R;
use OddSpark\Acts\Safety as F;
use OddSpark\Acts\Setting as S;
use OddSpark\Acts\Wires as W;
use OddSpark\Instruments\Bag;
use OddSpark\Words\Words;

/**
 * What can be done: the only list of acts.
 *
 * @phpstan-import-type Fields from Act
 */
final class Catalogue
{
    /** Seconds after the arrival that an act can have. */
    private const LATEST_S = 1e7;

    /** @var list<class-string<Act>> */
    private const ACTS = [
        P\Look::class,
        S\Door::class,
        S\HoldSwitch::class,
        S\Set::class,
        M\Dial::class,
        M\Keep::class,
        M\Leads::class,
        M\MeterFuse::class,
        M\MeterBattery::class,
        M\ClampRound::class,
        M\HoldTester::class,
        M\Read::class,
        M\LeaveLogger::class,
        OnTwin::class,
        N\Meant::class,
        N\Suspect::class,
        N\Todo::class,
        W\Lift::class,
        W\Land::class,
        W\Plug::class,
        W\Tug::class,
        W\Jump::class,
        W\Unjump::class,
        W\RunWire::class,
        P\Listen::class,
        P\Smell::class,
        P\Feel::class,
        P\Ask::class,
        P\Turn::class,
        P\Recall::class,
        P\ReadOut::class,
        P\ClockGas::class,
        S\Push::class,
        S\Suck::class,
        S\Tap::class,
        S\Reset::class,
        H\Take::class,
        H\Head::class,
        H\Warm::class,
        H\Bleed::class,
        H\MeasureSpare::class,
        H\MeasureFuse::class,
        F\Lock::class,
        F\ProveDead::class,
        F\LeakTest::class,
        F\RoomAir::class,
        F\TagOut::class,
        F\Tell::class,
        R\CallSupplier::class,
        R\FitBatteries::class,
        R\FitFuse::class,
        R\FitSpare::class,
        R\Install::class,
        R\Mend::class,
        N\Expect::class,
        N\WriteDown::class,
        N\Report::class,
        N\FillIn::class,
        N\Sign::class,
        N\Wait::class,
        N\ComeBack::class,
        N\Hint::class,
        N\NameFault::class,
        N\HandBack::class,
    ];

    /** @var array<string, class-string<Act>> */
    private static array $all = [];

    /** @return array<string, class-string<Act>> by name; those of instruments at taps are called by the instrument */
    public static function all(): array
    {
        if (self::$all === []) {
            foreach (self::ACTS as $class) {
                self::$all[$class::NAME] = $class;
            }
        }

        return self::$all + array_fill_keys(array_keys(Bag::atTaps()), M\PutToTap::class);
    }

    /**
     * One more that can be done.
     *
     * @param class-string<Act> $class
     */
    public static function register(string $class): void
    {
        self::all();
        self::$all[$class::NAME] = $class;
    }

    /**
     * An act of which it is known that its fields are right.
     *
     * @param Fields $with
     */
    public static function make(int $tick, string $name, array $with = []): Act
    {
        return new (self::all()[$name])($tick, $with, $name);
    }

    /** @return list<string> names of acts of some sort */
    public static function that(Quality $quality): array
    {
        return array_keys(
            array_filter(self::all(), fn (string $class): bool => in_array($quality, $class::QUALITIES, true)),
        );
    }

    /** @return array<string, string> what house rules can do without, by name */
    public static function barrable(): array
    {
        $names = self::that(Quality::Barrable);

        return array_combine($names, array_map(fn (string $name): string => self::make(0, $name)->title(), $names));
    }

    /** Minutes of labour of an act, by its name. */
    public static function minutes(string $name): float
    {
        return self::make(0, $name)->minutes();
    }

    /**
     * An act from its JSON, checked.
     *
     * @param array<string, mixed> $json
     * @param string $pointer of it in the document
     *
     * @throws ActError
     */
    public static function act(array $json, string $pointer = ''): Act
    {
        $name = $json['act'] ?? null;
        if (! is_string($name) || ! isset(self::all()[$name])) {
            throw new ActError(
                "$pointer/act",
                Words::say('acts.catalogue.there_is_no_such_act', [
                    'all' => implode(', ', array_keys(self::all())),
                ]),
            );
        }
        $at = $json['at_s'] ?? null;
        if (! is_int($at) && ! is_float($at) || $at < 0 || $at > self::LATEST_S || ! is_finite((float) $at)) {
            throw new ActError("$pointer/at_s", Words::say('acts.catalogue.must_be_seconds_since_the'));
        }
        $with = [];
        foreach (self::all()[$name]::fields() as $field => $asked) {
            $value = $json[$field] ?? null;
            if ($value === null && $asked->isOptional) {
                continue;
            }
            if (! $asked->takes($value)) {
                throw new ActError("$pointer/$field", sprintf($asked->sentence, $name));
            }
            $with[$field] = $value;
        }
        $unknown = array_diff(array_keys($json), array_keys(self::all()[$name]::fields()), ['at_s', 'act', 'id']);
        if ($unknown !== []) {
            throw new ActError("$pointer/".reset($unknown), Words::say('acts.catalogue.takes_no_such_thing', [
                'name' => $name,
            ]));
        }

        return self::make((int) round($at * 1000), $name, $with);
    }

    /** @return array<string, mixed> JSON Schema of an act, each with its fields */
    public static function schema(): array
    {
        $each = [];
        foreach (self::all() as $name => $class) {
            $fields = $class::fields();
            $each[] = [
                'type' => 'object',
                'required' => [
                    'at_s',
                    'act',
                    ...array_keys(array_filter($fields, fn (Field $f): bool => ! $f->isOptional)),
                ],
                'properties' => [
                    'act' => ['const' => $name],
                    'at_s' => ['type' => 'number', 'minimum' => 0, 'maximum' => self::LATEST_S],
                    'id' => ['type' => 'string', 'minLength' => 1, 'maxLength' => 40],
                    ...array_map(fn (Field $f): array => $f->schema, $fields),
                ],
                'additionalProperties' => false,
            ];
        }

        return ['oneOf' => $each];
    }
}
