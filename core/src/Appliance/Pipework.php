<?php

declare(strict_types=1);

namespace OddSpark\Appliance;

use OddSpark\Parts\Ability\Carries;

/**
 * What the pipes of a model come to: a network for each medium, with its joints; what each sensor feels; where
 * instruments are put. It is told in the document, as process, links and taps, so that whoever computes with a model
 * knows nothing of pipes; laid a second time it comes out the same.
 *
 * @phpstan-import-type ModelDocument from Shapes
 * @phpstan-import-type PartDocument from Shapes
 * @phpstan-import-type KindDocument from Shapes
 */
final class Pipework
{
    /** Names of the processes that it makes, by medium. */
    private const NETWORK = '-flow';

    /** Instruments that are put into a flue, and measure what leaves the burners. */
    private const OF_FLUE_GAS = [
        'analyser' => 'oxygen',
        'analyser_co2' => 'co2',
        'analyser_co' => 'co',
        'smoke' => 'smoke',
    ];

    private const OF_EXCHANGER = 'analyser_efficiency';

    /** @var array<string, string> union-find over ports */
    private array $root = [];

    /** @var array<string, Port> by place */
    private array $ports = [];

    /** @var array<string, string> medium by place */
    private array $medium = [];

    /** @var array<string, int> joints by medium */
    private array $joints = [];

    /** @var array<string, int> joint by root place */
    private array $joint = [];

    /** @var array<string, list<string>> ports that runs of their part lead to, by place */
    private array $through = [];

    /** @var list<array{string, string}> places that something sits at: from, to */
    private array $seats = [];

    /** @param ModelDocument $d with its kinds */
    private function __construct(private array $d) {}

    /**
     * @param ModelDocument $document with its kinds
     * @return ModelDocument
     *
     * @throws DocumentError when a pipe joins what cannot be joined
     */
    public static function laid(array $document): array
    {
        return ($document['pipes'] ?? []) === [] ? $document : (new self($document))->whole();
    }

    /** @return ModelDocument */
    private function whole(): array
    {
        foreach ($this->d['parts'] as $part) {
            foreach ($this->d['kinds'][$part['kind']]['ports'] ?? [] as $name => $port) {
                $place = "{$part['id']}.$name";
                $this->ports[$place] = Port::of((string) $name, $port);
                $this->medium[$place] = $port['medium'];
                $this->root[$place] = $place;
            }
        }
        foreach ($this->d['pipes'] ?? [] as $i => $pipe) {
            $this->pipe($pipe['from'], $pipe['to'], "/pipes/$i");
        }
        $this->networks();
        $this->seats();
        $this->taps();

        return $this->d;
    }

    private function pipe(string $from, string $to, string $pointer): void
    {
        foreach (['from' => $from, 'to' => $to] as $end => $place) {
            if (! isset($this->ports[$place])) {
                throw new DocumentError("$pointer/$end", self::missing($this->d, $place));
            }
        }
        if ($this->medium[$from] !== $this->medium[$to]) {
            throw new DocumentError(
                $pointer,
                "$from is for {$this->medium[$from]} and $to for {$this->medium[$to]}: a pipe joins ports of one kind.",
            );
        }
        $this->seats[] = [$from, $to];
        if ($this->ports[$from]->medium->flows()) {
            $this->root[$this->find($from)] = $this->find($to);
        }
    }

    /** @param ModelDocument $d */
    public static function missing(array $d, string $place): string
    {
        [$id, $name] = Model::split($place);
        foreach ($d['parts'] as $part) {
            if ($part['id'] === $id) {
                $has = array_keys($d['kinds'][$part['kind']]['ports'] ?? []);

                return $has === []
                    ? "\"$id\" has no ports: no pipe goes to it."
                    : "\"$id\" has no port \"$name\"; it has ".implode(', ', $has).'.';
            }
        }

        return "There is no part called \"$id\".";
    }

    /** A joint for all ports that pipes join, and for each that a run leads to; a network for each medium. */
    private function networks(): void
    {
        $joined = [];
        foreach ($this->d['pipes'] ?? [] as $pipe) {
            $joined[$pipe['from']] = $joined[$pipe['to']] = true;
        }
        $runs = $holds = [];
        foreach ($this->d['parts'] as $part) {
            $kind = $this->d['kinds'][$part['kind']];
            $lies = array_filter(
                array_keys($kind['ports'] ?? []),
                fn (string|int $name): bool => isset($joined["{$part['id']}.$name"]),
            );
            if ($lies === []) {
                continue; // nothing is joined to it: it stands beside the pipes
            }
            $number = [];
            foreach ($kind['primitives'] as $name => $spec) {
                if (! is_a(Primitives::TYPES[$spec['type']] ?? '', Carries::class, true)) {
                    continue;
                }
                $medium = $this->mediumOf($part, $kind, $spec, (string) $name);
                $number[$name] = [$medium, count($runs[$medium] ?? [])];
                $run = ["{$part['id']}.$name"];
                if (isset($spec['from'], $spec['to'])) {
                    [$a, $b] = ["{$part['id']}.{$spec['from']}", "{$part['id']}.{$spec['to']}"];
                    $this->through[$a][] = $b;
                    $this->through[$b][] = $a;
                }
                foreach (['from', 'to'] as $end) {
                    $run[] = isset($spec[$end]) ? $this->jointOf("{$part['id']}.{$spec[$end]}", $medium) : -1;
                }
                if (isset($spec['degrees'])) {
                    $run[] = (float) ($part['params'][$name]['degrees'] ?? $spec['degrees']);
                }
                $runs[$medium][] = $run;
            }
            foreach ($this->warms($part, $kind) as [$store, $run, $ua]) {
                if (isset($number[$run])) {
                    [$medium, $i] = $number[$run];
                    $holds[$medium][] = [$store, $i, $ua];
                }
            }
            foreach ($kind['primitives'] as $name => $spec) {
                foreach ($spec['type'] === 'heat-store' ? $spec['streams'] ?? [] : [] as $stream) {
                    if (isset($number[$stream['run']])) {
                        [$medium, $i] = $number[$stream['run']];
                        $holds[$medium][] = ["{$part['id']}.$name", $i, $stream['ua'] ?? null];
                    }
                }
            }
        }
        foreach ($runs as $medium => $list) {
            $m = Medium::from($medium);
            $network = [
                'type' => 'network',
                'medium' => $medium,
                'joints' => $this->joints[$medium] ?? 0,
                'runs' => $list,
            ];
            foreach (array_keys($this->ports) as $place) {
                $root = $this->find($place);
                if ($this->medium[$place] === $medium && isset($this->joint[$root])) {
                    $network['places'][$place] = $this->joint[$root];
                }
            }
            $network['carries'] = $m->carries($this->d['supply']['region']);
            if ($m->rest($this->d['supply']['region']) > 0) {
                $network['rest'] = $m->rest($this->d['supply']['region']);
            }
            if (isset($holds[$medium])) {
                $network['holds'] = $holds[$medium];
            }
            $this->d['process'][$medium.self::NETWORK] = $network;
        }
    }

    /**
     * What a part's runs warm where it is joined to it: radiators a room.
     *
     * @param PartDocument $part
     * @param KindDocument $kind
     * @return list<array{string, string, float}> store, run of the part, conductance
     */
    private function warms(array $part, array $kind): array
    {
        $warms = [];
        foreach ($this->seats as [$from, $to]) {
            foreach ([[$from, $to], [$to, $from]] as [$here, $there]) {
                $run = $this->ports[$here]->emits;
                [$other] = Model::split($there);
                $of = $this->ports[$there]->of;
                if ($run !== null && $of !== null && Model::split($here)[0] === $part['id']) {
                    $ua = (float) ($part['params'][$run]['ua'] ?? $kind['primitives'][$run]['ua'] ?? 0.0);
                    $warms[] = ["$other.$of", $run, $ua];
                }
            }
        }

        return $warms;
    }

    /**
     * @param PartDocument $part
     * @param KindDocument $kind
     * @param array<array-key, mixed> $spec
     */
    private function mediumOf(array $part, array $kind, array $spec, string $name): string
    {
        $port = $spec['from'] ?? ($spec['to'] ?? null);
        if (! is_string($port) || ! isset($kind['ports'][$port])) {
            throw new DocumentError(
                "/kinds/{$part['kind']}/primitives/$name",
                "It leads from or to a port, and \"{$part['kind']}\" has none called \"".($port ?? '').'".',
            );
        }

        return $kind['ports'][$port]['medium'];
    }

    private function jointOf(string $place, string $medium): int
    {
        if (! isset($this->ports[$place])) {
            throw new DocumentError('/kinds', self::missing($this->d, $place));
        }
        $root = $this->find($place);
        if (! isset($this->joint[$root])) {
            $this->joint[$root] = $this->joints[$medium] ?? 0;
            $this->joints[$medium] = $this->joint[$root] + 1;
        }

        return $this->joint[$root];
    }

    /** What sits where: who asks for a temperature, a flame or a pressure is told whose. */
    private function seats(): void
    {
        $links = $lights = [];
        foreach ($this->seats as [$from, $to]) {
            foreach ([[$from, $to], [$to, $from]] as [$one, $other]) {
                $asks = $this->ports[$one];
                $gives = $this->ports[$other];
                [$part] = Model::split($one);
                [$beside] = Model::split($other);
                if ($asks->link !== null && $gives->of !== null) {
                    $links[$part][$asks->link] = "$beside.{$gives->of}";
                }
                if ($asks->frameLink !== null && $gives->frame !== null) {
                    $links[$part][$asks->frameLink] = "$beside.{$gives->frame}";
                }
                if ($asks->of !== null && $gives->lights !== null) {
                    $lights["$part.{$asks->of}"][] = ['by' => "$beside.{$gives->lights['by']}"] + $gives->lights;
                }
            }
        }
        foreach ($this->ports as $place => $port) { // a diaphragm at the end of a hose
            [$part] = Model::split($place);
            if ($port->link === null || ! isset($this->joint[$this->find($place)])) {
                continue;
            }
            if ($port->medium === Medium::Flue && $port->link === 'fire') {
                $fire = $this->burnsInto($place);
                if ($fire !== null) {
                    $links[$part]['fire'] ??= $fire;
                    $links[$part] += array_filter(['gas' => $this->flueGas($place, 'oxygen')]);
                }

                continue;
            }
            if ($port->medium->flows() && ! isset($links[$part][$port->link])) {
                $links[$part][$port->link] = $this->pressureAt($place);
            }
        }
        foreach ($this->d['parts'] as $i => $part) {
            if (isset($links[$part['id']])) {
                $this->d['parts'][$i]['links'] = $links[$part['id']] + ($part['links'] ?? []);
            }
        }
        foreach ($lights as $fire => $conditions) {
            $this->d['lights'][$fire] = $conditions;
        }
    }

    private function taps(): void
    {
        foreach ($this->ports as $place => $port) {
            [$part, $name] = Model::split($place);
            if ($port->medium->flows() && ! isset($this->joint[$this->find($place)])) {
                continue;
            }
            foreach ($port->taps as $tap) {
                $measures = self::OF_FLUE_GAS[$tap['instrument']] ?? null;
                $of = match (true) {
                    $measures !== null => $this->flueGas($place, $measures),
                    $tap['instrument'] === self::OF_EXCHANGER => $this->efficiency($place),
                    $port->of !== null => "$part.{$port->of}",
                    default => $this->pressureAt($place),
                };
                if ($of !== null) {
                    $this->tap($part, $tap, $of);
                }
            }
        }
    }

    /** @param array{name: string, instrument: string, label: string} $tap */
    private function tap(string $part, array $tap, string $of): void
    {
        [$within, $local] = strrpos($part, '.') === false
            ? ['', $part]
            : [substr($part, 0, strrpos($part, '.') + 1), substr($part, strrpos($part, '.') + 1)];
        $made = ['of' => $of, 'instrument' => $tap['instrument'], 'part' => $part, 'label' => $tap['label']];
        $id = $within.$tap['name'];
        if (($this->d['taps'][$id]['part'] ?? $part) !== $part) {
            $id .= "-$local"; // another part has one of that name
        }
        // what it leads to follows from the pipes as they are now; what it is called may have been changed
        $this->d['taps'][$id] = ['of' => $of] + ($this->d['taps'][$id] ?? []) + $made;
    }

    /** What comes to a port from the burner that is nearest, as an instrument measures it; null when nothing burns. */
    private function flueGas(string $place, string $measures): ?string
    {
        $fire = $this->burnsInto($place);
        if ($fire === null) {
            return null;
        }
        [$burner] = Model::split($fire);
        foreach ($this->d['parts'] as $part) {
            if ($part['id'] !== $burner) {
                continue;
            }
            foreach ($this->d['kinds'][$part['kind']]['primitives'] as $name => $spec) {
                if ($spec['type'] === 'flue-gas' && ($spec['measures'] ?? 'oxygen') === $measures) {
                    return "$burner.$name";
                }
            }
        }

        return null;
    }

    /** What the exchanger nearest to a port leaves of the heat; null when there is none. */
    private function efficiency(string $place): ?string
    {
        return $this->nearest($place, function (string $there): ?string {
            [$id] = Model::split($there);
            foreach ($this->d['parts'] as $part) {
                foreach ($part['id'] === $id ? $this->d['kinds'][$part['kind']]['primitives'] : [] as $name => $spec) {
                    if ($spec['type'] === 'combustion-efficiency') {
                        return "$id.$name";
                    }
                }
            }

            return null;
        });
    }

    /** The burner that is nearest to a port; null for none. */
    private function burnsInto(string $place): ?string
    {
        return $this->nearest($place, function (string $there): ?string {
            $of = $this->ports[$there]->of;

            return $of === null ? null : Model::split($there)[0].".$of";
        });
    }

    /**
     * What is found first on the way from a port along flue pipes and the parts that they lead through.
     *
     * @param callable(string): (string|null) $find of a place
     */
    private function nearest(string $place, callable $find): ?string
    {
        $met = [$place => true];
        for ($at = [$place]; $at !== []; $at = $next) {
            $next = [];
            foreach ($at as $here) {
                foreach ($this->besideFlue($here) as $there) {
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

    /** @return list<string> ports that pipes join to one, itself among them, and that runs of its part lead to */
    private function besideFlue(string $place): array
    {
        $beside = $this->through[$place] ?? [];
        $root = $this->find($place);
        foreach ($this->ports as $other => $port) {
            if ($port->medium === Medium::Flue && $this->find($other) === $root) {
                $beside[] = $other;
            }
        }

        return $beside;
    }

    /** The process that follows the pressure at a port. */
    private function pressureAt(string $place): string
    {
        $port = $this->ports[$place];
        $joint = $this->joint[$this->find($place)];
        $id = "{$port->medium->value}-pressure-$joint".($port->suction ? '-below' : '');
        $this->d['process'][$id] = [
            'type' => 'joint-pressure',
            'network' => $port->medium->value.self::NETWORK,
            'joint' => $joint,
            'tau_s' => $port->medium === Medium::Flue ? 0.8 : 0.3,
        ] + ($port->suction ? ['turned' => -1.0] : []);

        return $id;
    }

    private function find(string $place): string
    {
        while ($this->root[$place] !== $place) {
            $place = $this->root[$place];
        }

        return $place;
    }
}
