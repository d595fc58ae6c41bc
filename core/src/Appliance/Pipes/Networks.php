<?php

declare(strict_types=1);

namespace OddSpark\Appliance\Pipes;

use OddSpark\Appliance\DocumentError;
use OddSpark\Appliance\Medium;
use OddSpark\Appliance\Model;
use OddSpark\Appliance\Primitives;
use OddSpark\Appliance\Shapes;
use OddSpark\Parts\Ability\Carries;
use OddSpark\Words\Words;

/**
 * A network for each medium: its joints, the runs of parts between them, and what those warm.
 *
 * @phpstan-import-type ModelDocument from Shapes
 * @phpstan-import-type PartDocument from Shapes
 * @phpstan-import-type KindDocument from Shapes
 */
final class Networks
{
    /** What the process of a network is called, after its medium. */
    private const NAME = '-flow';

    /** @var array<string, list<list<string|int|float>>> part and primitive, joints from and to, degrees; by medium */
    private array $runs = [];

    /** @var array<string, list<array{string, int, float|null}>> store, which run, conductance; by medium */
    private array $holds = [];

    /** @param ModelDocument $d with its kinds */
    private function __construct(private readonly array $d, private readonly Ports $ports) {}

    public static function named(Medium $medium): string
    {
        return $medium->value.self::NAME;
    }

    /**
     * The networks as processes, by name; runs lead through the ports from now on.
     *
     * @param ModelDocument $d with its kinds
     * @return array<string, array<string, mixed>>
     *
     * @throws DocumentError when a run leads from where there is no port
     */
    public static function of(array $d, Ports $ports): array
    {
        $networks = new self($d, $ports);
        $joined = [];
        foreach ($d['pipes'] ?? [] as $pipe) {
            $joined[$pipe['from']] = $joined[$pipe['to']] = true;
        }
        foreach ($d['parts'] as $part) {
            $kind = $d['kinds'][$part['kind']];
            foreach (array_keys($kind['ports'] ?? []) as $name) {
                if (isset($joined["{$part['id']}.$name"])) { // with nothing joined to it, it stands beside the pipes
                    $networks->part($part, $kind);

                    break;
                }
            }
        }

        return $networks->made();
    }

    /**
     * @param PartDocument $part
     * @param KindDocument $kind
     */
    private function part(array $part, array $kind): void
    {
        $number = [];
        foreach ($kind['primitives'] as $name => $spec) {
            if (! is_a(Primitives::TYPES[$spec['type']] ?? '', Carries::class, true)) {
                continue;
            }
            $medium = $this->mediumOf($part, $kind, $spec, (string) $name)->value;
            $number[$name] = [$medium, count($this->runs[$medium] ?? [])];
            $run = ["{$part['id']}.$name"];
            if (isset($spec['from'], $spec['to'])) {
                $this->ports->leadThrough("{$part['id']}.{$spec['from']}", "{$part['id']}.{$spec['to']}");
            }
            foreach (['from', 'to'] as $end) {
                $run[] = isset($spec[$end]) ? $this->ports->jointOf("{$part['id']}.{$spec[$end]}") : -1;
            }
            if (isset($spec['degrees'])) {
                $run[] = (float) ($part['params'][$name]['degrees'] ?? $spec['degrees']);
            }
            $this->runs[$medium][] = $run;
        }
        $holds = $this->warms($part, $kind);
        foreach ($kind['primitives'] as $name => $spec) {
            foreach ($spec['streams'] ?? [] as $stream) {
                $holds[] = ["{$part['id']}.$name", $stream['run'], $stream['ua'] ?? null];
            }
        }
        foreach ($holds as [$store, $run, $ua]) {
            if (isset($number[$run])) {
                [$medium, $i] = $number[$run];
                $this->holds[$medium][] = [$store, $i, $ua];
            }
        }
    }

    /** @return array<string, array<string, mixed>> */
    private function made(): array
    {
        $made = [];
        $region = $this->d['supply']['region'];
        foreach ($this->runs as $name => $runs) {
            $medium = Medium::from($name);
            $network = [
                'type' => 'network',
                'medium' => $name,
                'joints' => $this->ports->joints($name),
                'runs' => $runs,
            ];
            foreach ($this->ports->all as $place => $port) {
                $joint = $port->medium === $medium ? $this->ports->joint($place) : null;
                if ($joint !== null) {
                    $network['places'][$place] = $joint;
                }
            }
            $network['carries'] = $medium->carries($region);
            if ($medium->rest($region) > 0) {
                $network['rest'] = $medium->rest($region);
            }
            if (isset($this->holds[$name])) {
                $network['holds'] = $this->holds[$name];
            }
            $made[self::named($medium)] = $network;
        }

        return $made;
    }

    /**
     * What a part's runs warm where it is joined to it: radiators a room.
     *
     * @param PartDocument $part
     * @param KindDocument $kind
     * @return list<array{string, string, float|null}> store, run of the part, conductance
     */
    private function warms(array $part, array $kind): array
    {
        $warms = [];
        foreach ($this->d['pipes'] ?? [] as ['from' => $from, 'to' => $to]) {
            foreach ([[$from, $to], [$to, $from]] as [$here, $there]) {
                $run = $this->ports->at($here)->emits;
                [$other] = Model::split($there);
                $of = $this->ports->at($there)->of;
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
    private function mediumOf(array $part, array $kind, array $spec, string $name): Medium
    {
        $port = $spec['from'] ?? ($spec['to'] ?? null);
        if (! is_string($port) || ! isset($kind['ports'][$port])) {
            throw new DocumentError(
                "/kinds/{$part['kind']}/primitives/$name",
                Words::say('appliance.networks.it_leads_from_or_to', [
                    'kind' => $part['kind'],
                    'port' => $port ?? '',
                ]),
            );
        }

        return Medium::from($kind['ports'][$port]['medium']);
    }
}
