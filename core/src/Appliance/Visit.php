<?php

declare(strict_types=1);

namespace OddSpark\Appliance;

/**
 * A visit that a model tells of: when the fault appears, what the household does, when it is noticed and when somebody
 * comes.
 *
 * @phpstan-import-type VisitDocument from Shapes
 */
final readonly class Visit
{
    /**
     * @param int $appears ms from the beginning; 0: it was there before
     * @param int $notices ms from the beginning at which somebody takes notice
     * @param list<Doing> $household what people do before
     * @param int $after ms from what calls for the visit to the arrival
     * @param array<string, string> $unlike percepts that call for it when they are no longer this; none: the time alone
     * @param int $atMost ms after which somebody comes although they still are
     */
    private function __construct(
        public string $name,
        public string $title,
        public int $appears,
        public int $notices,
        public array $household,
        public int $after,
        public ?array $unlike,
        public int $atMost,
    ) {}

    /** @param VisitDocument $json as the schema has it */
    public static function of(string $name, array $json): self
    {
        return new self(
            $name,
            $json['title'],
            ($json['appears_s'] ?? 0) * 1000,
            $json['notices_s'] * 1000,
            array_map(Doing::of(...), $json['household']),
            $json['arrives']['after_s'] * 1000,
            $json['arrives']['unlike'] ?? null,
            ($json['arrives']['at_most_s'] ?? 0) * 1000,
        );
    }

    /** Whether nobody does anything after it was noticed. */
    public function isCalledAsItWas(): bool
    {
        foreach ($this->household as $doing) {
            if ($doing->tick >= $this->notices) {
                return false;
            }
        }

        return true;
    }
}
