<?php

declare(strict_types=1);

namespace OddSpark\Appliance;

use OddSpark\Parts\Ability\Blows;
use OddSpark\Parts\Ability\Senses;

/** What a kind guards, and which of its switches stop what they feed. */
trait GuardsLoads
{
    /** What it guards against; null when it is no safety. */
    public function guards(): ?Guarded
    {
        return $this->sensors() === [] ? null : $this->family->guards();
    }

    /**
     * Those of its sensors that guard: of a limit one that opens on rise (a fan leg makes on rise, and guards nothing);
     * of
     * any other safety all.
     *
     * @return list<string>
     */
    public function sensors(): array
    {
        $guarded = $this->family->guards();
        $sensors = $guarded === null ? [] : array_filter(
            $this->those(Senses::class),
            fn (Spec $s): bool => $guarded !== Guarded::Heat || $s->get('opens_at') > $s->get('closes_at'),
        );

        return array_keys($sensors);
    }

    /** @return list<string> switches that a sensor which guards moves, either side of one with two */
    public function guardingSwitches(): array
    {
        $sensors = $this->sensors();

        return array_keys(
            array_filter($this->primitives, fn (Spec $s): bool => in_array($s->follows(), $sensors, true)),
        );
    }

    /** @return list<string> those of them that stop something by opening: not the side that is made at rest */
    public function stoppingSwitches(): array
    {
        return array_values(
            array_filter(
                $this->guardingSwitches(),
                fn (string $name): bool => ($this->primitives[$name]->get('when') ?? true) === true,
            ),
        );
    }

    /** Whether a primitive is the switch of a safety. */
    public function isGuardingSwitch(string $name): bool
    {
        return in_array($name, $this->guardingSwitches(), true);
    }

    /** Whether a lever is thrown by a trip too, as a breaker's is. */
    public function isTrippedLever(string $lever): bool
    {
        return array_filter($this->those(Blows::class), fn (Spec $s): bool => $s->get('lever') === $lever) !== [];
    }
}
