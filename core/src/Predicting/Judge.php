<?php

declare(strict_types=1);

namespace OddSpark\Predicting;

use OddSpark\Appliance\Plan;
use OddSpark\Faults\Fault;
use OddSpark\Predicting\Mistakes\FaultForgotten;
use OddSpark\Predicting\Mistakes\Mistake;
use OddSpark\Predicting\Mistakes\OtherMoment;
use OddSpark\Predicting\Mistakes\OtherReference;
use OddSpark\Predicting\Mistakes\PhaseForgotten;
use OddSpark\Predicting\Mistakes\StrayBelieved;
use OddSpark\Predicting\Mistakes\SwitchTurnedRound;
use OddSpark\Run\Memory;

/**
 * What a meter would show, against what was said; of a wrong one the usual mistake that leads to it, found by running
 * the mistaken circuit.
 */
final readonly class Judge
{
    public Standings $now;

    private Standings $sound;

    public function __construct(Plan $plan, Fault $fault, string $visit, Memory $memory = new Memory())
    {
        $this->now = new Standings($plan, $fault, $visit, $memory);
        $none = Fault::none();
        $this->sound = $fault->id === $none->id ? $this->now : new Standings($plan, $none, $visit, $memory);
    }

    /** @return array<string, Mistake> by id, in the order in which they are looked for: what lies nearest first */
    public static function mistakes(): array
    {
        return [
            'switch' => new SwitchTurnedRound(),
            'phase' => new PhaseForgotten(),
            'fault' => new FaultForgotten(),
            'moment' => new OtherMoment(),
            'reference' => new OtherReference(),
            'stray' => new StrayBelieved(),
        ];
    }

    /** What a meter shows there, with what the usual mistakes lead to; figures that are none are left out. */
    public function answer(AskedReading $asked): Answer
    {
        $standing = $this->now->at[$asked->tick];
        $mistaken = [];
        foreach (self::mistakes() as $id => $mistake) {
            foreach ($mistake->figures($asked, $this->now, $this->sound) as [$figure, $why]) {
                if (is_finite($figure)) {
                    $mistaken[] = [$id, $figure, $why];
                }
            }
        }

        return new Answer(
            $asked,
            $standing->reads($asked->mode, $asked->red, $asked->black),
            $standing->isStray($asked->mode, $asked->red, $asked->black),
            $mistaken,
            (new Help($this->now->nets, $standing))->at($asked),
        );
    }
}
