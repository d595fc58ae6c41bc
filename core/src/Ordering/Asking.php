<?php

declare(strict_types=1);

namespace OddSpark\Ordering;

use OddSpark\Faults\Fault;
use OddSpark\Words\Words;

/** What can be asked of an appliance's sequence; each answer is read off its runs. */
final class Asking
{
    /** Choices beside those that are right. */
    private const OTHERS = 5;

    /** Sorts in the order in which a sheet grows; a recorded run is two questions. */
    private const GROWS = [
        Item::ORDER, Item::PROOF, Item::STOPPED, Item::CHART, Item::IF, Item::NEXT, Item::PROOF, Item::STOPPED,
        Item::NEXT, Item::IF, Item::CHART, Item::PROOF, Item::STOPPED, Item::NEXT,
    ];

    /** Of what is right no more are shown. */
    private const RIGHT = 2;

    /** Fewer steps are no sequence. */
    private const LEAST_STEPS = 3;

    /** Between steps that lie nearer nobody counts time, ms. */
    private const COUNTED = 2000;

    /** What a proof's choices call that nothing is asked. */
    public const TIME = 'time';

    private readonly Stops $stops;

    private readonly Openings $openings;

    private readonly Choices $by;

    /** @param int $seed another gives another choice */
    public function __construct(private readonly Course $course, string $visit, private readonly int $seed)
    {
        $this->stops = new Stops($course);
        $this->by = new Choices($seed);
        $this->openings = new Openings($course, $visit);
    }

    /** Whether there is a sequence to be asked for. */
    public function isAnything(): bool
    {
        return count($this->course->steps) >= self::LEAST_STEPS;
    }

    /** Whether a fault of a part stops the sequence on its way, so that its run can be shown. */
    public function isStopping(Fault $fault): bool
    {
        return $this->stops->isStopping($fault);
    }

    /**
     * @param Fault|null $fault whose run is shown; null: any that stops
     * @return list<Item> fewer where there is less to ask
     */
    public function items(int $count, ?Fault $fault = null): array
    {
        $made = $items = [];
        foreach (self::GROWS as $sort) {
            if (count($items) >= $count) {
                break;
            }
            $nth = $made[$sort] = ($made[$sort] ?? -1) + 1;
            array_push($items, ...$this->nth($sort, $nth, $fault));
        }

        return array_slice($items, 0, $count);
    }

    public function order(): Item
    {
        $choices = $this->by->shown(array_map(fn (Step $s): string => $s->title, $this->course->steps));

        return new Item(
            Item::ORDER,
            Words::say('ordering.ask.order'),
            $choices,
            Choices::ids($choices, array_keys($this->course->steps)),
            '',
        );
    }

    /** What proves a step; null where the next does not wait for anything. */
    public function proof(int $k): ?Item
    {
        $next = $this->course->steps[$k + 1] ?? null;
        $proving = $this->stops->proofs()[$k] ?? [];
        if ($next === null || $this->course->isOver($k + 1)) {
            return null;
        }
        $counted = $next->at - $this->course->steps[$k]->at;
        if ($proving === [] && ($counted < self::COUNTED || $this->course->isTold($k))) {
            return null; // several tell it, or nobody has to
        }
        $parts = $this->stops->proving();
        $right = $proving === [] ? [self::TIME] : array_slice($proving, 0, self::RIGHT);
        $others = array_diff_key($parts, array_flip($proving));
        $texts = array_intersect_key($parts, array_flip($right)) + $this->by->some($others, self::OTHERS) +
            [self::TIME => Words::say('ordering.ask.time')];
        $choices = $this->by->shown($texts);
        $step = $this->course->steps[$k];
        $names = implode(', ', array_map(fn (string $key): string => $texts[$key], $right));

        return new Item(
            Item::PROOF,
            Words::say('ordering.ask.proof', ['step' => $step->title]),
            $choices,
            Choices::ids($choices, $right),
            $proving === []
                ? Words::say('ordering.told.time', ['step' => $step->title, 'next' => $next->title])
                : Words::say('ordering.told.proof', ['step' => $step->title, 'what' => $names, 'next' => $next->title]),
            at: $step->at,
        );
    }

    public function next(int $k): ?Item
    {
        $next = $this->course->steps[$k + 1] ?? null;
        if ($next === null || $this->course->isOver($k + 1)) {
            return null;
        }
        $titles = array_map(fn (Step $s): string => $s->title, $this->course->steps);
        $step = $titles[$k];
        $others = array_diff_key($titles, [$k => 1, $k + 1 => 1]);
        if (count($others) < self::RIGHT) {
            return null;
        }
        $choices = $this->by->shown([$k + 1 => $next->title] + $this->by->some($others, self::OTHERS));

        return new Item(
            Item::NEXT,
            Words::say('ordering.ask.next', ['step' => $step]),
            $choices,
            Choices::ids($choices, [$k + 1]),
            Words::say('ordering.told.next', ['step' => $step, 'next' => $next->title]),
            at: $next->at,
        );
    }

    /** What follows when something opens. */
    public function opened(Opening $opening): Item
    {
        $others = array_diff($this->openings->outcomes(), [$opening->outcome]);
        $choices = $this->by->shown(['right' => $opening->outcome] + $this->by->some($others, self::OTHERS));

        return new Item(
            Item::IF,
            Words::say('ordering.ask.if', ['what' => $opening->title]),
            $choices,
            Choices::ids($choices, ['right']),
            Words::say('ordering.told.if', ['what' => $opening->title, 'outcome' => $opening->outcome]),
            at: $this->course->ends,
        );
    }

    /** @return list<Opening> */
    public function openings(): array
    {
        return $this->openings->all();
    }

    /** The sound chart with one lane changed; null where that lane cannot be changed so that anybody would see it. */
    public function chart(string $lane): ?Item
    {
        $lanes = Lanes::of($this->course, $this->course->sound);
        $titles = array_column($lanes, 'title', 'id');
        foreach ($lanes as $i => $is) {
            $wrong = $is['id'] === $lane
                ? ChartMistake::of($is['stretches'], $this->course, $this->seed)
                : null;
            if ($wrong !== null) {
                $lanes[$i]['stretches'] = $wrong;
                $choices = $this->by->shown($titles);

                return new Item(
                    Item::CHART,
                    Words::say('ordering.ask.chart'),
                    $choices,
                    Choices::ids($choices, [$lane]),
                    Words::say('ordering.told.chart', ['lane' => $is['title'], 'times' => self::times($is['stretches'])]),
                    $lanes,
                    $this->course->over(),
                    $is['stretches'][0][0] ?? 0,
                );
            }
        }

        return null;
    }

    /** Where the run of a fault stopped. */
    public function stopped(Fault $fault): Item
    {
        $last = $this->stops->after($fault) ?? count($this->course->steps) - 1;
        $titles = array_map(fn (Step $s): string => $s->title, $this->course->steps);
        $choices = $this->by->shown($titles + [-1 => Words::say('ordering.ask.none')]);
        $told = $last < 0 ? Words::say('ordering.ask.none') : $titles[$last];

        return new Item(
            Item::STOPPED,
            Words::say('ordering.ask.stopped'),
            $choices,
            Choices::ids($choices, [$last]),
            Words::say('ordering.told.stopped', ['step' => $told]),
            Lanes::of($this->course, $this->course->of($fault)),
            $this->course->over(),
            $this->course->steps[max(0, $last)]->at,
        );
    }

    /** What may have stopped it: any part that can fail so that the run is the same; null where all could. */
    public function why(Fault $fault): ?Item
    {
        $right = $wrong = [];
        $failing = $this->stops->failing();
        $own = array_intersect_key($failing, [$fault->part => 1]);
        foreach ($own + $this->by->some($failing) as $id => $label) {
            $canBe = $this->stops->canBe($id, $fault);
            if ($canBe && count($right) < self::RIGHT) {
                $right[$id] = $label;
            } elseif (! $canBe && ! in_array($label, $right, true)) {
                $wrong[$id] = $label;
            }
            if (count($wrong) === self::OTHERS) {
                break;
            }
        }
        if ($right === [] || count($wrong) < self::RIGHT) {
            return null;
        }
        $choices = $this->by->shown($right + $wrong);

        return new Item(
            Item::WHY,
            Words::say('ordering.ask.why'),
            $choices,
            Choices::ids($choices, array_keys($right)),
            Words::say('ordering.told.why', ['parts' => implode(', ', $right), 'fault' => $fault->title]),
            Lanes::of($this->course, $this->course->of($fault)),
            $this->course->over(),
            $this->course->steps[max(0, $this->stops->after($fault) ?? 0)]->at,
        );
    }

    /** @return list<Item> the nth of a sort */
    private function nth(string $sort, int $n, ?Fault $fault): array
    {
        $one = fn (array $all): array => array_slice(array_values($this->by->some($all)), $n, 1);
        if ($sort === Item::STOPPED) {
            $run = $n === 0 && $fault !== null ? $fault : $this->stops->stopping($n, $this->by);

            return $run === null ? [] : array_values(array_filter([$this->stopped($run), $this->why($run)]));
        }
        $ks = array_keys($this->course->steps);
        $lanes = array_column(Lanes::of($this->course, $this->course->sound), 'id');

        return match ($sort) {
            Item::ORDER => [$this->order()],
            Item::PROOF => $one(array_filter(array_map($this->proof(...), $ks))),
            Item::NEXT => $one(array_filter(array_map($this->next(...), $ks))),
            Item::CHART => $one(array_filter(array_map($this->chart(...), $lanes))),
            default => array_map($this->opened(...), $one($this->openings->all())),
        };
    }

    /** @param list<array{int, int}> $stretches */
    private static function times(array $stretches): string
    {
        $clock = fn (int $ms): string => sprintf('%d:%02d', intdiv($ms, 60_000), intdiv($ms % 60_000, 1000));

        return $stretches === []
            ? Words::say('ordering.told.never')
            : implode(', ', array_map(fn (array $s): string => "{$clock($s[0])}–{$clock($s[1])}", $stretches));
    }
}
