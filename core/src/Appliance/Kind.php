<?php

declare(strict_types=1);

namespace OddSpark\Appliance;

use OddSpark\Parts\Ability\GivesFuel;
use OddSpark\Parts\Ability\Glows;
use OddSpark\Parts\Ability\StandsAsSet;
use OddSpark\Parts\Role;
use OddSpark\Words\Words;

/**
 * A kind of part: its terminals, the primitives between them, and what it is to an appliance: what it guards, what a
 * hand
 * can do to it, whether it is a supply, a fuel valve.
 *
 * @phpstan-import-type KindDocument from Shapes
 */
final readonly class Kind
{
    use GuardsLoads;
    use TakenInHand;

    /** What a hand on a part finds where nothing else is said. */
    /**
     * @param array{int, int} $size
     * @param array<string, array{int, int}> $terminals where each lies on it
     * @param list<string> $inside places within it that no lead gets to
     * @param list<list<string>> $joined
     * @param list<string> $references terminals that readings are taken against
     * @param array<string, Spec> $primitives
     * @param array<string, Setting> $settings
     * @param list<string> $resets primitives that its button frees
     * @param array<string, array{of: string, sense: string, from: string, thing: string, say?: array<string,
     *     string>}> $percepts by name
     * @param array<string, array<string, scalar>> $spares what each changes
     * @param list<string> $standsIn spares of another make that do for the part, as the trade has it
     * @param array<string, array<string, scalar>> $cleaned what is left on it by the wrong thing to clean it with
     * @param array<string, string>|null $card what its codes mean
     * @param array{string, string}|null $apart lever and position at which its inside is seen, where there is one
     * @param array<string, FaultMode> $modes ways of failing
     * @param array<string, Port> $ports where pipes and sensors are joined
     */
    private function __construct(
        public string $name,
        public string $title,
        public Family $family,
        public string $symbol,
        public array $size,
        public array $terminals,
        public array $inside,
        public array $joined,
        public array $references,
        public array $primitives,
        public array $settings,
        public array $resets,
        public array $percepts,
        public array $spares,
        public array $standsIn,
        public array $cleaned,
        public ?array $card,
        public string $look,
        public string $feel,
        public ?array $apart,
        public array $modes,
        public array $ports,
    ) {}

    /** @param KindDocument $json a kind's document, as the schema has it */
    public static function of(string $name, array $json): self
    {
        $primitives = [];
        foreach ($json['primitives'] as $id => $values) {
            $primitives[(string) $id] = Spec::of((string) $id, $values);
        }
        $ports = [];
        foreach ($json['ports'] ?? [] as $id => $port) {
            $ports[(string) $id] = Port::of((string) $id, $port);
        }
        $settings = [];
        foreach ($json['controls'] ?? [] as $lever => $control) {
            $spec = $primitives[$lever] ?? null;
            $settings[(string) $lever] = new Setting(
                (string) $lever,
                $control['label'],
                $control['unit'] ?? null,
                $spec?->get('positions') ?? [],
                $spec?->get('range'),
                $spec?->get('at') ?? '',
            );
        }

        return new self(
            $name,
            $json['title'],
            Family::tryFrom($json['family']) ?? Family::Own,
            $json['symbol'],
            $json['size'],
            array_map(fn (array $t): array => $t['at'], $json['terminals']),
            $json['inside'] ?? [],
            $json['joined'] ?? [],
            $json['references'] ?? [],
            $primitives,
            $settings,
            array_map('strval', array_keys($json['resets'] ?? [])),
            $json['percepts'] ?? [],
            $json['spares'] ?? [],
            $json['stands_in'] ?? [],
            $json['cleaned'] ?? [],
            $json['card'] ?? null,
            $json['look'],
            $json['feel'] ?? Words::say('appliance.kind.nothing_felt'),
            $json['apart'] ?? null,
            array_map(FaultMode::of(...), $json['modes']),
            $ports,
        );
    }

    public function isFuelValve(): bool
    {
        return $this->family->isFuelValve();
    }

    /**
     * Whether a load of it, fed, opens it: a magnet on a thermocouple's millivolts holds only what a flame has proved.
     */
    public function opensByItself(string $load): bool
    {
        $spec = $this->primitives[$load] ?? null;

        return $spec?->can(GivesFuel::class) === true && ! $spec->has('seats'); // a pilot magnet only holds
    }

    /** Whether a hand on it tries what can be loose or stiff: a way of failing of it is felt. */
    public function isTried(): bool
    {
        return array_filter($this->modes, fn (FaultMode $m): bool => $m->signs->felt !== null) !== [];
    }

    /** Whether whoever feels it touches what carries its volts: it is bare, or its screws are tried. */
    public function isTouched(): bool
    {
        return $this->family->isBare() || $this->family === Family::Splices && $this->isTried();
    }

    /** Whether gas or oil goes through it. */
    public function carriesFuel(): bool
    {
        foreach ($this->ports as $port) {
            if ($port->medium === Medium::Gas || $port->medium === Medium::Oil) {
                return true;
            }
        }

        return false;
    }

    /** Whether it is spoilt by a finger or a knock: what glows is. */
    public function isBrittle(): bool
    {
        return $this->those(Glows::class) !== [];
    }

    /** Whether what it senses is heat. */
    public function feelsHeat(): bool
    {
        return in_array($this->family->guards(), [Guarded::Heat, Guarded::Rollout], true);
    }

    public function isFuelSupply(): bool
    {
        return $this->family->isFuelSupply();
    }

    public function isSupply(): bool
    {
        return $this->family === Family::Supply;
    }

    public function isThermostat(): bool
    {
        return $this->family === Family::Thermostat;
    }

    public function isControl(): bool
    {
        return $this->family === Family::Control;
    }

    public function isFlameSensor(): bool
    {
        return $this->family === Family::Flame;
    }

    public function isGround(): bool
    {
        return $this->family === Family::Ground;
    }

    /** Whether it has a lamp that says more than on and off: its card has codes. */
    public function hasCode(): bool
    {
        return $this->card !== null;
    }

    /**
     * Its primitives that can do something.
     *
     * @param class-string $ability of {@see \OddSpark\Parts\Ability}
     * @return array<string, Spec>
     */
    public function those(string $ability): array
    {
        return array_filter($this->primitives, fn (Spec $s): bool => $s->can($ability));
    }

    /** @return list<string> levers that a door can hold in: those that are pressed or out */
    public function plungers(): array
    {
        $isPlunger = fn (Spec $s): bool => array_diff(['pressed', 'out'], (array) $s->get('positions')) === [];

        return array_map(strval(...), array_keys(array_filter($this->those(StandsAsSet::class), $isPlunger)));
    }

    /** Whether it is anything to the circuit. */
    public function isElectric(): bool
    {
        return array_filter($this->primitives, fn (Spec $s): bool => $s->isElectric()) !== [];
    }

    /** Whether something that is fed lies between two of its terminals, and not a switch. */
    public function isLoadBetween(string $a, string $b): bool
    {
        foreach ($this->primitives as $spec) {
            $between = $spec->get('between') ?? [];
            if ($a !== $b && in_array($a, $between, true) && in_array($b, $between, true) && ! $this->isSwitch($spec)) {
                return true;
            }
        }

        return false;
    }

    private function isSwitch(Spec $spec): bool
    {
        foreach ($spec->wiring() as $wired) {
            if ($wired->role === Role::Switch) {
                return true;
            }
        }

        return false;
    }

    /**
     * What it asks of each of its parts by name ("@senses").
     *
     * @return list<string>
     */
    public function asks(): array
    {
        $asked = [];
        foreach ($this->primitives as $spec) {
            $values = $spec->values;
            array_walk_recursive($values, function (mixed $v) use (&$asked): void {
                // "@.name" is of the part itself, "@name?" may go without
                if (is_string($v) && preg_match('/^@([^.?][^?]*)$/', $v, $name) === 1) {
                    $asked[$name[1]] = true;
                }
            });
        }

        return array_map('strval', array_keys($asked));
    }
}
