<?php

declare(strict_types=1);

namespace OddSpark\Ordering;

use OddSpark\Appliance\Model;
use OddSpark\WiringUp\Loads;
use OddSpark\Words\Words;

/** One step of a sequence: what comes on and what goes off at once. */
final readonly class Step
{
    /**
     * @param int $at ms after the first that is seen of the run
     * @param list<string> $on ids of loads that come on
     * @param list<string> $off of those that go off
     * @param list<string> $all of those that are on from then on
     */
    public function __construct(
        public int $at,
        public array $on,
        public array $off,
        public array $all,
        public string $title,
    ) {}

    /**
     * @param list<string> $before what was on
     * @param list<string> $all what is on now
     */
    public static function between(int $at, array $before, array $all, Loads $loads): self
    {
        [$on, $off] = [array_values(array_diff($all, $before)), array_values(array_diff($before, $all))];

        return new self($at, $on, $off, $all, self::say($on, $off, $loads));
    }

    /** The same, where it comes once more. */
    public function ofTimes(int $times): self
    {
        $title = Words::say('ordering.step.again', ['step' => $this->title, 'times' => $times]);

        return $times === 1 ? $this : new self($this->at, $this->on, $this->off, $this->all, $title);
    }

    /**
     * @param list<string> $on
     * @param list<string> $off
     */
    public static function say(array $on, array $off, Loads $loads): string
    {
        $titles = fn (array $ids): string => self::names($ids, $loads);

        return match (true) {
            $on === [] && $off === [] => Words::say('ordering.step.nothing'),
            $off === [] => Words::say('ordering.step.on', ['on' => $titles($on)]),
            $on === [] => Words::say('ordering.step.off', ['off' => $titles($off)]),
            default => Words::say('ordering.step.both', ['on' => $titles($on), 'off' => $titles($off)]),
        };
    }

    /**
     * What several are called together: a flame by its place, a motor by its turning where its volts are not meant.
     *
     * @param array<string> $ids
     */
    public static function names(array $ids, Loads $loads): string
    {
        $part = fn (string $id): string => Model::split($id)[0];
        $fires = array_filter($ids, $loads->isFire(...));
        $fed = array_filter($ids, fn (string $id): bool => ! $loads->isFire($id) && ! $loads->isMotor($id));
        $turning = array_filter(
            $ids,
            fn (string $id): bool => $loads->isMotor($id) && ! in_array($part($id), array_map($part, $fed), true),
        );
        $title = $loads->title(...);

        return implode(', ', [
            ...$loads->titles(array_diff($ids, $fires, $turning)),
            ...array_values(array_map(fn (string $id): string => Words::say('ordering.step.turning', [
                'of' => $title($id),
            ]), $turning)),
            ...array_values(array_map(fn (string $id): string => Words::say('ordering.step.flame', [
                'of' => $title($id),
            ]), $fires)),
        ]);
    }
}
