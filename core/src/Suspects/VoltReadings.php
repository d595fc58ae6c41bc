<?php

declare(strict_types=1);

namespace OddSpark\Suspects;

use OddSpark\Acts\Catalogue;
use OddSpark\Meter\Meter;
use OddSpark\Meter\Mode;
use OddSpark\Words\Words;

/**
 * Volts between every two places at every moment of a {@see Trial}, and the most of them over every phase, as
 * questions.
 */
final class VoltReadings
{
    /** Of readings by hundredths so many are weighed. */
    private const FINEST = 12;

    /** Volts that are no further apart than this read the same, whatever they are. */
    private readonly float $near;

    /**
     * @var list<array{list<int>, array<int, list<float>>, int, int, string}> when volts are read: groups by suspect,
     *     volts of every pair by group, from when to when, and how that is said
     */
    private array $readings = [];

    /** @var array<int, array{string, string}> pairs that are asked of, by their number in the evidence */
    private array $pairs = [];

    public function __construct(private readonly Evidence $evidence, private readonly UsualPairs $usual)
    {
        $this->near = 2 * Meter::tolerance(Mode::VoltsAc, 0.0);
        $this->gather();
    }

    /**
     * A reading of volts as a technician takes it, to whom less than a volt is nothing.
     *
     * @param int $r which of {@see $readings}
     * @param int $i which pair
     */
    private function plain(int $r, int $i): ?Question
    {
        [$groups, $rows] = $this->readings[$r];
        $least = INF;
        $most = 0.0;
        $plain = [];
        foreach ($rows as $group => $row) {
            $v = $row[$i];
            $plain[$group] = $v = $v < UsualPairs::DROP_V ? 0.0 : $v;
            $least = $v < $least ? $v : $least;
            $most = $v > $most ? $v : $most;
        }

        // else no meter tells any of them from another
        return $most - $least > $this->near ? $this->ask($r, $i, $plain, $groups) : null;
    }

    /**
     * Volts read to the hundredth, for suspects that nothing parts which a technician would go by: the most telling.
     *
     * @param list<int> $of
     * @param list<float> $weights by suspect
     * @return list<Question>
     */
    public function hundredths(array $of, array $weights): array
    {
        $found = [];
        foreach ($this->readings as $r => [$groups, $rows]) {
            $shares = [];
            foreach ($of as $i) {
                $shares[$groups[$i]] = ($shares[$groups[$i]] ?? 0.0) + $weights[$i];
            }
            if (count($shares) < 2) {
                continue;
            }
            foreach ($this->pairs as $i => $_) {
                $volts = [];
                foreach ($shares as $group => $share) {
                    $volts[$group] = $rows[$group][$i];
                }
                $bits = max($volts) - min($volts) <= $this->near ? 0.0 : $this->bits($volts, $shares);
                if ($bits > 0.0) {
                    $found[] = [$bits * $this->ask($r, $i, [0.0], [0])->handiness(), $r, $i];
                }
            }
        }
        usort($found, fn (array $a, array $b) => $b[0] <=> $a[0]);

        return array_map(function (array $one): Question {
            [, $r, $i] = $one;
            [$groups, $rows] = $this->readings[$r];
            $volts = array_map(fn (array $row) => $row[$i], $rows);

            return $this->ask($r, $i, $volts, $groups)->counting(Questions::UNUSUAL);
        }, array_slice($found, 0, self::FINEST));
    }

    /**
     * @param non-empty-array<int, float> $volts by group
     * @param array<int, float> $shares weight by group
     */
    private function bits(array $volts, array $shares): float
    {
        $tolerance = array_map(fn (float $v) => Meter::tolerance(Mode::VoltsAc, $v), $volts);
        $bins = InformationGain::bins($volts, $tolerance);

        return count($bins) < 2 ? 0.0 : InformationGain::bits($bins, $shares);
    }

    /** How many there are: every pair at every moment, and over every phase. */
    public function count(): int
    {
        return count($this->readings) * count($this->pairs);
    }

    /** @return iterable<Question> those that part any suspects, as a technician reads volts */
    public function asked(): iterable
    {
        foreach (array_keys($this->readings) as $r) {
            foreach (array_keys($this->pairs) as $i) {
                $question = $this->plain($r, $i);
                if ($question !== null) {
                    yield $question;
                }
            }
        }
    }

    /**
     * When volts are read: at the moments, and the most that a meter which keeps it shows over a phase, for what stands
     * for some seconds only is caught so. Suspects with the same circuits are one group.
     */
    private function gather(): void
    {
        foreach ($this->evidence->trial->moments() as $tick => $when) {
            $groups = $rows = [];
            foreach ($this->evidence->of as $id => $_) {
                $groups[] = $circuit = (int) $this->evidence->at($id, 'circuit', $tick);
                $rows[$circuit] = $this->evidence->volts[$circuit];
            }
            $this->readings[] = [$groups, $rows, $tick, $tick, $when];
        }
        foreach ($this->evidence->trial->spans() as [$from, $to, $title]) {
            $groups = $known = $rows = [];
            foreach ($this->evidence->of as $shown) {
                $circuits = [];
                foreach ($shown['record']['circuit'] as [$f, $t, $circuit]) {
                    if (min($t, $to) - max($f, $from) >= Evidence::CAUGHT_TICKS) {
                        $circuits[$circuit] = $circuit;
                    }
                }
                sort($circuits);
                $groups[] = $group = $known[implode(' ', $circuits)] ??= count($known);
                $rows[$group] ??= $this->mostOf($circuits);
            }
            $this->readings[] = [$groups, $rows, $from, $to, $title];
        }
        $nodes = [];
        foreach ($this->evidence->pairs as $i => [$a, $b]) { // what is one and the same to a meter is asked once
            $nodes[$this->evidence->plan->places[$a].'-'.$this->evidence->plan->places[$b]] ??= $i;
        }
        foreach ($nodes as $i) {
            $this->pairs[$i] = $this->evidence->pairs[$i];
        }
    }

    /**
     * The most of every pair in any of some circuits.
     *
     * @param list<int> $circuits
     * @return list<float>
     */
    private function mostOf(array $circuits): array
    {
        $most = array_fill(0, count($this->evidence->pairs), 0.0);
        foreach ($circuits as $circuit) {
            foreach ($this->evidence->volts[$circuit] as $i => $v) {
                if ($v > $most[$i]) {
                    $most[$i] = $v;
                }
            }
        }

        return $most;
    }

    /**
     * @param int $r which of {@see $readings}
     * @param int $i which pair
     * @param array<int, float> $volts by group
     * @param list<int> $groups by suspect
     */
    private function ask(int $r, int $i, array $volts, array $groups): Question
    {
        [, , $from, $to, $when] = $this->readings[$r];
        [$a, $b] = $this->pairs[$i];
        $model = $this->evidence->plan->model;
        $isMost = $to > $from;
        $leads = Catalogue::minutes('leads');

        return new Question(
            $isMost ? 'most' : 'volts',
            Words::say($isMost ? 'suspects.volt_readings.most' : 'suspects.volt_readings.volts', [
                'from' => $model->placeName($a),
                'to' => $model->placeName($b),
                'when' => $when,
            ]),
            [$a, $b],
            $isMost
                ? 2 * $leads + Questions::WATCHED * ($to - $from) / 60_000
                : $leads + $this->evidence->trial->waited($from),
            array_map(fn (int $group) => $volts[$group], $groups),
            Mode::VoltsAc,
            tick: $from,
            handy: ($this->evidence->trial->isTapped($from) ? Questions::TAPPED : 1.0)
                * ($this->usual->isUsual($a, $b) ? 1.0 : Questions::UNUSUAL),
        );
    }
}
