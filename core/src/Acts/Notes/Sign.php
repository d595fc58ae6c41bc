<?php

declare(strict_types=1);

namespace OddSpark\Acts\Notes;

use OddSpark\Acts\Field;
use OddSpark\Acts\Names;
use OddSpark\Acts\Tells;
use OddSpark\Words\Words;

/** The commissioning sheet signed: the appliance goes into service, or it does not. The last one counts. */
final readonly class Sign extends Note
{
    public const NAME = 'sign';

    public const MINUTES = 1.0;

    public static function fields(): array
    {
        return ['as' => Field::oneOf('in_service', 'out_of_service')];
    }

    public function tells(): Tells
    {
        return Tells::Nothing;
    }

    public function said(Names $names): string
    {
        return $this->get('as') === 'in_service'
            ? Words::say('acts.sign.in_service')
            : Words::say('acts.sign.out_of_service');
    }
}
