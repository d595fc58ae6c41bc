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
     * @param string $rule which of the rules found it
     * @param self::WRONG|self::ODD $grade
     * @param list<string> $parts
     * @param list<string> $wires
     * @param string $text what is so, and where
     * @param string $why what follows from it
     * @param string $mend what to do
     * @param list<Edit> $edits edits of the builder that do it; none where a person must choose
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
    ) {}

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return get_object_vars($this);
    }
}
