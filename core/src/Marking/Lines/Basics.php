<?php

declare(strict_types=1);

namespace OddSpark\Marking\Lines;

use OddSpark\Acts\Act;
use OddSpark\Acts\Quality;
use OddSpark\Appliance\Kind;
use OddSpark\Appliance\Model;
use OddSpark\Appliance\Primitives;
use OddSpark\Marking\AttemptReview;
use OddSpark\Marking\Feeds;
use OddSpark\Marking\Line;
use OddSpark\Marking\Rules;
use OddSpark\Parts\Ability\Burns;
use OddSpark\Words\Words;

/** Supply, fuel, demand, and the lamp where the control has a code: proved before parts. */
final readonly class Basics implements Judge
{
    public function judge(AttemptReview $account, Rules $rules): Line
    {
        [$opened, $touched, $wiped] = [$this->opened($account), $this->touched($account), $this->wiped($account)];
        $done = [];
        $feeds = new Feeds($account->plan->model);
        $burned = $this->firstFire($account);
        $until = $account->knownAt() ?? PHP_INT_MAX;
        foreach (array_keys($account->seen->entries) as $i) {
            foreach (
                $account->outcome($i)->refused === null ? self::proves($account, $account->act($i)) : [] as $basic
            ) {
                $done[$basic] ??= $i;
            }
            if ($i >= $until) {
                continue; // what is read and seen to burn after the repair proved nothing before it
            }
            if ($feeds->shownBy($account->outcome($i)->reading) !== null) {
                $done['supply'] ??= $i; // proved by what it feeds
            }
            if ($burned !== null && $account->act($i)->tick >= $burned) {
                $done['fuel'] ??= $i; // seen to burn, or smelt
            }
        }
        asort($done);
        $share = 0.0;
        $why = [];
        $wanted = self::wanted($account);
        foreach ($wanted as $basic) {
            $at = $done[$basic] ?? null;
            if ($at === null) {
                $why[] = Line::say(Words::say('marking.basics.was_not_looked_at', ['basic' => ucfirst($basic)]));
            } elseif ($basic === 'lamp' && $wiped !== null && $at > $wiped) {
                $share += 0.5;
                $why[] = Line::say(
                    Words::say('marking.basics.the_lamp_was_read_only'),
                    $at,
                );
            } elseif (min($opened ?? PHP_INT_MAX, $touched ?? PHP_INT_MAX) < $at) {
                $share += 0.5;
                $why[] = Line::say(
                    Words::say('marking.basics.was_looked_at_only_after', ['basic' => ucfirst($basic)]),
                    $at,
                );
            } else {
                $share += 1.0;
            }
        }
        $share = $wanted === [] ? 1.0 : $share / count($wanted);
        $start = $rules->schools->way('start');
        $first = array_key_first($done);
        if (
            in_array($start === 'thermostat' ? 'demand' : $start, $wanted, true) &&
            $first !== null &&
            $first !== ($start === 'thermostat' ? 'demand' : $start)
        ) {
            $share *= 2 / 3;
            $why[] = Line::say(Words::say('marking.basics.these_rules_begin_with_the', [
                'start' => $start,
                'first' => $first,
            ]), $done[$first]);
        }

        return new Line(
            'basics',
            $share,
            $why === [] ? [Line::say(Words::say('marking.basics.were_proved_before_parts', [
                'wanted' => ucfirst(implode(', ', $wanted)),
            ]))] : $why,
        );
    }

    /** @return list<string> the basics that this appliance has */
    public static function wanted(AttemptReview $account): array
    {
        $there = [];
        $burns = $account->plan->model->household()->cool === [] || $account->plan->model->household()->heat !== [];
        foreach ($account->plan->model->parts() as $part) {
            $basic = self::basic($part->kind);
            if ($basic !== null && ($basic !== 'fuel' || $burns)) { // what cools asks for none
                $there[$basic] = true;
            }
            if ($part->kind->hasCode()) {
                $there['lamp'] = true;
            }
        }

        return array_values(array_filter(['supply', 'fuel', 'demand', 'lamp'], fn (string $b) => isset($there[$b])));
    }

    /** @return list<string> basics that an act proves or looks at */
    public static function proves(AttemptReview $account, Act $act): array
    {
        if ($act->name === 'ask') {
            return $act->get('question') === 'display' ? ['demand'] : [];
        }
        $parts = match ($act->name) {
            'look', 'clock' => [$act->get('part')],
            'set' => $account->kind($act->get('part'))?->isThermostat() === true ? [$act->get('part')] : [],
            'leads' => array_map(fn (?string $place) => $place === null ? '' : Model::split($place)[0], [
                $act->get('red'),
                $act->get('black'),
            ]),
            default => [],
        };
        $basics = [];
        foreach ($parts as $part) {
            $kind = $account->kind($part);
            $basics[] = $kind === null ? null : self::basic($kind);
            $basics[] = $act->name === 'look' && $kind?->hasCode() === true ? 'lamp' : null;
        }

        return array_values(array_unique(array_filter($basics)));
    }

    /** Which basic of the job the state of such a part is. */
    private static function basic(Kind $kind): ?string
    {
        return match (true) {
            $kind->isSupply() => 'supply',
            $kind->isFuelSupply() => 'fuel',
            $kind->isThermostat() => 'demand',
            default => null,
        };
    }

    /** Tick at which fuel was first seen to burn, or smelt unburnt. */
    private function firstFire(AttemptReview $account): ?int
    {
        $first = null;
        foreach ($account->seen->perceived as $channel => $stretches) {
            $of = $account->plan->percepts[$channel]['of'] ?? '';
            $type = $account->plan->primitives[$of]['type'] ?? '';
            if (! is_a(Primitives::TYPES[$type] ?? '', Burns::class, true)) {
                continue;
            }
            foreach ($stretches as [$from, , $value]) {
                if ($value !== '') {
                    $first = min($first ?? $from, $from);
                    break;
                }
            }
        }

        return $first;
    }

    private function opened(AttemptReview $account): ?int
    {
        foreach ($account->entries(['door']) as $i) {
            if ($account->act($i)->get('to') === 'open') {
                return $i;
            }
        }

        return null;
    }

    /** The first act on a part that is none of the basics. */
    private function touched(AttemptReview $account): ?int
    {
        foreach ($account->entriesThat(Quality::Touches) as $i) {
            if (self::proves($account, $account->act($i)) === []) {
                return $i;
            }
        }

        return null;
    }

    /** The first reset or power cycle. */
    private function wiped(AttemptReview $account): ?int
    {
        foreach ($account->entries(['reset', 'set']) as $i) {
            $act = $account->act($i);
            if (
                $act->name === 'reset' ||
                ($account->kind($act->get('part'))?->isSupply() === true && $act->get('to') === 'off')
            ) {
                return $i;
            }
        }

        return null;
    }
}
