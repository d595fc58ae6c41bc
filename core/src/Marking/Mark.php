<?php

declare(strict_types=1);

namespace OddSpark\Marking;

/** A mark under one set of house rules. */
final readonly class Mark
{
    /** @param list<Line> $lines */
    public function __construct(public array $lines, public float $total, public bool $passed, public string $verdict, public Rules $rules) {}

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'total' => round($this->total, 1),
            'passed' => $this->passed,
            'verdict' => $this->verdict,
            'rules' => ['name' => $this->rules->name, 'version' => $this->rules->version, 'title' => $this->rules->title, 'pass_mark' => $this->rules->passMark],
            'lines' => array_map(fn (Line $l) => $l->toArray($this->rules->weights[$l->id]), $this->lines),
        ];
    }
}
