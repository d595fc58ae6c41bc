<?php

namespace App\Support;

use App\Models\AssignmentWork;
use Illuminate\Support\Str;

/** How each kind of job is judged: docs/marking.md, by its sections. */
final class JudgingDoc
{
    /** Headings of the sections, in their order; the first is that of the whole. */
    private const SECTIONS = [
        'How an attempt is marked' => AssignmentWork::Trace,
        'A sheet of predictions' => AssignmentWork::Predict,
        'Why a load is off' => AssignmentWork::Explain,
        'A sequence in order' => AssignmentWork::Order,
        'A commissioning sheet' => AssignmentWork::Commission,
        'A wiring' => AssignmentWork::Wire,
        'A control swapped' => AssignmentWork::Swap,
        'A return visit' => AssignmentWork::Return,
        'A failed unit and its sound twin' => AssignmentWork::Compare,
        'By telephone' => AssignmentWork::Remote,
        'The record of a class' => null,
    ];

    /** @return list<array{id: string, title: string, html: string}> nothing in it comes from a person */
    public static function sections(): array
    {
        $text = (string) file_get_contents(base_path('docs/marking.md'));
        $sections = [];
        foreach (preg_split('/^##? (?=\S)/m', $text, -1, PREG_SPLIT_NO_EMPTY) ?: [] as $part) {
            [$title, $body] = explode("\n", $part, 2) + [1 => ''];
            $work = self::SECTIONS[$title] ?? null;
            $sections[] = [
                'id' => $work->value ?? Str::slug($title),
                'title' => $title,
                'html' => Str::markdown($body, ['html_input' => 'escape', 'allow_unsafe_links' => false]),
            ];
        }

        return $sections;
    }
}
