<?php

declare(strict_types=1);

namespace OddSpark\Marking;

/** House rules: what each line weighs, what a pass is. Named and versioned; an attempt keeps its version. */
final readonly class Rules
{
    /**
     * @param array<string, int> $weights by line
     * @param list<string> $stops dangers that are stopped before they are done, ids of {@see \OddSpark\Bench\Danger}
     */
    public function __construct(
        public string $name,
        public int $version,
        public string $title,
        public int $passMark,
        public bool $unsafeNeverPasses,
        public array $weights,
        public array $stops = [],
    ) {}

    /** @param array<string, mixed> $json a rules document */
    public static function of(array $json): self
    {
        return new self($json['name'], $json['version'], $json['title'], $json['pass_mark'], $json['unsafe_never_passes'], $json['weights'], $json['stops'] ?? []);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'odd_spark_rules' => 1, 'name' => $this->name, 'version' => $this->version, 'title' => $this->title,
            'pass_mark' => $this->passMark, 'unsafe_never_passes' => $this->unsafeNeverPasses, 'weights' => $this->weights, 'stops' => $this->stops,
        ];
    }
}
