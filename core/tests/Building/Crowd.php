<?php

declare(strict_types=1);

namespace OddSpark\Tests\Building;

use OddSpark\Appliance\Library;
use OddSpark\Building\Document;

/** A crowded board: parts in rows, most wires between neighbours, no terminal with more than two. */
final class Crowd
{
    /** @return array<string, mixed> */
    public static function document(Library $library, int $parts = 250, int $wires = 400): array
    {
        $d = Document::blank('crowd', 'Crowd', 'NA');
        $columns = max(16, (int) ceil($parts / 40));
        $kinds = [
            'breaker',
            'service-switch',
            'limit-switch',
            'splice',
            'relay-24',
            'transformer-120-24',
            'thermostat-mechanical',
            'circulator',
        ];
        $d['parts'][] = ['id' => 'panel', 'kind' => 'supply', 'label' => 'Panel', 'at' => [30, 30]];
        for ($i = 1; $i < $parts; $i++) {
            $d['parts'][] = [
                'id' => "p$i",
                'kind' => $kinds[$i % 8],
                'label' => "Part $i",
                'at' => [40 + ($i % $columns) * 190, 60 + intdiv($i, $columns) * 170],
            ];
        }
        $places = [];
        foreach ($d['parts'] as $part) {
            foreach (array_keys($library->kind($part['kind'])['terminals']) as $terminal) {
                $places[] = "{$part['id']}.$terminal";
            }
        }
        $random = new \Random\Randomizer(new \Random\Engine\Mt19937(3));
        $used = array_fill(0, count($places), 0);
        $seen = [];
        while (count($d['wires']) < $wires) {
            $a = $random->getInt(0, count($places) - 1);
            $b =
                $random->getInt(0, 9) < 9
                    ? min(count($places) - 1, $a + $random->getInt(1, 8))
                    : $random->getInt(0, count($places) - 1);
            if (
                $used[$a] > 1 ||
                $used[$b] > 1 ||
                isset($seen["$a $b"]) ||
                explode('.', $places[$a])[0] === explode('.', $places[$b])[0]
            ) {
                continue;
            }
            $seen["$a $b"] = true;
            $used[$a]++;
            $used[$b]++;
            $d['wires'][] = [
                'id' => sprintf('w%03d', count($d['wires']) + 1),
                'from' => $places[$a],
                'to' => $places[$b],
                'colour' => 'red',
                'awg' => 18,
                'feet' => 3,
            ];
        }

        return $d;
    }
}
