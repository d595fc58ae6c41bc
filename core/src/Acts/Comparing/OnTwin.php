<?php

declare(strict_types=1);

namespace OddSpark\Acts\Comparing;

use OddSpark\Acts\Act;
use OddSpark\Acts\ActError;
use OddSpark\Acts\Catalogue;
use OddSpark\Acts\Field;
use OddSpark\Acts\Metering\Dial;
use OddSpark\Acts\Metering\Keep;
use OddSpark\Acts\Metering\Leads;
use OddSpark\Acts\Metering\Read;
use OddSpark\Acts\Names;
use OddSpark\Acts\Perceiving\Look;
use OddSpark\Acts\References;
use OddSpark\Acts\Situation;
use OddSpark\Acts\Tells;
use OddSpark\Appliance\Model;
use OddSpark\Meter\Mode;
use OddSpark\Run\BenchState;
use OddSpark\Words\Words;

/**
 * Something read or looked at on the sound twin that stands beside the failed unit. There is one meter: where its leads
 * go on the one, they come off the other. Of the failed unit it tells nothing by itself.
 */
final readonly class OnTwin extends Act
{
    public const NAME = 'twin';

    /** What can be done there: nothing is set, and nothing repaired on it alone. */
    private const DOES = [Leads::NAME, Dial::NAME, Read::NAME, Keep::NAME, Look::NAME];

    public static function fields(): array
    {
        return [
            'does' => Field::oneOf(...self::DOES),
            'red' => Field::placeOrNone()->optional(),
            'black' => Field::placeOrNone()->optional(),
            'mode' => Field::oneOf(...array_column(Mode::cases(), 'value'))->optional(),
            'part' => Field::part()->optional(),
            'to' => Field::oneOf('on', 'off')->optional(),
        ];
    }

    /** The same as it is done to the twin. */
    public function there(): Act
    {
        $does = (string) $this->get('does');
        $fields = Catalogue::all()[$does]::fields();

        return Catalogue::make($this->tick, $does, array_intersect_key($this->with, $fields));
    }

    public function minutes(): float
    {
        return $this->there()->minutes();
    }

    public function minutesOn(Model $model): float
    {
        return $this->there()->minutesOn($model);
    }

    public function refusal(Situation $now): ?string
    {
        try {
            References::check($this->there(), $now->model);
        } catch (ActError $e) {
            return $e->getMessage();
        }
        foreach (self::asked($this->there()) as $field) {
            if ($this->get($field) === null) {
                return Words::say('acts.on_twin.lacks', ['does' => $this->get('does'), 'field' => $field]);
            }
        }

        return null;
    }

    /** The leads go where it is done, and the meter has one dial. */
    public function apply(Situation $now): BenchState
    {
        return match ($this->get('does')) {
            Leads::NAME => $now->state->with(red: null, black: null, display: null),
            Dial::NAME => $this->there()->apply($now),
            default => $now->state,
        };
    }

    public function tells(): Tells
    {
        return Tells::Nothing;
    }

    public function said(Names $names): string
    {
        return Words::say('acts.on_twin.on_the_twin', ['what' => lcfirst($this->there()->said($names))]);
    }

    /** @return list<string> fields that what is done there cannot do without */
    private static function asked(Act $there): array
    {
        return match ($there->name) {
            Dial::NAME => ['mode'],
            Look::NAME => ['part'],
            Keep::NAME => ['to'],
            default => [],
        };
    }
}
