<?php

declare(strict_types=1);

namespace OddSpark\Tests;

use OddSpark\Appliance\Compiler;
use OddSpark\Appliance\DocumentFile;
use OddSpark\Appliance\Library;
use OddSpark\Appliance\Plan;

/** The furnace with every part, wire and process called something else, and in another order. */
final class OtherNames
{
    /** @return array{Plan, callable(string): string} and what an id of the furnace is called there */
    public static function furnace(int $seed): array
    {
        mt_srand($seed);
        $document = DocumentFile::parse((string) file_get_contents(__DIR__.'/../models/furnace-80.json'));
        $ids = array_values(
            array_unique([
                ...array_column($document['parts'], 'id'),
                ...array_column($document['wires'], 'id'),
                ...array_column($document['pipes'], 'id'),
            ]),
        );
        $other = array_map(fn (int $i) => 'x'.chr(97 + ($i % 26)).$i, array_keys($ids));
        shuffle($other);
        $rename = array_combine($ids, $other);
        $as = fn (string $id): string => preg_replace_callback(
            '/^[a-z0-9-]+/',
            fn (array $m) => $rename[$m[0]] ?? $m[0],
            $id,
        ) ?? $id;
        $d = self::renamed($document, $as);
        $d['weights'] = array_combine(array_map($as, array_keys($d['weights'] ?? [])), $d['weights'] ?? []);
        $d['visits']['hot']['arrives']['unlike'] = [$as('board.lamp') => 'steady'];
        shuffle($d['parts']);
        shuffle($d['pipes']);
        // how the conductors lie in a cable is their order
        $cable = array_filter($d['wires'], fn (array $w) => isset($w['cable']));
        shuffle($d['wires']);
        foreach ($d['wires'] as $i => $w) {
            $d['wires'][$i] = isset($w['cable']) ? array_shift($cable) : $w;
        }

        return [Compiler::compile((new Library())->resolve($d)), $as];
    }

    /**
     * Ids within the values of a document, renamed where they stand for parts, wires and processes.
     *
     * @param array<array-key, mixed> $value
     * @param callable(string): string $as
     * @return array<array-key, mixed>
     */
    private static function renamed(array $value, callable $as): array
    {
        foreach ($value as $key => $v) {
            if (is_array($v) && $key !== 'cables') {
                $value[$key] = self::renamed($v, $as);
            } elseif (
                is_string($v) &&
                ! in_array(
                    $key,
                    [
                        'kind',
                        'type',
                        'cable',
                        'name',
                        'title',
                        'label',
                        'colour',
                        'instrument',
                        'thing',
                        'sense',
                        'lever',
                    ],
                    true,
                )
            ) {
                $value[$key] = $as($v);
            }
        }

        return $value;
    }
}
