<?php

declare(strict_types=1);

namespace OddSpark\Returning;

use OddSpark\Appliance\Doors;
use OddSpark\Appliance\Plan;
use OddSpark\Bench\Arrival;
use OddSpark\Bench\Bench;
use OddSpark\Faults\Fault;
use OddSpark\Faults\FaultSet;
use OddSpark\Parts\Ability\Burns;
use OddSpark\Run\BenchState;
use OddSpark\Run\Memory;
use OddSpark\Senses\Perception;
use OddSpark\Suspects\Trial;
use OddSpark\Words\Words;

/**
 * What somebody else did at the visit before: he went by what the customer said, put a new part in where most such
 * calls end, reset what had tripped and called for heat. It was not that part, or nobody would have called again.
 *
 * What he writes is told to whoever comes next beside what the customer says, and weighs as that does: a suspect in
 * the part that was replaced is none that anybody would name first, and one with which it would not have run speaks
 * against what he wrote.
 *
 * @phpstan-type Said list<array{id: string, text: string}>
 */
final readonly class LastVisit
{
    /** How long he stayed after his last act, ms. Common practice, no source. */
    private const WATCHED = 600_000;

    /** A burner that burnt so long has run, ms. */
    private const RAN = 60_000;

    /** What mends a fault without a new part. */
    private const NO_PART = ['set', 'clean', 'clear'];

    /** How ids of what is written of it begin. */
    private const ID = 'last-';

    private Trial $trial;

    /** The part that he replaced; null: none. */
    public ?string $replaced;

    /** @param array<string, Arrival> $arrivals by fault */
    public function __construct(
        private Plan $plan,
        private FaultSet $faultSet,
        string $fault,
        private array $arrivals,
        private Memory $memory = new Memory(),
    ) {
        $this->trial = new Trial($plan->model);
        $this->replaced = $this->likeliest($fault);
    }

    /**
     * How each fault is found today, with what is written of the last visit.
     *
     * @return array<string, Arrival> by fault
     */
    public function arrivals(): array
    {
        $arrivals = [];
        foreach ($this->arrivals as $id => $arrival) {
            $said = [...$arrival->complaint, ...$this->written($this->faultSet->get($id), $arrival->state)];
            $arrivals[$id] = new Arrival($arrival->state, $said);
        }

        return $arrivals;
    }

    /** @return list<string> of what is said on an arrival, what is written of the last visit */
    public function told(Arrival $arrival): array
    {
        $written = array_filter($arrival->complaint, fn (array $said): bool => str_starts_with($said['id'], self::ID));

        return array_values(array_column($written, 'text'));
    }

    /** @return Said what he would have written of a fault */
    private function written(Fault $fault, BenchState $found): array
    {
        if ($this->replaced !== null && $fault->in($this->replaced) !== null) {
            return [['id' => self::ID.'cured', 'text' => Words::say('returning.last_visit.cured', $this->part())]];
        }
        $said = $this->replaced === null
            ? ['id' => self::ID.'nothing', 'text' => Words::say('returning.last_visit.nothing')]
            : ['id' => self::ID."replaced:$this->replaced", 'text' => Words::say('returning.last_visit.replaced', $this->part())];

        return [$said, $this->runs($fault, $found)
            ? ['id' => self::ID.'ran', 'text' => Words::say('returning.last_visit.ran')]
            : ['id' => self::ID.'ran-not', 'text' => Words::say('returning.last_visit.ran_not')]];
    }

    /** @return array{part: string} */
    private function part(): array
    {
        return ['part' => $this->plan->model->part((string) $this->replaced)->label ?? ''];
    }

    /** Whether it burns for a while when it is reset and called, as it is found. */
    private function runs(Fault $fault, BenchState $found): bool
    {
        $bench = new Bench($this->plan, $fault, $this->memory);
        $state = $bench->resume(
            $found->with(open: Doors::ALL, held: Doors::ALL, eyes: Perception::EVERYWHERE),
        );
        foreach ([...$this->trial->calls($state->now()), ...$this->trial->resets($state->now())] as $act) {
            [$state] = $bench->do($state, $act);
        }
        $burners = $this->plan->those(Burns::class);
        $since = $burners === [] ? $state->now() : null;
        $longest = 0;
        $end = $state->now() + self::WATCHED;
        $look = function (BenchState $s) use (&$since, &$longest, $burners): bool {
            $longest = $since === null ? $longest : max($longest, $s->now() - $since);
            $lit = array_filter($burners, fn (string $id): bool => ($s->slots[$id]['lit'] ?? false) === true);
            $since = $lit === [] ? null : $since ?? $s->now();

            return false;
        };
        $look($state);
        $look($bench->watch($state, $end, $look));

        return $longest >= self::RAN;
    }

    /**
     * The part that most of those faults lie in which the same is said of, and which is replaced when it fails; none
     * of those that did fail.
     */
    private function likeliest(string $fault): ?string
    {
        $said = $this->saidOf($fault);
        $own = $this->faultSet->get($fault);
        $weights = [];
        foreach ($this->faultSet->faults as $id => $other) {
            $isOfAnother = $this->isReplaced($other) && $own->in($other->part) === null;
            if ($isOfAnother && $this->saidOf((string) $id) === $said) {
                $weights[$other->part] = ($weights[$other->part] ?? 0.0) + $other->weight;
            }
        }
        arsort($weights);

        return $weights === [] ? null : (string) array_key_first($weights);
    }

    /** Whether a fault is mended by a new part, and by that alone. */
    private function isReplaced(Fault $fault): bool
    {
        return $fault->yieldsTo('replace') && ! in_array($fault->repair, self::NO_PART, true) &&
            $fault->members === [] && $this->plan->model->part($fault->part) !== null;
    }

    /** @return list<string> what the customer says of a fault, as ids */
    private function saidOf(string $fault): array
    {
        $said = array_column($this->arrivals[$fault]->complaint, 'id');
        sort($said);

        return $said;
    }
}
