<?php

declare(strict_types=1);

namespace OddSpark\Appliance\Pipes;

use OddSpark\Appliance\DocumentError;
use OddSpark\Appliance\Model;
use OddSpark\Appliance\Port;
use OddSpark\Appliance\Shapes;
use OddSpark\Words\Words;

/**
 * The ports of all parts of a model, and which of them are one: those that pipes join, where the medium is the same.
 *
 * @phpstan-import-type ModelDocument from Shapes
 */
final class Ports
{
    /** @var array<string, Port> by place */
    public readonly array $all;

    /** @var array<string, string> union-find over places */
    private array $root = [];

    /** @var array<string, int> joint by root place */
    private array $joint = [];

    /** @var array<string, int> joints by medium */
    private array $joints = [];

    /** @var array<string, list<string>> places that runs of their part lead to, by place */
    private array $through = [];

    /** @param ModelDocument $d with its kinds */
    public function __construct(private readonly array $d)
    {
        $all = [];
        foreach ($d['parts'] as $part) {
            foreach ($d['kinds'][$part['kind']]['ports'] ?? [] as $name => $port) {
                $place = "{$part['id']}.$name";
                $all[$place] = Port::of((string) $name, $port);
                $this->root[$place] = $place;
            }
        }
        $this->all = $all;
    }

    public function at(string $place): Port
    {
        return $this->all[$place];
    }

    /** @throws DocumentError when a pipe joins what cannot be joined */
    public function join(string $from, string $to, string $pointer): void
    {
        foreach (['from' => $from, 'to' => $to] as $end => $place) {
            if (! isset($this->all[$place])) {
                throw new DocumentError("$pointer/$end", self::missing($this->d, $place));
            }
        }
        [$one, $other] = [$this->all[$from]->medium, $this->all[$to]->medium];
        if ($one !== $other) {
            throw new DocumentError(
                $pointer,
                Words::say('appliance.ports.is_for_and_for_a', [
                    'from' => $from,
                    'one' => $one->value,
                    'to' => $to,
                    'other' => $other->value,
                ]),
            );
        }
        if ($one->flows()) {
            $this->root[$this->find($from)] = $this->find($to);
        }
    }

    /** A run of a part leads from one of its ports to another. */
    public function leadThrough(string $a, string $b): void
    {
        $this->through[$a][] = $b;
        $this->through[$b][] = $a;
    }

    /**
     * The joint that a port belongs to, numbered when it is first asked for.
     *
     * @throws DocumentError when there is no such port
     */
    public function jointOf(string $place): int
    {
        $port = $this->all[$place] ?? throw new DocumentError('/kinds', self::missing($this->d, $place));
        $medium = $port->medium->value;
        $root = $this->find($place);
        if (! isset($this->joint[$root])) {
            $this->joint[$root] = $this->joints[$medium] ?? 0;
            $this->joints[$medium] = $this->joint[$root] + 1;
        }

        return $this->joint[$root];
    }

    /** The joint of a port that a network knows; null of one that nothing leads to. */
    public function joint(string $place): ?int
    {
        return $this->joint[$this->find($place)] ?? null;
    }

    /** How many joints there are of a medium. */
    public function joints(string $medium): int
    {
        return $this->joints[$medium] ?? 0;
    }

    /** @return list<string> ports that pipes join to one, itself among them, and that runs of its part lead to */
    public function beside(string $place): array
    {
        $beside = $this->through[$place] ?? [];
        [$root, $medium] = [$this->find($place), $this->all[$place]->medium];
        foreach ($this->all as $other => $port) {
            if ($port->medium === $medium && $this->find($other) === $root) {
                $beside[] = $other;
            }
        }

        return $beside;
    }

    /**
     * What is found first on the way from a port along pipes and the parts that they lead through.
     *
     * @param callable(string): (string|null) $find of a place
     */
    public function nearest(string $place, callable $find): ?string
    {
        $met = [$place => true];
        for ($at = [$place]; $at !== []; $at = $next) {
            $next = [];
            foreach ($at as $here) {
                foreach ($this->beside($here) as $there) {
                    $found = $find($there);
                    if ($found !== null) {
                        return $found;
                    }
                    if (! isset($met[$there])) {
                        $met[$there] = true;
                        $next[] = $there;
                    }
                }
            }
        }

        return null;
    }

    /** @param ModelDocument $d */
    public static function missing(array $d, string $place): string
    {
        [$id, $name] = Model::split($place);
        foreach ($d['parts'] as $part) {
            if ($part['id'] === $id) {
                $has = array_keys($d['kinds'][$part['kind']]['ports'] ?? []);

                return $has === []
                    ? Words::say('appliance.ports.has_no_ports_no_pipe', ['id' => $id])
                    : Words::say('appliance.ports.has_no_port_it_has', [
                        'id' => $id,
                        'name' => $name,
                        'has' => implode(', ', $has),
                    ]);
            }
        }

        return Words::say('appliance.ports.there_is_no_part_called', ['id' => $id]);
    }

    private function find(string $place): string
    {
        while ($this->root[$place] !== $place) {
            $place = $this->root[$place];
        }

        return $place;
    }
}
