<?php

declare(strict_types=1);

namespace OddSpark\Bench;

use OddSpark\Acts\Act;
use OddSpark\Appliance\Kind;
use OddSpark\Appliance\Model;
use OddSpark\Appliance\Plan;
use OddSpark\Faults\Fault;
use OddSpark\Meter\Display;
use OddSpark\Meter\Mode;
use OddSpark\Parts\Ability\Attracts;
use OddSpark\Parts\Ability\Blows;
use OddSpark\Parts\Ability\Senses;

/**
 * What a person's hands change in the scene and in the slots of the appliance; what follows from it is for
 * the machine to say.
 *
 * Of the bench's state they own: door, held, eyes (the part that is looked at), mended, fitted (parameters of what was put in), jumpers,
 * earlier (of those that somebody else left: what has not been noticed yet, and wires on a wrong place), tapped,
 * raw (trials without a light up to the arrival, or to when it was last said),
 * resets (how often each part was reset since something was last mended).
 */
final readonly class Hands
{
    /** Nothing touched yet. */
    public const CLEAN = ['door' => 'shut', 'held' => false, 'eyes' => null, 'mended' => [], 'fitted' => [], 'jumpers' => [], 'earlier' => [], 'raw' => 0, 'resets' => []];

    public function __construct(private Plan $plan, private Fault $fault, private Reach $reach) {}

    /**
     * @param array<string, mixed> $state
     * @param callable(): array<string, array<string, mixed>> $new slots as they are in an appliance that was never run
     * @return array<string, mixed>
     */
    public function apply(array $state, Act $act, callable $new): array
    {
        switch ($act->name) {
            case 'door':
                return $this->interlocks(['door' => $act->get('to'), 'held' => false] + $state);
            case 'look':
                return $this->notice(['eyes' => $act->get('part')] + $state, $act->get('part'));
            case 'hold':
                return $this->interlocks(['held' => $act->get('to') === 'held'] + $state);
            case 'set':
                return $this->lever($state, $act->get('part').'.'.$act->get('lever'), $act->get('to'));
            case 'lift':
            case 'land':
                return $this->end($state, $act->get('end'), $act->name === 'land');
            case 'plug':
                foreach ($this->plan->model->wires() as $id => $wire) {
                    foreach (['a', 'b'] as $end) {
                        if (Model::split($wire->at($end))[0] === $act->get('part')) {
                            $state = $this->end($state, "$id.$end", $act->get('to') === 'on');
                        }
                    }
                }

                return $state;
            case 'jump':
                $state['jumpers'][] = [$act->get('from'), $act->get('to')];

                return $state;
            case 'unjump':
                foreach (['jumpers', 'earlier'] as $which) {
                    $state[$which] = array_values(array_filter($state[$which], fn (array $j) => ! self::joins($j, $act->get('from'), $act->get('to'))));
                }

                return $state;
            case 'reset':
                foreach ($this->kind($act)->resets as $name) {
                    $state['slots'][$act->get('part').".$name"]['latched'] = false;
                }
                $state['resets'][$act->get('part')] = ($state['resets'][$act->get('part')] ?? 0) + 1;

                return $state;
            case 'tap':
                foreach ($state['slots'] as $id => $slot) {
                    if (str_starts_with($id, $act->get('part').'.') && isset($slot['taps'])) {
                        $state['slots'][$id]['taps']++;
                    }
                }

                return $state;
            case 'suck':
                foreach (array_keys($this->kind($act)->those(Senses::class)) as $name) {
                    $state['slots']["{$act->get('part')}.$name"]['sucked'] = $act->get('to') === 'on';
                }

                return $state;
            case 'push':
                foreach (array_keys($this->kind($act)->those(Attracts::class)) as $name) {
                    $state['slots']["{$act->get('part')}.$name"]['held'] = $act->get('to') === 'in';
                }

                return $state;
            case 'batteries':
                foreach ($this->kind($act)->batteries() as $name => $spec) {
                    $state['fitted']["{$act->get('part')}.$name.volts"] = $spec->get('volts');
                }

                return $state;
            case 'fuse':
                return $this->fuse($state, $act->get('part'), $act->get('amps'), $new);
            case 'spare':
                $state = $this->mend($state, $act->get('part'), 'replace', $new);
                foreach ($this->kind($act)->spares[$act->get('spare')] as $path => $value) {
                    $state['fitted']["{$act->get('part')}.$path"] = $value;
                }

                return $state;
            case 'mend':
                return $this->mend($state, $act->get('part'), $act->get('how'), $new);
            case 'leads':
                $keeping = $state['display']['keeping'] ?? false;

                return ['red' => $act->get('red'), 'black' => $act->get('black'), 'display' => $keeping ? $state['display'] : null] + $state;
            case 'dial':
                return ['mode' => $act->get('mode'), 'range' => $act->get('range'), 'display' => null] + $state;
            case 'keep':
                return ['display' => Display::fresh($act->get('to') === 'on')] + $state;
            case 'meter_fuse':
                return ['blown' => []] + $state;
            case 'meter_battery':
                return ['battery' => 'good'] + $state;
            case 'clamp':
                return ['clamp' => $act->get('wires') === [] ? null : ['wires' => $act->get('wires'), 'turns' => $act->get('turns') ?? 1]] + $state;
        }

        return isset(Mode::AT_TAPS[$act->name]) ? [$act->name => $act->get('tap')] + $state : $state;
    }

    /** The kind of the part that an act is done to. */
    private function kind(Act $act): Kind
    {
        return $this->plan->model->parts()[$act->get('part')]->kind;
    }

    /** @param array{string, string} $jumper */
    public static function joins(array $jumper, string $a, string $b): bool
    {
        return $jumper === [$a, $b] || $jumper === [$b, $a];
    }

    /**
     * A look at a part shows the jumpers that somebody has left on it; from then on they are known.
     *
     * @param array<string, mixed> $state
     * @return array<string, mixed>
     */
    private function notice(array $state, string $part): array
    {
        foreach ($state['earlier'] as $i => $jumper) {
            $owners = array_map(fn (string $place) => Model::split($place)[0], $jumper);
            if (in_array($part, $owners, true) && ! isset($this->plan->model->wires()[$owners[0]]) && $this->reach->reaches($state, "$part.")) {
                $state['jumpers'][] = $jumper;
                unset($state['earlier'][$i]);
            }
        }

        return ['earlier' => array_values($state['earlier'])] + $state;
    }

    /**
     * A part is replaced, cleaned, cleared or set right; the fault is gone if that was what it needed.
     *
     * @param array<string, mixed> $state
     * @param callable(): array<string, array<string, mixed>> $new
     * @return array<string, mixed>
     */
    private function mend(array $state, string $part, string $how, callable $new): array
    {
        $state['resets'] = [];
        $fault = $this->fault->in($part) ?? ($this->fault->members === [] ? $this->fault : null);
        if ($fault?->yieldsTo($how)) {
            $state['earlier'] = array_values(array_filter($state['earlier'], fn (array $j) => ! in_array($j, $fault->jumpers, true) || $fault->part !== $part));
            foreach ($fault->set as $path => $value) {
                if (str_starts_with($path, "$part.") && str_ends_with($path, '.at')) {
                    $state = $this->lever($state, substr($path, 0, -3), $this->plan->given($path));
                }
            }
            // two wires that were swapped are set right together
            $with = $fault->part === $part ? array_map(fn (array $j) => Model::split($j[0])[0], $fault->jumpers) : [];
            $state['mended'] = array_values(array_unique([...$state['mended'], $part, ...$with]));
        }
        if ($how === 'replace') {
            $state['fitted'] = array_filter($state['fitted'], fn (string $path) => ! str_starts_with($path, "$part."), ARRAY_FILTER_USE_KEY);
            $state = $this->asNew($state, $part, $new);
        }

        return $state;
    }

    /**
     * A fuse of some amps in its clips, or none.
     *
     * @param array<string, mixed> $state
     * @param callable(): array<string, array<string, mixed>> $new
     * @return array<string, mixed>
     */
    private function fuse(array $state, string $part, float|int $amps, callable $new): array
    {
        $state['resets'] = [];
        $state['mended'] = array_values(array_unique([...$state['mended'], $part]));
        foreach ($this->plan->model->parts()[$part]->kind->those(Blows::class) as $name => $spec) {
            unset($state['fitted']["$part.$name.open"], $state['fitted']["$part.$name.amps"]);
            if ($amps == 0) {
                $state['fitted']["$part.$name.open"] = true;
            } elseif ($amps != $spec->get('amps')) {
                $state['fitted']["$part.$name.amps"] = $amps;
            }
            $state['slots']["$part.$name"] = ['whole' => $amps != 0] + $new()["$part.$name"];
        }

        return $state;
    }

    /**
     * @param array<string, mixed> $state
     * @param callable(): array<string, array<string, mixed>> $new
     * @return array<string, mixed>
     */
    private function asNew(array $state, string $part, callable $new): array
    {
        foreach ($new() as $id => $slot) {
            $isLever = array_keys($slot) === ['at'];
            if (str_starts_with($id, "$part.") && ! $isLever) {
                $state['slots'][$id] = $slot;
            }
        }

        return $state;
    }

    /**
     * @param array<string, mixed> $state
     * @return array<string, mixed>
     */
    private function lever(array $state, string $id, mixed $to): array
    {
        $state['slots'][$id]['at'] = $to;

        return $state;
    }

    /**
     * @param array<string, mixed> $state
     * @return array<string, mixed>
     */
    private function end(array $state, string $end, bool $landed): array
    {
        [$wire, $which] = Model::split($end);
        $state['slots']["$wire.body"][$which] = $landed;

        return $state;
    }

    /**
     * @param array<string, mixed> $state
     * @return array<string, mixed>
     */
    private function interlocks(array $state): array
    {
        foreach ($this->plan->model->doors() as $door) {
            if ($door->interlock !== null) {
                $state['slots'][$door->interlock]['at'] = $state['door'] === 'shut' || $state['held'] ? 'pressed' : 'out';
            }
        }

        return $state;
    }
}
