<?php

declare(strict_types=1);

namespace OddSpark\Verbs;

use OddSpark\Marking\Mark;
use OddSpark\Marking\Rules;

/** A debrief as a sheet to print: one HTML page without scripts, from plain data. */
final class Sheet
{
    /**
     * @param array{title: string, who: string, model: string, fault: string, when: string} $head
     * @param array<string, mixed> $mark as {@see \OddSpark\Marking\Mark::toArray}
     * @param array<string, mixed> $debrief as {@see \OddSpark\Marking\Debrief::toArray}
     */
    public static function html(array $head, array $mark, array $debrief): string
    {
        $e = fn (string|float|int $text): string => htmlspecialchars((string) $text, ENT_QUOTES | ENT_SUBSTITUTE);
        $lines = $entries = '';
        // other work has no suspects, and nothing ran on after it
        $isTraced = array_intersect(array_column($mark['lines'], 'id'), Rules::linesOfOtherWork()) === [];
        foreach ($mark['lines'] as $line) {
            $why = implode(
                '<br>',
                array_map(
                    fn (array $w) => $e($w['text']).
                        ($w['entry'] === null ? '' : ' <span class="n">entry '.($w['entry'] + 1).'</span>'),
                    $line['why'],
                ),
            );
            $changed = isset($line['override'])
                ? '<br><b>Set by '.
                    $e($line['override']['by']).
                    '</b>, computed '.
                    $e(number_format($line['override']['computed'], 1)).
                    ': '.
                    $e($line['override']['reason'])
                : '';
            $lines .= "<tr><th>{$e($line['title'])}</th><td class=\"f\">{$e(number_format($line['points'], 1))} / {$e(
                $line['weight'],
            )}</td><td>$why$changed</td></tr>";
        }
        foreach ($debrief['entries'] as $i => $row) {
            $best = ! $isTraced
                ? implode('<br>', array_map($e, $row['flaws']))
                : ($row['best'] === [] || $row['share'] === null || $row['share'] >= 0.9
                    ? ''
                    : $e($row['best'][0]['text']).
                        ' <span class="n">would have '.
                        $e($row['best'][0]['splits']).
                        '</span>');
            $danger = implode('', array_map(fn (string $d) => '<br><b>'.$e($d).'</b>', $row['dangers']));
            $entries .=
                '<tr><td class="f">'.
                ($i + 1).
                '</td><td class="f">'.
                self::clock($row['at_s']).
                "</td><td>{$e(
                    $row['text'],
                )}$danger</td>".
                ($isTraced ? "<td class=\"f\">{$row['before']} → {$row['after']}</td>" : '').
                "<td>$best</td></tr>";
        }
        $turns = fn (array $list): string => $list === []
            ? '<li>None stands out.</li>'
            : implode(
                '',
                array_map(
                    fn (array $t) => '<li>Entry '.
                        ($t['entry'] + 1).
                        ": {$e($t['text'])}</li>",
                    $list,
                ),
            );
        $same =
            $debrief['same'] === []
                ? ''
                : '<p><b>Would have shown the same as what was named:</b> '.
                    $e(implode('; ', $debrief['same'])).
                    '.</p>';
        $calls = $mark['call_back']['hours'] == 0 ? '' : ($mark['call_back']['said'] === []
                ? 'Ran '.$e($mark['call_back']['hours']).' more hours as you left it: no callback.'
                : 'Ran '.
                    $e($mark['call_back']['hours']).
                    ' more hours as you left it, and the customer calls back: “'.
                    $e(implode(' ', $mark['call_back']['said'])).
                    '”');
        $not = $mark['not_passed'] === [] ? '' : ' ('.$e(implode(', ', $mark['not_passed'])).')';
        $total = number_format($mark['total'], 1);
        $passed = $mark['passed'] ? 'passed' : 'not passed';
        $hints =
            $mark['hints']['points'] > 0
                ? '<p>Hints taken: '.
                    $e(array_sum($mark['hints']['taken'])).
                    ', at '.
                    $e($mark['hints']['points']).
                    ' points.</p>'
                : '';

        $rows = implode('', array_map(
            fn (array $row): string => "<tr><th>{$e($row['label'])}</th><td>{$e($row['text'])}</td></tr>",
            $debrief['report'] ?? [],
        ));
        $report = $rows === '' ? '' : "<h2>Closing report</h2><table>$rows</table>";
        $habits = implode('', array_map(fn (array $h): string => "<li>{$e($h['text'])}</li>", $mark['habits'] ?? []));
        $habits = $habits === '' ? '' : "<h2>Good habits</h2><ul>$habits</ul>";
        $turning = $isTraced
            ? "<h2>Where the trace was won</h2><ul>{$turns($debrief['won'])}</ul>".
                "<h2>Where it was lost</h2><ul>{$turns($debrief['lost'])}</ul>"
            : '';
        $columns = $isTraced
            ? '<th>Done and shown</th><th class="f">Suspects</th><th>Would have told more</th>'
            : '<th>Predicted and read</th><th>Why</th>';

        return <<<HTML
        <!doctype html>
        <html lang="en"><head><meta charset="utf-8"><title>{$e($head['title'])}</title><style>
        @page { margin: 16mm 14mm; }
        body { font-family: "DejaVu Sans", sans-serif; font-size: 9.5pt; color: #221d18; }
        h1 { font-size: 15pt; margin: 0; } h2 { font-size: 11.5pt; margin: 14pt 0 4pt; }
        table { border-collapse: collapse; width: 100%; }
        th, td { border-bottom: 0.5pt solid #c9bfb2; padding: 3pt 5pt; vertical-align: top; text-align: left; }
        tr { page-break-inside: avoid; } .f { white-space: nowrap; text-align: right; } .n { color: #6d6359; }
        .total { font-size: 15pt; }
        .note { margin-top: 14pt; border-top: 0.5pt solid #c9bfb2; padding-top: 4pt; color: #6d6359; }
        </style></head><body>
        <h1>{$e($head['title'])}</h1>
        <p>{$e($head['who'])} · {$e($head['model'])} · {$e($head['when'])}</p>
        <p class="total"><b>$total</b> of 100, $passed$not. {$e(Mark::verdictText($mark['verdict']))}.</p>
        <p><b>It was:</b> {$e($head['fault'])}. $calls</p>
        $same$hints
        $report
        <h2>The mark, line by line</h2><table>$lines</table>
        <p class="n">House rules: {$e(
            $mark['rules']['title'],
        )}, version {$e($mark['rules']['version'])}, pass mark {$e($mark['rules']['pass_mark'])}.</p>
        $habits
        $turning
        <h2>Entry by entry</h2>
        <table>
        <tr><th>No</th><th>At</th>$columns</tr>
        $entries</table>
        <p class="note">Simulation: on real equipment follow the maker's instructions, local codes,
        and work under a licensed person.</p>
        </body></html>
        HTML;
    }

    private static function clock(float $seconds): string
    {
        return sprintf('%d:%02d', intdiv((int) $seconds, 60), (int) $seconds % 60);
    }
}
