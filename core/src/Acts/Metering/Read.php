<?php

declare(strict_types=1);

namespace OddSpark\Acts\Metering;

use OddSpark\Acts\Act;
use OddSpark\Acts\Field;
use OddSpark\Acts\Names;
use OddSpark\Acts\Quality;
use OddSpark\Acts\Situation;
use OddSpark\Instruments\Bag;
use OddSpark\Instruments\Multimeter;
use OddSpark\Words\Words;

/** Another look at an instrument that is on already. */
final readonly class Read extends Act
{
    public const NAME = 'read';

    public const MINUTES = 0.1;

    public const QUALITIES = [Quality::Asks];

    public static function fields(): array
    {
        return ['of' => Field::oneOf(...array_keys(Bag::all()))->optional()];
    }

    public function refusal(Situation $now): ?string
    {
        $of = $this->get('of') ?? Multimeter::KEY;
        if (Bag::all()[$of]->isOn($now->state)) {
            return null;
        }

        return $of === Multimeter::KEY
            ? Words::say('acts.read.the_leads_are_not_on')
            : Words::say('acts.read.that_instrument_is_not_on');
    }

    public function placesLeads(): bool
    {
        return false;
    }

    public function reads(): string
    {
        return $this->get('of') ?? Multimeter::KEY;
    }

    public function said(Names $names): string
    {
        return ($this->get('of') ?? Multimeter::KEY) === Multimeter::KEY
            ? Words::say('acts.read.read_again')
            : Words::say('acts.read.read_the_again', ['title' => lcfirst(Bag::all()[$this->get('of')]::title())]);
    }
}
