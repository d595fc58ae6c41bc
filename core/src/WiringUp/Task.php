<?php

declare(strict_types=1);

namespace OddSpark\WiringUp;

use OddSpark\Appliance\Model;
use OddSpark\Appliance\Shapes;
use OddSpark\Appliance\Wire;
use OddSpark\Wiring\Nets;

/**
 * An appliance that is to be wired: sound as its maker drew it, with some of its wires, or all, not there yet.
 *
 * @phpstan-import-type WireDocument from Shapes
 * @phpstan-type Laid array{from: string, to: string, colour?: string, awg?: int|float, mm2?: int|float}
 */
final readonly class Task
{
    /** Which wires are missing: all; those of the control circuit; some, drawn from a seed. */
    public const PORTIONS = ['all', 'control', 'some'];

    /** What there is to wire by: its ladder, a picture of how it was wired, or the sequence in sentences alone. */
    public const SHOWN = ['drawing', 'picture', 'sequence'];

    /** One in so many is missing where some are. */
    private const SOME = 3;

    /** Length of a wire within a cabinet where no other goes there. */
    private const FEET = 3.0;

    private const FEET_A_METRE = 3.28084;

    private const OF_GROUNDS = ['green', 'green-yellow', 'bare'];

    /** What a wire is where he who ran it did not say. */
    private const AWG = 18;

    private const MM2 = 0.75;

    /** @param list<string> $missing ids of wires of the sound appliance */
    public function __construct(public Model $sound, public array $missing) {}

    /**
     * @param 'all'|'control'|'some' $portion of {@see PORTIONS}
     * @param int $seed another leaves out others, where some are
     */
    public static function of(Model $sound, string $portion, int $seed): self
    {
        $ids = array_map(strval(...), array_keys($sound->wires()));
        if ($portion === 'control') {
            $line = self::wiresOfLine($sound);
            $ids = array_values(array_filter($ids, fn (string $id): bool => ! isset($line[$id])));
        }
        if ($portion === 'some') {
            usort($ids, fn (string $x, string $y): int => crc32("$seed $x") <=> crc32("$seed $y"));
            $ids = array_slice($ids, 0, max(1, intdiv(count($ids), self::SOME)));
        }

        return new self($sound, $ids);
    }

    /** The appliance as it is found. */
    public function bare(): Model
    {
        return $this->with([]);
    }

    /**
     * The appliance with wires that somebody ran in place of those that were missing.
     *
     * @param list<Laid> $laid
     * @param list<string> $off wires of those it was found with that hang loose
     */
    public function with(array $laid, array $off = []): Model
    {
        $document = $this->sound->document;
        $gone = array_fill_keys([...$this->missing, ...$off], true);
        $document['wires'] = array_values(
            array_filter($document['wires'], fn (array $wire): bool => ! isset($gone[$wire['id']])),
        );
        $metric = $this->sound->region() === 'EU';
        foreach (array_values($laid) as $i => $wire) {
            $document['wires'][] = [
                'id' => 'run-'.($i + 1), 'from' => $wire['from'], 'to' => $wire['to'],
                'colour' => $wire['colour'] ?? 'black',
            ] + (isset($wire['mm2']) || $metric && ! isset($wire['awg'])
                ? ['mm2' => $wire['mm2'] ?? self::MM2, 'metres' => $this->feet($wire) / self::FEET_A_METRE]
                : ['awg' => $wire['awg'] ?? self::AWG, 'feet' => $this->feet($wire)]);
        }

        return new Model($document);
    }

    /**
     * How long a wire between two parts is, whoever runs it: as the drawing has one between them; else as the shortest
     * that leads to the farther of the two.
     *
     * @param Laid $laid
     */
    private function feet(array $laid): float
    {
        $ends = [Model::split($laid['from'])[0], Model::split($laid['to'])[0]];
        $between = $at = [];
        foreach ($this->sound->wires() as $wire) {
            $feet = (float) ($wire->feet ?? $wire->metres * self::FEET_A_METRE);
            $parts = $wire->parts();
            if ($parts === $ends || $parts === array_reverse($ends)) {
                $between[] = $feet;
            }
            foreach ($parts as $part) {
                $at[$part] = min($at[$part] ?? INF, $feet);
            }
        }

        return $between === []
            ? max($at[$ends[0]] ?? self::FEET, $at[$ends[1]] ?? self::FEET)
            : min($between);
    }

    /** @return list<Laid> the missing wires as the drawing has them */
    public function drawn(): array
    {
        $laid = [];
        foreach ($this->missing as $id) {
            $wire = $this->sound->wires()[$id];
            $laid[] = [
                'from' => $wire->from, 'to' => $wire->to, 'colour' => $wire->colour,
            ] + ($wire->mm2 === null ? ['awg' => $wire->awg ?? self::AWG] : ['mm2' => $wire->mm2]);
        }

        return $laid;
    }

    /** @return array<string, true> wires that carry line volts, or the return of them, and those of grounds */
    public static function wiresOfLine(Model $sound): array
    {
        $nets = new Nets($sound);
        $line = [];
        foreach ($nets->supplies() as $supply) {
            if ($supply['class'] !== 'line') {
                continue;
            }
            $poles = [$nets->root($supply['hot']), $nets->root($supply['return'])];
            $line += array_fill_keys($poles, true) + array_map(
                fn (): bool => true,
                $nets->reached($poles[0], [$poles[1]]),
            );
            // behind a load, toward home
            foreach ($nets->paths(...$poles) as $ways) {
                foreach ($ways as $way) {
                    foreach ($way as $e) {
                        $line[$nets->root($e['a'])] = $line[$nets->root($e['b'])] = true;
                    }
                }
            }
        }
        // a common that is grounded is of the control circuit, what grounds it is not
        $grounds = array_map(fn (array $g): string => $nets->root($g['place']), $nets->grounds());
        $isOfLine = fn (Wire $wire): bool => isset($line[$nets->root($wire->from)]) ||
            in_array($wire->colour, self::OF_GROUNDS, true) && in_array($nets->root($wire->from), $grounds, true);

        return array_map(fn (): bool => true, array_filter($sound->wires(), $isOfLine));
    }
}
