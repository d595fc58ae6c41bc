<?php

declare(strict_types=1);

namespace OddSpark\Wiring\Rules;

use OddSpark\Appliance\Part;
use OddSpark\Appliance\Port;
use OddSpark\Wiring\Finding;
use OddSpark\Wiring\Rule;

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
        $what = "{$part->label}: its {$port->label}";

        return new Finding(
            $port->medium->flows() ? 'open port' : 'sensor that sits nowhere',
            $port->link !== null ? Finding::WRONG : Finding::ODD,
            [$part->id],
            [],
            $port->medium->flows() ? "$what leads nowhere." : "$what sits nowhere.",
            $port->medium->flows()
                ? 'Nothing flows through a port that is joined to nothing.'
                : 'It senses nothing, and never opens or closes.',
            $other === null
                ? "Place the part that it belongs to, and join a {$port->medium->pipe()} to it."
                : "Join a {$port->medium->pipe()} to {$other[1]}.",
            $other === null ? [] : [['do' => 'pipe', 'from' => "{$part->id}.{$port->name}", 'to' => $other[0]]],
            $other === null ? '' : "Joins a {$port->medium->pipe()} from $what to {$other[1]}.",
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
