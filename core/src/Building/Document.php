<?php

declare(strict_types=1);

namespace OddSpark\Building;

use OddSpark\Appliance\DocumentError;
use OddSpark\Appliance\Library;
use OddSpark\Appliance\Schema;
use OddSpark\Appliance\Shapes;

/**
 * A model's document as one that is being made: begun, written, and read back.
 *
 * @phpstan-import-type ModelDocument from Shapes
 */
final class Document
{
    /** Wire faults that every model can have; a wire names those of them that it does have. */
    private const WIRE_MODES = [
        'open' => ['title' => 'broken inside', 'set' => ['body.open' => true], 'weight' => 0.25, 'repair' => 'wire'],
        'loose' => [
            'title' => 'loose under its screw at the far end',
            'set' => ['body.extra_ohm' => 5],
            'weight' => 0.15,
            'repair' => 'set',
        ],
        'rubs' => [
            'title' => 'rubbed through to the cabinet',
            'set' => ['body.rubs_ohm' => 0.05],
            'weight' => 0.25,
            'repair' => 'wire',
        ],
        'touches' => [
            'title' => 'insulation cut, touches the conductor beside it',
            'set' => ['body.rubs_ohm' => 0.05],
            'weight' => 0.3,
            'repair' => 'wire',
        ],
        'poor' => [
            'title' => 'hardly any contact at its far end',
            'set' => ['body.extra_ohm' => 200000000],
            'weight' => 0.4,
            'repair' => 'set',
        ],
    ];

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
            'odd_spark_model' => 1,
            'name' => $name,
            'title' => $title,
            'notes' => '',
            'supply' => self::SUPPLY[$region],
            'parts' => [],
            'joined' => [],
            'wires' => [],
            'cables' => [],
            'process' => [],
            'percepts' => [],
            'tape' => [],
            'taps' => [],
            'doors' => [],
            'universe' => ['wire_modes' => self::WIRE_MODES],
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
        $document = Library::parse($text);
        Schema::checkDraft($document);
        foreach (
            [
                'parts' => [],
                'joined' => [],
                'wires' => [],
                'process' => [],
                'tape' => [],
                'visits' => [],
                'universe' => ['wire_modes' => self::WIRE_MODES],
            ] as $key => $empty
        ) {
            $document[$key] ??= $empty;
        }
        $library->draft($document);

        return $document;
    }
}
