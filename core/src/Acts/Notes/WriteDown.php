<?php

declare(strict_types=1);

namespace OddSpark\Acts\Notes;

use OddSpark\Acts\Field;
use OddSpark\Acts\Names;
use OddSpark\Acts\Tells;
use OddSpark\Instruments\Bag;
use OddSpark\Words\Words;

/** A row of one's own sheet: what was read, in what, and where, as the person has it. */
final readonly class WriteDown extends Note
{
    public const NAME = 'write_down';

    public const MINUTES = 0.2;

    public static function fields(): array
    {
        return [
            'value' => Field::id('figure'),
            'unit' => Field::oneOf(...Bag::units()),
            'red' => Field::place()->optional(),
            'black' => Field::place()->optional(),
            'tap' => Field::tapOrNone()->optional(),
        ];
    }

    public function tells(): Tells
    {
        return Tells::Nothing;
    }

    public function said(Names $names): string
    {
        $where = match (true) {
            $this->get('tap') !== null => $names->tap($this->get('tap')),
            $this->get('red') === null && $this->get('black') === null => Words::say(
                'acts.write_down.nowhere_in_particular',
            ),
            default => implode(' to ', array_map(
                $names->place(...),
                array_filter([$this->get('red'), $this->get('black')], fn (?string $place): bool => $place !== null),
            )),
        };

        return Words::say('acts.write_down.wrote_down_at', [
            'value' => $this->get('value'),
            'unit' => $this->get('unit'),
            'where' => $where,
        ]);
    }
}
