<?php

declare(strict_types=1);

namespace OddSpark\Acts;

use OddSpark\Appliance\Model;
use OddSpark\Words\Words;

/** Whether what an act names is on the appliance at all. Whether it can be reached is another matter. */
final class References
{
    private const LONGEST = 60;

    /** @throws ActError for the first name that is nowhere on it */
    public static function check(Act $act, Model $model): void
    {
        foreach ($act::fields() as $field => $asked) {
            foreach ((array) $act->get($field) as $name) {
                $isThere = match ($asked->names) {
                    'part' => $model->part($name) !== null || $model->wire($name) !== null,
                    'place' => $model->isPlace($name),
                    'end' => $model->isWireEnd($name),
                    'tap' => $model->tap($name) !== null,
                    'wire' => $model->wire($name) !== null,
                    default => true,
                };
                if (! $isThere) {
                    $what = $asked->names === 'end' ? Words::say('acts.references.wire_end') : $asked->names;
                    throw new ActError(
                        "/$field",
                        Words::say('acts.references.there_is_no_called_on', [
                            'what' => $what,
                            'name' => mb_substr((string) $name, 0, self::LONGEST),
                        ]),
                    );
                }
            }
        }
    }
}
