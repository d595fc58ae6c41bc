<?php

declare(strict_types=1);

namespace OddSpark\Building;

use OddSpark\Appliance\DocumentError;
use OddSpark\Appliance\DocumentFile;
use OddSpark\Appliance\Library;
use OddSpark\Appliance\Schema;
use OddSpark\Appliance\Shapes;
use OddSpark\Appliance\Usual;

/**
 * A model's document as one that is being made: begun, written, and read back.
 *
 * @phpstan-import-type ModelDocument from Shapes
 */
final class Document
{
    private const SUPPLY = [
        'NA' => ['hertz' => 60, 'volts' => 120, 'region' => 'NA'],
        'EU' => ['hertz' => 50, 'volts' => 230, 'region' => 'EU'],
    ];

    /**
     * An empty board.
     *
     * @param 'NA'|'EU' $region
     * @return ModelDocument without a household yet
     */
    public static function blank(string $name, string $title, string $region): array
    {
        return [
            'odd_spark_model' => 2,
            'name' => $name,
            'title' => $title,
            'notes' => '',
            'supply' => self::SUPPLY[$region],
            'parts' => [],
            'joined' => [],
            'wires' => [],
            'pipes' => [],
            'cables' => [],
            'process' => [],
            'percepts' => [],
            'tape' => [],
            'taps' => [],
            'doors' => [],
            'universe' => ['wire_modes' => Usual::WIRE_MODES],
            'visits' => [],
        ];
    }

    /**
     * As text: two equal documents are the same to the byte.
     *
     * @param ModelDocument $document
     */
    public static function text(array $document): string
    {
        return json_encode(
            Schema::withObjects($document),
            JSON_THROW_ON_ERROR |
                JSON_UNESCAPED_UNICODE |
                JSON_UNESCAPED_SLASHES |
                JSON_PRESERVE_ZERO_FRACTION |
                JSON_PRETTY_PRINT,
        )."\n";
    }

    /**
     * From text: wholly or not at all.
     *
     * @return ModelDocument
     *
     * @throws DocumentError what is wrong with it, and where
     */
    public static function read(string $text, Library $library): array
    {
        $document = DocumentFile::parse($text);
        DocumentFile::isKnown($document);
        Schema::checkDraft($document);
        foreach (
            [
                'parts' => [],
                'joined' => [],
                'wires' => [],
                'process' => [],
                'tape' => [],
                'visits' => [],
                'universe' => ['wire_modes' => Usual::WIRE_MODES],
            ] as $key => $empty
        ) {
            $document[$key] ??= $empty;
        }
        $library->draft($document);

        return $document;
    }
}
