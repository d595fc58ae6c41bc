<?php

declare(strict_types=1);

namespace OddSpark\Marking;

use OddSpark\Words\Words;

/** Where good practitioners differ: which way a house takes. */
final readonly class Schools
{
    /** The ways by question; the first is taken where nothing is said. */
    public const CHOICES = [
        'start' => ['any', 'thermostat', 'supply', 'lamp'],
        'reference' => ['any_metal', 'own_common'],
        'limit_test' => ['either', 'ohms_dead', 'volts'],
        'valve_test' => ['either', 'amps_first', 'volts_first'],
        'safety_jumper' => ['never', 'supervised'],
        'valve_jumper' => ['never', 'watched'],
        'flue_aside' => ['never', 'one_trial'],
        'sealed_casing' => ['may_open', 'stays'],
        'ignition_trials' => ['grave', 'ordinary'],
        'proved_dead' => ['switched_off', 'proved'],
        'gas_joints' => ['left', 'tested'],
        'rod_replacement' => ['either', 'damaged_only'],
        'after_short' => ['part_then_test', 'look_further'],
    ];

    /**
     * @param array<string, string> $chosen by question
     * @param float $flameUa microamps from which a flame current is good
     */
    private function __construct(private array $chosen, public float $flameUa) {}

    /**
     * @param array<string, mixed> $json
     *
     * @throws RulesError
     */
    public static function of(array $json): self
    {
        $chosen = [];
        foreach (self::CHOICES as $question => $ways) {
            $way = $json[$question] ?? $ways[0];
            if (! in_array($way, $ways, true)) {
                throw new RulesError("/schools/$question", Words::say('marking.schools.must_be_one_of', [
                    'ways' => implode(', ', $ways),
                ]));
            }
            $chosen[$question] = $way;
        }
        $ua = $json['flame_current_ua'] ?? 1.8;
        if (! is_int($ua) && ! is_float($ua) || $ua < 0.1 || $ua > 20) {
            throw new RulesError('/schools/flame_current_ua', Words::say('marking.schools.must_be_microamps_from_0'));
        }
        foreach (array_diff(array_keys($json), [...array_keys(self::CHOICES), 'flame_current_ua']) as $key) {
            throw new RulesError("/schools/$key", Words::say('marking.schools.not_known_here'));
        }

        return new self($chosen, (float) $ua);
    }

    public function is(string $question, string $way): bool
    {
        return $this->chosen[$question] === $way;
    }

    public function way(string $question): string
    {
        return $this->chosen[$question];
    }

    /** @return array<string, string> what each question is about */
    public static function questions(): array
    {
        return Words::each('marking.schools.question', array_keys(self::CHOICES));
    }

    /** @return array<string, array<string, string>> the ways by question, in words */
    public static function choices(): array
    {
        $choices = [];
        foreach (self::CHOICES as $question => $ways) {
            $choices[$question] = Words::each("marking.schools.ways.$question", $ways);
        }

        return $choices;
    }

    /** @return array<string, string|float> */
    public function toArray(): array
    {
        return $this->chosen + ['flame_current_ua' => $this->flameUa];
    }
}
