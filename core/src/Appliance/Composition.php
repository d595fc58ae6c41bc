<?php

declare(strict_types=1);

namespace OddSpark\Appliance;

use OddSpark\Words\Words;

/**
 * An appliance within another: its parts, wires and processes come in under a longer name, and what the outer
 * model says of its ports ("boiler.TT-1") is joined to what the port stands for.
 *
 * What comes out is one flat document without includes, so that everything behind it knows nothing of them.
 *
 * @phpstan-import-type ModelDocument from Shapes
 * @phpstan-import-type IncludeDocument from Shapes
 */
final readonly class Composition
{
    private const DEPTH = 4;

    public function __construct(private Library $library, private int $depth = 0) {}

    /**
     * @param ModelDocument $document
     * @return ModelDocument
     *
     * @throws DocumentError
     */
    public function expand(array $document): array
    {
        $includes = $document['includes'] ?? [];
        unset($document['includes']);
        $ports = [];
        foreach ($includes as $i => $include) {
            if ($this->depth >= self::DEPTH) {
                throw new DocumentError(
                    "/includes/$i",
                    Words::say('appliance.composition.appliances_lie_within_each_other', ['depth' => self::DEPTH]),
                );
            }
            // as it was when it was included, where that is kept
            $inner = $include['document'] ??
                (new self($this->library, $this->depth + 1))->expand($this->library->document($include['model']));
            $inner = $this->within($inner, $include, "/includes/$i");
            foreach ($inner['ports'] ?? [] as $name => $port) {
                $ports["{$include['id']}.$name"] = $port['at'];
            }
            foreach ([
                'parts',
                'wires',
                'pipes',
                'joined',
                'cables',
                'doors',
                'views',
                'as_built',
                'found',
                'tape',
            ] as $list) {
                $document[$list] = [...($inner[$list] ?? []), ...($document[$list] ?? [])];
            }
            if (isset($inner['plate'])) {
                $document['plate'] ??= $inner['plate']; // of the appliance within, where the whole has none
            }
            foreach ($inner['compounds'] ?? [] as $compound) {
                $document['compounds'][] = $compound;
            }
            foreach (['process', 'percepts', 'taps', 'kinds', 'weights'] as $map) {
                $document[$map] = ($document[$map] ?? []) + ($inner[$map] ?? []);
            }
            $document['universe']['wire_modes'] =
                ($document['universe']['wire_modes'] ?? []) + $inner['universe']['wire_modes'];
        }

        return $ports === [] ? $document : self::joined($document, $ports);
    }

    /**
     * A shipped model as it is now, to be kept with what includes it: flat, so that nothing within it changes either.
     *
     * @return ModelDocument
     *
     * @throws DocumentError
     */
    public static function kept(Library $library, string $model): array
    {
        return (new self($library))->expand($library->document($model));
    }

    /**
     * The inner document under longer names, shifted on the board, with the include's own overrides.
     *
     * @param ModelDocument $d
     * @param IncludeDocument $include
     * @return ModelDocument
     */
    private function within(array $d, array $include, string $pointer): array
    {
        $known = array_flip([
            ...array_column($d['parts'], 'id'),
            ...array_column($d['wires'], 'id'),
            ...array_column($d['pipes'] ?? [], 'id'),
            ...array_keys($d['process'] ?? []),
        ]);
        foreach ($include['without'] ?? [] as $i => $id) {
            if (! isset($known[$id])) {
                throw new DocumentError(
                    "$pointer/without/$i",
                    Words::say('appliance.composition.has_no_part_wire_or', [
                        'model' => $include['model'],
                        'id' => $id,
                    ]),
                );
            }
        }
        $gone = array_flip($include['without'] ?? []);
        $d['process'] = array_diff_key($d['process'] ?? [], $gone);
        $d['taps'] = array_filter($d['taps'] ?? [], fn (array $tap) => ! isset($gone[$tap['of']]));
        $parts = array_values(array_intersect(array_column($d['parts'], 'id'), array_keys($gone)));
        $d = Removal::from($d, $parts, array_values(array_diff($include['without'] ?? [], $parts)));
        $d += ['cables' => [], 'pipes' => []];
        $tags = $d['tape'] ?? [];
        foreach ($include['params'] ?? [] as $part => $params) {
            $at = array_search($part, array_column($d['parts'], 'id'), true);
            if ($at === false) {
                throw new DocumentError(
                    "$pointer/params/$part",
                    Words::say('appliance.composition.has_no_part_called', [
                        'model' => $include['model'],
                        'part' => $part,
                    ]),
                );
            }
            $d['parts'][$at]['params'] = array_replace_recursive($d['parts'][$at]['params'] ?? [], $params);
        }
        [$dx, $dy] = $include['by'] ?? [0, 0];
        foreach ($d['parts'] as $i => $part) {
            $d['parts'][$i]['at'] = [$part['at'][0] + $dx, $part['at'][1] + $dy];
        }
        foreach ($d['wires'] as $i => $wire) {
            if (isset($wire['via'])) {
                $d['wires'][$i]['via'] = array_map(fn (array $p) => [$p[0] + $dx, $p[1] + $dy], $wire['via']);
            }
        }
        $ids = array_fill_keys(
            [
                ...array_keys($known),
                ...array_keys($d['process']),
                ...array_column($d['cables'], 'id'),
                ...array_column($d['doors'] ?? [], 'id'),
            ],
            true,
        );
        $named = array_intersect_key(
            $d,
            array_flip([
                'parts',
                'wires',
                'pipes',
                'joined',
                'cables',
                'doors',
                'taps',
                'percepts',
                'views',
                'as_built',
                'found',
                'process',
                'ports',
                'plate',
            ]),
        );
        $named = self::renamed($named, $include['id'], $ids);
        foreach (['process', 'taps', 'percepts', 'weights'] as $map) {
            $named[$map] = array_combine(
                array_map(fn (string|int $k) => "{$include['id']}.$k", array_keys($named[$map] ?? $d[$map] ?? [])),
                array_values($named[$map] ?? $d[$map] ?? []),
            );
        }
        foreach ($include['process'] ?? [] as $id => $changed) {
            // what the outer model says of it, in the outer model's own names
            if (! isset($named['process']["{$include['id']}.$id"])) {
                throw new DocumentError(
                    "$pointer/process/$id",
                    Words::say('appliance.composition.has_no_process_called', [
                        'model' => $include['model'],
                        'id' => $id,
                    ]),
                );
            }
            $named['process']["{$include['id']}.$id"] = $changed + $named['process']["{$include['id']}.$id"];
        }
        $named['tape'] = array_map(
            fn (array $lane) => ['channel' => "{$include['id']}.{$lane['channel']}"] + $lane,
            $tags,
        );

        $named['compounds'] = array_map(
            fn (array $c) => [
                'faults' => array_map(fn (string $fault) => "{$include['id']}.$fault", $c['faults']),
            ] + $c,
            $d['compounds'] ?? [],
        );

        return $named + ['universe' => $d['universe'], 'kinds' => $d['kinds'] ?? []];
    }

    /**
     * Values that name something of the inner model, by its longer name.
     *
     * @param array<array-key, mixed> $value
     * @param array<string, true> $ids
     * @return array<array-key, mixed>
     */
    private static function renamed(array $value, string $prefix, array $ids): array
    {
        foreach ($value as $key => $v) {
            if (is_array($v)) {
                $value[$key] = in_array($key, ['params', 'say'], true) ? $v : self::renamed($v, $prefix, $ids);
            } elseif (
                is_string($v) &&
                ! in_array(
                    $key,
                    ['kind', 'type', 'label', 'colour', 'instrument', 'thing', 'sense', 'from', 'tone', 'name', 'tag'],
                    true,
                )
            ) {
                $value[$key] = self::rename($v, $prefix, $ids);
            } elseif (is_string($v) && $key === 'from' && str_contains($v, '.')) { // of a wire, not of a percept
                $value[$key] = self::rename($v, $prefix, $ids);
            }
        }

        return $value;
    }

    /** @param array<string, true> $ids */
    private static function rename(string $v, string $prefix, array $ids): string
    {
        for (
            $head = $v;
            $head !== '';
            $head = strrpos($head, '.') === false ? '' : substr($head, 0, (int) strrpos($head, '.'))
        ) {
            if (isset($ids[$head])) {
                return "$prefix.$v";
            }
        }

        return $v;
    }

    /**
     * @param ModelDocument $document
     * @param array<string, string> $ports what each stands for
     * @return ModelDocument
     */
    private static function joined(array $document, array $ports): array
    {
        array_walk_recursive($document, function (mixed &$v) use ($ports): void {
            if (is_string($v) && isset($ports[$v])) {
                $v = $ports[$v];
            }
        });

        return $document;
    }
}
