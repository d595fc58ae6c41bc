<?php

declare(strict_types=1);

namespace OddSpark\Acts\Setting;

use OddSpark\Acts\Act;
use OddSpark\Acts\Field;
use OddSpark\Acts\Names;
use OddSpark\Acts\Quality;
use OddSpark\Acts\Situation;
use OddSpark\Appliance\Door as Shut;
use OddSpark\Run\BenchState;
use OddSpark\Words\Words;

/** A door taken off or put on; all of them where none is named. */
final readonly class Door extends Act
{
    public const NAME = 'door';

    public const MINUTES = 0.5;

    public const QUALITIES = [Quality::OnBoth];

    public static function fields(): array
    {
        return ['to' => Field::oneOf('open', 'shut'), 'door' => Field::id('door')->optional()];
    }

    public function refusal(Situation $now): ?string
    {
        return $now->reach->door($this->get('door'));
    }

    public function risks(Situation $now): array
    {
        $sealed = array_filter(
            $now->model->doors()->shut($now->state->open),
            fn (Shut $door): bool => $door->sealed && in_array($this->get('door'), [null, $door->id], true),
        );

        return $this->get('to') === 'open' && $sealed !== [] ? ['casing-opened'] : [];
    }

    public function apply(Situation $now): BenchState
    {
        $doors = $now->model->doors();
        $open = $doors->moved($now->state->open, $this->get('door'), $this->get('to') === 'open');
        $held = $this->get('door') === null ? [] : array_diff($now->state->held, [$this->get('door')]);

        return $now->reach->interlocked($now->state->with(open: $open, held: array_values($held)));
    }

    public function said(Names $names): string
    {
        $door = $names->door($this->get('door'));

        return $this->get('to') === 'open'
            ? Words::say('acts.door.took_off', ['door' => $door])
            : Words::say('acts.door.put_on', ['door' => $door]);
    }
}
