<?php

declare(strict_types=1);

namespace OddSpark\Building;

use OddSpark\Appliance\Kind;
use OddSpark\Appliance\Library;
use OddSpark\Appliance\Shapes;
use OddSpark\Appliance\Spec;

/**
 * The kinds of parts there are, found by the trade's words for them and by what they do.
 *
 * @phpstan-import-type KindDocument from Shapes
 */
final class Catalogue
{
    /**
     * Kinds by how well they answer to some words; all of them without any.
     *
     * @param array<string, KindDocument> $own kinds of the school's, by name
     * @return list<array{kind: string, title: string, family: string, symbol: string, own: bool, size: array{int, int},
     *     terminals: list<string>}>
     */
    public static function find(Library $library, string $words = '', array $own = []): array
    {
        $wanted = array_filter(preg_split('/[\s,]+/', mb_strtolower($words)) ?: []);
        $found = [];
        $kinds = array_combine(
            $library->kindNames(),
            array_map(fn (string $name) => $library->kind($name), $library->kindNames()),
        );
        foreach ($own + $kinds as $name => $json) {
            $kind = Kind::of((string) $name, $json);
            $title = mb_strtolower($kind->title);
            $does = array_unique(array_map(fn (Spec $s): string => $s->class::DOES, $kind->primitives));
            $more = "$title $name {$kind->family->value} {$kind->family->otherWords()} ".implode(' ', $does);
            $score = 0;
            foreach ($wanted as $word) {
                $hit = str_contains($title, $word) ? 3 : (str_contains($more, $word) ? 1 : -100);
                $score += $hit + (preg_match('/\b'.preg_quote($word, '/').'/', $title) === 1 ? 2 : 0);
            }
            if ($score >= 0) {
                $found[] = [
                    $score,
                    [
                        'kind' => (string) $name,
                        'title' => $kind->title,
                        'family' => $kind->family->value,
                        'symbol' => $kind->symbol,
                        'own' => isset($own[$name]),
                        'size' => $kind->size,
                        'terminals' => array_map('strval', array_keys($kind->terminals)),
                    ],
                ];
            }
        }
        usort(
            $found,
            fn (array $a, array $b) => [$b[0], $a[1]['family'], $a[1]['title']] <=> [
                $a[0],
                $b[1]['family'],
                $b[1]['title'],
            ],
        );

        return array_column($found, 1);
    }
}
