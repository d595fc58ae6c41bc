<?php

namespace App\Work;

use App\Models\Appliance;
use OddSpark\Bench\Arrival;

/** What of an appliance a job keeps. */
final readonly class Frozen
{
    /**
     * @param string $hash of the document
     * @param string $document of the appliance as it is found, JSON
     * @param string $board as it is drawn, JSON
     * @param array<string, Arrival> $arrivals by fault
     * @param Arrival $found its own
     * @param array<string, mixed>|null $sheet what the kind of work keeps beside
     */
    public function __construct(
        public string $hash,
        public string $document,
        public string $board,
        public array $arrivals,
        public Arrival $found,
        public ?array $sheet,
    ) {}

    /**
     * The appliance as it is kept.
     *
     * @param array<string, Arrival> $arrivals by fault
     * @param array<string, mixed>|null $sheet
     */
    public static function of(Appliance $appliance, array $arrivals, string $fault, ?array $sheet): self
    {
        return new self(
            $appliance->hash,
            $appliance->document,
            $appliance->board,
            $arrivals,
            $arrivals[$fault],
            $sheet,
        );
    }
}
