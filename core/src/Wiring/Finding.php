<?php

declare(strict_types=1);

namespace OddSpark\Wiring;

use OddSpark\Appliance\Shapes;

/**
 * Something that is wrong with a wiring, or odd: where, why that matters, and a way to mend it.
 *
 * @phpstan-import-type Edit from Shapes
 */
final readonly class Finding
{
    public const WRONG = 'wrong';

    public const ODD = 'odd';

    /**
     * @param string $rule which of the rules found it: its name in American English, which documents keep
     * @param self::WRONG|self::ODD $grade
     * @param list<string> $parts
     * @param list<string> $wires
     * @param string $text what is so, and where
     * @param string $why what follows from it
     * @param string $mend what to do
     * @param list<Edit> $edits edits of the builder that do it, and take nothing off; none where a person must choose
     * @param string $does what these edits do, in a sentence
     * @param string|null $accepted why somebody has put it aside
     */
    public function __construct(
        public string $rule,
        public string $grade,
        public array $parts,
        public array $wires,
        public string $text,
        public string $why,
        public string $mend,
        public array $edits = [],
        public string $does = '',
        public ?string $accepted = null,
    ) {}

    public function accepted(string $reason): self
    {
        return new self(...['accepted' => $reason] + get_object_vars($this));
    }

    /**
     * Whether it is the same thing at the same place.
     *
     * @param array{rule: string, parts: list<string>, wires: list<string>} $other
     */
    public function isThe(array $other): bool
    {
        $where = fn (array $parts, array $wires): array => [self::sorted($parts), self::sorted($wires)];

        // documents of before write colour in it
        return $this->rule === str_replace('colour', 'color', $other['rule']) &&
            $where($this->parts, $this->wires) === $where($other['parts'], $other['wires']);
    }

    /**
     * @param list<string> $ids
     * @return list<string>
     */
    private static function sorted(array $ids): array
    {
        sort($ids);

        return $ids;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return get_object_vars($this);
    }
}
