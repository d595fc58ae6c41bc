<?php

declare(strict_types=1);

namespace OddSpark\Appliance;

use OddSpark\Appliance\Pipes\Pipework;
use OddSpark\Sequence\Table;
use OddSpark\Words\Words;

/**
 * Reads documents, and nothing else does: shipped models by name, any by path, kinds and tables.
 *
 * Order of checks: size and depth, JSON, schema, then meaning; each error is a pointer and a sentence.
 *
 * @phpstan-import-type ModelDocument from Shapes
 * @phpstan-import-type TableDocument from Table
 * @phpstan-import-type KindDocument from Shapes
 * @phpstan-import-type Edit from Shapes
 * @phpstan-type BuildDocument array{title: string, region: 'NA'|'EU', acts: list<Edit>}
 */
final class Library
{
    /** @var array<string, KindDocument> kinds that were read */
    private array $kinds = [];

    private readonly Stock $stock;

    public function __construct(private readonly string $root = __DIR__.'/../..')
    {
        $this->stock = new Stock($root);
    }

    /** @return list<string> names of the shipped models */
    public function names(): array
    {
        return array_map(fn (string $f) => basename($f, '.json'), glob("$this->root/models/*.json") ?: []);
    }

    /** @return list<string> names of the shipped models that are kept as the edits that made them */
    public function builds(): array
    {
        return array_map(fn (string $f) => basename($f, '.json'), glob("$this->root/models/builds/*.json") ?: []);
    }

    /**
     * What made a shipped model.
     *
     * @return BuildDocument
     *
     * @throws DocumentError
     */
    public function build(string $name): array
    {
        /** @var BuildDocument */
        return DocumentFile::read("$this->root/models/builds/$name.json");
    }

    /** @throws DocumentError */
    public function model(string $nameOrPath): Model
    {
        return $this->resolve($this->document($nameOrPath));
    }

    /**
     * A model's document as it is written: with its includes, without its kinds.
     *
     * @return ModelDocument
     *
     * @throws DocumentError
     */
    public function document(string $nameOrPath): array
    {
        $path = in_array($nameOrPath, $this->names(), true) ? "$this->root/models/$nameOrPath.json" : $nameOrPath;
        if (! is_file($path)) {
            throw new DocumentError(
                '',
                Words::say('appliance.library.there_is_no_model_neither', [
                    'name_or_path' => $nameOrPath,
                    'names' => implode(', ', $this->names()),
                ]),
            );
        }

        return DocumentFile::read($path);
    }

    /**
     * House rules: shipped ones, or a file.
     *
     * @return array<string, mixed> a rules document
     *
     * @throws DocumentError
     */
    public function rules(string $nameOrPath): array
    {
        $shipped = array_map(fn (string $f) => basename($f, '.json'), glob("$this->root/rules/*.json") ?: []);
        if (! in_array($nameOrPath, $shipped, true) && ! is_file($nameOrPath)) {
            throw new DocumentError(
                '',
                Words::say('appliance.library.there_are_no_house_rules', [
                    'name_or_path' => $nameOrPath,
                    'shipped' => implode(', ', $shipped),
                ]),
            );
        }

        $isShipped = in_array($nameOrPath, $shipped, true);

        return DocumentFile::read($isShipped ? "$this->root/rules/$nameOrPath.json" : $nameOrPath);
    }

    /**
     * A model from its document: checked, with its kinds and tables put in.
     *
     * @param ModelDocument $document
     *
     * @throws DocumentError
     */
    public function resolve(array $document): Model
    {
        $document = DocumentFile::migrated($document);
        Schema::check('model', $document);
        $document = $this->whole($document);
        DocumentFile::isSomething($document);
        ReferenceCheck::check($document);
        KeyCheck::check($document);
        VisitCheck::check($document);
        ProcessCheck::check($document);
        ComputabilityCheck::check($document);

        return new Model($document);
    }

    /**
     * A model that is being made: all that it names is there, so that it can be drawn and its wiring looked at; what it
     * still {@see lacks} to run is another matter.
     *
     * @param ModelDocument $document
     *
     * @throws DocumentError
     */
    public function draft(array $document): Model
    {
        $document = $this->whole($document);
        ReferenceCheck::check($document);

        return new Model($document);
    }

    /**
     * What keeps a model that is being made from running, the first of each sort.
     *
     * @param ModelDocument $document
     * @return list<DocumentError>
     */
    public function lacks(array $document): array
    {
        $lacks = [];
        foreach ([
            fn () => Schema::check('model', DocumentFile::migrated($document)),
            fn () => DocumentFile::isSomething($this->whole($document)),
            fn () => KeyCheck::check($this->whole($document)),
            fn () => VisitCheck::check($this->whole($document)),
            fn () => ProcessCheck::check($this->whole($document)),
            fn () => ComputabilityCheck::check($this->whole($document)),
        ] as $check) {
            try {
                $check();
            } catch (DocumentError $e) {
                $lacks[] = $e;
            }
        }

        return $lacks;
    }

    /**
     * With its includes and its kinds put in.
     *
     * @param ModelDocument $document
     * @return ModelDocument
     *
     * @throws DocumentError
     */
    public function spread(array $document): array
    {
        $document = (new Composition($this))->expand(DocumentFile::migrated($document));
        $document['kinds'] ??= [];
        foreach ($document['kinds'] as $name => $kind) {
            $document['kinds'][$name] = $this->stock->tabled($kind, (string) $name);
            KeyCheck::whole((string) $name, $document['kinds'][$name]['primitives']);
        }
        foreach ($document['parts'] as $i => $part) {
            $kind = $part['kind'];
            $document['kinds'][$kind] ??= $this->kinds[$kind] ??= $this->kind($kind, "/parts/$i/kind");
        }
        ksort($document['kinds']);

        ReferenceCheck::names($document);

        return $document;
    }

    /**
     * With its pipes laid and with what follows from what is on its board, too.
     *
     * @param ModelDocument $document
     * @return ModelDocument
     *
     * @throws DocumentError
     */
    private function whole(array $document): array
    {
        $document = $this->spread($document);

        return Usual::filled(Pipework::laid($document));
    }

    /** @return list<string> names of the shipped kinds */
    public function kindNames(): array
    {
        return $this->stock->kinds();
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
        return $this->stock->kind($name, $pointer);
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
        return $this->stock->table($name);
    }

    /** @return list<string> names of the stock tables */
    public function tables(): array
    {
        return $this->stock->tables();
    }
}
