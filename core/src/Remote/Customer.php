<?php

declare(strict_types=1);

namespace OddSpark\Remote;

use OddSpark\Acts\Act;
use OddSpark\Acts\Metering\Dial;
use OddSpark\Acts\Metering\Leads;
use OddSpark\Acts\Metering\Read;
use OddSpark\Acts\Notes\Note;
use OddSpark\Acts\Perceiving\Ask;
use OddSpark\Acts\Perceiving\Listen;
use OddSpark\Acts\Perceiving\Look;
use OddSpark\Acts\Perceiving\ReadOut;
use OddSpark\Acts\Perceiving\Smell;
use OddSpark\Acts\Setting\Door;
use OddSpark\Acts\Setting\Reset;
use OddSpark\Acts\Setting\Set;
use OddSpark\Appliance\Model;
use OddSpark\Meter\Mode;
use OddSpark\Words\Words;

/**
 * A customer at the telephone, who holds the meter: he does what he is asked, and at times something else that he takes
 * for it. Which, follows from the seed of the attempt and the number of what he is asked.
 *
 * @phpstan-import-type Fields from Act
 */
final readonly class Customer
{
    /** What he can be asked to do. Common practice, no source: nothing is opened, lifted, bridged or repaired. */
    private const DOES = [
        Look::class, Listen::class, Smell::class, Ask::class, ReadOut::class, Set::class, Door::class, Reset::class,
        Leads::class, Dial::class, Read::class,
    ];

    /** Positions that a meter of the house has. */
    private const DIAL = [Mode::VoltsAc, Mode::VoltsDc, Mode::Ohms, Mode::Beep];

    /** Share of what he is asked in which he takes something else for it. Ours. */
    private const MISTAKEN = 0.25;

    /** What he turns the dial to instead. */
    private const TAKEN_FOR = ['vac' => 'vdc', 'vdc' => 'vac', 'ohm' => 'beep'];

    public function __construct(private Model $model, private int $seed) {}

    /** Why he cannot be asked that; null when he can. */
    public function refusal(Act $act): ?string
    {
        if ($act instanceof Note) {
            return null; // the trainee's own
        }
        if (! in_array($act::class, self::DOES, true)) {
            return Words::say('remote.customer.takes_somebody_trained');
        }
        $isOnHis = ! $act instanceof Dial || in_array(Mode::from($act->get('mode')), self::DIAL, true);

        return $isOnHis ? null : Words::say('remote.customer.not_on_his_meter');
    }

    /**
     * What he does when he is asked.
     *
     * @param int $nth of what he is asked in this attempt, from 0
     */
    public function does(Act $asked, int $nth): Act
    {
        $draw = (int) hexdec(hash('xxh32', "$this->seed/customer/$nth"));
        if ($draw / 0xFFFFFFFF >= self::MISTAKEN) {
            return $asked;
        }
        $with = match (true) {
            $asked instanceof Leads => $this->beside($asked->with, $draw),
            $asked instanceof Dial => ['mode' => self::TAKEN_FOR[$asked->get('mode')] ?? $asked->get('mode')],
            default => $asked->with,
        };

        return $with === $asked->with ? $asked : new ($asked::class)($asked->tick, $with, $asked->name);
    }

    /**
     * One of the leads on the terminal beside.
     *
     * @param Fields $leads
     * @return Fields
     */
    private function beside(array $leads, int $draw): array
    {
        $lead = $draw % 2 === 0 ? 'red' : 'black';
        $place = $leads[$lead] ?? null;
        if ($place === null) {
            return $leads;
        }
        $places = $this->model->part(Model::split($place)[0])?->places() ?? [];
        $at = array_search($place, $places, true);
        $other = $at === false ? null : $places[$at + 1] ?? $places[$at - 1] ?? null;

        return $other === null || in_array($other, $leads, true) ? $leads : [$lead => $other] + $leads;
    }
}
