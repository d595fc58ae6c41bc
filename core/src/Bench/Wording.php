<?php

declare(strict_types=1);

namespace OddSpark\Bench;

use OddSpark\Acts\Act;
use OddSpark\Appliance\Model;
use OddSpark\Faults\Universe;
use OddSpark\Meter\Mode;

/** The log in the trade's sentences: "Limit a to Furnace control C: 24.3 V AC". */
final readonly class Wording
{
    private const MODES = [
        'vac' => 'volts AC', 'vlz' => 'volts at low impedance', 'vdc' => 'volts DC', 'mvdc' => 'millivolts', 'ohm' => 'ohms', 'beep' => 'continuity',
        'uf' => 'microfarads', 'hz' => 'hertz', 'ua' => 'microamps', 'ma' => 'milliamps', 'aac' => 'amps AC in series',
    ];

    public const QUESTIONS = [
        'since' => 'since when?', 'display' => 'what does the thermostat show?', 'noise' => 'any noise?', 'smell' => 'any smell?',
        'filter' => 'when was the filter changed?', 'work' => 'any electrical work lately?',
    ];

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
            'dial' => 'Meter to '.self::MODES[$act->get('mode')].($act->get('range') === null ? '' : ', range '.$act->get('range').' by hand'),
            'keep' => $act->get('to') === 'on' ? 'Let the meter keep least and most' : 'Let the meter forget least and most',
            'leads' => $this->leads($act->get('red'), $act->get('black')),
            'read' => match ($act->get('of')) {
                'clamp' => 'Read the clamp again', 'gauge', 'probe', 'draught', 'analyser', 'smoke', 'oil_gauge' => 'Read the '.lcfirst(Mode::AT_TAPS[$act->get('of')]).' again', default => 'Read again',
            },
            'meter_fuse' => 'Put new fuses in the meter',
            'meter_battery' => 'Put a new battery in the meter',
            'clamp' => $act->get('wires') === [] ? 'Clamp off' : 'Clamp round '.implode(' and ', array_map($this->part(...), $act->get('wires'))).(($act->get('turns') ?? 1) > 1 ? ", {$act->get('turns')} turns" : ''),
            'gauge', 'probe', 'draught', 'analyser', 'smoke', 'oil_gauge' => Mode::AT_TAPS[$act->name].($act->get('tap') === null ? ' put away' : ' at the '.($this->model->tap($act->get('tap'))->label ?? $act->get('tap'))),
            'tester' => 'Held the tester to '.$this->place($act->get('place')),
            'meant' => 'Took it as '.match ($act->get('meaning')) {
                'good' => 'good', 'bad' => 'bad', default => 'not conclusive',
            },
            'suspect' => match ($act->get('mark')) {
                'out' => 'Struck out', 'star' => 'Starred', default => 'Took back',
            }." a suspect: {$this->fault($act->get('fault'))}".($act->get('why') === null ? '' : ", because {$act->get('why')}"),
            'todo' => match ($act->get('state')) {
                'done' => 'Ticked off', 'gone' => 'Took off the list', default => 'On the list',
            }.": {$act->get('item')}",
            'lift' => 'Lifted the '.$this->place($act->get('end')),
            'land' => 'Landed the '.$this->place($act->get('end')),
            'plug' => ($act->get('to') === 'off' ? 'Pulled the plug of ' : 'Put the plug back on ').$part,
            'jump' => 'Jumper from '.$this->place($act->get('from')).' to '.$this->place($act->get('to')),
            'unjump' => 'Took the jumper off '.$this->place($act->get('from')).' and '.$this->place($act->get('to')),
            'listen' => "Listened at $part",
            'smell' => 'Smelt',
            'feel' => "Felt $part",
            'ask' => 'Asked: '.self::QUESTIONS[$act->get('question')],
            'turn' => "Turned $part by hand",
            'push' => $act->get('to') === 'in' ? "Pushed $part in by hand" : "Let $part go",
            'tap' => "Tapped $part",
            'clock' => "Clocked $part",
            'suck' => $act->get('to') === 'on' ? "Sucked at $part" : "Let $part go",
            'batteries' => "Put fresh batteries into $part",
            'fuse' => $act->get('amps') == 0 ? "Took the fuse out of $part" : "Put {$act->get('amps')} A into $part",
            'spare' => "Fitted {$act->get('spare')} for $part",
            'reset' => "Reset $part",
            'mend' => match ($act->get('how')) {
                'clean' => "Cleaned $part", 'clear' => "Cleared $part", 'set' => "Set $part right", default => "Replaced $part",
            },
            'wait' => 'Waited',
            'hint' => 'Took a hint: '.match ($act->get('grade')) {
                'where' => 'where in the sequence', 'circuit' => 'which circuit', default => 'which reading',
            },
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
        $wire = $this->model->wire($id);
        if ($wire !== null) {
            return "{$wire->colour} wire {$this->place($wire->from)} to {$this->place($wire->to)}";
        }

        return $this->model->part($id)->label ?? $id;
    }

    private function control(string $part, string $lever): string
    {
        return $this->model->kindOf($part)->settings[$lever]->label ?? $lever;
    }
}
