<?php

declare(strict_types=1);

namespace OddSpark\Wiring\Rules;

use OddSpark\Appliance\Part;
use OddSpark\Appliance\Port;
use OddSpark\Wiring\Finding;
use OddSpark\Wiring\Rule;
use OddSpark\Words\Words;

/** Ports that nothing is joined to: pipes that lead nowhere, sensors that sit nowhere. */
final class Ports extends Rule
{
    public function find(): array
    {
        if ($this->model()->pipes() === [] && ($this->model()->document['process'] ?? []) !== []) {
            return []; // its physics are written out, as in the first version of the format
        }
        $joined = [];
        foreach ($this->model()->pipes() as $pipe) {
            $joined[$pipe->from] = $joined[$pipe->to] = true;
        }
        $found = [];
        foreach ($this->model()->parts() as $part) {
            $linked = $this->linkedBeside($part, $joined);
            foreach ($part->kind->ports as $port) {
                $isNeeded = $port->link !== null && ! isset($part->links[$port->link]) || $port->medium->flows();
                if (! isset($joined["{$part->id}.{$port->name}"]) && $isNeeded && ! isset($linked[$port->link ?? ''])) {
                    $found[] = $this->finding($part, $port, $joined);
                }
            }
        }

        return $found;
    }

    /**
     * What a part asks for by name and has been told by another of its ports.
     *
     * @param array<string, true> $joined
     * @return array<string, true>
     */
    private function linkedBeside(Part $part, array $joined): array
    {
        $linked = [];
        foreach ($part->kind->ports as $port) {
            if ($port->link !== null && isset($joined["{$part->id}.{$port->name}"])) {
                $linked[$port->link] = true;
            }
        }

        return $linked;
    }

    /** @param array<string, true> $joined */
    private function finding(Part $part, Port $port, array $joined): Finding
    {
        $other = $this->nearest($part, $port, $joined);
        $what = Words::say('wiring.ports.its', ['part' => $part->label, 'port' => $port->label]);

        return new Finding(
            $port->medium->flows()
                ? Words::plain('wiring.ports.open_port')
                : Words::plain('wiring.ports.sensor_that_sits_nowhere'),
            $port->link !== null ? Finding::WRONG : Finding::ODD,
            [$part->id],
            [],
            $port->medium->flows() ? Words::say('wiring.ports.leads_nowhere', [
                'what' => $what,
            ]) : Words::say('wiring.ports.sits_nowhere', [
                'what' => $what,
            ]),
            $port->medium->flows()
                ? Words::say('wiring.ports.nothing_flows_through_a_port')
                : Words::say('wiring.ports.it_senses_nothing_and_never'),
            $other === null
                ? Words::say('wiring.ports.place_the_part_that_it', ['pipe' => $port->medium->pipe()])
                : Words::say('wiring.ports.join_a_to', ['pipe' => $port->medium->pipe(), 'other' => $other[1]]),
            $other === null ? [] : [['do' => 'pipe', 'from' => "{$part->id}.{$port->name}", 'to' => $other[0]]],
            $other === null ? '' : Words::say('wiring.ports.joins_a_from_to', [
                'pipe' => $port->medium->pipe(),
                'what' => $what,
                'other' => $other[1],
            ]),
        );
    }

    /**
     * The nearest port on the board that it can be joined to.
     *
     * @param array<string, true> $joined
     * @return array{string, string}|null place and what it is called
     */
    private function nearest(Part $part, Port $port, array $joined): ?array
    {
        $best = null;
        foreach ($this->model()->parts() as $other) {
            foreach ($other->id === $part->id ? [] : $other->kind->ports as $there) {
                $isFree = ! isset($joined["{$other->id}.{$there->name}"]);
                $isPipe = $port->medium->flows() && $port->link === null;
                $fits = $there->medium === $port->medium &&
                    ($port->link === null || $there->of !== null || $there->medium->flows()) &&
                    (! $isPipe || $isFree);
                $far = hypot(
                    $other->at[0] + $there->at[0] - $part->at[0] - $port->at[0],
                    $other->at[1] + $there->at[1] - $part->at[1] - $port->at[1],
                );
                if ($fits && ($best === null || $far < $best[2])) {
                    $best = ["{$other->id}.{$there->name}", "{$other->label}, {$there->label}", $far];
                }
            }
        }

        return $best === null ? null : [$best[0], $best[1]];
    }
}
