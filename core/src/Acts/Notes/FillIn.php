<?php

declare(strict_types=1);

namespace OddSpark\Acts\Notes;

use OddSpark\Acts\Field;
use OddSpark\Acts\Names;
use OddSpark\Acts\Tells;
use OddSpark\Words\Words;

/** A row of the commissioning sheet: its figure, and whether it is in order. The last one of a row counts. */
final readonly class FillIn extends Note
{
    public const NAME = 'fill_in';

    public const MINUTES = 0.2;

    public static function fields(): array
    {
        return [
            'row' => Field::id('row'),
            'figure' => Field::number()->optional(),
            'found' => Field::oneOf('in_order', 'out_of_order'),
        ];
    }

    public function tells(): Tells
    {
        return Tells::Nothing;
    }

    public function said(Names $names): string
    {
        $figure = $this->get('figure');
        $row = $this->called($names);

        return match (true) {
            $figure === null && $this->get('found') === 'in_order' => Words::say('acts.fill_in.acts', ['row' => $row]),
            $figure === null => Words::say('acts.fill_in.acts_not', ['row' => $row]),
            $this->get('found') === 'in_order' => Words::say('acts.fill_in.in', ['row' => $row, 'figure' => $figure]),
            default => Words::say('acts.fill_in.out', ['row' => $row, 'figure' => $figure]),
        };
    }

    /** A row is called by its tap, or by what is read and of which part. */
    private function called(Names $names): string
    {
        $row = $this->get('row');
        [$what, $of] = [...explode(' ', $row, 2), ''];
        $part = substr($of, 0, (int) strrpos($of, '.'));

        return match (true) {
            $part !== '' => "{$names->part($part)}, $what",
            $of !== '' => $of,
            default => $names->tap($row),
        };
    }
}
