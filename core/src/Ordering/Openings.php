<?php

declare(strict_types=1);

namespace OddSpark\Ordering;

use OddSpark\Appliance\Model;
use OddSpark\Parts\Ability\Decides;
use OddSpark\Suspects\Trial;
use OddSpark\WiringUp\Program;
use OddSpark\WiringUp\Rehearsal;
use OddSpark\Words\Words;

/** Every contact opened or closed by itself while a fire burns, and what is on twenty seconds later. */
final class Openings
{
    /** @var list<Opening>|null */
    private ?array $all = null;

    public function __construct(private readonly Course $course, private readonly string $visit) {}

    /** @return list<Opening> one for each contact from which something follows: at the last moment with a fire */
    public function all(): array
    {
        return $this->all ??= array_values($this->made());
    }

    /** @return list<string> what can follow, each once */
    public function outcomes(): array
    {
        return array_values(array_unique([
            ...array_map(fn (Opening $o): string => $o->outcome, $this->all()),
            Words::say('ordering.opening.nothing'),
            Words::say('ordering.opening.lockout'),
            Words::say('ordering.opening.fan'),
        ]));
    }

    /** @return array<string, Opening> */
    private function made(): array
    {
        $course = $this->course;
        $trial = new Trial($course->plan->model);
        $run = new Rehearsal($course->plan, $course->loads, $trial, $this->visit);
        $openings = [];
        $states = [];
        foreach ((new Program($run, $trial))->tryings() as $trying) {
            $kind = $course->plan->model->kindOf(Model::split($trying->what)[0]);
            $isContact = $trying->lever === null && $trying->slots === [] && $kind?->those(Decides::class) === [];
            $state = $isContact
                ? $states[$trying->station->title] ??= $trying->station->of($run, Program::THROWN)
                : null;
            $before = $state === null ? [] : $course->on($run->at($state));
            $track = array_filter($before, $course->loads->isFire(...)) === [] || $state === null
                ? null
                : $trying->with($run, $state);
            $after = $track === null ? $before : $course->on($track->last());
            if ($after !== $before) {
                $off = array_values(array_diff($before, $after));
                $on = array_values(array_diff($after, $before));
                $openings[$trying->what] = new Opening(
                    $trying->what,
                    $trying->title,
                    Step::say($on, $off, $course->loads),
                    $after,
                    $off,
                );
            }
        }

        return $openings;
    }
}
