<?php

declare(strict_types=1);

namespace OddSpark\Marking;

use OddSpark\Appliance\Plan;
use OddSpark\Bench\Danger;
use OddSpark\Bench\Observations;
use OddSpark\Bench\Wording;
use OddSpark\Faults\Fault;
use OddSpark\Faults\Universe;
use OddSpark\Run\Memory;
use OddSpark\Suspects\BestReading;
use OddSpark\Suspects\Choice;
use OddSpark\Suspects\Classes;
use OddSpark\Suspects\Evidence;
use OddSpark\Suspects\Suspects;
use OddSpark\Suspects\Tracker;

/**
 * A mark from what was done and shown: every line follows from the log, the suspects and the rules.
 *
 * The fault is used only where it must be: to say whether the name is right and the repair helps.
 */
final class Marker
{
    private const SETTLED_BITS = 0.05;

    /** Families whose state is a basic of the job: what is proved before parts. */
    private const BASICS = ['supply' => 'supply', 'gas supply' => 'fuel', 'oil supply' => 'fuel', 'thermostat' => 'demand'];

    /** Acts after which a heating cycle has to be watched. */
    private const RESTORING = ['mend', 'spare', 'fuse', 'batteries', 'unjump', 'plug', 'set', 'reset', 'land'];

    /** @var list<Step> by entry */
    private array $steps = [];

    private readonly Repairs $repairs;

    private readonly Wording $wording;

    public function __construct(
        private readonly Plan $plan,
        private readonly Universe $universe,
        private readonly Fault $fault,
        private readonly Observations $seen,
        private readonly Tracker $tracker,
        private readonly Memory $memory = new Memory(),
    ) {
        $this->wording = new Wording($plan->model);
        $this->repairs = new Repairs($plan, $fault);
        $this->walk();
    }

    public function mark(Rules $rules): Mark
    {
        $lines = [
            $this->safety(), $this->basics(), $this->technique(), $this->trace(),
            $this->reasoning(), $this->finding(), $this->repair(), $this->verify(),
        ];
        $points = 0.0;
        foreach ($lines as $line) {
            $points += $line->share * $rules->weights[$line->id];
        }
        $total = 100 * $points / array_sum($rules->weights);
        $unsafe = array_filter($this->seen->entries, fn (array $e) => $e[1]->dangers !== [] && ! $e[1]->wasStopped()) !== [];

        return new Mark($lines, $total, $total >= $rules->passMark && ! ($unsafe && $rules->unsafeNeverPasses), $this->verdict(), $rules);
    }

    /**
     * What was known at each entry, in words: for the debrief.
     *
     * @return list<array<string, mixed>>
     */
    public function debrief(): array
    {
        $rows = [];
        foreach ($this->seen->entries as $i => [$act, $outcome]) {
            $step = $this->steps[$i];
            $rows[] = [
                'at_s' => $act->tick / 1000,
                'text' => $this->wording->entry($act, $outcome),
                'act' => $act->name,
                'before' => $step->before->count(),
                'after' => $step->after->count(),
                'bits_before' => round($step->before->entropy(), 2),
                'gained' => round($step->gained(), 2),
                'left' => array_map(fn (float $s) => round($s, 3), array_slice($step->after->ranked(), 0, 6)),
                'best' => array_map(fn (Choice $c) => ['text' => $c->said($this->wording), 'bits' => round($c->bits, 2), 'kind' => $c->kind, 'red' => $c->red, 'black' => $c->black], $step->best),
                'dangers' => array_map(fn (string $d) => Danger::TEXT[$d], $outcome->dangers),
            ];
        }

        return $rows;
    }

    /** How the last named fault stands against what was known when it was named. */
    public function verdict(): string
    {
        [$i, $named] = $this->named();
        if ($i === null) {
            return 'none';
        }
        $known = $this->steps[$i]->before;
        if (! $known->has($named)) {
            return 'contradicted';
        }
        if ($known->count() === 1 || ! $this->anyApart($named, array_keys($known->weights))) {
            return 'proved';
        }

        return array_key_first($known->ranked()) === $named && $known->share($named) >= 0.5 ? 'supported' : 'guess';
    }

    private function walk(): void
    {
        $ranking = new BestReading($this->plan);
        $then = [];
        $after = $this->tracker->follow($this->seen, function (int $i, Suspects $now) use ($ranking, &$then): void {
            $then[$i] = [$now, $now->entropy() > self::SETTLED_BITS
                ? $ranking->rank($this->tracker->candidates(), $now->weights, PHP_INT_MAX)
                : []];
            $this->repairs->before($i, $this->seen->entries[$i][0], $this->tracker->candidates());
        });
        $this->repairs->end($this->tracker->candidates());
        foreach ($then as $i => [$before, $choices]) {
            $this->steps[] = new Step($before, $after[$i + 1], $this->telling($choices), $this->expected($i, $choices));
        }
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
            if ($c->bits < self::SETTLED_BITS || count($best) === 3) {
                break;
            }
            $best[$c->said($this->wording)] ??= $c;
        }

        return array_values($best);
    }

    /** @param list<Choice> $choices what could have been taken; bits of the one that was */
    private function expected(int $i, array $choices): float
    {
        [$act] = $this->seen->entries[$i];
        foreach ($choices as $c) {
            $same = match ($act->name) {
                'look' => $c->kind === 'look' && $c->red === $act->get('part'),
                'leads' => $c->kind !== 'look' && [$c->red, $c->black] == [$act->get('red'), $act->get('black')]
                    || $c->kind !== 'look' && [$c->black, $c->red] == [$act->get('red'), $act->get('black')],
                default => false,
            };
            if ($same) {
                return $c->bits;
            }
        }

        return 0.0;
    }

    private function safety(): Line
    {
        $why = [];
        $lost = 0.0;
        foreach ($this->seen->entries as $i => [, $outcome]) {
            foreach ($outcome->dangers as $danger) {
                $why[] = ['text' => ($outcome->wasStopped() ? 'Tried, and stopped by the house rules. ' : '').Danger::TEXT[$danger], 'entry' => $i];
                $lost += $outcome->wasStopped() ? 0.5 : 1.0;
            }
        }

        return new Line('safety', 'Safety', max(0.0, 1 - $lost / 3), $why === [] ? [self::say('Nothing unsafe was done.')] : $why);
    }

    private function basics(): Line
    {
        $families = [];
        foreach ($this->plan->model->document['parts'] as $part) {
            $families[$part['id']] = $this->plan->model->document['kinds'][$part['kind']]['family'];
        }
        $done = [];
        $opened = null;
        foreach ($this->seen->entries as $i => [$act, $outcome]) {
            if ($act->name === 'door' && $act->get('to') === 'open') {
                $opened ??= $i;
            }
            if (in_array($act->name, ['look', 'set'], true) && $outcome->refused === null) {
                $basic = self::BASICS[$families[$act->get('part')] ?? ''] ?? null;
                if ($basic !== null) {
                    $done[$basic] ??= $i;
                }
            }
        }
        $share = 0.0;
        $why = [];
        foreach (array_unique(array_intersect_key(self::BASICS, array_flip($families))) as $basic) {
            if (! isset($done[$basic])) {
                $why[] = self::say(ucfirst($basic).' was not looked at.');
            } elseif ($opened !== null && $done[$basic] > $opened) {
                $share += 0.5;
                $why[] = self::say(ucfirst($basic).' was looked at only after the door came off.', $done[$basic]);
            } else {
                $share += 1.0;
                $why[] = self::say(ucfirst($basic).' was looked at before the door came off.', $done[$basic]);
            }
        }

        return new Line('basics', 'Basics first', $share / count($why), $why);
    }

    private function technique(): Line
    {
        $slips = [];
        $readings = 0;
        $taken = [];
        foreach ($this->seen->entries as $i => [$act, $outcome]) {
            if ($outcome->reading === null) {
                if (! in_array($act->name, ['meant', 'suspect', 'leads', 'read', 'dial'], true)) {
                    $taken = []; // something was done to the appliance: the same reading may now differ
                }

                continue;
            }
            $readings++;
            if (in_array('meter-fuse', $outcome->dangers, true)) {
                $slips[] = self::say('Microamps were put across a source instead of in series.', $i);
            }
            if ($outcome->reading->live) {
                $slips[] = self::say('Ohms were asked of a live circuit.', $i);
            }
            if ($outcome->reading->mode->value === 'vdc' && $act->name === 'leads' && abs($outcome->reading->value) < 0.5) {
                $slips[] = self::say('Volts DC were asked of a circuit that is fed with AC: it shows near nothing either way.', $i);
            }
            $key = $outcome->reading->mode->value.json_encode([$act->get('red'), $act->get('black')]);
            if ($act->name === 'leads' && isset($taken[$key])) {
                $slips[] = self::say('This was read before, and nothing had been done since.', $i);
            }
            $taken[$key] = true;
        }
        if ($readings === 0) {
            return new Line('technique', 'Technique', 0.0, [self::say('No reading was taken.')]);
        }

        return new Line('technique', 'Technique', max(0.0, 1 - count($slips) / 4), $slips === [] ? [self::say('The meter was set and placed as it should be.')] : $slips);
    }

    private function trace(): Line
    {
        $got = $could = 0.0;
        $why = [];
        foreach ($this->seen->entries as $i => [$act, $outcome]) {
            $step = $this->steps[$i];
            if (! in_array($act->name, ['look', 'leads'], true) || $step->best === [] || $act->name === 'leads' && $outcome->reading === null) {
                continue;
            }
            $best = $step->best[0];
            $worth = $outcome->dangers === [] ? max($step->expected, $step->gained()) : 0.0;
            $basic = $act->name === 'look' && isset(self::BASICS[$this->plan->model->kindOf($act->get('part'))['family'] ?? '']);
            if ($basic && $worth < $best->bits) {
                continue; // proving supply, fuel and demand is never held against the trace
            }
            $could += 1.0;
            $share = $best->bits > 0 ? min(1.0, $worth / $best->bits) : 1.0;
            $got += $share;
            if ($share < 0.8) {
                $why[] = self::say(sprintf('%d suspects stood. This could tell %.2f bits; %s would have been worth %.2f.', $step->before->count(), $worth, $best->said($this->wording), $best->bits), $i);
            }
        }
        if ($could === 0.0) {
            return new Line('trace', 'Trace', 0.0, [self::say('Nothing was measured or looked at while more than one fault was possible.')]);
        }

        return new Line('trace', 'Trace', $got / $could, $why === [] ? [self::say('Each reading told about as much as any could.')] : $why);
    }

    private function reasoning(): Line
    {
        [$i, $named] = $this->named();
        if ($i === null) {
            return new Line('reasoning', 'Reasoning', 0.0, [self::say('No fault was named.')]);
        }
        $known = $this->steps[$i]->before;
        $others = implode('; ', array_slice(array_map(fn (string $id) => $this->title($id), array_diff(array_keys($known->ranked()), [$named])), 0, 3));
        [$share, $text] = match ($this->verdict()) {
            'proved' => [1.0, 'The name is proved, among single faults: nothing else would have shown all that was seen.'],
            'supported' => [0.7, "The name is the likeliest, but not proved: $others would have read the same."],
            'guess' => [0.3, "A guess: $others stood as well."],
            default => [0.0, 'The name was already out: what was seen does not go with it.'],
        };
        $why = [self::say($text, $i)];
        [$right, $taps] = $this->meanings($why);

        return new Line('reasoning', 'Reasoning', $taps === 0 ? $share : 0.75 * $share + 0.25 * $right / $taps, $why);
    }

    /**
     * What the trainee took readings to mean, against what they did to the suspects.
     *
     * @param list<array{text: string, entry: int|null}> $why
     * @return array{int, int} right, and all
     */
    private function meanings(array &$why): array
    {
        $right = $all = 0;
        $of = null;
        foreach ($this->seen->entries as $i => [$act, $outcome]) {
            if ($outcome->reading !== null || $outcome->seen !== []) {
                $of = $i;
            }
            if ($act->name !== 'meant' || $of === null) {
                continue;
            }
            $all++;
            $told = $this->steps[$of]->gained() > self::SETTLED_BITS;
            $fine = ($act->get('meaning') !== 'unsure') === $told;
            $right += $fine ? 1 : 0;
            if (! $fine) {
                $why[] = self::say($told ? 'Taken as not conclusive, though it struck suspects out.' : 'Taken as telling, though it struck nothing out.', $of);
            }
        }

        return [$right, $all];
    }

    private function finding(): Line
    {
        [$i, $named] = $this->named();
        $truth = $this->title($this->fault->id);
        if ($i === null) {
            return new Line('finding', 'Finding', 0.0, [self::say("It was: $truth.")]);
        }
        if ($named === $this->fault->id || ! $this->anyApart($this->fault->id, [$named])) {
            return new Line('finding', 'Finding', 1.0, [self::say("Right: $truth.", $i)]);
        }
        $part = explode(':', $named)[0] === $this->fault->part;

        return new Line('finding', 'Finding', $part ? 0.5 : 0.0, [self::say(($part ? 'The right part, the wrong way of failing. ' : '')."It was: $truth.", $i)]);
    }

    private function repair(): Line
    {
        $why = [];
        $wrong = 0;
        foreach ($this->seen->entries as $i => [$act, $outcome]) {
            if ($outcome->refused !== null) {
                continue;
            }
            if ($this->repairs->helped($i)) {
                $why[] = self::say('This put it right.', $i);
            } elseif ($this->repairs->wasSpoiled($i)) {
                $why[] = self::say('The fault had taken this part along; it had to be replaced too.', $i);
            } elseif (in_array($act->name, ['mend', 'spare'], true)) {
                $own = $this->fault->in($act->get('part'));
                if ($own !== null && $this->fault->members !== [] && $own->yieldsTo($act->name === 'mend' ? $act->get('how') : 'replace')) {
                    $why[] = self::say('This put one of the faults right; it was not the only one.', $i);

                    continue;
                }
                $wrong++;
                $why[] = self::say($own !== null ? 'This did not put it right.' : 'There was nothing wrong with this part, and it was not proved bad.', $i);
            }
        }
        $left = $this->repairs->isLeft();
        if ($left) {
            $why[] = self::say('The fault was left as it was.');
        } elseif ($why === []) {
            $why[] = self::say('There was nothing to put right.');
        }

        return new Line('repair', 'Repair', max(0.0, ($left ? 0.0 : 1.0) - 0.4 * $wrong), $why);
    }

    private function verify(): Line
    {
        $last = null;
        $back = null;
        foreach ($this->seen->entries as $i => [$act, $outcome]) {
            if (in_array($act->name, self::RESTORING, true) && $outcome->refused === null) {
                $last = $act->tick;
            }
            if ($act->name === 'hand_back') {
                $back = $i;
            }
        }
        $ran = false;
        foreach ($this->plan->model->document['household']['cycle'] as $channel => $values) {
            foreach ($this->seen->perceived[$channel] ?? [] as [$from, $to, $value]) {
                $ran = $ran || $last !== null && $to > $last && $from >= $last && in_array($value, $values, true);
            }
        }
        $why = [];
        $share = 0.0;
        if ($last !== null && $ran) {
            $share += 0.5;
            $why[] = self::say('A heating cycle was watched after the repair, through to its end.');
        } else {
            $why[] = self::say('No heating cycle was watched after the repair.');
        }
        if ($back === null) {
            $why[] = self::say('The appliance was not handed back.');
        } elseif ($this->seen->entries[$back][1]->dangers === []) {
            $share += 0.5;
            $why[] = self::say('Everything was put back.', $back);
        } else {
            $why[] = self::say('Not everything was put back.', $back);
        }

        return new Line('verify', 'Verify and restore', $share, $why);
    }

    /** @return array{int|null, string} index of the entry that named a fault last, and the fault */
    private function named(): array
    {
        for ($i = count($this->seen->entries) - 1; $i >= 0; $i--) {
            if ($this->seen->entries[$i][0]->name === 'name') {
                return [$i, $this->seen->entries[$i][0]->get('fault')];
            }
        }

        return [null, ''];
    }

    /**
     * Whether any observation would tell one fault from any of some others.
     *
     * @param list<string> $others
     */
    private function anyApart(string $fault, array $others): bool
    {
        $others = array_values(array_diff($others, [$fault]));
        $ids = array_intersect([$fault, ...$others], array_keys($this->universe->faults));
        if (! in_array($fault, $ids, true)) {
            return true;
        }
        if (count($ids) > 6) {
            return true; // so many do not all look alike; not worth the search
        }
        $classes = new Classes(new Evidence($this->plan, $this->universe->only($ids), $this->seen->visit, $this->memory));
        foreach ($others as $other) {
            if (! in_array($other, $ids, true) || $classes->apart($fault, $other)) {
                return true;
            }
        }

        return false;
    }

    private function title(string $id): string
    {
        return $this->universe->faults[$id]->title ?? $this->fault->title;
    }

    /** @return array{text: string, entry: int|null} */
    private static function say(string $text, ?int $entry = null): array
    {
        return ['text' => $text, 'entry' => $entry];
    }
}
