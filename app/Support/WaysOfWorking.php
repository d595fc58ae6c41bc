<?php

namespace App\Support;

use App\Models\Assignment;
use OddSpark\Appliance\Model;
use OddSpark\Faults\Fault;
use OddSpark\Faults\FaultSet;

/** Ways in which the trainees of the demo work at a job. */
trait WaysOfWorking
{
    /**
     * @return list<array<string, mixed>> acts: of one who traces, of one who looks and guesses, of one who changes
     *     parts
     */
    private function acts(Assignment $job, Model $model, int $way): array
    {
        $part = FaultSet::of($model)->get($job->fault)->part;
        $kind = fn (string $id) => $model->document['kinds'][collect(
            $model->document['parts'],
        )->firstWhere('id', $id)['kind']];
        [$a, $b] = array_map(
            fn (string $t) => "$part.$t",
            array_slice(array_map(strval(...), array_keys($kind($part)['terminals'])), 0, 2),
        );
        $all = array_column($model->document['parts'], 'id');
        $other = $all[(array_search($part, $all, true) + 5) % count($all)];
        $acts = match ($way) {
            2 => [
                [
                    'act' => 'look',
                    'part' => $all[0],
                ], ['act' => 'look', 'part' => $all[1]], ['act' => 'look', 'part' => $all[2]],
                ['act' => 'door', 'to' => 'open'], ['act' => 'hold', 'to' => 'held'], [
                    'act' => 'look',
                    'part' => $part,
                ],
                ['act' => 'leads', 'red' => $a, 'black' => $b], ['act' => 'meant', 'meaning' => 'bad'],
                ['act' => 'name', 'fault' => $job->fault], ['act' => 'hold', 'to' => 'released'],
                ['act' => 'leads', 'red' => null, 'black' => null],
                [
                    'act' => 'mend',
                    'part' => $part,
                    'how' => 'replace',
                ], ['act' => 'door', 'to' => 'shut'], ['at' => 130, 'act' => 'hand_back'],
            ],
            1 => [
                [
                    'act' => 'look',
                    'part' => $all[0],
                ], ['act' => 'door', 'to' => 'open'], ['act' => 'look', 'part' => $part],
                ['act' => 'name', 'fault' => $job->fault], ['act' => 'mend', 'part' => $part, 'how' => 'replace'],
                ['act' => 'door', 'to' => 'shut'], ['at' => 40, 'act' => 'hand_back'],
            ],
            default => [
                ['act' => 'door', 'to' => 'open'], ['act' => 'hold', 'to' => 'held'], [
                    'act' => 'leads',
                    'red' => $a,
                    'black' => $b,
                ],
                [
                    'act' => 'mend',
                    'part' => $other,
                    'how' => 'replace',
                ], ['act' => 'mend', 'part' => $part, 'how' => 'replace'],
                ['act' => 'hand_back'],
            ],
        };
        $at = 3;
        foreach ($acts as $i => $act) {
            $at += 7 + ($act['at'] ?? 0);
            unset($act['at']);
            $acts[$i] = ['at_s' => $at] + $act;
        }

        return $acts;
    }

    /** One that is found often, of a part with terminals, by a seed. */
    private function fault(Model $model, int $seed): string
    {
        $parts = array_filter(
            $model->document['parts'],
            fn (array $p) => count($model->document['kinds'][$p['kind']]['terminals']) >= 2,
        );
        $ids = array_column($parts, 'id');
        $faults = array_values(
            array_filter(
                FaultSet::of($model)->faults,
                fn (Fault $f) => $f->id !== Fault::HEALTHY && $f->members === [] && in_array($f->part, $ids, true),
            ),
        );
        usort($faults, fn (Fault $a, Fault $b) => $b->weight <=> $a->weight ?: strcmp($a->id, $b->id));

        return $faults[($seed * 7) % min(24, count($faults))]->id;
    }
}
