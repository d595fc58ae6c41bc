<?php

declare(strict_types=1);

namespace OddSpark\Appliance;

use OddSpark\Words\Words;

/**
 * A document as it is read: bounded, of a version that is known, and brought up to this one.
 *
 * @phpstan-import-type ModelDocument from Shapes
 */
final class DocumentFile
{
    /** What a document can ask for that is known here: raised when something is added that an older one lacks. */
    public const READS = 10;

    public const MAX_BYTES = 4_000_000;

    private const MAX_DEPTH = 32;

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
    public static function migrated(array $document): array
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
     * @param ModelDocument $document with what it includes
     *
     * @throws DocumentError when there is no part at all
     */
    public static function isSomething(array $document): void
    {
        if ($document['parts'] === []) {
            throw new DocumentError('/parts', Words::say('appliance.library.there_is_nothing_here_yet'));
        }
    }
}
