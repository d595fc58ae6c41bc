<?php

declare(strict_types=1);

namespace OddSpark\Bench;

use OddSpark\Acts\Act;
use OddSpark\Appliance\Model;
use OddSpark\Appliance\Plan;
use OddSpark\Faults\Fault;
use OddSpark\Parts\Ability\Burns;
use OddSpark\Parts\Ability\Turns;
use OddSpark\Run\Machine;
use OddSpark\Senses\Perception;
use OddSpark\Trade\Course;

/** What an act lets a person perceive there and then: a look, a touch, a sound near by, a smell, an answer. */
final readonly class Noticing
{
    /** How a temperature feels, from here on, °F; °C where the supply is European. Common practice, no source. */
    private const FEELS = ['NA' => [60 => 'cool', 88 => 'warm', 112 => 'hot', 140 => 'too hot to hold'], 'EU' => [16 => 'cool', 31 => 'warm', 44 => 'hot', 60 => 'too hot to hold']];

    /** Natural gas, Btu a cubic foot; common practice, no source. */
    private const BTU_PER_FT3 = 1000;

    public function __construct(private Plan $plan, private Fault $fault, private Perception $perception, private Reach $reach) {}

    /**
     * @param array<string, mixed> $state after the act
     * @return array<string, string> thing => how it is
     */
    public function of(Machine $machine, array $state, Act $act): array
    {
        $part = (string) $act->get('part');

        return match ($act->name) {
            'look' => $this->look($machine, $state, $part),
            'listen' => $this->listen($machine, $state, $part),
            'smell' => ['smell' => $this->smell($machine, $state)],
            'feel' => $this->feel($machine, $state, $part),
            'ask' => ['answer' => $state['answers'][$act->get('question')] ?? 'I could not say.'],
            'turn' => ['shaft' => $this->shaft($state, $part)],
            'clock' => ['dial' => $this->dial($state)],
            default => [],
        };
    }

    /**
     * What one sees on looking at a part: its condition, what is set on it, what moves or shines.
     *
     * @param array<string, mixed> $state
     * @return array<string, string>
     */
    public function look(Machine $machine, array $state, string $part): array
    {
        $door = $state['door'] === 'open';
        if (! $this->reach->reaches($state, "$part.a")) { // through the glass
            return $this->perception->lookingAt($machine, $state, $part, $door);
        }
        $kind = $this->plan->model->kindOf($part);
        $seen = ['condition' => $this->sick($state, $part)->seen ?? ($kind->look ?? 'Insulation whole, both ends seated.')];
        foreach ($this->plan->model->landedElsewhere() as $built) {
            if (Model::split($built['end'])[0] === $part) {
                $seen['condition'] = $this->landed($built['end'], $built['on']);
            }
        }
        $tag = $this->plan->model->tag($part);
        if ($tag !== null) {
            $seen['tag'] = $tag;
        }
        foreach ($state['earlier'] as [$end, $on]) {
            [$wire] = Model::split($end);
            if ($wire === $part && isset($this->plan->model->wires()[$wire])) {
                $seen['condition'] = $this->landed($end, $on);
            }
        }
        foreach ($kind->settings ?? [] as $lever => $setting) {
            $at = $state['slots']["$part.$lever"]['at'];
            $seen[$setting->label] = is_string($at) ? $at : "$at $setting->unit";
        }
        $left = array_filter($state['earlier'], fn (array $j) => ! isset($this->plan->model->wires()[Model::split($j[0])[0]]));
        foreach ([...$state['jumpers'], ...$left] as [$a, $b]) { // one that somebody left is seen by looking there
            if (str_starts_with($a, "$part.") || str_starts_with($b, "$part.")) {
                $seen['jumper'] = "from {$this->plan->model->placeName($a)} to {$this->plan->model->placeName($b)}";
            }
        }

        return $seen + $this->perception->lookingAt($machine, $state, $part, $door);
    }

    /** Of a wire end that is not where the drawing has it. */
    private function landed(string $end, string $on): string
    {
        $model = $this->plan->model;
        [$wire, $which] = Model::split($end);

        return sprintf('This end is on %s; the drawing has it on %s.', $model->placeName($on), $model->placeName($model->wires()[$wire]->at($which)));
    }

    /**
     * @param array<string, mixed> $state
     * @return array<string, string>
     */
    private function listen(Machine $machine, array $state, string $part): array
    {
        $heard = [];
        foreach ($this->plan->percepts as $channel => $percept) {
            if ($percept['part'] === $part && $percept['sense'] === 'hearing') {
                $heard[$percept['thing']] = substr($this->perception->say($channel, $machine->shows($state, $percept['of'])), strlen($percept['thing']) + 1);
            }
        }

        return $heard === [] ? ['sound' => 'nothing'] : $heard;
    }

    /** @param array<string, mixed> $state */
    private function smell(Machine $machine, array $state): string
    {
        foreach ($this->plan->percepts as $percept) {
            if (($state['door'] === 'open' || $percept['from'] !== 'open') && $machine->shows($state, $percept['of']) === 'gas') {
                return 'of fuel';
            }
        }

        foreach ($state['door'] === 'open' ? ($this->fault->members ?: [$this->fault]) : [] as $fault) {
            if ($fault->smells !== null && $this->sick($state, $fault->part) !== null) {
                return "of $fault->smells";
            }
        }

        return 'of nothing';
    }

    /**
     * @param array<string, mixed> $state
     * @return array<string, string>
     */
    private function feel(Machine $machine, array $state, string $part): array
    {
        $felt = [];
        foreach ($this->plan->model->taps() as $tap) {
            if ($tap->part === $part && $tap->instrument === 'probe') {
                $felt['warmth'] = $this->warmth(Course::at($state['slots'][$tap->of]['course'], $state['tick']));
            }
        }
        foreach (array_keys($this->plan->model->kindOf($part)?->those(Turns::class) ?? []) as $name) {
            $felt['tremor'] = match ($machine->shows($state, "$part.$name")) {
                '' => 'still', 'hums' => 'trembles and does not turn', default => 'runs smoothly',
            };
        }

        return $felt === [] ? ['touch' => 'nothing to be felt'] : $felt;
    }

    private function warmth(float $degrees): string
    {
        $feels = 'cold';
        foreach (self::FEELS[$this->plan->model->region()] as $from => $word) {
            $feels = $degrees >= $from ? $word : $feels;
        }

        return $feels;
    }

    /** @param array<string, mixed> $state */
    private function shaft(array $state, string $part): string
    {
        $set = $this->sick($state, $part)->set ?? [];
        foreach (array_keys($this->plan->model->kindOf($part)?->those(Turns::class) ?? []) as $name) {
            return match (true) {
                $set["$part.$name.seized"] ?? false => 'does not turn',
                ($set["$part.$name.drag"] ?? 1.0) < 0.9 => 'turns heavily',
                default => 'turns freely',
            };
        }

        return 'nothing to turn';
    }

    /**
     * The small dial of the gas meter, against a watch.
     *
     * @param array<string, mixed> $state
     */
    private function dial(array $state): string
    {
        $btu = 0.0;
        foreach ($this->plan->those(Burns::class) as $id) {
            $btu += $state['slots'][$id]['gas'] ? $this->plan->primitives[$id]['spec']['input_btu_h'] ?? 0.0 : 0.0;
        }

        return $btu === 0.0 ? 'stands still' : sprintf('one cubic foot in %.0f s', 3600 * self::BTU_PER_FT3 / $btu);
    }

    /**
     * What is wrong with a part and not mended yet; null when nothing is.
     *
     * @param array<string, mixed> $state
     */
    private function sick(array $state, string $part): ?Fault
    {
        return in_array($part, $state['mended'], true) ? null : $this->fault->in($part);
    }
}
