<?php

declare(strict_types=1);

namespace OddSpark\Appliance;

use OddSpark\Parts\Condition;

/**
 * Those who are served by an appliance: what they want, and by what they notice what it does.
 *
 * @phpstan-import-type HouseholdDocument from Shapes
 * @phpstan-import-type Requirement from Condition
 */
final readonly class Household
{
    /**
     * @param list<array{name: string, of: string, wants: float, display: ?string, calls: Requirement}> $rooms
     *     calls: a {@see \OddSpark\Parts\Condition}
     * @param array{of: string, wants: float, calls: Requirement|null, what: string|null}|null $hotWater calls: when it
     *     asks for heat, where that is known; what: pool, where it is not drawn from a tap
     * @param bool $comesAndGoes whether nobody takes notice when it comes and goes, as a boiler does
     * @param array<string, list<string>> $heat by channel, as what it is perceived when it heats; likewise those below
     * @param array<string, list<string>> $cool when it cools
     * @param array<string, list<string>> $cycle
     * @param array<string, list<string>>|null $air null: it moves none
     * @param array<string, list<string>> $hum
     * @param array<string, list<string>> $smell
     * @param array<string, list<string>> $fumes
     * @param string $fuel gas | oil, as people say
     * @param string|null $boiler whose water is felt at its pipes
     * @param list<string> $radiators that are felt by hand
     * @param array{hot: float, cold: float} $hand degrees from which on a pipe is hot to it, and below which a radiator
     *     is cold; common practice, no source
     */
    private function __construct(
        public array $rooms,
        public ?array $hotWater,
        public bool $comesAndGoes,
        public array $heat,
        public array $cool,
        public array $cycle,
        public ?array $air,
        public array $hum,
        public array $smell,
        public array $fumes,
        public string $fuel,
        public ?string $boiler,
        public array $radiators,
        public array $hand,
        public bool $hasFilter,
    ) {}

    /** @param HouseholdDocument $json as the schema has it */
    public static function of(array $json, string $region = 'NA', bool $hasFilter = false): self
    {
        $rooms = [];
        foreach ($json['rooms'] as $room) {
            $rooms[] = [
                'name' => $room['name'] ?? '',
                'of' => $room['of'],
                'wants' => (float) $room['wants'],
                'display' => $room['display'] ?? null,
                'calls' => $room['calls'],
            ];
        }
        $water = $json['hot_water'] ?? null;

        return new self(
            $rooms,
            $water === null ? null : [
                'of' => $water['of'],
                'wants' => (float) $water['wants'],
                'calls' => $water['calls'] ?? null,
                'what' => $water['what'] ?? null,
            ],
            $json['comes_and_goes'] ?? false,
            $json['heat'],
            $json['cool'] ?? [],
            $json['cycle'],
            $json['air'] ?? null,
            $json['hum'] ?? [],
            $json['smell'] ?? [],
            $json['fumes'] ?? [],
            $json['fuel'] ?? 'gas',
            $json['boiler'] ?? null,
            $json['radiators'] ?? [],
            $region === 'EU' ? ['hot' => 50.0, 'cold' => 33.0] : ['hot' => 120.0, 'cold' => 92.0],
            $hasFilter,
        );
    }
}
