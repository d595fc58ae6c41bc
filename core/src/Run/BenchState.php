<?php

declare(strict_types=1);

namespace OddSpark\Run;

use OddSpark\Appliance\Doors;
use OddSpark\Meter\Display;
use OddSpark\Meter\Mode;
use OddSpark\Parts\Primitive;

/**
 * A person before an appliance at a moment: how the appliance stands, what he has done to it, and what he has in his
 * hands.
 *
 * Written and read again by {@see toArray} and {@see fromArray}, and nowhere else.
 *
 * @immutable
 *
 * @phpstan-import-type Slot from Primitive
 * @phpstan-import-type Changes from Primitive
 * @phpstan-import-type Joint from MachineState
 */
final class BenchState extends MachineState
{
    /** Instruments whose tap stood under their own name before there were others. */
    private const ONCE = ['gauge' => 1, 'probe' => 1, 'draught' => 1, 'analyser' => 1, 'smoke' => 1, 'oil_gauge' => 1];

    /**
     * @param array<string, Slot> $slots by primitive id
     * @param int $zero tick of the arrival
     * @param array<string, string> $answers of the customer, by question
     * @param float $labour minutes
     * @param int $acts how many were done
     * @param list<string> $open doors that are off, as {@see Doors} has them
     * @param list<string> $held doors whose switches a hand holds in, likewise
     * @param string|null $eyes the part that is looked at
     * @param list<string> $mended parts
     * @param Changes $fitted parameters of what was put in, by their path
     * @param array<string, string|int|float> $wanted levers of thermostats as the household has them: primitive => at
     * @param array<string, list<string>> $off parts in the hand, each with the wire ends that came off with it
     * @param array<string, Changes> $heads parts whose heads are off, each with how its body stands
     * @param list<string> $locked parts that are locked off
     * @param bool $tagged whether a tag says that it must not be used
     * @param list<string> $told what the customer was told
     * @param list<array{string, string}> $jumpers places, of those that are known
     * @param list<array{string, string}> $wired of the jumpers those that are wires put in to stay
     * @param list<string> $installed parts from the van that were put in
     * @param list<array{string, string}> $earlier of those that somebody else left: what has not been noticed yet, and
     *     wires on a wrong place
     * @param int $raw trials without a light up to the arrival, or to when it was last said
     * @param array<string, int> $resets how often each part was reset since something was last mended
     * @param list<string> $unsaid dangers that came up and have not been said yet
     * @param string|null $red place of the lead; likewise black
     * @param float|null $range of the meter, chosen by hand, as its largest figure
     * @param string|null $loose red or black: that lead does not touch
     * @param list<string> $blown fuses of the meter
     * @param string $battery of the meter: good | low
     * @param array{wires: list<string>, turns: int}|null $clamp
     * @param list<array{string, string}> $logged places between which a logger was left
     * @param Mode $loggerMode what it writes down
     * @param int $nights for which it was left
     * @param int $away ticks after the arrival up to which nobody is there
     * @param self|null $twin how the sound one stands beside it, where there is one
     * @param array<string, string> $taps where instruments are put, by instrument
     * @param list<Joint> $joined {@see MachineState}
     */
    public function __construct(
        int $tick,
        array $slots,
        public int $zero,
        public array $answers = [],
        public float $labour = 0.0,
        public int $acts = 0,
        public array $open = [],
        public array $held = [],
        public ?string $eyes = null,
        public array $mended = [],
        public array $fitted = [],
        public array $wanted = [],
        public array $off = [],
        public array $heads = [],
        public array $locked = [],
        public bool $tagged = false,
        public array $told = [],
        public array $jumpers = [],
        public array $wired = [],
        public array $installed = [],
        public array $earlier = [],
        public int $raw = 0,
        public array $resets = [],
        public array $unsaid = [],
        public ?string $red = null,
        public ?string $black = null,
        public Mode $mode = Mode::VoltsAc,
        public ?float $range = null,
        public ?string $loose = null,
        public ?Display $display = null,
        public array $blown = [],
        public string $battery = 'good',
        public ?array $clamp = null,
        public array $taps = [],
        public array $logged = [],
        public Mode $loggerMode = Mode::VoltsAc,
        public int $away = 0,
        public int $nights = 0,
        public ?self $twin = null,
        array $joined = [],
    ) {
        parent::__construct($tick, $slots, $joined);
    }

    /** Ticks since the arrival. */
    public function now(): int
    {
        return $this->tick - $this->zero;
    }

    public function isAnyDoorOpen(): bool
    {
        return $this->open !== [];
    }

    /** Whether nobody is there. */
    public function isAlone(): bool
    {
        return $this->now() < $this->away;
    }

    /** Whether both leads are on something. */
    public function isMetered(): bool
    {
        return $this->red !== null && $this->black !== null;
    }

    /** The same person, with the appliance as it stands by now. */
    public function on(MachineState $machine): self
    {
        return $this->moved($machine->tick, $machine->slots);
    }

    /** The appliance alone. */
    public function machine(): MachineState
    {
        return new MachineState($this->tick, $this->slots, $this->joined);
    }

    /** @return array<string, mixed> plain data, for {@see fromArray} */
    public function toArray(): array
    {
        $kept = ['mode' => $this->mode->value, 'loggerMode' => $this->loggerMode->value, 'display' => $this->display?->toArray()] + get_object_vars($this);

        $kept['twin'] = $this->twin?->toArray();

        return array_diff_key($kept, ['joined' => 1]); // nodes: they follow from where leads and jumpers are

    }

    /** @param array<string, mixed> $array from {@see toArray}, of this version or one before */
    public static function fromArray(array $array): self
    {
        $once = array_filter(array_intersect_key($array, self::ONCE), fn (?string $tap): bool => $tap !== null);
        $array = array_diff_key($array, self::ONCE);
        $array['taps'] = ($array['taps'] ?? []) + $once;
        $array['mode'] = Mode::from($array['mode'] ?? Mode::VoltsAc->value);
        $array['loggerMode'] = Mode::from($array['loggerMode'] ?? Mode::VoltsAc->value);
        $array['twin'] = isset($array['twin']) ? self::fromArray($array['twin']) : null;
        $array['display'] = isset($array['display']) ? Display::fromArray($array['display']) : null;

        if (isset($array['door'])) { // when there was one for all
            $array['open'] = $array['door'] === 'open' ? Doors::ALL : [];
            $array['held'] = ($array['held'] ?? false) === true ? Doors::ALL : [];
        }

        // what an older version kept beside, this one does without
        return new self(...array_intersect_key($array, get_class_vars(self::class)));
    }
}
