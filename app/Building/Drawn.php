<?php

namespace App\Building;

/**
 * How a draft's board was drawn last, packed small: where each part stands and which way each wire goes. What has not
 * been touched is drawn the same again.
 */
final readonly class Drawn
{
    /**
     * @param array<string, list<int>> $parts left, top, width, height by part
     * @param array<string, string> $wires from, to and the corners by wire; those that are led by hand are not kept
     */
    private function __construct(private array $parts, private array $wires) {}

    /** @param array<string, mixed> $board as the core draws it */
    public static function of(array $board): self
    {
        $parts = $wires = [];
        foreach ($board['parts'] as $p) {
            $parts[$p['id']] = [$p['x'], $p['y'], $p['w'], $p['h']];
        }
        foreach ($board['wires'] as $w) {
            if (! isset($w['hand'])) {
                $wires[$w['id']] = "{$w['from']} {$w['to']} ".implode(' ', array_merge(...$w['points']));
            }
        }

        return new self($parts, $wires);
    }

    public static function read(string $text): self
    {
        $drawn = json_decode($text, true, 8, JSON_THROW_ON_ERROR);

        return new self($drawn['parts'], $drawn['wires']);
    }

    public function text(): string
    {
        return json_encode(['parts' => (object) $this->parts, 'wires' => (object) $this->wires], JSON_THROW_ON_ERROR);
    }

    /**
     * @return array{parts: list<array<string, mixed>>, wires: list<array<string,
     *     mixed>>} what of a board a new one goes by
     */
    public function board(): array
    {
        $parts = $wires = [];
        foreach ($this->parts as $id => [$x, $y, $w, $h]) {
            $parts[] = ['id' => (string) $id, 'x' => $x, 'y' => $y, 'w' => $w, 'h' => $h];
        }
        foreach ($this->wires as $id => $way) {
            $words = explode(' ', $way);
            $wires[] = [
                'id' => (string) $id,
                'from' => $words[0],
                'to' => $words[1],
                'points' => array_map(
                    fn (array $p) => [(int) $p[0], (int) $p[1]],
                    array_chunk(array_slice($words, 2), 2),
                ),
            ];
        }

        return ['parts' => $parts, 'wires' => $wires];
    }

    /** Whether a part or a wire is drawn as it was. */
    public function isAs(self $before, string $list, string $id): bool
    {
        return isset($this->{$list}[$id], $before->{$list}[$id]) && $this->{$list}[$id] === $before->{$list}[$id];
    }
}
