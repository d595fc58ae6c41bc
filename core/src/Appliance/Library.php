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
    public const MAX_BYTES = 4_000_000;

    /** What a document can ask for that is known here: raised when something is added that an older one lacks. */
    public const READS = 10;

    private const MAX_DEPTH = 32;

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
        return self::read("$this->root/models/builds/$name.json");
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

        return self::read($path);
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

        return self::read(in_array($nameOrPath, $shipped, true) ? "$this->root/rules/$nameOrPath.json" : $nameOrPath);
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
        $document = self::migrated($document);
        Schema::check('model', $document);
        $document = $this->whole($document);
        self::isSomething($document);
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
            fn () => Schema::check('model', self::migrated($document)),
            fn () => self::isSomething($this->whole($document)),
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
     * @param ModelDocument $document with what it includes
     *
     * @throws DocumentError when there is no part at all
     */
    private static function isSomething(array $document): void
    {
        if ($document['parts'] === []) {
            throw new DocumentError('/parts', Words::say('appliance.library.there_is_nothing_here_yet'));
        }
    }

    /**
     * Whether a document asks for nothing that a newer program has and this one has not.
     *
     * @param array<mixed> $document as it was read
     *
     * @throws DocumentError
     */
    public static function isKnown(array $document): void
    {
        foreach (['odd_spark_model' => 2, 'about/made_with' => self::READS] as $where => $known) {
            $of = explode('/', $where);
            $asks = isset($of[1]) ? $document[$of[0]][$of[1]] ?? null : $document[$of[0]] ?? null;
            if (is_int($asks) && $asks > $known) {
                throw new DocumentError(
                    "/$where",
                    Words::say('appliance.library.it_was_made_with_a', ['asks' => $asks, 'known' => $known]),
                );
            }
        }
    }

    /**
     * As this version has it: a family that was written freely, when a kind of one's own could have any, is one's own.
     *
     * @param ModelDocument $document
     * @return ModelDocument
     */
    private static function migrated(array $document): array
    {
        self::isKnown($document);
        if (is_array($document['includes'] ?? null) && $document['includes'] !== []) {
            $document += ['parts' => [], 'wires' => []]; // what it includes may be all there is
        }
        if (($document['odd_spark_model'] ?? null) === 1) {
            $document['odd_spark_model'] = 2; // its process stands as it is written; pipes are what the second adds
        }
        foreach (is_array($document['kinds'] ?? null) ? $document['kinds'] : [] as $name => $kind) {
            if (is_string($kind['family'] ?? null) && Family::tryFrom($kind['family']) === null) {
                $document['kinds'][$name]['family'] = Family::Own->value;
            }
        }

        return $document;
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
        $document = (new Composition($this))->expand(self::migrated($document));
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

    /**
     * The JSON of a file or of a text, bounded.
     *
     * @return array<string, mixed>
     *
     * @throws DocumentError
     */
    public static function read(string $path): array
    {
        $size = filesize($path);
        if ($size === false || $size > self::MAX_BYTES) {
            throw new DocumentError(
                '',
                Words::say('appliance.library.is_larger_than_bytes_the', [
                    'path' => $path,
                    'max_bytes' => self::MAX_BYTES,
                ]),
            );
        }

        return self::parse((string) file_get_contents($path), basename($path));
    }

    /**
     * @return array<string, mixed>
     *
     * @throws DocumentError
     */
    public static function parse(string $json, ?string $name = null): array
    {
        $name ??= Words::say('appliance.library.the_document');
        if (strlen($json) > self::MAX_BYTES) {
            throw new DocumentError(
                '',
                Words::say('appliance.library.is_larger_than_bytes_the_most', [
                    'name' => $name,
                    'max_bytes' => self::MAX_BYTES,
                ]),
            );
        }
        try {
            $value = json_decode($json, true, self::MAX_DEPTH, JSON_THROW_ON_ERROR);
        } catch (\JsonException $e) {
            throw new DocumentError('', Words::say('appliance.library.is_not_json', [
                'name' => $name,
                'get_message' => $e->getMessage(),
            ]));
        }
        if (! is_array($value) || array_is_list($value)) {
            throw new DocumentError('', Words::say('appliance.library.must_be_a_json_object', ['name' => $name]));
        }

        return $value;
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
