<?php

declare(strict_types=1);

namespace OddSpark\Commissioning;

use OddSpark\Marking\Rules;
use OddSpark\Words\Words;

/** Hints at a sheet as it stands: which row is not right yet, what is against it, and what the appliance has. */
final class Advice
{
    /** @param string $grade of {@see Rules::HINTS} */
    public static function of(string $grade, Sheet $sheet): string
    {
        foreach ($sheet->judged as $r) {
            if (! $r->isRight()) {
                return match (true) {
                    $grade === 'where' => Words::say('commissioning.advice.where', ['title' => $r->title]),
                    $grade === 'circuit' && $r->row !== null => Words::say('commissioning.advice.range', [
                        'title' => $r->title, 'range' => $r->row->range(),
                    ]),
                    $grade === 'circuit' => Words::say('commissioning.advice.act', ['title' => $r->title]),
                    default => $r->why,
                };
            }
        }

        return match (true) {
            ! $sheet->runs && ! $sheet->isShutDown => Words::say('commissioning.advice.does_not_run'),
            $sheet->signed === null => Words::say('commissioning.advice.sign'),
            default => Words::say('commissioning.advice.all_is_right'),
        };
    }
}
