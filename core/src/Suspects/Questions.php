<?php

declare(strict_types=1);

namespace OddSpark\Suspects;

use OddSpark\Acts\Catalogue;
use OddSpark\Appliance\Part;
use OddSpark\Instruments\Bag;
use OddSpark\Meter\Meter;
use OddSpark\Meter\Mode;

/**
 * All that can be asked over a {@see Trial}: looks, what hands find, volts of every pair at every moment, ohms with the
 * power off, taps, what is seen and heard when, and when it begins. Of questions that part the suspects in the same way
 * the cheapest is kept.
 */
final class Questions
{
    /** Share of its bits that counts for what is asked after everything was tapped. */
    private const TAPPED = 0.6;

    /** Share of its bits that counts for what no technician would read: between no pair, or by hundredths of a volt. */
    private const UNUSUAL = 0.1;

    /** Share of a phase that passes on the average until what is watched for has come. */
    private const WATCHED = 0.5;

    /** What hands find: as it is said, and how often the act is done for it (off, and on again). */
    private const BY_HAND = [
        'take' => ['a look at %s, taken off', 2],
        'feel' => ['a hand on %s, on arrival', 1],
        'turn' => ['%s turned by hand', 1],
    ];

    /** @var array<string, Question> by how they part all suspects */
    private array $kept = [];

    public int $asked = 0;

    /** Volts that are no further apart than this read the same, whatever they are. */
    private ?float $near = null;

    private readonly UsualPairs $usual;

    private function __construct(private readonly Evidence $evidence)
    {
        $this->usual = UsualPairs::of($evidence->plan->model);
    }

    /** @return array{list<Question>, int} those that part anything, and how many there were */
    public static function of(Evidence $evidence): array
    {
        $q = new self($evidence);
        $q->looks();
        $q->hands();
        $q->perceived();
        $q->volts();
        $q->most();
        $q->ohms();
        $q->taps();

        return [array_values($q->kept), $q->asked];
    }

    private function keep(Question $question): void
    {
        $this->asked++;
        $suspects = $question->askable();
        $bins = $question->split($suspects);
        if (count($bins) < 2) {
            return;
        }
        $bin = [];
        foreach ($bins as $i => $ids) {
            foreach ($ids as $id) {
                $bin[$id] = $i;
            }
        }
        $numbers = []; // bins in the order in which the suspects come to them
        $key = pack('n', count($suspects));
        foreach ($suspects as $id) {
            $key .= chr($numbers[$bin[$id]] ??= count($numbers));
        }
        $key = md5($key);
        if (! isset($this->kept[$key]) || $this->kept[$key]->minutes > $question->minutes) {
            $this->kept[$key] = $question;
        }
    }

    /**
     * A reading of volts as a technician takes it, to whom less than a volt is nothing; and for where that does not
     * tell any more, the same told by hundredths.
     *
     * @param array<int, float> $volts by group of suspects that show the same
     * @param list<int> $groups by suspect
     * @param callable(list<float>): Question $ask
     */
    private function keepVolts(array $volts, array $groups, callable $ask): void
    {
        $this->near ??= 2 * Meter::tolerance(Mode::VoltsAc, 0.0);
        [$least, $most] = [min($volts), max($volts)];
        if ($most - $least <= $this->near && ($least >= UsualPairs::DROP_V || $most < UsualPairs::DROP_V)) {
            $this->asked += 2;

            return; // no meter tells any of them from another
        }
        $plain = array_map(fn (float $v): float => $v < UsualPairs::DROP_V ? 0.0 : $v, $volts);
        $this->keep($ask(array_map(fn (int $group) => $plain[$group], $groups)));
        $hundredths = array_filter($volts, fn (float $v) => $v < UsualPairs::DROP_V);
        if ($hundredths === [] || max($hundredths) - min($hundredths) <= $this->near / 2) {
            $this->asked++;

            return; // they part nobody
        }
        $this->keep($ask(array_map(fn (int $group) => $volts[$group], $groups))->counting(self::UNUSUAL));
    }

    private function handy(int $tick): float
    {
        return $this->evidence->trial->isTapped($tick) ? self::TAPPED : 1.0;
    }

    /** The same of a reading between two places: what no technician would read is for when nothing else tells. */
    private function handyAt(int $tick, string $red, string $black): float
    {
        return $this->handy($tick) * ($this->usual->isUsual($red, $black) ? 1.0 : self::UNUSUAL);
    }

    private function looks(): void
    {
        $model = $this->evidence->plan->model;
        $all = array_map(fn (Part $p): string => $p->label, $model->parts());
        foreach ($model->wires() as $wire) {
            $all[$wire->id] = "the {$wire->colour} wire from {$model->placeName($wire->from)} to {$model->placeName(
                $wire->to,
            )}";
        }
        foreach ($all as $id => $label) {
            $values = [];
            foreach ($this->evidence->of as $shown) {
                $seen = $shown['looks'][$id] ?? [];
                $values[] = implode(
                    '; ',
                    array_map(
                        fn (string $what, string $word) => $what === 'condition' ? $word : "$what $word",
                        array_keys($seen),
                        $seen,
                    ),
                );
            }
            $this->keep(
                new Question(
                    'look',
                    "a look at {$label}, on arrival",
                    [(string) $id],
                    Catalogue::minutes('look'),
                    $values,
                ),
            );
        }
    }

    private function hands(): void
    {
        foreach ($this->evidence->plan->model->parts() as $id => $part) {
            foreach ($part->inVan ? [] : self::BY_HAND as $act => [$text, $before]) {
                $values = [];
                foreach ($this->evidence->of as $shown) {
                    $values[] = $shown['hands'][$id][$act] ?? '';
                }
                $minutes = Catalogue::minutes($act) * $before + Catalogue::minutes('look');
                $this->keep(new Question('hand', sprintf($text, $part->label), [(string) $id], $minutes, $values));
            }
        }
    }

    private function perceived(): void
    {
        $comparison = $this->evidence->comparison();
        foreach ($this->evidence->plan->percepts as $channel => $percept) {
            if (in_array($percept['from'], ['look', 'off'], true)) {
                continue;
            }
            foreach ($this->evidence->trial->moments() as $tick => $when) {
                $values = [];
                foreach ($this->evidence->of as $id => $_) {
                    $class = $this->evidence->at($id, $channel, $tick) ?? '';
                    $values[] = $percept['say'][$class] ?? $class;
                }
                $this->keep(
                    new Question(
                        'perceived',
                        "{$percept['thing']}, $when",
                        [$channel],
                        Catalogue::minutes('listen') + $this->evidence->trial->waited($tick),
                        $values,
                        tick: $tick,
                        handy: $this->handy($tick),
                    ),
                );
            }
            foreach ($this->evidence->trial->spans() as [$begins, $ends, $title]) {
                $first = $last = [];
                foreach ($this->evidence->of as $id => $shown) {
                    $changes = [];
                    foreach ($shown['record'][$channel] ?? [] as [$from, $to, $value]) {
                        if ($from > $begins && $from < $ends && $to - $from >= Evidence::CAUGHT_TICKS) {
                            $changes[] = (float) $from;
                        }
                    }
                    $first[] = $changes[0] ?? INF;
                    $last[] = $changes === [] ? INF : end($changes);
                }
                $minutes = Catalogue::minutes('listen') + self::WATCHED * ($ends - $begins) / 60_000;
                $this->keep(
                    new Question(
                        'first',
                        "when {$percept['thing']} first changes, $title",
                        [$channel],
                        $minutes,
                        $first,
                        clock: $comparison,
                        tick: $begins,
                        handy: $this->handy($begins),
                    ),
                );
                $this->keep(
                    new Question(
                        'last',
                        "when {$percept['thing']} changes for the last time, $title",
                        [$channel],
                        $minutes,
                        $last,
                        clock: $comparison,
                        tick: $begins,
                        handy: $this->handy($begins),
                    ),
                );
            }
        }
    }

    private function volts(): void
    {
        $evidence = $this->evidence;
        $model = $evidence->plan->model;
        foreach ($evidence->trial->moments() as $tick => $when) {
            $circuits = [];
            foreach ($evidence->of as $id => $_) {
                $circuits[] = (int) $evidence->at($id, 'circuit', $tick);
            }
            $met = array_unique($circuits);
            $nodes = [];
            foreach ($evidence->pairs as $i => [$a, $b]) {
                $pair = $evidence->plan->places[$a].'-'.$evidence->plan->places[$b];
                if (count($met) < 2 || isset($nodes[$pair])) {
                    $this->asked++;

                    continue;
                }
                $nodes[$pair] = true;
                $volts = [];
                foreach ($met as $circuit) {
                    $volts[$circuit] = $evidence->volts[$circuit][$i];
                }
                $this->keepVolts($volts, $circuits, fn (array $values) => new Question(
                    'volts',
                    sprintf('volts from %s to %s, %s', $model->placeName($a), $model->placeName($b), $when),
                    [$a, $b],
                    Catalogue::minutes('leads') + $evidence->trial->waited($tick),
                    $values,
                    Mode::VoltsAc,
                    tick: $tick,
                    handy: $this->handyAt($tick, $a, $b),
                ));
            }
        }
    }

    /** The most that a meter which keeps it shows over a phase: what stands for some seconds only is caught so. */
    private function most(): void
    {
        $evidence = $this->evidence;
        $model = $evidence->plan->model;
        foreach ($evidence->trial->spans() as [$from, $to, $title]) {
            $groups = $known = $met = []; // suspects that meet the same circuits are one group
            foreach ($evidence->of as $shown) {
                $circuits = [];
                foreach ($shown['record']['circuit'] as [$f, $t, $circuit]) {
                    if (min($t, $to) - max($f, $from) >= Evidence::CAUGHT_TICKS) {
                        $circuits[$circuit] = $circuit;
                    }
                }
                sort($circuits);
                $groups[] = $group = $known[implode(' ', $circuits)] ??= count($known);
                $met[$group] = $circuits;
            }
            $nodes = [];
            foreach ($evidence->pairs as $i => [$a, $b]) {
                $pair = $evidence->plan->places[$a].'-'.$evidence->plan->places[$b];
                if (isset($nodes[$pair])) {
                    continue;
                }
                $nodes[$pair] = true;
                $volts = [];
                foreach ($met as $group => $circuits) {
                    $most = 0.0;
                    foreach ($circuits as $circuit) {
                        $most = max($most, $evidence->volts[$circuit][$i]);
                    }
                    $volts[$group] = $most;
                }
                $this->keepVolts($volts, $groups, fn (array $values) => new Question(
                    'most',
                    sprintf('the most volts from %s to %s, %s', $model->placeName($a), $model->placeName($b), $title),
                    [$a, $b],
                    2 * Catalogue::minutes('leads') + self::WATCHED * ($to - $from) / 60_000,
                    $values,
                    Mode::VoltsAc,
                    tick: $from,
                    handy: $this->handyAt($from, $a, $b),
                ));
            }
        }
    }

    private function ohms(): void
    {
        $model = $this->evidence->plan->model;
        foreach ($this->evidence->freed as $i => [$a, $b, $of]) {
            $values = array_map(fn (array $shown) => $shown['ohms'][$i], array_values($this->evidence->of));
            $text =
                ($wire = $model->wire($of)) !== null
                    ? "$wire->colour wire from {$model->placeName($wire->from)} to {$model->placeName($wire->to)}"
                    : "{$model->placeName($a)} to {$model->placeName($b)}";
            $this->keep(
                new Question(
                    'ohms',
                    "ohms of $text, lifted, power off",
                    [$a, $b],
                    Catalogue::minutes('lift') + Catalogue::minutes('leads'),
                    $values,
                    Mode::Ohms,
                    handy: $wire !== null || $this->usual->isUsual($a, $b) ? 1.0 : self::UNUSUAL,
                ),
            );
        }
    }

    private function taps(): void
    {
        $taps = $this->evidence->plan->model->taps();
        foreach ($taps as $tap => $at) {
            foreach ($this->evidence->trial->moments() as $tick => $when) {
                $values = array_map(
                    fn (array $shown) => $shown['taps']["$tap $tick"],
                    array_values($this->evidence->of),
                );
                $instrument = Bag::atTap($at->instrument, $this->evidence->plan->model->region() === 'EU');
                $this->keep(
                    new Question(
                        'tap',
                        lcfirst($instrument::TITLE)." at the $at->label, $when",
                        [(string) $tap],
                        $instrument::MINUTES + $this->evidence->trial->waited($tick),
                        $values,
                        $instrument,
                        tick: $tick,
                        handy: $this->handy($tick),
                    ),
                );
            }
        }
    }
}
