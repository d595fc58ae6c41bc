<?php

declare(strict_types=1);

namespace OddSpark\Marking;

use OddSpark\Words\Words;

/** A mark under one set of house rules. */
final readonly class Mark
{
    /**
     * @param list<Line> $lines those that weigh something
     * @param list<string> $caps why it is not passed, whatever its sum; ids of {@see Rules::CAPS}
     * @param array<string, int> $hints how many were taken, by grade
     * @param list<array{text: string, entry: int|null}> $habits good ones that the log shows
     * @param array{hours: float, said: list<string>} $callBack what the customer says when the appliance has run on
     */
    public function __construct(
        public array $lines,
        public string $verdict,
        public array $caps,
        public array $hints,
        public array $callBack,
        public Rules $rules,
        public array $habits = [],
    ) {}

    /** Of 100: what the lines come to, less what was paid for hints. */
    public function total(): float
    {
        $shares = array_combine(
            array_map(fn (Line $l) => $l->id, $this->lines),
            array_map(fn (Line $l) => $l->share, $this->lines),
        );

        return self::sum($shares, array_intersect_key($this->rules->weights, $shares), $this->paid());
    }

    /**
     * @param array<string, float> $shares by line
     * @param array<string, int|float> $weights by line
     * @param float $paid points for hints
     */
    public static function sum(array $shares, array $weights, float $paid): float
    {
        $points = 0.0;
        foreach ($shares as $line => $share) {
            $points += $share * $weights[$line];
        }

        return max(0.0, 100 * $points / array_sum($weights) - $paid);
    }

    /** What a verdict says, by its id. */
    public static function verdictText(string $id): string
    {
        return Words::say("marking.verdict.$id");
    }

    public function passed(): bool
    {
        return $this->total() >= $this->rules->passMark && $this->caps === [];
    }

    public function line(string $id): Line
    {
        foreach ($this->lines as $line) {
            if ($line->id === $id) {
                return $line;
            }
        }
        throw new \OutOfBoundsException(Words::say('marking.mark.these_rules_give_no_line', ['id' => $id]));
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'total' => round($this->total(), 1),
            'passed' => $this->passed(),
            'verdict' => $this->verdict,
            'not_passed' => array_values(Words::each('marking.cap', $this->caps)),
            'hints' => ['taken' => $this->hints, 'points' => $this->paid()],
            'call_back' => $this->callBack,
            'habits' => $this->habits,
            'rules' => [
                'name' => $this->rules->name,
                'version' => $this->rules->version,
                'title' => $this->rules->title,
                'pass_mark' => $this->rules->passMark,
            ],
            'lines' => array_map(fn (Line $l) => $l->toArray($this->rules->weights[$l->id]), $this->lines),
        ];
    }

    private function paid(): float
    {
        $points = 0.0;
        foreach ($this->hints as $grade => $times) {
            $points += $times * $this->rules->hints[$grade];
        }

        return $points;
    }
}
