<?php

declare(strict_types=1);

namespace OddSpark\Acts;

use OddSpark\Appliance\Kind;
use OddSpark\Appliance\Model;
use OddSpark\Appliance\Plan;
use OddSpark\Faults\Fault;
use OddSpark\Parts\Ability\Scorches;
use OddSpark\Run\BenchState;
use OddSpark\Run\Machine;
use OddSpark\Senses\Perception;
use OddSpark\Words\Words;

/** What a look at a part lets a person see, and what is wrong with it to be seen. */
final readonly class Noticing
{
    /** What got worse so often shows from outside. */
    private const BROWNED = 1;

    public function __construct(
        private Plan $plan,
        private Fault $fault,
        public Perception $perception,
        private Reach $reach,
    ) {}

    /**
     * What one sees on looking at a part: its condition, what is set on it, what moves or shines.
     *
     * @return array<string, string>
     */
    public function look(Machine $machine, BenchState $state, string $part): array
    {
        if (! $this->reach->reaches($state, "$part.a")) { // through the glass
            return $this->perception->lookingAt($machine, $state, $part, $state->open);
        }
        $kind = $this->plan->model->kindOf($part);
        $seen = [
            'condition' => $this->condition($state, $part, $kind),
        ];
        foreach ($this->plan->model->landedElsewhere() as $built) {
            if (Model::split($built['end'])[0] === $part) {
                $seen['condition'] = $this->landed($built['end'], $built['on']);
            }
        }
        $plate = $this->plan->model->plate();
        if ($plate?->part === $part) {
            $seen['rating plate'] = $plate->words();
        }
        $tag = $this->plan->model->tag($part);
        if ($tag !== null) {
            $seen['tag'] = $tag;
        }
        foreach ($state->earlier as [$end, $on]) {
            [$wire] = Model::split($end);
            if ($wire === $part && isset($this->plan->model->wires()[$wire])) {
                $seen['condition'] = $this->landed($end, $on);
            }
        }
        foreach ($kind->settings ?? [] as $lever => $setting) {
            $at = $state->slots["$part.$lever"]['at'];
            $seen[$setting->label] = is_string($at) ? $at : "$at $setting->unit";
        }
        $left = array_filter(
            $state->earlier,
            fn (array $j) => ! isset($this->plan->model->wires()[Model::split($j[0])[0]]),
        );
        foreach ([...$state->jumpers, ...$left] as [$a, $b]) {
            // one that somebody left is seen by looking there
            if (str_starts_with($a, "$part.") || str_starts_with($b, "$part.")) {
                $seen['jumper'] = Words::say('acts.noticing.from_to', [
                    'place_name' => $this->plan->model->placeName($a),
                    'place_name_2' => $this->plan->model->placeName($b),
                ]);
            }
        }

        foreach (array_keys($kind?->those(Scorches::class) ?? []) as $name) {
            if (($state->slots["$part.$name"]['scorched'] ?? 0) >= self::BROWNED) {
                $seen['scorched'] = Words::say('acts.noticing.browned_the_plastic_has_run');
            }
        }
        $isOff = isset($state->off[$part]);

        return $seen + $this->perception->lookingAt($machine, $state, $part, $state->open, $isOff);
    }

    /** How a part looks: of what is hidden in it, only when it is in the hand or its halves are apart. */
    private function condition(BenchState $state, string $part, ?Kind $kind): string
    {
        $signs = $this->sick($state, $part)?->signs;
        [$lever, $position] = $kind->apart ?? ['', ''];
        $isOpen = isset($state->off[$part]) || $lever !== '' && $state->at("$part.$lever") === $position;

        $isHidden = $this->plan->model->isHidden($part);

        return match (true) {
            $isOpen && $signs?->seenOff !== null => $signs->seenOff,
            $signs?->seen !== null && ! $isHidden => $signs->seen,
            $isOpen => Words::say('acts.noticing.nothing_wrong_in_the_hand'),
            $isHidden => Words::say('acts.noticing.both_ends_tight_between_them'),
            default => $kind->look ?? Words::say('acts.noticing.insulation_good_both_ends_tight'),
        };
    }

    /** Of a wire end that is not where the drawing has it. */
    private function landed(string $end, string $on): string
    {
        $model = $this->plan->model;
        [$wire, $which] = Model::split($end);

        return Words::say('acts.noticing.this_end_is_on_the', [
            'place_name' => $model->placeName($on),
            'place_name_2' => $model->placeName($model->wires()[$wire]->at($which)),
        ]);
    }

    /**
     * What is wrong with a part and not mended yet; null when nothing is.
     */
    public function sick(BenchState $state, string $part): ?Fault
    {
        return in_array($part, $state->mended, true) ? null : $this->fault->in($part);
    }
}
