<?php

declare(strict_types=1);

namespace OddSpark\Predicting;

use OddSpark\Meter\Closeness;
use OddSpark\Wiring\Nets;
use OddSpark\Words\Words;

/**
 * Hints at a reading, from the least to the most that one tells: what lies between the leads, how that stands just now,
 * whether there is anything to read.
 *
 * @phpstan-import-type Element from Nets
 */
final readonly class Help
{
    public function __construct(private Nets $nets, private Standing $standing) {}

    /** @return array{where: string, circuit: string, reading: string} by grade, as house rules have them */
    public function at(AskedReading $asked): array
    {
        $switches = $this->nets->switchesBetween($asked->red, $asked->black);
        $load = $this->load($asked->red, $asked->black);
        $exact = $this->standing->reads($asked->mode, $asked->red, $asked->black);
        $isNothing = Closeness::isNothing($asked->mode, $exact) ||
            $this->standing->isStray($asked->mode, $asked->red, $asked->black);

        return [
            'where' => match (true) {
                $switches !== [] => Words::say('predicting.hint.switches', ['what' => $this->named($switches)]),
                $load !== null => Words::say('predicting.hint.load', ['what' => $this->named([$load])]),
                default => Words::say('predicting.hint.follow'),
            },
            'circuit' => match (true) {
                $switches !== [] => $this->stands($switches),
                $load !== null => $this->way($load),
                default => Words::say('predicting.hint.both'),
            },
            'reading' => $isNothing
                ? Words::say('predicting.hint.nothing')
                : Words::say('predicting.hint.something'),
        ];
    }

    /** @return Element|null */
    private function load(string $red, string $black): ?array
    {
        $ends = [$this->nets->root($red), $this->nets->root($black)];
        foreach ($this->nets->elements() as $e) {
            $is = [$this->nets->root($e['a']), $this->nets->root($e['b'])];
            if ($e['load'] && ($is === $ends || $is === array_reverse($ends))) {
                return $e;
            }
        }

        return null;
    }

    /** @param list<Element> $elements */
    private function named(array $elements): string
    {
        return implode(', ', array_map($this->nets->title(...), $elements));
    }

    /** @param list<Element> $switches */
    private function stands(array $switches): string
    {
        $open = array_values(array_filter($switches, fn (array $e): bool => ! $this->isClosed($e)));

        return $open === []
            ? Words::say('predicting.hint.made', ['what' => $this->named($switches)])
            : Words::say('predicting.hint.open', ['what' => $this->named($open)]);
    }

    /**
     * How the way to a load stands: the one on which least is open.
     *
     * @param Element $load
     */
    private function way(array $load): string
    {
        $best = $this->nets->leastOpen("{$load['part']}.{$load['name']}", $this->isClosed(...));

        return match (true) {
            $best === null => Words::say('predicting.hint.both'),
            $best[1] === [] => Words::say('predicting.hint.all_made'),
            default => Words::say('predicting.hint.open_on_its_way', ['what' => $this->named($best[1])]),
        };
    }

    /** @param Element $e */
    private function isClosed(array $e): bool
    {
        $slot = $this->standing->site->state->slots["{$e['part']}.{$e['name']}"] ?? [];

        return $slot['closed'] ?? $slot['whole'] ?? true;
    }
}
