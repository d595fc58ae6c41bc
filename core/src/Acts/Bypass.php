<?php

declare(strict_types=1);

namespace OddSpark\Acts;

use OddSpark\Appliance\Model;
use OddSpark\Parts\Ability\Decides;
use OddSpark\Wiring\Guards;
use OddSpark\Wiring\Nets;

/**
 * What a jumper does away with: switches that had to be closed for a fuel valve to be fed, and with it need not be. It
 * is made out in the circuit with the jumper in it, wherever its two ends are.
 */
final class Bypass
{
    /**
     * @var \WeakMap<Model, array<string, array<string, array<string, true>>>>|null by model, and by the jumpers in it
     */
    private static ?\WeakMap $known = null;

    /**
     * Ids of {@see Danger}.
     *
     * @param list<array{string, string}> $before jumpers that are in already: places
     * @param array{string, string} $jumper
     * @param list<string> $off parts that were taken off: another of their family may be wired in their stead
     * @return list<string>
     */
    public static function by(Model $model, array $before, array $jumper, array $off = []): array
    {
        $after = self::guards($model, [...$before, $jumper], $off);
        $found = [];
        foreach (self::guards($model, $before) as $valve => $guards) {
            $lost = isset($after[$valve]) ? array_diff_key($guards, $after[$valve]) : [];
            $new = $lost === [] ? [] : self::families($model, array_diff_key($after[$valve], $guards));
            foreach ($lost as $switch => $_) {
                if (! isset($new[self::family($model, (string) $switch)])) {
                    $found[self::danger($model, (string) $switch)] = true;
                }
            }
        }
        unset($found['']);

        return array_keys($found);
    }

    /**
     * @param array<string, true> $switches
     * @return array<string, true> of their parts
     */
    private static function families(Model $model, array $switches): array
    {
        $of = fn (int|string $switch): string => self::family($model, (string) $switch);

        return array_fill_keys(array_map($of, array_keys($switches)), true);
    }

    private static function family(Model $model, string $switch): string
    {
        return $model->kindOf(Model::split($switch)[0])->family->value ?? '';
    }

    /** What it is to be without a switch; '' when that is no danger: a thermostat may be jumped to see what follows. */
    private static function danger(Model $model, string $switch): string
    {
        [$part, $name] = Model::split($switch);
        $kind = $model->kindOf($part);
        $follows = $kind?->primitives[$name]->follows() ?? '';
        $driver = $kind?->primitives[$follows] ?? null;

        return match (true) {
            $kind?->isGuardingSwitch($name) === true,
            $model->doors()->isInterlock("$part.$follows") => 'safety-jumpered',
            $driver?->can(Decides::class) === true => 'valve-jumpered',
            default => '',
        };
    }

    /**
     * @param list<array{string, string}> $jumpers
     * @param list<string> $off
     * @return array<string, array<string, true>> {@see Guards::ofFuel}
     */
    private static function guards(Model $model, array $jumpers, array $off = []): array
    {
        self::$known ??= new \WeakMap();
        self::$known[$model] ??= [];
        $key = json_encode([$jumpers, $off], JSON_THROW_ON_ERROR);
        if (! isset(self::$known[$model][$key])) {
            self::$known[$model][$key] = (new Guards(new Nets($model, $jumpers, $off)))->ofFuel();
        }

        return self::$known[$model][$key];
    }
}
