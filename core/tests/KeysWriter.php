<?php

declare(strict_types=1);

namespace OddSpark\Tests;

use OddSpark\Appliance\Library;
use OddSpark\Appliance\Primitives;
use OddSpark\Parts\Primitive;

/**
 * Which keys each primitive reads, from its own code and from the kinds that are shipped: for
 * {@see \OddSpark\Appliance\KeyCheck}.
 */
final class KeysWriter
{
    /** How figures are called where they are read. */
    private const READ = '/\$(?:this->)?(?:p|spec)\[\'([a-z_0-9]+)\'\](?!\s*=[^=])/';

    /**
     * @return array<string, array{keys: list<string>, needs: list<string>}> by type: all that it reads, and what it
     *     cannot do without
     */
    public static function keys(): array
    {
        $library = new Library();
        $used = $set = [];
        foreach ($library->kindNames() as $name) {
            $kind = $library->kind($name);
            foreach ($kind['primitives'] as $primitive) {
                $used[$primitive['type']][] = array_keys($primitive);
            }
            foreach ($kind['modes'] as $mode) {
                $sets = [$mode['set'] ?? [], ...array_values($mode['degrees'] ?? [])];
                foreach (array_keys(array_merge(...$sets)) as $path) {
                    [$of, $key] = [...explode('.', (string) $path), ''];
                    $set[$kind['primitives'][$of]['type'] ?? ''][] = $key;
                }
            }
        }
        $keys = [];
        foreach (Primitives::TYPES as $type => $class) {
            if (! Primitives::isOfPart($type) && ! isset($used[$type])) {
                continue;
            }
            [$read, $bare] = self::read($class);
            // of what no shipped kind has, all that its code reads with nothing to fall back on
            $everywhere = ($used[$type] ?? []) === [] ? $bare : array_intersect(...[...$used[$type], ...$used[$type]]);
            $given = array_map('strval', array_keys($class::GIVEN));
            $shipped = [...array_merge([], ...$used[$type] ?? []), ...$set[$type] ?? []];
            $all = array_unique([...$read, ...$given, ...$shipped, 'type']);
            sort($all);
            $needs = array_values(array_intersect($bare, $everywhere));
            sort($needs);
            $keys[$type] = ['keys' => $all, 'needs' => $needs];
        }
        ksort($keys);

        return $keys;
    }

    /** The file that {@see \OddSpark\Appliance\KeyCheck} goes by. */
    public static function file(): string
    {
        $lines = '';
        foreach (self::keys() as $type => $of) {
            $lines .= "        '$type' => [\n";
            foreach ($of as $what => $keys) {
                $list = implode(', ', array_map(fn (string $k): string => "'$k'", $keys));
                $lines .= strlen($list) < 90
                    ? "            '$what' => [$list],\n"
                    : "            '$what' => [\n                ".wordwrap(
                        $list,
                        100,
                        "\n                ",
                    ).",\n            ],\n";
            }
            $lines .= "        ],\n";
        }

        $outputs = '';
        $library = new Library();
        foreach ($library->tables() as $name) {
            $all = array_unique(
                array_merge(...array_values(array_column($library->table($name)['states'], 'outputs'))),
            );
            sort($all);
            $outputs .= "        '$name' => ['".implode("', '", $all)."'],\n";
        }

        return <<<PHP
            <?php

            declare(strict_types=1);

            namespace OddSpark\Appliance;

            /** What each primitive reads, and what it cannot do without. Written by core/bin/schemas.php. */
            final class KnownKeys
            {
                /** @var array<string, array{keys: list<string>, needs: list<string>}> by type */
                public const OF = [
            $lines    ];

                /** @var array<string, list<string>> outputs of each stock table */
                public const OUTPUTS = [
            $outputs    ];
            }

            PHP;
    }

    /**
     * @param class-string $class
     * @return array{list<string>, list<string>} what its code reads, and what of it with nothing to fall back on
     */
    private static function read(string $class): array
    {
        $read = $bare = $spared = [];
        $c = new \ReflectionClass($class);
        for (; $c !== false && $c->getName() !== Primitive::class; $c = $c->getParentClass()) {
            $code = (string) file_get_contents((string) $c->getFileName());
            preg_match_all(self::READ, $code, $found, PREG_OFFSET_CAPTURE);
            foreach ($found[1] as $i => [$key]) {
                $read[] = $key;
                [$whole, $at] = $found[0][$i];
                $after = ltrim(substr($code, $at + strlen($whole), 6));
                $before = substr($code, max(0, $at - 12), min(12, $at));
                if (str_starts_with($after, '??') || str_contains($before, 'isset(') || str_contains($before, '?? ')) {
                    $spared[] = $key;
                } else {
                    $bare[] = $key;
                }
            }
        }

        return [array_values(array_unique($read)), array_values(array_diff(array_unique($bare), $spared))];
    }
}
