<?php

declare(strict_types=1);

namespace OddSpark\Senses;

use OddSpark\Appliance\Doors;
use OddSpark\Appliance\Plan;
use OddSpark\Appliance\Shapes;
use OddSpark\Run\Machine;
use OddSpark\Run\MachineState;

/**
 * What can be perceived from where: sounds wherever one stands, sights of the one place that the eyes are on;
 * glow, flame and clicks with no shut door before them only.
 *
 * @phpstan-import-type PerceptDocument from Shapes
 */
final class Perception
{
    /** Eyes of one who sees all at once: a household over days, the instructor's chart; nobody at the bench. */
    public const EVERYWHERE = '*';

    /** @var array<string, PerceptDocument> channels perceived without doing anything */
    private readonly array $ambient;

    /** @var array<string, list<PerceptDocument>> what can be seen of each part */
    private readonly array $sights;

    /** @var array<string, list<string>> parts that are seen together, by each of them */
    private readonly array $together;

    /** @var array{list<string>, string|null}|null doors and eyes for which {@see channels} was worked out */
    private ?array $from = null;

    /** @var array<string, string> what is perceived so, by channel: the primitive that it is of */
    private array $channels = [];

    public function __construct(private readonly Plan $plan)
    {
        $sights = [];
        foreach ($plan->percepts as $percept) {
            if ($percept['sense'] === 'sight' && $percept['part'] !== null) {
                $sights[$percept['part']][] = $percept;
            }
        }
        $this->sights = $sights;
        // what is in the van is silent and dark, and once it is fitted one looks at it
        $this->ambient = array_filter(
            $plan->percepts,
            fn (array $p) => ! in_array($p['from'], ['look', 'off'], true) &&
                $plan->model->part((string) ($p['part'] ?? ''))?->inVan !== true,
        );
        $together = [];
        foreach ($plan->model->views() as $view) {
            foreach ($view as $part) {
                $together[$part] = $view;
            }
        }
        $this->together = $together;
    }

    /**
     * The percepts of this moment by channel.
     *
     * @param list<string> $open doors, as {@see Doors} has them
     * @param string|null $eyes the part that they are on
     * @return array<string, string>
     */
    public function at(Machine $machine, MachineState $state, array $open, ?string $eyes): array
    {
        if ($this->from !== [$open, $eyes]) {
            $this->channels = $this->channels($open, $eyes);
            $this->from = [$open, $eyes];
        }
        $now = [];
        foreach ($this->channels as $channel => $of) {
            $now[$channel] = $machine->shows($state, $of);
        }

        return $now;
    }

    /**
     * @param list<string> $open doors
     * @return array<string, string> the primitive that each channel is of which is perceived so
     */
    private function channels(array $open, ?string $eyes): array
    {
        $channels = [];
        foreach ($this->ambient as $channel => $percept) {
            if (
                $this->isFree($percept, $open) &&
                ($percept['sense'] !== 'sight' || $this->sees($eyes, $percept['part']))
            ) {
                $channels[$channel] = $percept['of'];
            }
        }

        return $channels;
    }

    /**
     * What one looks at when looking at a part, beside its condition.
     *
     * @param list<string> $open doors
     * @param bool $isOff whether the part is in the hand
     * @return array<string, string> thing => how it is
     */
    public function lookingAt(
        Machine $machine,
        MachineState $state,
        string $part,
        array $open,
        bool $isOff = false,
    ): array {
        $seen = [];
        foreach ($this->sights[$part] ?? [] as $percept) {
            if ($this->isFree($percept, $open) && ($percept['from'] !== 'off' || $isOff)) {
                $seen[$percept['thing']] = $this->word($percept, $machine->shows($state, $percept['of']));
            }
        }

        return $seen;
    }

    /** Whether anywhere the air smells of something: a class of percept. */
    public function smells(Machine $machine, MachineState $state, string $class): bool
    {
        foreach ($this->plan->percepts as $percept) {
            if ($percept['sense'] === 'smell' && $machine->shows($state, $percept['of']) === $class) {
                return true;
            }
        }

        return false;
    }

    /** How a percept is said: "inducer runs". */
    public function say(string $channel, string $class): string
    {
        $percept = $this->plan->percepts[$channel];

        return "{$percept['thing']} {$this->word($percept, $class)}";
    }

    /** What of a percept there is to say beside its thing: "runs". */
    public function how(string $channel, string $class): string
    {
        return $this->word($this->plan->percepts[$channel], $class);
    }

    /**
     * Whether no shut door hides it.
     *
     * @param PerceptDocument $percept
     * @param list<string> $open doors
     */
    public function isFree(array $percept, array $open): bool
    {
        return $percept['from'] !== 'open'
            || $this->plan->model->doors()->before($open, (string) $percept['part']) === null;
    }

    private function sees(?string $eyes, ?string $part): bool
    {
        return $eyes === self::EVERYWHERE || $eyes !== null && in_array($part, $this->together[$eyes] ?? [$eyes], true);
    }

    /** @param PerceptDocument $percept */
    private function word(array $percept, string $class): string
    {
        return $percept['say'][$class] ?? $class;
    }
}
