<?php

declare(strict_types=1);

namespace OddSpark\Ordering;

/** What can be picked, drawn and shuffled by a seed: another gives another choice. */
final readonly class Choices
{
    public function __construct(private int $seed) {}

    /**
     * Some of them.
     *
     * @template T
     * @param array<T> $of
     * @return array<T> keys kept
     */
    public function some(array $of, int $many = PHP_INT_MAX): array
    {
        uksort($of, fn (int|string $x, int|string $y): int => $this->rank("$x") <=> $this->rank("$y"));

        return array_slice($of, 0, $many, true);
    }

    /**
     * @param array<string> $texts by what they mean
     * @return list<array{id: string, key: string, text: string}> shuffled, with names that tell nothing
     */
    public function shown(array $texts): array
    {
        $keys = array_map(strval(...), array_keys($texts));
        usort($keys, fn (string $x, string $y): int => $this->rank("shown $x") <=> $this->rank("shown $y"));

        return array_map(
            fn (string $key, int $i): array => ['id' => "c$i", 'key' => $key, 'text' => $texts[$key]],
            $keys,
            array_keys($keys),
        );
    }

    /**
     * @param list<array{id: string, key: string, text: string}> $choices
     * @param array<int|string> $keys
     * @return list<string> their names
     */
    public static function ids(array $choices, array $keys): array
    {
        $ids = array_column($choices, 'id', 'key');

        return array_values(array_map(fn (int|string $key): string => $ids[(string) $key], $keys));
    }

    private function rank(string $of): int
    {
        return crc32("$this->seed $of");
    }
}
