<?php

declare(strict_types=1);

namespace OddSpark\Acts\Safety;

use OddSpark\Acts\Act;
use OddSpark\Acts\Field;
use OddSpark\Acts\Names;
use OddSpark\Acts\Quality;
use OddSpark\Acts\Situation;

/**
 * A place proved dead before hands go on it: the tester on a source known to be live, on the place against earth, and
 * on the source again, so that the tester is proved too.
 */
final readonly class ProveDead extends Act
{
    public const NAME = 'prove_dead';

    public const TITLE = 'Proving dead';

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
        return $now->reach->place($now->state, $this->get('known'), 'The tester')
            ?? $now->reach->place($now->state, $this->get('place'), 'The tester');
    }

    public function shows(Situation $now): array
    {
        $known = $this->tested($now, $this->get('known'));

        return [
            'known source' => $known,
            'the place' => $this->tested($now, $this->get('place')),
            'known source again' => $known,
            'proved' => match (true) {
                $known === 'dead' => 'nothing: the source itself is dead',
                $this->tested($now, $this->get('place')) === 'dead' => 'dead',
                default => 'it is live',
            },
        ];
    }

    public function said(Names $names): string
    {
        return "Proved {$names->place($this->get('place'))}, the tester on {$names->place($this->get('known'))} before".
            ' and after';
    }

    private function tested(Situation $now, string $place): string
    {
        $volts = $now->machine->solution($now->state)->acVolts($now->plan->places[$place], 0);

        return $volts >= self::LIGHTS_V ? sprintf('live, about %d V', round($volts / 10) * 10) : 'dead';
    }
}
