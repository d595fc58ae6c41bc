<?php

declare(strict_types=1);

namespace OddSpark\Appliance;

use OddSpark\Sequence\Table;
use OddSpark\Sequence\TableError;
use OddSpark\Words\Words;

/**
 * What is on the shelf: kinds of parts and sequence tables, by name.
 *
 * @phpstan-import-type TableDocument from Table
 * @phpstan-import-type KindDocument from Shapes
 */
final readonly class Stock
{
    public function __construct(private string $root) {}

    /** @return list<string> names of the shipped kinds */
    public function kinds(): array
    {
        return array_map(fn (string $f) => basename($f, '.json'), glob("$this->root/kinds/*.json") ?: []);
    }

    /**
     * A stock sequence table.
     *
     * @return TableDocument
     *
     * @throws DocumentError
     */
    public function table(string $name): array
    {
        $path = "$this->root/kinds/sequences/$name.json";
        if (! is_file($path)) {
            throw new DocumentError(
                '',
                Words::say('appliance.stock.there_is_no_sequence_table', [
                    'name' => $name,
                    'tables' => implode(', ', $this->tables()),
                ]),
            );
        }

        return DocumentFile::read($path);
    }

    /** @return list<string> names of the stock tables */
    public function tables(): array
    {
        return array_map(fn (string $f) => basename($f, '.json'), glob("$this->root/kinds/sequences/*.json") ?: []);
    }

    /**
     * A shipped kind of part, its table put in.
     *
     * @return KindDocument
     *
     * @throws DocumentError at the pointer that is given, when there is none of that name
     */
    public function kind(string $name, string $pointer = ''): array
    {
        if (preg_match('/^[a-z0-9-]+$/', $name) !== 1 || ! is_file("$this->root/kinds/$name.json")) {
            throw new DocumentError($pointer, Words::say('appliance.stock.there_is_no_kind_of', ['name' => $name]));
        }

        return $this->tabled(DocumentFile::read("$this->root/kinds/$name.json"), $name);
    }

    /**
     * A kind with the stock tables put in that its controls name.
     *
     * @param KindDocument $kind
     * @return KindDocument
     *
     * @throws DocumentError when there is no such table, or not what it changes in one
     */
    public function tabled(array $kind, string $name): array
    {
        foreach ($kind['primitives'] ?? [] as $id => $primitive) {
            if (is_string($primitive['table'] ?? null)) {
                if (! in_array($primitive['table'], $this->tables(), true)) {
                    throw new DocumentError(
                        "/kinds/$name/primitives/$id/table",
                        Words::say('appliance.stock.there_is_no_sequence_table_called', [
                            'table' => $primitive['table'],
                            'tables' => implode(', ', $this->tables()),
                        ]),
                    );
                }
                try {
                    $kind['primitives'][$id]['table'] = Table::with(
                        $this->table($primitive['table']),
                        $primitive['overrides'] ?? [],
                    );
                } catch (TableError $e) {
                    throw new DocumentError("/kinds/$name/primitives/$id{$e->pointer}", $e->sentence);
                }
                unset($kind['primitives'][$id]['overrides']);
            }
        }

        return $kind;
    }
}
