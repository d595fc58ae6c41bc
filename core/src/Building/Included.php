<?php

declare(strict_types=1);

namespace OddSpark\Building;

use OddSpark\Appliance\Composition;
use OddSpark\Appliance\Library;
use OddSpark\Appliance\Shapes;
use OddSpark\Wiring\Finding;
use OddSpark\Words\Words;

/**
 * Appliances that a model includes and keeps as they were: of which there is a newer one, and what is otherwise in it.
 *
 * @phpstan-import-type ModelDocument from Shapes
 */
final readonly class Included
{
    /** Sentences of what has changed that are told; the rest is counted. */
    private const TOLD = 4;

    /**
     * @param ModelDocument $document as it is written
     * @return list<Finding> none where all are as they are shipped, or are shipped no more
     */
    public static function newer(array $document, Library $library): array
    {
        $found = [];
        foreach ($document['includes'] ?? [] as $include) {
            if (! isset($include['document']) || ! in_array($include['model'], $library->names(), true)) {
                continue;
            }
            $now = Composition::kept($library, $include['model']);
            if (Document::text($now) === Document::text($include['document'])) {
                continue;
            }
            $words = Difference::words($include['document'], $now);
            $more = count($words) - self::TOLD;
            $told = implode(' ', array_slice($words, 0, self::TOLD));
            $found[] = new Finding(
                Words::plain('building.included.newer_appliance'), Finding::ODD, [], [],
                Words::say('building.included.there_is_a_newer_than', [
                    'title' => $now['title'],
                    'id' => $include['id'],
                ]),
                trim($told.($more > 0 ? Words::say('building.included.and_more', ['more' => $more]) : '')),
                Words::say('building.included.take_it_or_leave_it'),
                [['do' => 'renew', 'id' => $include['id']]],
                Words::say('building.included.takes_the_newer_in_its', ['title' => $now['title']]),
            );
        }

        return $found;
    }
}
