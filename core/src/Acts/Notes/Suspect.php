<?php

declare(strict_types=1);

namespace OddSpark\Acts\Notes;

use OddSpark\Acts\Act;
use OddSpark\Acts\Field;
use OddSpark\Acts\Names;

/** A mark on one's own list of suspects. */
final readonly class Suspect extends Act
{
    public const NAME = 'suspect';

    public const MINUTES = 0.0;

    public static function fields(): array
    {
        return [
            'fault' => Field::id('fault'),
            'mark' => Field::oneOf('star', 'out', 'open'),
            'why' => Field::words()->optional(),
        ];
    }

    public function said(Names $names): string
    {
        return match ($this->get('mark')) {
            'out' => 'Ruled out',
            'star' => 'Starred',
            default => 'Took back',
        }.
            " a suspect: {$names->fault($this->get('fault'))}".
            ($this->get('why') === null ? '' : ", because {$this->get('why')}");
    }
}
