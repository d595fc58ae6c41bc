<?php

declare(strict_types=1);

namespace OddSpark\Building;

use OddSpark\Appliance\DocumentError;
use OddSpark\Appliance\Library;
use OddSpark\Appliance\Medium;
use OddSpark\Appliance\Model;
use OddSpark\Appliance\Shapes;
use OddSpark\Words\Words;

/**
 * Edits of pipes: ports joined, and joints taken apart.
 *
 * @phpstan-import-type ModelDocument from Shapes
 * @phpstan-import-type Edit from Shapes
 */
final readonly class PipeEdits
{
    public function __construct(private Library $library) {}

    /**
     * @param ModelDocument $d
     * @param Edit $e checked
     * @return ModelDocument
     *
     * @throws EditError|DocumentError
     */
    public function apply(array $d, array $e): array
    {
        [$from, $to] = [$e['from'], $e['to']];
        if ($from === $to) {
            throw new EditError('/to', Words::say('building.pipe_edits.a_pipe_goes_from_one'));
        }
        $media = array_map(fn (string $place): ?Medium => $this->medium($d, $place), ['from' => $from, 'to' => $to]);
        if ($media['from'] !== null && $media['to'] !== null && $media['from'] !== $media['to']) {
            throw new EditError(
                '/to',
                Words::say('building.pipe_edits.wrong_kind_of_port_takes', [
                    'from' => $from,
                    'pipe' => $media['from']->pipe(),
                    'to' => $to,
                    'pipe_2' => $media['to']->pipe(),
                ]),
            );
        }
        foreach ($d['pipes'] ?? [] as $pipe) {
            if (in_array([$pipe['from'], $pipe['to']], [[$from, $to], [$to, $from]], true)) {
                throw new EditError('/to', Words::say('building.pipe_edits.these_ports_are_joined_already', [
                    'id' => $pipe['id'],
                ]));
            }
        }
        $id = $e['id'] ?? self::next($d);
        if (PartEdits::free($d, $id) !== $id) {
            throw new EditError('/id', Words::say('building.pipe_edits.something_is_called_already', [
                'id' => $id,
            ]));
        }
        $d['pipes'] = [...$d['pipes'] ?? [], ['id' => $id, 'from' => $from, 'to' => $to]];

        return $d;
    }

    /**
     * The next free name for a pipe.
     *
     * @param ModelDocument $d
     */
    public static function next(array $d): string
    {
        $i = count($d['pipes'] ?? []);
        do {
            $id = sprintf('p%02d', ++$i);
        } while (PartEdits::free($d, $id) !== $id);

        return $id;
    }

    /**
     * @param ModelDocument $d
     * @return ?Medium null for a port of what is included
     */
    private function medium(array $d, string $place): ?Medium
    {
        [$id, $name] = Model::split($place);
        foreach ($d['parts'] as $part) {
            if ($part['id'] === $id) {
                $kind = $d['kinds'][$part['kind']] ?? $this->library->kind($part['kind']);
                $port = $kind['ports'][$name] ?? null;
                if ($port === null) {
                    $has = array_keys($kind['ports'] ?? []);
                    throw new EditError(
                        '/from',
                        $has === []
                            ? Words::say('building.pipe_edits.has_no_ports_no_pipe', ['label' => $part['label']])
                            : Words::say('building.pipe_edits.has_no_port_it_has', [
                                'label' => $part['label'],
                                'name' => $name,
                                'has' => implode(', ', $has),
                            ]),
                    );
                }

                return Medium::from($port['medium']);
            }
        }

        return null;
    }
}
