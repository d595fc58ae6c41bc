<?php

declare(strict_types=1);

namespace OddSpark\Wiring;

use OddSpark\Appliance\Model;
use OddSpark\Wiring\Rules\Bonds;
use OddSpark\Wiring\Rules\Colours;
use OddSpark\Wiring\Rules\Loading;
use OddSpark\Wiring\Rules\Paths;
use OddSpark\Wiring\Rules\Plate;
use OddSpark\Wiring\Rules\Ports;
use OddSpark\Wiring\Rules\Returns;
use OddSpark\Wiring\Rules\Safeties;
use OddSpark\Wiring\Rules\Separation;
use OddSpark\Wiring\Rules\Sources;
use OddSpark\Words\Words;

/**
 * What is wrong or odd about a wiring, found without running it: by rules that each look at the graph of conductors.
 *
 * They look at the appliance as documented. That something is found does not stop a model from being computed.
 */
final class Checks
{
    /** @var list<class-string<Rule>> */
    private const RULES = [
        Sources::class,
        Paths::class,
        Safeties::class,
        Returns::class,
        Separation::class,
        Loading::class,
        Bonds::class,
        Colours::class,
        Ports::class,
        Plate::class,
    ];

    /** Those that say how a wiring is made, and not what it does. */
    private const OF_THE_MAKING = [Returns::class, Separation::class, Loading::class, Bonds::class, Colours::class];

    /** @return list<Finding> what is against the usual way of wiring, whatever it does */
    public static function ofTheMaking(Model $model): array
    {
        $nets = new Nets($model);

        return Words::in($model->language(), fn (): array => array_merge(
            ...array_map(fn (string $rule) => (new $rule($nets))->find(), self::OF_THE_MAKING),
        ));
    }

    /** @return list<Finding> what is wrong first, and what somebody has put aside last */
    public static function of(Model $model): array
    {
        $nets = new Nets($model);
        $found = Words::in($model->language(), fn (): array => array_merge(
            ...array_map(fn (string $rule) => (new $rule($nets))->find(), self::RULES),
        ));
        $found = array_map(fn (Finding $f) => self::asAccepted($f, $model), $found);
        usort($found, fn (Finding $x, Finding $y) => [$x->accepted !== null, $y->grade] <=> [
            $y->accepted !== null,
            $x->grade,
        ]);

        return $found;
    }

    private static function asAccepted(Finding $finding, Model $model): Finding
    {
        foreach ($model->document['accepted'] ?? [] as $one) {
            if ($finding->isThe($one)) {
                return $finding->accepted($one['reason']);
            }
        }

        return $finding;
    }
}
