<?php

declare(strict_types=1);

namespace OddSpark\Marking;

use OddSpark\Acts\Catalogue;
use OddSpark\Acts\Danger;
use OddSpark\Words\Words;

/**
 * House rules: what each line weighs, what a pass is, which school is followed. Named and versioned; an attempt keeps
 * its version.
 */
final readonly class Rules
{
    /** Lines of a mark, in order, with their titles. */
    public const LINES = [
        'safety',
        'basics',
        'technique',
        'trace',
        'reasoning',
        'finding',
        'repair',
        'verify',
        'money',
        'habits',
        'report',
    ];

    /** Lines of other work than tracing a fault, by work, with what each weighs where a document does not say. */
    public const OTHER_WORK = [
        'predict' => ['predicted' => 70, 'live' => 30],
        'explain' => ['explained' => 70, 'root' => 30],
        'order' => ['sequence' => 60, 'proof' => 40],
        'commission' => ['measured' => 40, 'acted' => 25, 'put_right' => 25, 'care' => 10],
        'return' => ['night' => 10],
        'remote' => ['guided' => 25],
        'compare' => ['compared' => 10],
        'wire' => ['works' => 40, 'guards' => 30, 'code' => 20, 'care' => 10],
    ];

    /** Of that, what has every line of tracing beside its own, which can therefore weigh nothing. */
    private const BESIDE_ALL = ['return', 'compare'];

    /** What a mark cannot be passed with, whatever its sum. */
    public const CAPS = [
        'unsafe',
        'fault_left',
        'guess',
        'called_back',
        'swapped',
        'swept',
    ];

    /** What a trainee may have beside him. */
    public const PAPERS = ['ladder', 'card'];

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
            throw new RulesError('/odd_spark_rules', Words::say('marking.rules.must_be_1_the_version'));
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
            throw new RulesError("/$key", Words::say('marking.rules.not_known_here'));
        }
        if (! is_string($json['name'] ?? null) || preg_match('/^[a-z0-9][a-z0-9-]{0,39}$/', $json['name']) !== 1) {
            throw new RulesError('/name', Words::say('marking.rules.must_be_letters_digits_and'));
        }
        if (! is_string($json['title'] ?? null) || trim($json['title']) === '' || mb_strlen($json['title']) > 80) {
            throw new RulesError('/title', Words::say('marking.rules.must_be_said_in_at'));
        }
        if (! is_int($json['version'] ?? null) || $json['version'] < 1) {
            throw new RulesError('/version', Words::say('marking.rules.must_be_a_whole_number'));
        }
        $weights = [];
        foreach (self::LINES as $line) {
            $weights[$line] = self::number($json['weights'][$line] ?? 0, "/weights/$line", 0, 100);
        }
        foreach (self::OTHER_WORK as $lines) {
            foreach ($lines as $line => $weight) {
                $weights[$line] = self::number($json['weights'][$line] ?? $weight, "/weights/$line", 0, 100);
            }
        }
        foreach (array_diff(array_keys($json['weights'] ?? []), array_keys($weights)) as $line) {
            throw new RulesError("/weights/$line", Words::say('marking.rules.there_is_no_such_line'));
        }
        foreach (array_diff_key(self::OTHER_WORK, array_flip(self::BESIDE_ALL)) as $lines) {
            if (array_sum(array_intersect_key($weights, $lines)) <= 0) {
                $weights = array_map(floatval(...), $lines) + $weights; // who never gives such work need not say
            }
        }
        if (array_sum(array_intersect_key($weights, array_flip(self::LINES))) <= 0) {
            throw new RulesError('/weights', Words::say('marking.rules.at_least_one_line_must'));
        }
        $caps = $json['not_passed'] ?? ($json['unsafe_never_passes'] ?? false ? ['unsafe'] : []);
        $verify = ($json['verify'] ?? []) + [
            'cycle' => true,
            'safeties' => 'none',
            'reading' => false,
            'restore' => true,
        ];
        if (! in_array($verify['safeties'], ['none', 'one', 'each'], true)) {
            throw new RulesError('/verify/safeties', Words::say('marking.rules.must_be_none_one_or'));
        }
        foreach (['cycle', 'reading', 'restore'] as $what) {
            if (! is_bool($verify[$what])) {
                throw new RulesError("/verify/$what", Words::say('marking.rules.must_be_true_or_false'));
            }
        }
        if (! is_bool($json['own_sheet'] ?? false)) {
            throw new RulesError('/own_sheet', Words::say('marking.rules.must_be_true_or_false'));
        }
        $budget = ($json['budget'] ?? []) + ['minutes' => 90, 'parts' => 1, 'call_backs' => 0];
        $hints = ($json['hints'] ?? []) + ['where' => 3, 'circuit' => 6, 'reading' => 10];

        return new self(
            $json['name'],
            $json['version'],
            $json['title'],
            self::number($json['pass_mark'] ?? null, '/pass_mark', 0, 100),
            $weights,
            self::listed($caps, '/not_passed', self::CAPS),
            self::listed($json['stops'] ?? [], '/stops', array_keys(Danger::stoppable())),
            self::listed($json['barred'] ?? [], '/barred', array_keys(Catalogue::barrable())),
            self::listed($json['papers'] ?? self::PAPERS, '/papers', self::PAPERS),
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

    /** @return list<array{title: string, lines: array<string, string>}> the lines of each other work, with titles */
    public static function otherWork(): array
    {
        return array_map(fn (string $work, array $lines): array => [
            'title' => Words::say("marking.work.$work"), 'lines' => Words::each('marking.line', array_keys($lines)),
        ], array_keys(self::OTHER_WORK), array_values(self::OTHER_WORK));
    }

    /** @return list<string> lines of other work than tracing a fault */
    public static function linesOfOtherWork(): array
    {
        return array_values(array_unique(
            array_merge(...array_values(array_map(array_keys(...), self::OTHER_WORK))),
        ));
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
            throw new RulesError($pointer, Words::say('marking.rules.must_be_a_number_from', [
                'least' => $least,
                'most' => $most,
            ]));
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
            throw new RulesError($pointer, Words::say('marking.rules.must_be_a_list'));
        }
        foreach ($values as $i => $value) {
            if (! in_array($value, $known, true)) {
                throw new RulesError("$pointer/$i", Words::say('marking.rules.must_be_one_of', [
                    'known' => implode(', ', $known),
                ]));
            }
        }

        return array_values(array_unique($values));
    }
}
