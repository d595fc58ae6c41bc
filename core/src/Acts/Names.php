<?php

declare(strict_types=1);

namespace OddSpark\Acts;

use OddSpark\Appliance\Model;
use OddSpark\Faults\FaultSet;
use OddSpark\Words\Words;

/** What things of an appliance are called, for those who say what was done to them. */
final readonly class Names
{
    public function __construct(private Model $model) {}

    public function place(string $place): string
    {
        return $this->model->placeName($place);
    }

    /** Of a part or a wire. */
    public function part(string $id): string
    {
        $wire = $this->model->wire($id);

        return $wire === null
            ? $this->model->part($id)->label ?? $id
            : Words::say('acts.names.wire_to', [
                'colour' => $wire->colour,
                'from' => $this->place($wire->from),
                'to' => $this->place($wire->to),
            ]);
    }

    public function setting(string $part, string $lever): string
    {
        return $this->model->kindOf($part)->settings[$lever]->label ?? $lever;
    }

    /** A door, or all where none is meant. */
    public function door(?string $id): string
    {
        $door = $id === null ? null : $this->model->doors()->get($id);

        return $door === null ? Words::say('acts.names.the_door') : $this->model->doors()->called($door);
    }

    public function tap(string $tap): string
    {
        return $this->model->tap($tap)->label ?? $tap;
    }

    public function fault(string $id): string
    {
        return FaultSet::of($this->model)->faults[$id]->title ?? $id;
    }
}
