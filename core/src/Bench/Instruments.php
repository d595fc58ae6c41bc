<?php

declare(strict_types=1);

namespace OddSpark\Bench;

use OddSpark\Appliance\Model;
use OddSpark\Appliance\Plan;
use OddSpark\Meter\Clamp;
use OddSpark\Meter\Display;
use OddSpark\Meter\FieldTester;
use OddSpark\Meter\Meter;
use OddSpark\Meter\Mode;
use OddSpark\Meter\Reading;
use OddSpark\Run\Machine;
use OddSpark\Trade\Course;

/**
 * The instruments in a person's hands, where the bench's state says that they are: two leads on the
 * meter, a clamp, a non-contact tester, and what is put to a tap: manometer, thermometer, draught gauge, analyser, smoke pump.
 *
 * Of the bench's state they own: red, black, mode, range, loose, display, blown, battery, clamp, and one of each of {@see Mode::AT_TAPS}.
 */
final readonly class Instruments
{
    /** How it is when nothing has been taken out of the bag yet. */
    public const PUT_AWAY = [
        'red' => null, 'black' => null, 'mode' => 'vac', 'range' => null, 'loose' => null, 'display' => null,
        'blown' => [], 'battery' => 'good', 'clamp' => null, 'gauge' => null, 'probe' => null,
        'draught' => null, 'analyser' => null, 'smoke' => null, 'oil_gauge' => null,
    ];

    /** @param int|null $seed of the noise; null: what is exact */
    public function __construct(private Plan $plan, private ?int $seed) {}

    /**
     * Puts what the meter is electrically between its leads.
     *
     * @param array<string, mixed> $state
     */
    public function connect(Machine $machine, array $state): void
    {
        $touches = $this->touches($state) && ! $this->isBlown($state);
        $machine->load(
            $touches ? $this->plan->places[$state['red']] : null,
            $touches ? $this->plan->places[$state['black']] : null,
            Mode::from($state['mode'])->siemens(),
        );
    }

    /** @param array<string, mixed> $state */
    public function isOn(array $state): bool
    {
        return $state['red'] !== null && $state['black'] !== null;
    }

    /**
     * The exact figure that the circuit offers the meter just now.
     *
     * @param array<string, mixed> $state with both leads on
     */
    public function exact(Machine $machine, array $state): float
    {
        $mode = Mode::from($state['mode']);
        if ($this->isBlown($state)) {
            return 0.0;
        }
        if (! $this->touches($state)) {
            return $mode->wantsDead() ? INF : 0.0;
        }

        return Meter::exact($mode, $machine->solution($state), $this->plan->places[$state['red']], $this->plan->places[$state['black']]);
    }

    /**
     * The state with the display following the circuit.
     *
     * @param array<string, mixed> $state
     * @return array<string, mixed>
     */
    public function follow(Machine $machine, array $state): array
    {
        if ($this->isOn($state)) {
            $state['display'] = Display::follow($state['display'] ?? Display::fresh(), Mode::from($state['mode']), $this->exact($machine, $state), $state['tick']);
        }

        return $state;
    }

    /**
     * The display as it stands once settled, as it is recorded while time goes on.
     *
     * @param array<string, mixed> $state
     * @return array<string, mixed>|float|string what is shown, or, without a seed, the exact figure
     */
    public function recorded(Machine $machine, array $state): array|float|string
    {
        $exact = $this->exact($machine, $state);

        return $this->seed === null ? self::plain($exact) : $this->show($state, Mode::from($state['mode']), $exact)->toArray();
    }

    /**
     * Read off the meter at this moment: settling still, if the circuit has just changed.
     *
     * @param array<string, mixed> $state with both leads on
     */
    public function read(array $state): Measured
    {
        $mode = Mode::from($state['mode']);
        $display = $state['display'];
        $exact = Display::at($display, $mode, $state['tick']);
        if (! $display['keeping']) {
            return new Measured($exact, $this->show($state, $mode, $exact));
        }
        $kept = Display::kept($display, $mode, $state['tick']);
        [$least, $most] = [$kept['least'] ?? (is_finite($exact) ? $exact : null), $kept['most'] ?? (is_finite($exact) ? $exact : null)];
        $shown = $this->show($state, $mode, $exact);
        $figure = fn (?float $x): ?float => $x === null ? null : $this->show($state, $mode, $x)->value;

        return new Measured($exact, new Reading($mode, $shown->value, $shown->step, $shown->live, $shown->unsteady, $shown->low, $figure($least), $figure($most)), $least, $most);
    }

    /**
     * Whether more goes through a current range than its fuse stands.
     *
     * @param array<string, mixed> $state
     */
    public function blows(Machine $machine, array $state): bool
    {
        $fuse = Mode::FUSE[$state['mode']] ?? null;
        if ($fuse === null || ! $this->touches($state) || $this->isBlown($state)) {
            return false;
        }
        $solution = $machine->solution($state);
        [$red, $black] = [$this->plan->places[$state['red']], $this->plan->places[$state['black']]];

        return hypot($solution->acVolts($red, $black), $solution->dcVolts($red, $black)) / Mode::BURDEN_OHM[$state['mode']] > $fuse[1];
    }

    /**
     * @param array<string, mixed> $state
     * @return array<string, mixed> with the fuse of its range gone
     */
    public function blow(array $state): array
    {
        $state['blown'][] = Mode::FUSE[$state['mode']][0];

        return $state;
    }

    /**
     * What the clamp shows of the wires in its jaw.
     *
     * @param array<string, mixed> $state with the clamp on
     */
    public function clamp(Machine $machine, array $state): Measured
    {
        ['wires' => $wires, 'turns' => $turns] = $state['clamp'];
        $values = $machine->values($state);
        $conductors = [];
        foreach (Clamp::ways($this->plan->model, $wires) as $i => $way) {
            $copper = $this->plan->primitives["$wires[$i].body"]['branches'][1];
            [$a, $b] = $this->plan->branches[$copper];
            $conductors[] = [$a, $b, $values->re[$copper], $way];
        }

        return $this->measured($state, Mode::Clamp, Clamp::amps($machine->solution($state), $conductors, $turns));
    }

    /**
     * What an instrument shows at a tap.
     *
     * @param array<string, mixed> $state
     */
    public function tap(array $state, Mode $mode, string $tap): Measured
    {
        return $this->measured($state, $mode, Course::at($state['slots'][$this->plan->model->taps()[$tap]->of]['course'], $state['tick']));
    }

    /**
     * Whether a non-contact tester lights when it is held to a place.
     *
     * @param array<string, mixed> $state
     */
    public function lights(Machine $machine, array $state, string $place): bool
    {
        $wires = $this->plan->model->wires();
        [$own] = Model::split($place);
        $cable = ($wires[$own] ?? null)?->cable;
        $beside = [];
        foreach ($cable === null ? [] : $wires as $id => $wire) {
            if ($id !== $own && $wire->cable === $cable) {
                $beside[] = $this->plan->places["$id.b"];
            }
        }

        return FieldTester::lights($machine->solution($state), $this->plan->places[$place], $beside);
    }

    /** @param array<string, mixed> $state */
    private function touches(array $state): bool
    {
        return $this->isOn($state) && $state['loose'] === null;
    }

    /** @param array<string, mixed> $state */
    private function isBlown(array $state): bool
    {
        return in_array(Mode::FUSE[$state['mode']][0] ?? '', $state['blown'], true);
    }

    /** @param array<string, mixed> $state */
    private function measured(array $state, Mode $mode, float $exact): Measured
    {
        return new Measured($exact, Meter::show($mode, $exact, $this->noise($state)));
    }

    /** @param array<string, mixed> $state */
    private function show(array $state, Mode $mode, float $exact): Reading
    {
        $reading = Meter::show($mode, $exact, $this->noise($state), $state['range'], $state['battery'] === 'low');

        return $state['loose'] === null ? $reading : new Reading($mode, $reading->value, $reading->step, unsteady: true, low: $reading->low);
    }

    /** @param array<string, mixed> $state */
    private function noise(array $state): ?int
    {
        return $this->seed === null ? null : crc32("$this->seed/{$state['acts']}");
    }

    /** An exact value as it goes into a record: rounded below any meter's step. */
    private static function plain(float $exact): float|string
    {
        return is_nan($exact) ? 'live' : (is_infinite($exact) ? 'open' : round($exact, 6));
    }
}
