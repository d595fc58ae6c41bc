<?php

declare(strict_types=1);

namespace OddSpark\Bench;

use OddSpark\Acts\Act;
use OddSpark\Acts\Names;
use OddSpark\Appliance\Model;
use OddSpark\Words\Words;

/** The log in the trade's sentences: "Limit a to Furnace control C: 24.3 V AC". */
final readonly class Wording
{
    private Names $names;

    public function __construct(Model $model)
    {
        $this->names = new Names($model);
    }

    public function entry(Act $act, Outcome $outcome): string
    {
        $text = $this->act($act);
        if ($outcome->refused !== null) {
            return Words::say('bench.wording.not_done', [
                'text' => $text,
                'refused' => Words::again($outcome->refused),
            ]);
        }
        if ($outcome->reading !== null) {
            $beside = $outcome->seen === [] ? '' : ' ('.implode(', ', array_map(Words::again(...), $outcome->seen)).')';

            return "$text: {$outcome->reading->text()}$beside";
        }
        if ($outcome->seen !== []) {
            return "$text: ".implode('; ', array_map(
                fn (string $thing, string $how): string => $thing === 'condition' ? rtrim($how, '.') : "$thing $how",
                array_keys($outcome->seen), array_map(Words::again(...), $outcome->seen),
            ));
        }

        return $text;
    }

    public function act(Act $act): string
    {
        return $act->said($this->names);
    }

    public function part(string $id): string
    {
        return $this->names->part($id);
    }

    public function place(string $place): string
    {
        return $this->names->place($place);
    }
}
