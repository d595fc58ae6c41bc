<?php

declare(strict_types=1);

namespace OddSpark\Marking;

use OddSpark\Appliance\Family;
use OddSpark\Trade\Competency;

/** What a mark shows of its trainee: by the part that had failed, and by the lines that were judged. */
final class Shown
{
    /** Family of faults of wires, in {@see \OddSpark\Faults\FaultSet}. */
    private const WIRES = 'wires';

    /** Judged lines that show the competency of what had failed. */
    private const OF_THE_FAULT = ['trace', 'finding'];

    private const OF_A_LINE = [
        'technique' => Competency::Meter, 'safety' => Competency::Safety, 'verify' => Competency::Verification,
        'predicted' => Competency::Meter, 'live' => Competency::Safety,
        'explained' => Competency::Control, 'root' => Competency::Control,
        'sequence' => Competency::Control, 'proof' => Competency::Safety,
        'measured' => Competency::Meter, 'acted' => Competency::Safety, 'put_right' => Competency::Verification,
        'works' => Competency::Control, 'guards' => Competency::Safety, 'care' => Competency::Safety,
    ];

    /** @return list<Competency> what the lines of any job show, whatever had failed */
    public static function byEveryJob(): array
    {
        return array_values(array_unique(self::OF_A_LINE, SORT_REGULAR));
    }

    /** What finding a fault of a family shows; null when it says nothing of one. */
    public static function byFinding(string $family): ?Competency
    {
        return $family === self::WIRES ? Competency::Control : Family::tryFrom($family)?->competency();
    }

    /**
     * What the lines of a mark show, each as the mean share of its lines.
     *
     * @param array<string, float> $shares 0 to 1, by judged line; of those alone that weighed something
     * @param string $family of the fault
     * @return array<string, float> by competency
     */
    public static function by(array $shares, string $family): array
    {
        $by = [];
        $fault = self::byFinding($family);
        foreach ($shares as $line => $share) {
            $of = in_array($line, self::OF_THE_FAULT, true) ? $fault : self::OF_A_LINE[$line] ?? null;
            if ($of !== null) {
                $by[$of->value][] = $share;
            }
        }

        return array_map(fn (array $all) => array_sum($all) / count($all), $by);
    }
}
