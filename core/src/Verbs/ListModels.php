<?php

declare(strict_types=1);

namespace OddSpark\Verbs;

/** The shipped models. */
final class ListModels extends Verb
{
    protected const NAME = 'models';

    protected const ABOUT = 'the shipped models';

    protected const OF_MODEL = false;

    protected function answer(): Answer
    {
        $rows = [];
        foreach ($this->library->names() as $name) {
            $m = $this->library->model($name);
            $rows[] = [
                'name' => $name,
                'title' => $m->title(),
                'parts' => count($m->parts()),
                'wires' => count($m->wires()),
                'visits' => $m->visits(),
                'hash' => $m->hash(),
            ];
        }

        return new Answer(
            ['models' => $rows],
            Answer::table(
                array_map(fn ($r) => [$r['name'], $r['title'], "{$r['parts']} parts", "{$r['wires']} wires"], $rows),
            ),
        );
    }
}
