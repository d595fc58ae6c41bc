<?php

declare(strict_types=1);

namespace OddSpark\Building;

use OddSpark\Appliance\Composition;
use OddSpark\Appliance\DocumentError;
use OddSpark\Appliance\Library;
use OddSpark\Appliance\Schema;
use OddSpark\Appliance\Shapes;
use OddSpark\Words\Words;

/**
 * Edits of what is neither a part nor a wire: process, tape, doors, visits, trouble; and what is taken from another
 * model.
 *
 * @phpstan-import-type ModelDocument from Shapes
 * @phpstan-import-type Edit from Shapes
 */
final readonly class SectionEdits
{
    private const SECTIONS = [
        'title',
        'notes',
        'about',
        'jobs',
        'supply',
        'board',
        'process',
        'percepts',
        'views',
        'household',
        'tape',
        'ports',
        'taps',
        'doors',
        'universe',
        'as_built',
        'compounds',
        'found',
        'weights',
        'plate',
        'readings',
        'visits',
        'joined',
        'cables',
        'includes',
        'accepted',
    ];

    private const DEPTH = 8;

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
        return match ($e['do']) {
            'set' => $this->set($d, $e['path'], $e['value'] ?? null),
            'like' => (new ProcessTransfer($this->library))->onto($d, $e['model']),
            'renew' => $this->renew($d, $e['id']),
            default => $this->include($d, $e),
        };
    }

    /**
     * @param ModelDocument $d
     * @return ModelDocument
     */
    private function set(array $d, string $path, mixed $value): array
    {
        $keys = array_map(fn (string $k) => strtr($k, ['~1' => '/', '~0' => '~']), explode('/', ltrim($path, '/')));
        if (! in_array($keys[0], self::SECTIONS, true) || count($keys) > self::DEPTH) {
            throw new EditError('/path', Words::say('building.section_edits.must_begin_with_one_of', [
                'sections' => implode(', ', self::SECTIONS),
            ]));
        }
        $last = array_pop($keys);
        $at = &$d;
        foreach ($keys as $key) {
            if (! is_array($at)) {
                throw new EditError('/path', Words::say('building.section_edits.there_is_nothing_within', [
                    'key' => $key,
                ]));
            }
            $at[$key] ??= [];
            $at = &$at[$key];
        }
        if (! is_array($at)) {
            throw new EditError('/path', Words::say('building.section_edits.there_is_nothing_called_there', [
                'last' => $last,
            ]));
        }
        $isList = array_is_list($at) && ($at !== [] || $last === '-');
        if ($last === '-') {
            $at[] = $value;
        } elseif ($value === null) {
            unset($at[$last]);
            $at = $isList ? array_values($at) : $at;
        } else {
            $at[$last] = $value;
        }
        unset($at);
        // the section by itself, so that a large model is not gone through for one figure
        $section = explode('/', ltrim($path, '/'))[0];
        Schema::checkDraft(
            array_intersect_key($d, [
                'odd_spark_model' => 1,
                'name' => 1,
                'title' => 1,
                'supply' => 1,
                $section => 1,
            ]) + ['parts' => [], 'wires' => []],
        );

        return $d;
    }

    /**
     * @param ModelDocument $d
     * @param Edit $e
     * @return ModelDocument
     */
    private function include(array $d, array $e): array
    {
        if (! in_array($e['model'], $this->library->names(), true)) {
            throw new EditError(
                '/model',
                Words::say('building.section_edits.there_is_no_model_to', [
                    'model' => $e['model'],
                    'names' => implode(', ', $this->library->names()),
                ]),
            );
        }
        if (PartEdits::free($d, $e['id']) !== $e['id']) {
            throw new EditError('/id', Words::say('building.section_edits.something_is_called_already', [
                'id' => $e['id'],
            ]));
        }
        $d['includes'][] = array_filter(
            [
                'id' => $e['id'], 'model' => $e['model'], 'by' => $e['by'] ?? null, 'without' => $e['without'] ?? null,
                'document' => $e['keep'] ?? false ? Composition::kept($this->library, $e['model']) : null,
            ],
            fn ($v) => $v !== null,
        );

        return $d;
    }

    /**
     * An included appliance as it is shipped now: its change is taken when somebody wants it, and not before.
     *
     * @param ModelDocument $d
     * @return ModelDocument
     */
    private function renew(array $d, string $id): array
    {
        foreach ($d['includes'] ?? [] as $i => $include) {
            if ($include['id'] === $id) {
                $d['includes'][$i]['document'] = Composition::kept($this->library, $include['model']);

                return $d;
            }
        }
        throw new EditError('/id', Words::say('building.section_edits.nothing_that_is_included_is', ['id' => $id]));
    }
}
