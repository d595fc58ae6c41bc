<?php

declare(strict_types=1);

namespace OddSpark\Predicting;

use OddSpark\Meter\Closeness;
use OddSpark\Meter\Mode;
use OddSpark\Suspects\UsualPairs;

/**
 * Which readings are worth asking for: above all those of which a usual mistake would say something else, at several
 * moments, of several parts, some with volts and some without.
 *
 * @phpstan-type Offer array{asked: AskedReading, answer: Answer, mistakes: list<string>, nothing: bool, parts: list<string>}
 */
final readonly class Proposal
{
    /** Moments that are gone through, and pairs at each. */
    private const MOMENTS = 6;

    private const PAIRS = 40;

    /** Less DC than this beside a circuit of AC is none. */
    private const NO_DC_V = 0.02;

    /** What a reading is worth for a mistake that none asked for yet would show, and for one that another would. */
    private const NEW = 3.0;

    private const AGAIN = 0.4;

    /** What it loses for a part, a moment, and a kind of answer that is asked for already. */
    private const SAME_PART = 2.0;

    private const SAME_PAIR = 8.0;

    private const SAME_MOMENT = 1.0;

    private const SAME_ANSWER = 0.8;

    public function __construct(private Judge $judge) {}

    /**
     * @param int $seed another gives another choice
     * @return list<Answer> to what is asked, in the order of its moments; fewer where there is less to ask
     */
    public function of(int $count, int $seed): array
    {
        $offers = $this->offers($seed);
        $chosen = $parts = $pairs = $moments = $mistakes = [];
        $answers = [0, 0];
        while (count($chosen) < $count && $offers !== []) {
            $best = null;
            foreach ($offers as $i => $o) {
                $pair = "{$o['asked']->red} {$o['asked']->black}";
                $worth = -self::SAME_PAIR * ($pairs[$pair] ?? 0) -
                    self::SAME_MOMENT * ($moments[$o['asked']->tick] ?? 0) -
                    self::SAME_ANSWER * $answers[(int) $o['nothing']];
                foreach ($o['mistakes'] as $id) {
                    $worth += isset($mistakes[$id]) ? self::AGAIN : self::NEW;
                }
                foreach ($o['parts'] as $part) {
                    $worth -= self::SAME_PART * ($parts[$part] ?? 0);
                }
                if ($best === null || $worth > $best[0]) {
                    $best = [$worth, $i];
                }
            }
            $taken = $offers[$best[1]];
            unset($offers[$best[1]]);
            $chosen[] = $taken['answer'];
            $pair = "{$taken['asked']->red} {$taken['asked']->black}";
            $pairs[$pair] = ($pairs[$pair] ?? 0) + 1;
            $moments[$taken['asked']->tick] = ($moments[$taken['asked']->tick] ?? 0) + 1;
            $answers[(int) $taken['nothing']]++;
            $mistakes += array_fill_keys($taken['mistakes'], true);
            foreach ($taken['parts'] as $part) {
                $parts[$part] = ($parts[$part] ?? 0) + 1;
            }
        }
        usort($chosen, fn (Answer $x, Answer $y) => $x->asked->tick <=> $y->asked->tick);

        return $chosen;
    }

    /** @return list<Offer> */
    private function offers(int $seed): array
    {
        $now = $this->judge->now;
        $order = fn (string $of): int => crc32("$seed $of");
        $model = $now->plan->model;
        $usual = UsualPairs::of($model);
        $pairs = array_filter(
            $usual->pairs(),
            fn (array $p): bool => ! $usual->isOneConductor(...$p) && $this->isAsked($p[0]) && $this->isAsked($p[1]),
        );
        usort($pairs, fn (array $x, array $y) => $order(implode(' ', $x)) <=> $order(implode(' ', $y)));
        $ticks = array_keys($now->titles);
        usort($ticks, fn (int $x, int $y) => $order((string) $x) <=> $order((string) $y));
        $offers = [];
        foreach (array_slice($ticks, 0, self::MOMENTS) as $tick) {
            foreach (array_slice($pairs, 0, self::PAIRS) as [$red, $black]) {
                $offer = $this->offer($tick, $red, $black);
                if ($offer !== null) {
                    $offers[] = $offer;
                }
            }
        }

        return $offers;
    }

    /** Whether one says what is at a place: a terminal of a circuit; no frame, nor what only starts a motor. */
    private function isAsked(string $place): bool
    {
        $now = $this->judge->now;
        $model = $now->plan->model;
        if ($model->isWireEnd($place) || $model->part($model->partAt($place))?->inVan !== false) {
            return false;
        }
        $net = $now->nets->root($place);
        foreach ($now->nets->grounds() as $ground) {
            if ($now->nets->root($ground['place']) === $net) {
                return false;
            }
        }
        foreach ($now->nets->supplies() as $supply) {
            if (in_array($net, [$now->nets->root($supply['hot']), $now->nets->root($supply['return'])], true)) {
                return true;
            }
        }
        foreach ($now->nets->elements() as $e) {
            if (in_array($net, [$now->nets->root($e['a']), $now->nets->root($e['b'])], true)) {
                return true;
            }
        }

        return false;
    }

    /** @return Offer|null null where there is nothing worth asking */
    private function offer(int $tick, string $red, string $black): ?array
    {
        $standing = $this->judge->now->at[$tick];
        $ac = $standing->reads(Mode::VoltsAc, $red, $black);
        $dc = abs($standing->reads(Mode::VoltsDc, $red, $black));
        $mode = match (true) {
            $ac >= Closeness::NOTHING_V || $dc < self::NO_DC_V && $this->isFedAc() => Mode::VoltsAc,
            $dc < 1.0 => Mode::Millivolts,
            default => Mode::VoltsDc,
        };
        $asked = new AskedReading($tick, $mode, $red, $black);
        $exact = $standing->reads($mode, $red, $black);
        $isNothing = Closeness::isNothing($mode, $exact);
        if (! $isNothing && ! $this->isSayable($mode, $exact) || $standing->isStray($mode, $red, $black)) {
            return null;
        }
        $model = $this->judge->now->plan->model;
        $answer = $this->judge->answer($asked);

        return [
            'asked' => $asked,
            'answer' => $answer,
            'mistakes' => $answer->leadingElsewhere(),
            'nothing' => $isNothing,
            'parts' => array_values(array_unique([$model->partAt($red), $model->partAt($black)])),
        ];
    }

    /** Whether one can say it without a bench: what something is fed with, and not what windings induce. */
    private function isSayable(Mode $mode, float $exact): bool
    {
        $volts = array_column($this->judge->now->nets->supplies(), 'volts');

        return $mode === Mode::Millivolts ||
            array_filter($volts, fn (float $v): bool => Closeness::isNear($mode, $v, $exact)) !== [];
    }

    private function isFedAc(): bool
    {
        $classes = array_column($this->judge->now->nets->supplies(), 'class');

        return array_intersect($classes, ['line', 'control']) !== [];
    }
}
