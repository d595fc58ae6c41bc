<?php

declare(strict_types=1);

namespace OddSpark\Verbs;

use OddSpark\Parts\Ability\Decides;
use OddSpark\Sequence\Table;

/** The sequence tables of its controls in words. */
final class TellTables extends Verb
{
    protected const NAME = 'table';

    protected const ABOUT = 'the sequence tables of its controls in words';

    protected function answer(): Answer
    {
        $plan = $this->plan();
        $rows = [];
        $text = '';
        foreach ($plan->those(Decides::class) as $id) {
            $table = $plan->primitives[$id]['spec']['table'];
            $remarks = (new Table($table))->remarks();
            $rows[] = ['control' => $id, 'table' => $table, 'remarks' => $remarks];
            $text .= "$id: {$table['title']}\n";
            foreach ((new Table($table))->words() as $row) {
                $text .= sprintf(
                    "  %-14s %s%s, lamp %s\n",
                    $row['state'],
                    $row['title'],
                    $row['outputs'] === [] ? '' : ' ['.implode(' ', $row['outputs']).']',
                    $row['lamp'],
                );
                foreach ($row['lines'] as $line) {
                    $text .= "                 $line\n";
                }
            }
            foreach ($remarks as $remark) {
                $text .= "  ! {$remark['pointer']}: {$remark['text']}\n";
            }
        }

        return new Answer(['controls' => $rows], $text === '' ? "This model has no control with a table.\n" : $text);
    }
}
