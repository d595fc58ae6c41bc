<?php

declare(strict_types=1);

namespace OddSpark\Appliance;

use OddSpark\Trade\Fuel;

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
        $words = [sprintf('%s, input %s %s', $fuel, number_format($this->input), $heat)];
        if ($this->manifold !== null) {
            $words[] = $isOil
                ? "$this->manifold psi at the nozzle"
                : "{$this->pressure($this->manifold)} at the manifold";
        }
        if ($this->riseLow !== null && $this->riseHigh !== null) {
            $words[] = "air rise $this->riseLow to $this->riseHigh $degrees";
        }
        if ($this->static !== null) {
            $words[] = "external static at most {$this->pressure($this->static)}";
        }
        if ($this->fuse !== null) {
            $words[] = "fuse or breaker at most $this->fuse A";
        }
        if ($this->flue !== null) {
            $words[] = $this->flue;
        }

        return implode('; ', $words).'.';
    }

    /** As it is read where the appliance stands: in. w.c., or mbar. */
    private function pressure(float $inWc): string
    {
        return $this->region === 'EU' ? round($inWc * self::MBAR, 1).' mbar' : "$inWc in. w.c.";
    }
}
