<?php

declare(strict_types=1);

namespace OddSpark\Bench;

use OddSpark\Acts\Act;
use OddSpark\Appliance\Model;
use OddSpark\Appliance\Plan;
use OddSpark\Meter\Mode;

/** What is within reach on an appliance as it stands, and why something is not. */
final readonly class Reach
{
    /** @var list<string> parts behind the door */
    private array $covered;

    /** @var array<string, true> parts of which something shows through the glass, or stands outside */
    private array $shows;

    public function __construct(private Plan $plan)
    {
        $shows = [];
        foreach ($plan->percepts as $percept) {
            if ($percept['sense'] === 'sight' && in_array($percept['from'], ['outside', 'anywhere'], true)) {
                $shows[$percept['part']] = true;
            }
        }
        $this->shows = $shows;
        $this->covered = $plan->model->covered();
    }

    /**
     * Whether a lead can get to a place: it is not behind a door that is shut.
     *
     * @param array<string, mixed> $state
     */
    public function reaches(array $state, string $place): bool
    {
        return $state['door'] === 'open' || ! in_array($this->ownerOf($place), $this->covered, true);
    }

    /** The part that a place is at: of a wire end, the one that it goes to. */
    public function ownerOf(string $place): string
    {
        [$owner, $end] = Model::split($place);
        $wire = $this->plan->model->wire($owner);

        return $wire === null ? $owner : Model::split($wire->at($end))[0];
    }

    /**
     * Why an act cannot be done here and now; null when it can.
     *
     * @param array<string, mixed> $state
     */
    public function refusal(array $state, Act $act): ?string
    {
        return match ($act->name) {
            'look' => $this->sight($state, $act),
            'mend', 'reset', 'plug', 'tap', 'listen', 'feel' => $this->part($state, $act),
            'turn', 'push', 'suck', 'fuse', 'batteries', 'spare', 'clock' => $this->part($state, $act) ?? $this->kindOf($act),
            'jump', 'unjump' => $this->at($state, $act->get('from'), 'The clip') ?? $this->at($state, $act->get('to'), 'The clip') ?? $this->jumper($state, $act),
            'set' => $this->lever($state, $act),
            'leads' => $this->lead($state, $act, 'red') ?? $this->lead($state, $act, 'black'),
            'tester' => $this->at($state, $act->get('place'), 'The tester'),
            'dial' => $this->range($act),
            'lift', 'land' => $this->wireEnd($state, $act),
            'clamp' => $this->jaw($state, $act->get('wires')),
            'hold' => $state['door'] !== 'open' ? 'The door itself holds the switch in.' : null,
            'read' => $this->nothingToRead($state, $act->get('of') ?? 'meter'),
            default => isset(Mode::AT_TAPS[$act->name]) ? $this->tap($state, $act) : null,
        };
    }

    /**
     * Whether anything of a part can be seen: it lies open, or something of it shows through the glass of the door.
     *
     * @param array<string, mixed> $state
     */
    public function isInSight(array $state, string $part): bool
    {
        return isset($this->shows[$part]) || $this->reaches($state, "$part.");
    }

    /** @param array<string, mixed> $state */
    private function sight(array $state, Act $act): ?string
    {
        $part = $act->get('part');

        return isset($this->plan->model->parts()[$part]) && $this->isInSight($state, $part) ? null : $this->part($state, $act);
    }

    /** @param array<string, mixed> $state */
    private function part(array $state, Act $act): ?string
    {
        $model = $this->plan->model;
        $part = $act->get('part');
        if (! isset($model->parts()[$part]) && ! isset($model->wires()[$part])) {
            return "There is no part called \"$part\" here.";
        }
        if ($this->isBehind($state, isset($model->parts()[$part]) ? $part : $this->ownerOf("$part.a"))) {
            return 'That is behind the door.';
        }
        if ($act->name === 'reset' && ($model->kindOf($part)->resets ?? []) === []) {
            return 'There is nothing to reset on it.';
        }

        return null;
    }

    /** What can be done only to some kinds of part. */
    private function kindOf(Act $act): ?string
    {
        $kind = $this->plan->model->kindOf($act->get('part'));
        $hands = $kind?->hands();

        return match (true) {
            $act->name === 'turn' && $hands?->turn !== true => 'There is nothing on it to turn by hand.',
            $act->name === 'push' && $hands?->push !== true => 'There is no armature on it to push.',
            $act->name === 'suck' && $hands?->suck !== true => 'There is no port on it to suck at.',
            $act->name === 'batteries' && $hands?->batteries !== true => 'It has no batteries.',
            $act->name === 'fuse' && $hands?->fuse === null => 'There is no fuse in it.',
            $act->name === 'fuse' && ($act->get('amps') < 0 || $act->get('amps') > 100) => 'A fuse has up to 100 A; 0 takes it out.',
            $act->name === 'clock' && $hands?->clock !== true => 'It has no dial to clock.',
            $act->name === 'spare' && ! in_array($act->get('spare'), $hands->spares ?? [], true) => 'The van has no such spare for it; it has '.implode(', ', $hands->spares ?? []).'.',
            default => null,
        };
    }

    /** @param array<string, mixed> $state */
    private function jumper(array $state, Act $act): ?string
    {
        $there = array_filter([...$state['jumpers'], ...$state['earlier']], fn (array $j) => Hands::joins($j, $act->get('from'), $act->get('to'))) !== [];

        return match (true) {
            $act->get('from') === $act->get('to') => 'Both clips on one place join nothing.',
            $act->name === 'jump' && $there => 'There is a jumper there already.',
            $act->name === 'jump' && count($state['jumpers']) >= 6 => 'There are six jumpers in the bag, and all are in use.',
            $act->name === 'unjump' && ! $there => 'There is no jumper there.',
            default => null,
        };
    }

    /** @param array<string, mixed> $state */
    private function lever(array $state, Act $act): ?string
    {
        [$part, $lever, $to] = [$act->get('part'), $act->get('lever'), $act->get('to')];
        if (! isset($this->plan->model->parts()[$part])) {
            return "There is no part called \"$part\" here.";
        }
        $setting = $this->plan->model->parts()[$part]->kind->settings[$lever] ?? null;
        if ($setting === null) {
            return "There is nothing called \"$lever\" to set on \"$part\".";
        }
        if ($this->isBehind($state, $part)) {
            return 'That is behind the door.';
        }

        return $setting->takes($to) ? null : "It can be set to {$setting->choices()}.";
    }

    /** @param array<string, mixed> $state */
    private function lead(array $state, Act $act, string $lead): ?string
    {
        $place = $act->get($lead);
        if ($place === null) {
            return null;
        }
        if (! $this->plan->model->isPlace($place)) {
            return "There is no place called \"$place\" for the $lead lead.";
        }

        return $this->isBehind($state, $this->ownerOf($place)) ? "The $lead lead cannot get there: it is behind the door." : null;
    }

    /** @param array<string, mixed> $state */
    private function at(array $state, string $place, string $what): ?string
    {
        if (! $this->plan->model->isPlace($place)) {
            return "There is no place called \"$place\".";
        }

        return $this->isBehind($state, $this->ownerOf($place)) ? "$what cannot get there: it is behind the door." : null;
    }

    private function range(Act $act): ?string
    {
        $range = $act->get('range');
        $ranges = Mode::from($act->get('mode'))->specification()->ranges();

        return $range === null || in_array((float) $range, $ranges, true) ? null : 'On this position the ranges are '.implode(', ', $ranges).'.';
    }

    /** @param array<string, mixed> $state */
    private function wireEnd(array $state, Act $act): ?string
    {
        [$wire, $end] = Model::split($act->get('end'));
        if (! isset($this->plan->model->wires()[$wire]) || ! in_array($end, ['a', 'b'], true)) {
            return "There is no wire end called \"{$act->get('end')}\".";
        }
        if ($this->isBehind($state, $this->ownerOf($act->get('end')))) {
            return 'That is behind the door.';
        }
        if ($state['slots']["$wire.body"][$end] === ($act->name === 'land')) {
            return $act->name === 'land' ? 'It is landed already.' : 'It is lifted already.';
        }

        return null;
    }

    /**
     * A jaw goes round a wire where at least one of its ends can be got at.
     *
     * @param array<string, mixed> $state
     * @param list<string> $wires
     */
    private function jaw(array $state, array $wires): ?string
    {
        foreach ($wires as $wire) {
            if (! isset($this->plan->model->wires()[$wire])) {
                return "There is no wire called \"$wire\" to close the jaw round.";
            }
            if ($this->isBehind($state, $this->ownerOf("$wire.a")) && $this->isBehind($state, $this->ownerOf("$wire.b"))) {
                return 'That is behind the door.';
            }
        }

        return null;
    }

    /** @param array<string, mixed> $state */
    private function tap(array $state, Act $act): ?string
    {
        $tap = $act->get('tap');
        if ($tap === null) {
            return null;
        }
        $known = $this->plan->model->tap($tap);
        if ($known === null || $known->instrument !== $act->name) {
            return "There is no tap called \"$tap\" for this instrument.";
        }

        return $this->isBehind($state, $known->part) ? 'That is behind the door.' : null;
    }

    /** @param array<string, mixed> $state */
    private function nothingToRead(array $state, string $of): ?string
    {
        return match (true) {
            $of === 'meter' && ($state['red'] === null || $state['black'] === null) => 'The leads are not on anything.',
            $of !== 'meter' && $state[$of] === null => 'That instrument is not on anything.',
            default => null,
        };
    }

    /** @param array<string, mixed> $state */
    private function isBehind(array $state, string $part): bool
    {
        return $state['door'] !== 'open' && in_array($part, $this->covered, true);
    }
}
