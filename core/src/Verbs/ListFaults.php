<?php

declare(strict_types=1);

namespace OddSpark\Verbs;

/** Every single fault of a model. */
final class ListFaults extends Verb
{
    protected const NAME = 'faults';

    protected const ABOUT = 'every single fault of a model';

    protected function answer(): Answer
    {
        $rows = [];
        foreach ($this->faultSet()->faults as $f) {
            $rows[] = [
                'id' => $f->id,
                'title' => $f->title,
                'family' => $f->family,
                'weight' => $f->weight,
                'repair' => $f->repair,
            ];
        }

        return new Answer(
            ['faults' => $rows],
            Answer::table(array_map(fn ($r) => [$r['id'], $r['family'], $r['title']], $rows)),
        );
    }
}
