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
     * @return list<string>
     */
    public static function by(Model $model, array $before, array $jumper): array
    {
        $after = self::guards($model, [...$before, $jumper]);
        $found = [];
        foreach (self::guards($model, $before) as $valve => $guards) {
            foreach (isset($after[$valve]) ? array_diff_key($guards, $after[$valve]) : [] as $switch => $_) {
                $found[self::danger($model, (string) $switch)] = true;
            }
        }
        unset($found['']);

        return array_keys($found);
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
     * @return array<string, array<string, true>> {@see Guards::ofFuel}
     */
    private static function guards(Model $model, array $jumpers): array
    {
        self::$known ??= new \WeakMap();
        self::$known[$model] ??= [];
        $key = json_encode($jumpers, JSON_THROW_ON_ERROR);
        if (! isset(self::$known[$model][$key])) {
            self::$known[$model][$key] = (new Guards(new Nets($model, $jumpers)))->ofFuel();
        }

        return self::$known[$model][$key];
    }
}
