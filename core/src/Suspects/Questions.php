<?php

declare(strict_types=1);

namespace OddSpark\Suspects;

use OddSpark\Acts\Catalogue;
use OddSpark\Appliance\Part;
use OddSpark\Instruments\Bag;
use OddSpark\Words\Words;

/**
 * All that can be asked over a {@see Trial}: looks, what hands find, volts of every pair at every moment, ohms with the
 * power off, taps, what is seen and heard when, and when it begins. Of questions that part the suspects in the same way
 * the cheapest is kept.
 */
final class Questions
{
    /** Share of its bits that counts for what is asked after everything was tapped. */
    public const TAPPED = 0.6;

    /** Share of its bits that counts for what no technician would read: between no pair, or by hundredths of a volt. */
    public const UNUSUAL = 0.1;

    /** Share of a phase that passes on the average until what is watched for has come. */
    public const WATCHED = 0.5;

    /** What hands find: how often the act is done for it (off, and on again). */
    private const BY_HAND = [
        'take' => 2,
        'feel' => 1,
        'turn' => 1,
    ];

    /** @var array<string, Question> by how they part all suspects */
    private array $kept = [];

    public int $asked = 0;

    private readonly UsualPairs $usual;

    private readonly VoltReadings $volts;

    private function __construct(private readonly Evidence $evidence)
    {
        $this->usual = UsualPairs::of($evidence->plan->model);
        $this->volts = new VoltReadings($evidence, $this->usual);
    }

    /** All of an evidence, but for volts by hundredths: {@see hundredths}. */
    public static function of(Evidence $evidence): self
    {
        $q = new self($evidence);
        $q->looks();
        $q->hands();
        $q->perceived();
        $q->asked += $q->volts->count();
        foreach ($q->volts->asked() as $question) {
            $q->keep($question, 0);
        }
        foreach ((new OhmReadings($evidence, $q->usual))->asked() as $question) {
            $q->keep($question);
        }
        $q->taps();

        return $q;
    }

    /** @return list<Question> those that part anything */
    public function all(): array
    {
        return array_values($this->kept);
    }

    /** @param int $more questions that it stands for, among those that were asked */
    private function keep(Question $question, int $more = 1): void
    {
        $this->asked += $more;
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
     * {@see VoltReadings::hundredths()}
     *
     * @param list<int> $of
     * @param list<float> $weights
     * @return list<Question>
     */
    public function hundredths(array $of, array $weights): array
    {
        return $this->volts->hundredths($of, $weights);
    }

    private function handy(int $tick): float
    {
        return $this->evidence->trial->isTapped($tick) ? self::TAPPED : 1.0;
    }

    private function looks(): void
    {
        $model = $this->evidence->plan->model;
        $all = array_map(fn (Part $p): string => $p->label, $model->parts());
        foreach ($model->wires() as $wire) {
            $all[$wire->id] = Words::say('suspects.questions.the_wire_from_to', [
                'colour' => $wire->colour,
                'place_name' => $model->placeName($wire->from),
                'place_name_2' => $model->placeName(
                    $wire->to,
                ),
            ]);
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
                    Words::say('suspects.questions.a_look_at_on_arrival', ['label' => $label]),
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
            foreach ($part->inVan ? [] : self::BY_HAND as $act => $before) {
                $values = [];
                foreach ($this->evidence->of as $shown) {
                    $values[] = $shown['hands'][$id][$act] ?? '';
                }
                $minutes = Catalogue::minutes($act) * $before + Catalogue::minutes('look');
                $this->keep(new Question(
                    'hand',
                    Words::say("suspects.questions.by_hand.$act", ['part' => $part->label]),
                    [(string) $id],
                    $minutes,
                    $values,
                ));
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
                        Words::say('suspects.questions.when_first_changes', [
                            'thing' => $percept['thing'],
                            'title' => $title,
                        ]),
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
                        Words::say('suspects.questions.when_changes_for_the_last', [
                            'thing' => $percept['thing'],
                            'title' => $title,
                        ]),
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
                        Words::say('suspects.questions.at_the', [
                            'title' => lcfirst($instrument::title()),
                            'at' => $at->label,
                            'when' => $when,
                        ]),
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
