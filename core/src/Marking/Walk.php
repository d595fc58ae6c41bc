<?php

declare(strict_types=1);

namespace OddSpark\Marking;

use OddSpark\Acts\Metering\Dial;
use OddSpark\Acts\Metering\LeaveLogger;
use OddSpark\Acts\Notes\ComeBack;
use OddSpark\Acts\Notes\NameFault;
use OddSpark\Acts\Quality;
use OddSpark\Bench\Outcome;
use OddSpark\Meter\Meter;
use OddSpark\Meter\Mode;
use OddSpark\Run\Memory;
use OddSpark\Suspects\BestReading;
use OddSpark\Suspects\Choice;
use OddSpark\Suspects\InformationGain;
use OddSpark\Suspects\Overnight;
use OddSpark\Suspects\Suspects;
use OddSpark\Suspects\Tracker;

/**
 * An attempt gone through entry by entry: what was known, what it told, what would have told more, how well it was
 * read.
 */
final readonly class Walk
{
    private const TOLD = 3;

    /** @param (\Closure(int, int): void)|null $progress called with entries done and of how many */
    public function __construct(
        private AttemptReview $review,
        private Tracker $tracker,
        private Memory $memory,
        private ?\Closure $progress,
    ) {}

    /** @return list<Step> by entry */
    public function steps(): array
    {
        $ranking = new BestReading($this->review->plan);
        $scrutiny = new ReadingTechnique($this->review->plan, $this->review->seen->visit, $this->memory);
        $before = $after = $best = $worth = $flaws = $watched = $nights = [];
        $on = ['meter' => null, 'sight' => null, 'logger' => null];
        foreach ($this->tracker->moments($this->review->seen) as $moment) {
            $now = $moment->suspects;
            if ($moment->isAfter) {
                $after[] = $now;
                if ($moment->entry >= 0) {
                    $act = $this->review->act($moment->entry);
                    $worth[$moment->entry] =
                        $act->is(Quality::Asks) || $act->name === Dial::NAME
                            ? self::worth($moment->shown, $before[$moment->entry]->weights)
                            : 0.0;
                }

                continue;
            }
            $i = $moment->entry;
            [$act, $outcome] = $this->review->seen->entries[$i];
            $before[$i] = $now;
            foreach ($this->tracker->fellByWatching() as $by => $fell) {
                if ($on[$by] !== null && $fell !== []) {
                    $watched[$on[$by]] =
                        ($watched[$on[$by]] ?? 0.0) + Suspects::bits($now->weights + $fell) - $now->entropy();
                }
            }
            $on = $this->watches($on, $i);
            $asks = (AttemptReview::isQuestion($act) || $act->name === NameFault::NAME) && $outcome->refused === null;
            $best[$i] =
                $asks && $now->entropy() > AttemptReview::SETTLED_BITS
                    ? $this->telling(
                        $ranking->rank(
                            $this->tracker->candidates(),
                            $now->weights,
                            4 * self::TOLD,
                            least: AttemptReview::SETTLED_BITS,
                        ),
                    )
                    : [];
            $flaws[$i] =
                $outcome->reading === null
                    ? []
                    : $scrutiny->of($act, $outcome->reading, $this->tracker->candidates(), $now->weights);
            if ($act->name === ComeBack::NAME && $outcome->refused === null) {
                $nights[$i] = $this->night($now);
            }
            $this->review->repairs->before($i, $act, $this->tracker->candidates());
            if ($this->progress !== null) {
                ($this->progress)($i, count($this->review->seen->entries));
            }
        }
        $this->review->repairs->end($this->tracker->candidates());
        $steps = [];
        foreach (array_keys($this->review->seen->entries) as $i) {
            if (
                isset($flaws[$i]['moment']) &&
                ($this->review->sound()[$i]->measured->exact ?? 0.0) >= ReadingTechnique::NOTHING_V
            ) {
                // a sound one would have shown it: it is the fault that keeps it away, not the moment
                unset($flaws[$i]['moment']);
            }
            $steps[] = new Step(
                $before[$i],
                $after[$i + 1],
                $best[$i],
                $worth[$i] ?? 0.0,
                $watched[$i] ?? 0.0,
                $flaws[$i],
                $nights[$i] ?? null,
            );
        }

        return $steps;
    }

    /** @return array{told: float, best: array{from: string, to: string, mode: Mode, bits: float}|null} */
    private function night(Suspects $now): array
    {
        $candidates = $this->tracker->candidates();
        [, $any] = reset($candidates) ?: [null, null];
        $overnight = new Overnight(
            $this->review->plan,
            $candidates,
            $now->weights,
            $any->logged ?? [],
            $any->loggerMode ?? Mode::VoltsAc,
        );

        return ['told' => $overnight->told(), 'best' => $overnight->best()];
    }

    /**
     * The entries by which the meter, the eyes, and a logger are on something from now on.
     *
     * @param array{meter: ?int, sight: ?int, logger: ?int} $on
     * @return array{meter: ?int, sight: ?int, logger: ?int}
     */
    private function watches(array $on, int $i): array
    {
        [$act, $outcome] = $this->review->seen->entries[$i];
        if ($outcome->refused !== null) {
            return $on;
        }
        if ($outcome->reading !== null && in_array($act->name, ['leads', 'read', 'dial'], true)) {
            $on['meter'] = $i;
        } elseif ($act->name === 'leads') {
            $on['meter'] = null;
        }

        return match ($act->name) {
            'look' => ['sight' => $i] + $on,
            LeaveLogger::NAME => ['logger' => $act->get('on') === [] ? null : $i] + $on,
            default => $on,
        };
    }

    /**
     * Bits that an act was expected to tell, from what each suspect would have shown.
     *
     * @param array<string, Outcome> $expected by suspect
     * @param array<string, float> $weights
     */
    private static function worth(array $expected, array $weights): float
    {
        $shows = $figures = $tolerances = [];
        foreach ($expected as $id => $outcome) {
            $key = json_encode([
                $outcome->refused,
                $outcome->seen,
                $outcome->measured === null ? null : is_nan($outcome->measured->exact),
            ]);
            if ($outcome->measured === null || is_nan($outcome->measured->exact)) {
                $shows[$key][] = $id;
            } else {
                $figures[$id] = $outcome->measured->exact;
                $tolerances[$id] = Meter::tolerance(
                    $outcome->measured->reading->mode,
                    $outcome->measured->exact,
                    $outcome->measured->reading->step,
                );
            }
        }

        return InformationGain::bits(
            [...array_values($shows), ...InformationGain::bins($figures, $tolerances)],
            $weights,
        );
    }

    /**
     * The three that would have told most, no two of them the same to a reader.
     *
     * @param list<Choice> $choices best first
     * @return list<Choice>
     */
    private function telling(array $choices): array
    {
        $best = [];
        foreach ($choices as $c) {
            if ($c->bits < AttemptReview::SETTLED_BITS || count($best) === self::TOLD) {
                break;
            }
            $best[$c->said($this->review->wording)] ??= $c;
        }

        return array_values($best);
    }
}
