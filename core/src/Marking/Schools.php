<?php

declare(strict_types=1);

namespace OddSpark\Marking;

/** Where good practitioners differ: which way a house takes. */
final readonly class Schools
{
    /** What each is about. */
    public const QUESTIONS = [
        'start' => 'Where to begin',
        'reference' => 'Reference for volts',
        'limit_test' => 'Test of a limit or rollout',
        'valve_test' => 'First test of a gas valve',
        'safety_jumper' => 'Bridging a safety to see whether it goes on',
        'valve_jumper' => '24 V straight to a main valve',
        'flue_aside' => 'Flue pipe pushed aside to prove a blockage',
        'sealed_casing' => 'A room-sealed casing',
        'ignition_trials' => 'Trials for ignition without a light',
        'proved_dead' => 'Before hands go on an electric part',
        'gas_joints' => 'A gas joint that was opened',
        'rod_replacement' => 'A coated flame rod',
        'after_short' => 'After a short',
    ];

    /** The ways, each with its words; the first is taken where nothing is said. */
    public const CHOICES = [
        'start' => [
            'any' => 'anywhere among the basics',
            'thermostat' => 'at the thermostat: is there a call?',
            'supply' => 'at breaker and switch',
            'lamp' => 'at the control\'s lamp and its card',
        ],
        'reference' => [
            'any_metal' => 'any chassis metal or ground screw',
            'own_common' => 'the circuit\'s own common or neutral only',
        ],
        'limit_test' => [
            'either' => 'either way',
            'ohms_dead' => 'continuity with the power off',
            'volts' => 'volts to common on both sides',
        ],
        'valve_test' => [
            'either' => 'either way',
            'amps_first' => 'amps first',
            'volts_first' => 'volts across its terminals first',
        ],
        'safety_jumper' => ['never' => 'never', 'supervised' => 'a short test, taken out at once'],
        'valve_jumper' => ['never' => 'never', 'watched' => 'a short test with the burner watched'],
        'flue_aside' => ['never' => 'never: measure the draft', 'one_trial' => 'one trial'],
        'sealed_casing' => [
            'may_open' => 'opened by whoever works on it',
            'stays' => 'left closed: for those licensed for it',
        ],
        'ignition_trials' => [
            'grave' => 'grave: shut the fuel off in between',
            'ordinary' => 'a few are part of the work',
        ],
        'proved_dead' => ['switched_off' => 'switched off is enough', 'proved' => 'proved dead each time'],
        'gas_joints' => ['left' => 'tested if you see fit', 'tested' => 'tested for leaks each time'],
        'rod_replacement' => [
            'either' => 'cleaned or replaced',
            'damaged_only' => 'replaced only when bent, thin or cracked',
        ],
        'after_short' => [
            'part_then_test' => 'the failed part, then test',
            'look_further' => 'look for what else, before power',
        ],
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
            $way = $json[$question] ?? array_key_first($ways);
            if (! isset($ways[$way])) {
                throw new RulesError("/schools/$question", 'Must be one of '.implode(', ', array_keys($ways)).'.');
            }
            $chosen[$question] = $way;
        }
        $ua = $json['flame_current_ua'] ?? 1.8;
        if (! is_int($ua) && ! is_float($ua) || $ua < 0.1 || $ua > 20) {
            throw new RulesError('/schools/flame_current_ua', 'Must be microamps from 0.1 to 20.');
        }
        foreach (array_diff(array_keys($json), [...array_keys(self::CHOICES), 'flame_current_ua']) as $key) {
            throw new RulesError("/schools/$key", 'Not known here.');
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

    /** @return array<string, string|float> */
    public function toArray(): array
    {
        return $this->chosen + ['flame_current_ua' => $this->flameUa];
    }
}
