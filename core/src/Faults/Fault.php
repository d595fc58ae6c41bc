<?php

declare(strict_types=1);

namespace OddSpark\Faults;

use OddSpark\Appliance\Signs;
use OddSpark\Parts\Primitive;
use OddSpark\Words\Words;

/**
 * One way in which one part can be bad: what it changes in the appliance, and nothing of what that causes.
 *
 * @phpstan-import-type Changes from Primitive
 */
final readonly class Fault
{
    public const HEALTHY = 'healthy';

    /**
     * @param string $id PART:MODE or PART:MODE@DEGREE
     * @param Changes $set changed parameters: primitive id and path => value
     * @param float $weight how likely in the field, against the others
     * @param string $repair what puts it right: "set", "clean", "clear", "replace", "utility", or the spare, "unjump"
     * @param Signs $signs what of it is found without an instrument
     * @param bool $mustNotRun an appliance with it is shut down, whatever it still does
     * @param list<array{string, string}> $jumpers places that somebody has joined before; from a wire end: it was
     *     landed there
     * @param list<self> $members of a compound, each by itself
     * @param bool $gradual it has come on over months, rather than at a moment
     */
    public function __construct(
        public string $id,
        public string $part,
        public string $mode,
        public ?string $degree,
        public string $title,
        public string $family,
        public array $set,
        public float $weight,
        public string $repair,
        public Signs $signs = new Signs(),
        public bool $gradual = false,
        public array $jumpers = [],
        public array $members = [],
        public bool $mustNotRun = false,
    ) {}

    /** What of it is in a part: itself, or of a compound the one that is; null when nothing is. */
    public function in(string $part): ?self
    {
        foreach ($this->members === [] ? [$this] : $this->members as $fault) {
            if ($fault->part === $part) {
                return $fault;
            }
        }

        return null;
    }

    /**
     * What of it is left when some parts are mended.
     *
     * @param list<string> $mended
     * @return Changes
     */
    public function left(array $mended): array
    {
        $isMended = fn (string $path): bool => array_filter(
            $mended,
            fn (string $part): bool => str_starts_with($path, "$part."),
        ) !== [];

        return array_filter($this->set, fn (string $path): bool => ! $isMended($path), ARRAY_FILTER_USE_KEY);
    }

    /** Whether replacing, cleaning, clearing or setting right its part is what it needs. */
    public function yieldsTo(string $how): bool
    {
        return $how === 'replace' ? ! in_array($this->repair, ['utility', 'unjump'], true) : $this->repair === $how;
    }

    /** The same fault, thought so likely. */
    public function weighing(float $weight): self
    {
        return new self(...['weight' => $weight] + get_object_vars($this));
    }

    public static function none(): self
    {
        return new self(self::HEALTHY, '', '', null, Words::say('faults.fault.nothing_wrong'), 'healthy', [], 0.5, '');
    }
}
