<?php

declare(strict_types=1);

namespace OddSpark\Building;

use OddSpark\Appliance\Library;

/** Edits that find a part by its name and change it. */
abstract readonly class OnParts
{
    public function __construct(protected Library $library) {}

    /**
     * @param array<string, mixed> $d
     * @param callable(array<string, mixed>): array<string, mixed> $change
     * @return array<string, mixed>
     */
    protected function changed(array $d, string $id, callable $change): array
    {
        $this->part($d, $id);
        foreach ($d['parts'] as $i => $part) {
            if ($part['id'] === $id) {
                $d['parts'][$i] = $change($part);
            }
        }

        return $d;
    }

    /**
     * @param array<string, mixed> $d
     * @return array<string, mixed>
     */
    protected function part(array $d, string $id): array
    {
        foreach ($d['parts'] as $part) {
            if ($part['id'] === $id) {
                return $part;
            }
        }
        throw new EditError(
            '/part',
            in_array(explode('.', $id)[0], array_column($d['includes'] ?? [], 'id'), true)
                ? "\"$id\" belongs to \"".
                    explode('.', $id)[0].
                    '", which is included: change it there, or by its "params".'
                : "There is no part called \"$id\".",
        );
    }

    /**
     * @param array<string, mixed> $d
     * @return array<string, mixed>
     */
    protected function kindOf(array $d, string $id): array
    {
        $kind = $this->part($d, $id)['kind'];

        return $d['kinds'][$kind] ?? $this->library->kind($kind);
    }
}
