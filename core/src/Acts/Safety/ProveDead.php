<?php

declare(strict_types=1);

namespace OddSpark\Acts\Safety;

use OddSpark\Acts\Act;
use OddSpark\Acts\Field;
use OddSpark\Acts\Names;
use OddSpark\Acts\Quality;
use OddSpark\Acts\Situation;
use OddSpark\Words\Words;

/**
 * A place proved dead before hands go on it: the tester on a source known to be live, on the place against earth, and
 * on the source again, so that the tester is proved too.
 */
final readonly class ProveDead extends Act
{
    public const NAME = 'prove_dead';

    public const MINUTES = 1.0;

    public const QUALITIES = [Quality::Asks];

    /** Volts to earth from which a two-pole tester lights. */
    private const LIGHTS_V = 12.0;

    public static function fields(): array
    {
        return ['known' => Field::place(), 'place' => Field::place()];
    }

    public function refusal(Situation $now): ?string
    {
        return $now->reach->place($now->state, $this->get('known'), Words::say('acts.prove_dead.the_tester'))
            ?? $now->reach->place($now->state, $this->get('place'), Words::say('acts.prove_dead.the_tester'));
    }

    public function shows(Situation $now): array
    {
        $known = $this->tested($now, $this->get('known'));

        return [
            'known source' => $known,
            'the place' => $this->tested($now, $this->get('place')),
            'known source again' => $known,
            'proved' => match (true) {
                $known === 'dead' => Words::say('acts.prove_dead.nothing_the_source_itself_is'),
                $this->tested($now, $this->get('place')) === 'dead' => 'dead',
                default => Words::say('acts.prove_dead.it_is_live'),
            },
        ];
    }

    public function said(Names $names): string
    {
        return Words::say('acts.prove_dead.proved_the_tester_on_before', [
            'place' => $names->place($this->get('place')),
            'known' => $names->place($this->get('known')),
        ]);
    }

    private function tested(Situation $now, string $place): string
    {
        $volts = $now->machine->solution($now->state)->acVolts($now->plan->places[$place], 0);

        return $volts >= self::LIGHTS_V ? Words::say('acts.prove_dead.live_about_v', [
            'volts' => round($volts / 10) * 10,
        ]) : 'dead';
    }
}
