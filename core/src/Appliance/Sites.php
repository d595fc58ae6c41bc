<?php

declare(strict_types=1);

namespace OddSpark\Appliance;

/**
 * What stands together, so that one person with two leads spans it: parts that short wires join. What only long ones
 * lead to, a thermostat, the panel of the house, stands elsewhere.
 */
final class Sites
{
    /** The longest wire that is spanned: as long as two leads of a metre, and a little slack. */
    private const SPANNED_METRES = 2.5;

    private const METRES_PER_FOOT = 0.3048;

    /** @var \WeakMap<Model, self>|null what every candidate asks of the same model again and again */
    private static ?\WeakMap $known = null;

    /** @param array<string, string> $of by part that wires lead to: one of those that stand with it */
    private function __construct(private readonly array $of) {}

    public static function of(Model $model): self
    {
        self::$known ??= new \WeakMap();

        return self::$known[$model] ??= self::read($model);
    }

    private static function read(Model $model): self
    {
        $with = [];
        foreach (array_keys($model->parts()) as $part) {
            $with[$part] = (string) $part;
        }
        $root = function (string $part) use (&$with): string {
            while (($with[$part] ?? $part) !== $part) {
                $part = $with[$part];
            }

            return $part;
        };
        $pairs = array_map(fn (Wire $w): array => $w->parts(), array_filter(
            $model->wires(),
            fn (Wire $w): bool => ($w->metres ?? $w->feet * self::METRES_PER_FOOT) <= self::SPANNED_METRES,
        ));
        foreach ($model->joined() as $places) {
            $pairs[] = [Model::split($places[0])[0], Model::split($places[1] ?? $places[0])[0]];
        }
        foreach ($pairs as [$a, $b]) {
            $with[$root($b)] = $root($a);
        }

        $wired = array_merge([], ...array_map(fn (Wire $w): array => $w->parts(), array_values($model->wires())));

        return new self(array_map($root, array_intersect_key($with, array_flip($wired))));
    }

    /** Whether two parts stand so far apart that a lead between them needs to be made longer. */
    public function areApart(string $one, string $other): bool
    {
        $sites = [$this->of[$one] ?? null, $this->of[$other] ?? null]; // what no wire leads to lies about

        return ! in_array(null, $sites, true) && $sites[0] !== $sites[1];
    }
}
