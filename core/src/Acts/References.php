<?php

declare(strict_types=1);

namespace OddSpark\Acts;

use OddSpark\Appliance\Model;

/** Whether what an act names is on the appliance at all. Whether it can be reached is another matter. */
final class References
{
    private const PLACES = ['red', 'black', 'place', 'from', 'to'];

    /**
     * @throws ActError for the first name that is nowhere on it
     */
    public static function check(Act $act, Model $model): void
    {
        foreach (Catalogue::ACTS[$act->name]['fields'] as $field => $type) {
            $value = $act->get($field);
            if (! is_string($value)) {
                foreach ($field === 'wires' ? (array) $value : [] as $wire) {
                    isset($model->wires()[$wire]) || throw self::unknown($field, 'wire', $wire);
                }

                continue;
            }
            match (true) {
                $field === 'part' => isset($model->parts()[$value]) || isset($model->wires()[$value]) || throw self::unknown($field, 'part', $value),
                $field === 'tap' => isset($model->taps()[$value]) || throw self::unknown($field, 'tap', $value),
                $field === 'end' => $model->isWireEnd($value) || throw self::unknown($field, 'wire end', $value),
                in_array($field, self::PLACES, true) && in_array(rtrim($type, '?'), ['place', 'string'], true) => $model->isPlace($value) || throw self::unknown($field, 'place', $value),
                default => true,
            };
        }
    }

    private static function unknown(string $field, string $what, string $name): ActError
    {
        return new ActError("/$field", "There is no $what called \"".mb_substr($name, 0, 60).'" on this appliance.');
    }
}
