<?php

declare(strict_types=1);

namespace OddSpark\Acts\Notes;

use OddSpark\Acts\Field;
use OddSpark\Acts\Names;
use OddSpark\Acts\Tells;
use OddSpark\Words\Words;

/** The closing report: cause, work, what was read before and after it, parts and time. The last one counts. */
final readonly class Report extends Note
{
    public const NAME = 'report';

    public const MINUTES = 3.0;

    /** Parts that were worked on at most. */
    private const MOST = 20;

    private const MOST_ENTRIES = 10_000;

    public static function fields(): array
    {
        $entry = Field::whole(0, self::MOST_ENTRIES)->optional();

        return [
            'cause' => Field::part()->optional(),
            'done' => Field::parts(self::MOST)->optional(),
            'before' => $entry,
            'after' => $entry,
            'parts' => Field::whole(0, 99)->optional(),
            'minutes' => Field::number()->optional(),
            'words' => Field::words()->optional(),
        ];
    }

    public function tells(): Tells
    {
        return Tells::Nothing;
    }

    public function said(Names $names): string
    {
        $cause = $this->get('cause');

        return Words::say('acts.report.wrote_the_closing_report', [
            'words' => $cause === null ? '' : Words::say('acts.report.the_cause_was', [
                'cause' => $names->part($cause),
            ]),
        ]);
    }
}
