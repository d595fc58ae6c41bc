<?php

declare(strict_types=1);

namespace OddSpark\Acts\Metering;

use OddSpark\Acts\Act;
use OddSpark\Acts\Field;
use OddSpark\Acts\Names;
use OddSpark\Acts\Quality;
use OddSpark\Acts\Situation;
use OddSpark\Instruments\Bag;
use OddSpark\Run\BenchState;
use OddSpark\Words\Words;

/** An instrument put to a tap, or put away; the act is called by the key of the instrument. */
final readonly class PutToTap extends Act
{
    public const QUALITIES = [Quality::Asks, Quality::Touches, Quality::Barrable];

    public static function fields(): array
    {
        return ['tap' => Field::tapOrNone()];
    }

    public function title(): string
    {
        return Bag::atTap($this->name)::title();
    }

    public function minutes(): float
    {
        return Bag::atTap($this->name)::MINUTES;
    }

    public function refusal(Situation $now): ?string
    {
        $id = $this->get('tap');
        if ($id === null) {
            return null;
        }
        $tap = $now->model->tap($id);
        if ($tap === null || $tap->instrument !== $this->name) {
            return Words::say('acts.put_to_tap.there_is_no_tap_called', ['id' => $id]);
        }

        return $now->reach->behind($now->state, $tap->part);
    }

    public function apply(Situation $now): BenchState
    {
        $taps = array_replace($now->state->taps, [$this->name => $this->get('tap')]);

        return $now->state->with(taps: array_filter($taps, fn (?string $tap): bool => $tap !== null));
    }

    public function reads(): string
    {
        return $this->name;
    }

    public function said(Names $names): string
    {
        return Bag::atTap($this->name)::title().
            ($this->get('tap') === null ? Words::say(
                'acts.put_to_tap.put_away',
            ) : Words::say('acts.put_to_tap.at_the', [
                'tap' => $names->tap($this->get('tap')),
            ]));
    }
}
