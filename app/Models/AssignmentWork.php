<?php

namespace App\Models;

use App\Work\Commissioning;
use App\Work\Comparing;
use App\Work\Explaining;
use App\Work\Foretelling;
use App\Work\KindOfWork;
use App\Work\OnSheet;
use App\Work\Ordering;
use App\Work\Returning;
use App\Work\Swapping;
use App\Work\Telephoning;
use App\Work\Tracing;
use App\Work\WiringUp;
use OddSpark\Bench\Bench;
use OddSpark\Bench\PairedBench;
use OddSpark\Remote\PhoneBench;

/** What is done in a job. */
enum AssignmentWork: string
{
    /** The fault is traced at the bench, and mended. */
    case Trace = 'trace';
    /** A fault is traced where somebody else has been before, and a logger may be left for the night. */
    case Return = 'return';
    /** A fault is traced with the sound twin of the failed unit beside it. */
    case Compare = 'compare';
    /** A fault is traced by telephone: a customer holds the meter. */
    case Remote = 'remote';
    /** Readings are said before they are taken, on a sheet. */
    case Predict = 'predict';
    /** It is explained why loads are off, on a sheet. */
    case Explain = 'explain';
    /** A sequence is put in order, on a sheet. */
    case Order = 'order';
    /** An appliance is measured and put into service at the bench. */
    case Commission = 'commission';
    /** Wires are run at the bench, where some are missing, or all. */
    case Wire = 'wire';
    /** A control is swapped for another make at the bench. */
    case Swap = 'swap';

    /** Each kind of work, and what it does: one line each. */
    private const KINDS = [
        'trace' => Tracing::class,
        'return' => Returning::class,
        'compare' => Comparing::class,
        'remote' => Telephoning::class,
        'predict' => Foretelling::class,
        'explain' => Explaining::class,
        'order' => Ordering::class,
        'commission' => Commissioning::class,
        'wire' => WiringUp::class,
        'swap' => Swapping::class,
    ];

    public function kind(): KindOfWork
    {
        return app(self::KINDS[$this->value]);
    }

    /** @return class-string<Bench> where it is worked */
    public function bench(): string
    {
        return match ($this) {
            self::Compare => PairedBench::class,
            self::Remote => PhoneBench::class,
            default => Bench::class,
        };
    }

    /**
     * The acts that belong to it alone.
     *
     * @return array<string, self> work by act
     */
    public static function ofActs(): array
    {
        return ['logger' => self::Return, 'come_back' => self::Return, 'twin' => self::Compare,
            'read_out' => self::Remote];
    }

    /** Whether it is done at the bench; else on a page of its own. */
    public function isAtBench(): bool
    {
        return ! is_a(self::KINDS[$this->value], OnSheet::class, true);
    }
}
