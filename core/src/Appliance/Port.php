<?php

declare(strict_types=1);

namespace OddSpark\Appliance;

use OddSpark\Parts\Condition;

/**
 * A place of a kind of part where a pipe, a duct, a hose or a sensor is joined.
 *
 * @phpstan-import-type PortDocument from Shapes
 * @phpstan-import-type Requirement from Condition
 */
final readonly class Port
{
    /**
     * @param array{int|float, int|float} $at on the part, as terminals are
     * @param ?string $of primitive of the part that tells what is felt there
     * @param ?string $link what of the part asks for what is felt there, by name
     * @param Requirement|null $lights what of it lights a burner
     * @param list<array{name: string, instrument: string, label: string, row?: string}> $taps what can be put there
     * @param bool $suction whether what pulls is felt as above zero
     * @param ?string $frame terminal of its metal, and what sits there asks for that by the name of frameLink
     * @param ?string $terminal where a lead ends, and what sits there asks for that by the name of terminalLink
     * @param ?string $emits run of the part that warms what is joined there
     */
    public function __construct(
        public string $name,
        public Medium $medium,
        public array $at,
        public string $label,
        public ?string $of,
        public ?string $link,
        public ?array $lights,
        public array $taps,
        public bool $suction,
        public ?string $frame,
        public ?string $frameLink,
        public ?string $terminal,
        public ?string $terminalLink,
        public ?string $emits,
    ) {}

    /** @param PortDocument $json as the schema has it */
    public static function of(string $name, array $json): self
    {
        return new self(
            $name,
            Medium::from($json['medium']),
            $json['at'],
            $json['label'] ?? $name,
            $json['of'] ?? null,
            $json['link'] ?? null,
            $json['lights'] ?? null,
            $json['taps'] ?? [],
            $json['suction'] ?? false,
            $json['frame'] ?? null,
            $json['frame_link'] ?? null,
            $json['terminal'] ?? null,
            $json['terminal_link'] ?? null,
            $json['emits'] ?? null,
        );
    }
}
