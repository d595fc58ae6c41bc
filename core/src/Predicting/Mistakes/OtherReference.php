<?php

declare(strict_types=1);

namespace OddSpark\Predicting\Mistakes;

use OddSpark\Predicting\AskedReading;
use OddSpark\Predicting\Standings;
use OddSpark\Words\Words;

/** One common taken for another: what the red lead shows with the black one where another circuit returns. */
final readonly class OtherReference implements Mistake
{
    public function figures(AskedReading $asked, Standings $now, Standings $sound): array
    {
        $figures = $been = [];
        foreach ($now->plan->model->parts() as $part) {
            foreach ($part->kind->references as $terminal) {
                $place = "$part->id.$terminal";
                $node = $now->plan->places[$place];
                $isOther = ! in_array($node, [
                    $now->plan->places[$asked->black],
                    $now->plan->places[$asked->red],
                ], true);
                if ($isOther && ! isset($been[$node])) {
                    $been[$node] = true;
                    $figures[] = [
                        $now->at[$asked->tick]->reads($asked->mode, $asked->red, $place),
                        Words::say('predicting.mistake.reference', [
                            'place' => $now->plan->model->placeName($place),
                        ]),
                    ];
                }
            }
        }

        return $figures;
    }
}
