<?php

declare(strict_types=1);

namespace OddSpark\Building;

use OddSpark\Appliance\Kind;
use OddSpark\Appliance\Library;
use OddSpark\Appliance\Shapes;
use OddSpark\Appliance\Spec;

/**
 * The kinds of parts there are, with the words that they answer to and how usual they are.
 *
 * @phpstan-import-type KindDocument from Shapes
 */
final class Catalogue
{
    /**
     * All kinds, those that the shipped models use most first.
     *
     * @param array<string, KindDocument> $own kinds of the school's, by name
     * @return list<array{kind: string, title: string, family: string, symbol: string, own: bool, size: array{int, int},
     *     terminals: list<string>, words: string, used: int}> words: what else it answers to
     */
    public static function all(Library $library, array $own = []): array
    {
        $kinds = array_combine(
            $library->kindNames(),
            array_map(fn (string $name) => $library->kind($name), $library->kindNames()),
        );
        $used = self::used($library);
        $found = [];
        foreach ($own + $kinds as $name => $json) {
            $kind = Kind::of((string) $name, $json);
            $does = array_unique(array_map(fn (Spec $s): string => $s->class::DOES, $kind->primitives));
            $found[] = [
                'kind' => (string) $name,
                'title' => $kind->title,
                'family' => $kind->family->value,
                'symbol' => $kind->symbol,
                'own' => isset($own[$name]),
                'size' => $kind->size,
                'terminals' => array_map('strval', array_keys($kind->terminals)),
                'words' => "$name {$kind->family->value} {$kind->family->otherWords()} ".implode(' ', $does),
                'used' => $used[$name] ?? 0,
            ];
        }
        usort($found, fn (array $a, array $b) => [$b['used'], $a['title']] <=> [$a['used'], $b['title']]);

        return $found;
    }

    /** @return array<string, int> shipped models that have one, by kind */
    private static function used(Library $library): array
    {
        $kinds = [];
        foreach ($library->names() as $name) {
            $kinds = [...$kinds, ...array_unique(array_column($library->document($name)['parts'], 'kind'))];
        }

        return array_count_values($kinds);
    }
}
