<?php

namespace App\Models;

use App\Work\Foretelling;
use App\Work\KindOfWork;
use App\Work\Tracing;
use App\Work\WiringUp;

/** What is done in a job. */
enum AssignmentWork: string
{
    /** The fault is traced at the bench, and mended. */
    case Trace = 'trace';
    /** Readings are said before they are taken, on a sheet. */
    case Predict = 'predict';
    /** Wires are run at the bench, where some are missing, or all. */
    case Wire = 'wire';

    /** Each kind of work, and what it does: one line each. */
    private const KINDS = [
        'trace' => Tracing::class,
        'predict' => Foretelling::class,
        'wire' => WiringUp::class,
    ];

    public function kind(): KindOfWork
    {
        return app(self::KINDS[$this->value]);
    }

    /**
     * What kind is asked for by the fields of a form.
     *
     * @param array{predictions?: int|null, wires?: string|null, shown?: string|null, ...} $asked
     */
    public static function asked(array $asked): self
    {
        return match (true) {
            ($asked['predictions'] ?? 0) > 0 => self::Predict,
            ($asked['wires'] ?? '') !== '' => self::Wire,
            default => self::Trace,
        };
    }
}
