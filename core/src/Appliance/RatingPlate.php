<?php

declare(strict_types=1);

namespace OddSpark\Appliance;

use OddSpark\Trade\Fuel;
use OddSpark\Words\Words;

/**
 * What is stamped on an appliance, and on which of its parts: what it is to burn, at what pressure, how much it is to
 * warm its air, what is to stand before it.
 *
 * @phpstan-import-type PlateDocument from Shapes
 */
final readonly class RatingPlate
{
    private function __construct(
        public string $part,
        public Fuel $fuel,
        public float $input,
        public ?float $manifold,
        public ?float $riseLow,
        public ?float $riseHigh,
        public ?float $static,
        public ?float $fuse,
        public ?string $flue,
        private string $region,
    ) {}

    /** Of an inch of water; NIST SP 811, appendix B. */
    private const MBAR = 2.490889;

    /**
     * @param PlateDocument $json as the schema has it
     * @param string $region NA or EU
     */
    public static function of(array $json, string $region): self
    {
        $figure = fn (string $key): ?float => isset($json[$key]) ? (float) $json[$key] : null;

        return new self(
            $json['part'],
            Fuel::from($json['fuel']),
            (float) $json['input'],
            $figure('manifold_in_wc'),
            $figure('rise_low'),
            $figure('rise_high'),
            $figure('static_in_wc'),
            $figure('fuse_a'),
            $json['flue'] ?? null,
            $region,
        );
    }

    /** As it reads. */
    public function words(): string
    {
        [$heat, $degrees] = $this->region === 'EU' ? ['W', '°C'] : ['Btu/h', '°F'];
        $isOil = $this->fuel === Fuel::Oil;
        $fuel = str_replace('-', ' ', $this->fuel->value);
        $words = [Words::say('appliance.rating_plate.input', [
            'fuel' => $fuel,
            'input' => number_format($this->input),
            'heat' => $heat,
        ])];
        if ($this->manifold !== null) {
            $words[] = $isOil
                ? Words::say('appliance.rating_plate.psi_at_the_nozzle', ['manifold' => $this->manifold])
                : Words::say('appliance.rating_plate.at_the_manifold', [
                    'pressure' => $this->pressure($this->manifold),
                ]);
        }
        if ($this->riseLow !== null && $this->riseHigh !== null) {
            $words[] = Words::say('appliance.rating_plate.air_rise_to', [
                'rise_low' => $this->riseLow,
                'rise_high' => $this->riseHigh,
                'degrees' => $degrees,
            ]);
        }
        if ($this->static !== null) {
            $words[] = Words::say('appliance.rating_plate.external_static_at_most', [
                'pressure' => $this->pressure($this->static),
            ]);
        }
        if ($this->fuse !== null) {
            $words[] = Words::say('appliance.rating_plate.fuse_or_breaker_at_most', ['fuse' => $this->fuse]);
        }
        if ($this->flue !== null) {
            $words[] = $this->flue;
        }

        return implode('; ', $words).'.';
    }

    /** As it is read where the appliance stands: in. w.c., or mbar. */
    private function pressure(float $inWc): string
    {
        return $this->region === 'EU' ? Words::say('appliance.rating_plate.mbar', [
            'in_wc' => round($inWc * self::MBAR, 1),
        ]) : Words::say('appliance.rating_plate.in_w_c', [
            'in_wc' => $inWc,
        ]);
    }
}
