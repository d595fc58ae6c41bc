<?php

declare(strict_types=1);

namespace OddSpark\Bench;

use OddSpark\Acts\Act;
use OddSpark\Appliance\Model;
use OddSpark\Faults\Universe;

/** The log in the trade's sentences: "Limit a to Furnace control C: 24.3 V AC". */
final readonly class Wording
{
    public function __construct(private Model $model) {}

    public function entry(Act $act, Outcome $outcome): string
    {
        $text = $this->act($act);
        if ($outcome->refused !== null) {
            return "$text: not done. {$outcome->refused}";
        }
        if ($outcome->reading !== null) {
            return "$text: {$outcome->reading->text()}";
        }
        if ($outcome->seen !== []) {
            return "$text: ".implode('; ', array_map(
                fn (string $thing, string $how) => $thing === 'condition' ? rtrim($how, '.') : "$thing $how",
                array_keys($outcome->seen), $outcome->seen,
            ));
        }

        return $text;
    }

    public function act(Act $act): string
    {
        $part = $act->get('part') === null ? '' : $this->part($act->get('part'));

        return match ($act->name) {
            'look' => "Looked at $part",
            'door' => $act->get('to') === 'open' ? 'Took the door off' : 'Put the door on',
            'hold' => $act->get('to') === 'held' ? 'Held the door switch in' : 'Let the door switch go',
            'set' => "$part, ".$this->control($act->get('part'), $act->get('lever')).' to '.$act->get('to'),
            'dial' => 'Meter to '.match ($act->get('mode')) {
                'vac' => 'volts AC', 'vdc' => 'volts DC', 'vlz' => 'volts at low impedance', 'beep' => 'continuity', 'ua' => 'microamps', default => 'ohms',
            },
            'leads' => $this->leads($act->get('red'), $act->get('black')),
            'read' => 'Read again',
            'meter_fuse' => 'Put a new fuse in the meter',
            'meant' => 'Took it as '.match ($act->get('meaning')) {
                'good' => 'good', 'bad' => 'bad', default => 'not conclusive',
            },
            'suspect' => match ($act->get('mark')) {
                'out' => 'Struck out', 'star' => 'Starred', default => 'Took back',
            }." a suspect: {$this->fault($act->get('fault'))}",
            'lift' => 'Lifted the '.$this->place($act->get('end')),
            'land' => 'Landed the '.$this->place($act->get('end')),
            'reset' => "Reset $part",
            'mend' => match ($act->get('how')) {
                'clean' => "Cleaned $part", 'clear' => "Cleared $part", 'set' => "Set $part right", default => "Replaced $part",
            },
            'wait' => 'Waited',
            'name' => "Named the fault: {$this->fault($act->get('fault'))}",
            default => 'Handed the appliance back',
        };
    }

    private function leads(?string $red, ?string $black): string
    {
        return match (true) {
            $red !== null && $black !== null => $this->place($red).' to '.$this->place($black),
            $red !== null => 'Red lead alone on '.$this->place($red),
            $black !== null => 'Black lead alone on '.$this->place($black),
            default => 'Leads off',
        };
    }

    private function fault(string $id): string
    {
        return Universe::of($this->model)->faults[$id]->title ?? $id;
    }

    public function place(string $place): string
    {
        return $this->model->placeName($place);
    }

    private function part(string $id): string
    {
        $wire = $this->model->wires()[$id] ?? null;
        if ($wire !== null) {
            return "{$wire['colour']} wire {$this->place($wire['from'])} to {$this->place($wire['to'])}";
        }

        return $this->model->parts()[$id]['label'] ?? $id;
    }

    private function control(string $part, string $lever): string
    {
        return $this->model->kindOf($part)['controls'][$lever]['label'] ?? $lever;
    }
}
