<?php

declare(strict_types=1);

namespace OddSpark\Marking;

use OddSpark\Acts\Catalogue;
use OddSpark\Acts\Danger;

/**
 * House rules: what each line weighs, what a pass is, which school is followed. Named and versioned; an attempt keeps
 * its version.
 */
final readonly class Rules
{
    /** Lines of a mark, in order, with their titles. */
    public const LINES = [
        'safety' => 'Safety',
        'basics' => 'Basics first',
        'technique' => 'Technique',
        'trace' => 'Trace',
        'reasoning' => 'Reasoning',
        'finding' => 'Finding',
        'repair' => 'Repair',
        'verify' => 'Verify and restore',
        'money' => 'Time and money',
        'habits' => 'Good habits',
        'report' => 'Closing report',
    ];

    /** What a mark cannot be passed with, whatever its sum. */
    public const CAPS = [
        'unsafe' => 'an unsafe act was done',
        'fault_left' => 'the fault was not repaired',
        'guess' => 'the named fault was a guess, or already ruled out',
        'called_back' => 'the customer calls back',
        'swapped' => 'a part was replaced without proof',
        'swept' => 'readings were taken everywhere, and most told nothing',
    ];

    /** What a trainee may have beside him. */
    public const PAPERS = ['ladder' => 'the ladder', 'card' => 'the code card'];

    /** Grades of a hint, from the least to the most that it tells. */
    public const HINTS = ['where', 'circuit', 'reading'];

    /**
     * @param array<string, int|float> $weights by line; a line of no weight is not in the mark
     * @param list<string> $caps ids of {@see CAPS}
     * @param list<string> $stops dangers that are stopped before they are done, ids of {@see Danger}
     * @param list<string> $barred acts that are not allowed at all, of {@see Catalogue::barrable}
     * @param list<string> $papers what may be looked up, of {@see PAPERS}
     * @param array{cycle: bool, safeties: string, reading: bool, restore: bool} $verify what has to be done after the
     *     repair; safeties is none, one or each
     * @param array{minutes: float, parts: int, call_backs: int} $budget
     * @param array<string, float> $hints points that a hint costs, by grade
     * @param bool $ownSheet the log keeps no readings: the trainee writes them down himself
     */
    private function __construct(
        public string $name,
        public int $version,
        public string $title,
        public float $passMark,
        public array $weights,
        public array $caps,
        public array $stops,
        public array $barred,
        public array $papers,
        public Schools $schools,
        public array $verify,
        public array $budget,
        public array $hints,
        public bool $ownSheet = false,
    ) {}

    /**
     * @param array<string, mixed> $json a rules document; of an older one, what it does not say is as it was then
     *
     * @throws RulesError
     */
    public static function of(array $json): self
    {
        if (($json['odd_spark_rules'] ?? null) !== 1) {
            throw new RulesError('/odd_spark_rules', 'Must be 1, the version of this format.');
        }
        $known = [
            'odd_spark_rules',
            'name',
            'version',
            'title',
            'pass_mark',
            'unsafe_never_passes',
            'weights',
            'not_passed',
            'stops',
            'barred',
            'papers',
            'schools',
            'verify',
            'budget',
            'hints',
            'own_sheet',
        ];
        foreach (array_diff(array_keys($json), $known) as $key) {
            throw new RulesError("/$key", 'Not known here.');
        }
        if (! is_string($json['name'] ?? null) || preg_match('/^[a-z0-9][a-z0-9-]{0,39}$/', $json['name']) !== 1) {
            throw new RulesError('/name', 'Must be letters, digits and dashes, at most 40.');
        }
        if (! is_string($json['title'] ?? null) || trim($json['title']) === '' || mb_strlen($json['title']) > 80) {
            throw new RulesError('/title', 'Must be said, in at most 80 letters.');
        }
        if (! is_int($json['version'] ?? null) || $json['version'] < 1) {
            throw new RulesError('/version', 'Must be a whole number from 1.');
        }
        $weights = [];
        foreach (array_keys(self::LINES) as $line) {
            $weights[$line] = self::number($json['weights'][$line] ?? 0, "/weights/$line", 0, 100);
        }
        foreach (array_diff(array_keys($json['weights'] ?? []), array_keys(self::LINES)) as $line) {
            throw new RulesError("/weights/$line", 'There is no such line.');
        }
        if (array_sum($weights) <= 0) {
            throw new RulesError('/weights', 'At least one line must weigh something.');
        }
        $caps = $json['not_passed'] ?? ($json['unsafe_never_passes'] ?? false ? ['unsafe'] : []);
        $verify = ($json['verify'] ?? []) + [
            'cycle' => true,
            'safeties' => 'none',
            'reading' => false,
            'restore' => true,
        ];
        if (! in_array($verify['safeties'], ['none', 'one', 'each'], true)) {
            throw new RulesError('/verify/safeties', 'Must be none, one or each.');
        }
        foreach (['cycle', 'reading', 'restore'] as $what) {
            if (! is_bool($verify[$what])) {
                throw new RulesError("/verify/$what", 'Must be true or false.');
            }
        }
        if (! is_bool($json['own_sheet'] ?? false)) {
            throw new RulesError('/own_sheet', 'Must be true or false.');
        }
        $budget = ($json['budget'] ?? []) + ['minutes' => 90, 'parts' => 1, 'call_backs' => 0];
        $hints = ($json['hints'] ?? []) + ['where' => 3, 'circuit' => 6, 'reading' => 10];

        return new self(
            $json['name'],
            $json['version'],
            $json['title'],
            self::number($json['pass_mark'] ?? null, '/pass_mark', 0, 100),
            $weights,
            self::listed($caps, '/not_passed', array_keys(self::CAPS)),
            self::listed($json['stops'] ?? [], '/stops', array_keys(Danger::stoppable())),
            self::listed($json['barred'] ?? [], '/barred', array_keys(Catalogue::barrable())),
            self::listed($json['papers'] ?? array_keys(self::PAPERS), '/papers', array_keys(self::PAPERS)),
            Schools::of($json['schools'] ?? []),
            [
                'cycle' => $verify['cycle'],
                'safeties' => $verify['safeties'],
                'reading' => $verify['reading'],
                'restore' => $verify['restore'],
            ],
            [
                'minutes' => self::number($budget['minutes'], '/budget/minutes', 1, 10000),
                'parts' => (int) self::number($budget['parts'], '/budget/parts', 0, 100),
                'call_backs' => (int) self::number($budget['call_backs'], '/budget/call_backs', 0, 100),
            ],
            array_combine(
                self::HINTS,
                array_map(fn (string $grade) => self::number($hints[$grade], "/hints/$grade", 0, 100), self::HINTS),
            ),
            $json['own_sheet'] ?? false,
        );
    }

    /** @return array<string, mixed> the rules document */
    public function toArray(): array
    {
        return [
            'odd_spark_rules' => 1,
            'name' => $this->name,
            'version' => $this->version,
            'title' => $this->title,
            'pass_mark' => $this->passMark,
            'weights' => $this->weights,
            'not_passed' => $this->caps,
            'stops' => $this->stops,
            'barred' => $this->barred,
            'papers' => $this->papers,
            'schools' => $this->schools->toArray(),
            'verify' => $this->verify,
            'budget' => $this->budget,
            'hints' => $this->hints,
            'own_sheet' => $this->ownSheet,
        ];
    }

    private static function number(mixed $value, string $pointer, float $least, float $most): float
    {
        if (! is_int($value) && ! is_float($value) || $value < $least || $value > $most) {
            throw new RulesError($pointer, "Must be a number from $least to $most.");
        }

        return (float) $value;
    }

    /**
     * @param list<string> $known
     * @return list<string>
     */
    private static function listed(mixed $values, string $pointer, array $known): array
    {
        if (! is_array($values)) {
            throw new RulesError($pointer, 'Must be a list.');
        }
        foreach ($values as $i => $value) {
            if (! in_array($value, $known, true)) {
                throw new RulesError("$pointer/$i", 'Must be one of '.implode(', ', $known).'.');
            }
        }

        return array_values(array_unique($values));
    }
}
