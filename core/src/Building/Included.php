<?php

declare(strict_types=1);

namespace OddSpark\Building;

use OddSpark\Appliance\Composition;
use OddSpark\Appliance\Library;
use OddSpark\Appliance\Shapes;
use OddSpark\Wiring\Finding;

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
                'newer appliance', Finding::ODD, [], [],
                "There is a newer \"{$now['title']}\" than the one that is included as {$include['id']}.",
                trim($told.($more > 0 ? " And $more more." : '')),
                'Take it, or leave it as it is.',
                [['do' => 'renew', 'id' => $include['id']]],
                "Takes the newer \"{$now['title']}\" in its place.",
            );
        }

        return $found;
    }
}
