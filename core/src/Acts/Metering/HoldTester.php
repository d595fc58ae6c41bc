<?php

declare(strict_types=1);

namespace OddSpark\Acts\Metering;

use OddSpark\Acts\Act;
use OddSpark\Acts\Field;
use OddSpark\Acts\Names;
use OddSpark\Acts\Quality;
use OddSpark\Acts\Situation;
use OddSpark\Instruments\FieldTester;
use OddSpark\Words\Words;

/** The non-contact tester held to a place. */
final readonly class HoldTester extends Act
{
    public const NAME = 'tester';

    public const MINUTES = FieldTester::MINUTES;

    public const QUALITIES = [Quality::Asks, Quality::Barrable];

    public static function fields(): array
    {
        return ['place' => Field::place()];
    }

    public function refusal(Situation $now): ?string
    {
        return $now->reach->place($now->state, $this->get('place'), Words::say('acts.hold_tester.the_tester'));
    }

    public function shows(Situation $now): array
    {
        return [
            'tester' => FieldTester::lights($now->site(), $this->get('place'))
                ? 'lights'
                : Words::say('acts.hold_tester.stays_dark'),
        ];
    }

    public function said(Names $names): string
    {
        return Words::say('acts.hold_tester.held_the_tester_to', ['place' => $names->place($this->get('place'))]);
    }
}
