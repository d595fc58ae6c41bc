<?php

declare(strict_types=1);

namespace OddSpark\Acts\Perceiving;

use OddSpark\Acts\Act;
use OddSpark\Acts\Names;
use OddSpark\Acts\Quality;
use OddSpark\Acts\Situation;
use OddSpark\Parts\Ability\Scorches;
use OddSpark\Words\Words;

/** What the air says. */
final readonly class Smell extends Act
{
    public const NAME = 'smell';

    public const MINUTES = 0.1;

    public const QUALITIES = [Quality::Asks];

    public static function fields(): array
    {
        return [];
    }

    public function shows(Situation $now): array
    {
        return ['smell' => $this->smelt($now)];
    }

    private function smelt(Situation $now): string
    {
        foreach ($now->plan->percepts as $percept) {
            $isOpen = $now->noticing->perception->isFree($percept, $now->state->open);
            if ($isOpen && $now->machine->shows($now->state, $percept['of']) === 'gas') {
                return Words::say('acts.smell.of_fuel');
            }
        }
        foreach ($now->fault->members ?: [$now->fault] as $fault) {
            $isOpen = $now->reach->behind($now->state, $now->reach->ownerOf("$fault->part.a")) === null;
            if ($isOpen && $fault->signs->smells !== null && $now->noticing->sick($now->state, $fault->part) !== null) {
                return Words::say('acts.smell.of', ['smells' => $fault->signs->smells]);
            }
        }

        foreach ($now->plan->those(Scorches::class) as $id) {
            $slot = $now->state->slots[$id]; // it hangs about for days
            if (($slot['hot'] ?? false) === true || ($slot['scorched'] ?? 0) > 0) {
                return Words::say('acts.smell.of_scorched_plastic');
            }
        }

        return Words::say('acts.smell.of_nothing');
    }

    public function said(Names $names): string
    {
        return 'Smelt';
    }
}
