<?php

declare(strict_types=1);

namespace OddSpark\Tests\Trade;

use OddSpark\Appliance\Library;
use OddSpark\Bench\Bench;
use OddSpark\Faults\Fault;
use OddSpark\Faults\FaultSet;
use OddSpark\Meter\Meter;
use OddSpark\Meter\Mode;
use OddSpark\Run\Memory;
use OddSpark\Suspects\Evidence;
use OddSpark\Suspects\UsualPairs;
use OddSpark\Tests\TestRig;

/**
 * Every way of failing of every kind on a shipped model: what the customer says, what one look, hands and ears find,
 * and
 * the three readings that stand furthest from a sound appliance's. docs/modes.md, written by `php core/bin/modes.php`.
 */
final class ModesTable
{
    /** The models that come first; the others follow by name, each with what no model before it has. */
    private const FIRST = [
        'furnace-80',
        'furnace-standing-pilot',
        'boiler-hydronic',
        'zones-hydronic',
        'oil-furnace',
        'package-direct-spark',
        'boiler-simple-230',
        'mid-position-230',
    ];

    /** A figure that stands further off than so many tolerances is no more telling for it. */
    private const FAR = 30.0;

    /** What counts for a reading across a part's own terminals, beside how far it stands off. */
    private const OWN = 20.0;

    /** @return list<string> all shipped models, in the order of the page */
    public static function models(): array
    {
        return array_values(array_unique([...self::FIRST, ...(new Library())->names()]));
    }

    /** @return list<string> the section of a model, line by line; empty where it has nothing that is new */
    public static function section(string $name): array
    {
        $plan = TestRig::plan($name);
        $set = FaultSet::of($plan->model);
        $known = self::kindsBefore($name);
        $ids = array_keys(array_filter(
            $set->faults,
            fn (Fault $f): bool => $plan->model->part($f->part) !== null && $f->family !== 'found' &&
                ! isset($known[$plan->model->kindOf($f->part)?->name]),
        ));
        // one part of each kind is enough
        $first = [];
        foreach ($plan->model->parts() as $part) {
            $first[$part->kind->name] ??= $part->id;
        }
        $ids = array_values(array_filter(
            array_map(strval(...), $ids),
            fn (string $id): bool => in_array($set->faults[$id]->part, $first, true) && ! str_contains($id, '+'),
        ));
        if ($ids === []) {
            return [];
        }
        $visit = $plan->model->visits()[0];
        $evidence = new Evidence($plan, $set->only(['healthy', ...$ids]), $visit, new Memory());
        $lines = ["## $name", '', 'Visit: '.$plan->model->visit($visit)->title.'.', ''];
        $lines[] = '| way of failing | the customer says | seen, felt, heard | readings that tell most (sound) |';
        $lines[] = '|---|---|---|---|';
        foreach ($ids as $id) {
            $fault = $set->faults[$id];
            $arrival = (new Bench($plan, $fault, new Memory()))->arrive($visit);
            $lines[] = sprintf(
                '| %s | %s | %s | %s |',
                $fault->title,
                implode(' ', array_column($arrival->complaint, 'text')) ?: '(nothing)',
                implode('; ', self::perceived($evidence, $id, $fault)) ?: '(nothing)',
                implode('; ', self::readings($evidence, $id, $fault)) ?: '(none)',
            );
        }

        return [...$lines, ''];
    }

    /** @return array<string, true> kinds that models before this one have shown */
    private static function kindsBefore(string $name): array
    {
        $known = [];
        foreach (self::models() as $model) {
            if ($model === $name) {
                break;
            }
            foreach (TestRig::plan($model)->model->parts() as $part) {
                $known[$part->kind->name] = true;
            }
        }

        return $known;
    }

    /** @return list<string> */
    private static function perceived(Evidence $evidence, string $id, Fault $fault): array
    {
        [$bad, $sound] = [$evidence->of[$id], $evidence->of['healthy']];
        $found = [];
        foreach ($bad['looks'][$fault->part] ?? [] as $what => $word) {
            if ($word !== ($sound['looks'][$fault->part][$what] ?? null)) {
                $found[] = 'looked at: '.($what === 'condition' ? $word : "$what $word");
            }
        }
        foreach ($bad['hands'][$fault->part] ?? [] as $act => $word) {
            if ($word !== ($sound['hands'][$fault->part][$act] ?? null)) {
                $found[] = ['take' => 'taken off: ', 'feel' => 'felt: ', 'turn' => 'turned: '][$act].$word;
            }
        }
        $heard = false;
        foreach ($evidence->trial->moments() as $tick => $when) {
            foreach ($evidence->plan->percepts as $channel => $percept) {
                [$x, $y] = [$evidence->at($id, $channel, $tick), $evidence->at('healthy', $channel, $tick)];
                $isHeard = in_array($percept['sense'], ['hearing', 'smell'], true);
                if (! $heard && $isHeard && $x !== $y && is_string($x)) {
                    $heard = true;
                    $found[] = "$when: {$percept['thing']} ".($percept['say'][$x] ?? $x);
                }
            }
        }

        return $found;
    }

    /** @return list<string> */
    private static function readings(Evidence $evidence, string $id, Fault $fault): array
    {
        $found = [];
        $offer = function (
            string $where,
            string $when,
            Mode $mode,
            float $bad,
            float $sound,
            bool $own,
        ) use (&$found): void {
            if (is_nan($bad) || is_nan($sound) || $bad === $sound) {
                return;
            }
            $off = is_infinite($bad) || is_infinite($sound)
                ? self::FAR
                : abs($bad - $sound) / (Meter::tolerance($mode, $bad) + Meter::tolerance($mode, $sound));
            if ($off > 1) {
                $found[] = [
                    min(self::FAR, $off) + ($own ? self::OWN : 0.0),
                    $where,
                    sprintf(
                        '%s %s%s (%s)',
                        Meter::show($mode, $bad)->text(),
                        $where,
                        $when === '' ? '' : ", $when",
                        Meter::show($mode, $sound)->text(),
                    ),
                ];
            }
        };
        $model = $evidence->plan->model;
        $usual = UsualPairs::of($model);
        $isOwn = fn (string $place): bool => str_starts_with($place, "$fault->part.");
        foreach ($evidence->trial->moments() as $tick => $when) {
            [$bad, $sound] = [$evidence->at($id, 'circuit', $tick), $evidence->at('healthy', 'circuit', $tick)];
            foreach ($bad === null || $sound === null ? [] : $evidence->pairs as $i => [$a, $b]) {
                if (! $usual->isUsual($a, $b)) {
                    continue;
                }
                $offer(
                    "{$model->placeName($a)} to {$model->placeName($b)}",
                    $when,
                    Mode::VoltsAc,
                    $evidence->volts[$bad][$i],
                    $evidence->volts[$sound][$i],
                    $isOwn($a) && $isOwn($b),
                );
            }
        }
        foreach ($evidence->freed as $i => [$a, $b, $of]) {
            if ($model->wire($of) === null && ! $usual->isUsual($a, $b)) {
                continue;
            }
            $offer(
                "{$model->placeName($a)} to {$model->placeName($b)}",
                'power off, one end lifted',
                Mode::Ohms,
                $evidence->of[$id]['ohms'][$i],
                $evidence->of['healthy']['ohms'][$i],
                $of === $fault->part,
            );
        }
        foreach ($evidence->of[$id]['taps'] as $at => $bad) {
            $sound = $evidence->of['healthy']['taps'][$at];
            $scale = $evidence->tapMode($at);
            [$tap, $tick] = explode(' ', $at);
            $off = abs($bad - $sound) / (Meter::tolerance($scale, $bad) + Meter::tolerance($scale, $sound));
            if ($off > 1) {
                $found[] = [
                    min(self::FAR, $off) + ($model->taps()[$tap]->part === $fault->part ? self::OWN : 0.0) - 1,
                    $tap,
                    sprintf(
                        '%s %s, %s (%s)',
                        Meter::show($scale, $bad)->text(),
                        $model->taps()[$tap]->label,
                        $evidence->trial->moments()[(int) $tick],
                        Meter::show($scale, $sound)->text(),
                    ),
                ];
            }
        }
        usort($found, fn (array $x, array $y): int => round($y[0], 3) <=> round($x[0], 3));
        $best = [];
        foreach ($found as [, $where, $text]) {
            $best[$where] ??= $text;
            if (count($best) === 3) {
                break;
            }
        }

        return array_values($best);
    }
}
