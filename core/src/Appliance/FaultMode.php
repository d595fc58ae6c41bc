<?php

declare(strict_types=1);

namespace OddSpark\Appliance;

use OddSpark\Parts\Primitive;

/**
 * A way in which a part of a kind, or a wire, can be bad.
 *
 * @phpstan-import-type Changes from Primitive
 * @phpstan-import-type ModeDocument from Shapes
 */
final readonly class FaultMode
{
    /**
     * @param array<string, Changes> $degrees parameters that it changes, by degree; '' when it has none
     * @param string $repair what mends it
     */
    private function __construct(
        public string $title,
        public array $degrees,
        public ?string $unit,
        public float $weight,
        public string $repair,
        public Signs $signs,
        public bool $isGradual,
        public bool $mustNotRun,
    ) {}

    /** @param ModeDocument $json as the schema has it */
    public static function of(array $json): self
    {
        return new self(
            $json['title'],
            $json['degrees'] ?? ['' => $json['set'] ?? []],
            $json['unit'] ?? null,
            $json['weight'],
            $json['repair'],
            Signs::of($json),
            $json['gradual'] ?? false,
            $json['must_not_run'] ?? false,
        );
    }

    /**
     * Links that it is of, such as what shakes a contact: a part that is not linked to any cannot fail so.
     *
     * @return list<string>
     */
    public function asks(): array
    {
        $asked = [];
        $degrees = $this->degrees;
        array_walk_recursive($degrees, function (mixed $value) use (&$asked): void {
            if (is_string($value) && preg_match('/^@([^.?][^?]*)$/', $value, $name) === 1) {
                $asked[$name[1]] = true;
            }
        });

        return array_map(strval(...), array_keys($asked));
    }

    /** Whether it changes a figure of a primitive, such as "body.open". */
    public function changes(string $path): bool
    {
        return array_filter($this->degrees, fn (array $set) => array_key_exists($path, $set)) !== [];
    }

    /** Whether it is cured by a tap. */
    public function yieldsToTapping(): bool
    {
        foreach ($this->degrees as $set) {
            foreach ($set as $path => $value) {
                if (str_ends_with($path, '.flaw') && isset($value['taps'])) {
                    return true;
                }
            }
        }

        return false;
    }
}
