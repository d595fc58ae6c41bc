<?php

declare(strict_types=1);

namespace OddSpark\Commissioning;

use OddSpark\Appliance\Model;
use OddSpark\Appliance\Plan;
use OddSpark\Appliance\RatingPlate;
use OddSpark\Appliance\Tap;
use OddSpark\Appliance\Wire;
use OddSpark\Parts\Ability\Turns;
use OddSpark\Parts\Primitive\FlamePath;
use OddSpark\Parts\Primitive\LightResistor;
use OddSpark\Parts\Primitive\Motor;
use OddSpark\Process\MeterDial;
use OddSpark\Trade\Fuel;
use OddSpark\Wiring\Feeds;
use OddSpark\Wiring\Nets;
use OddSpark\Words\Words;

/**
 * The figures of a commissioning sheet that can be read on an appliance, and between what each should lie. What does
 * not stand on its plate: common practice, no source.
 */
final readonly class Rows
{
    /** Mbar of an inch of water: NIST SP 811, appendix B. */
    private const MBAR = 2.490889;

    /** Bar of a psi: the same. */
    private const BAR = 0.06894757;

    /** From the plate's figure: at the manifold in. w.c., at the nozzle psi, of the input a share. */
    private const MANIFOLD = 0.3;

    private const NOZZLE = 10.0;

    private const INPUT = 0.08;

    /** What comes to the appliance, in. w.c. */
    private const INLET = ['natural-gas' => [5.0, 10.5], 'propane' => [11.0, 13.0]];

    /** O₂ of a burner of gas, and of oil, %. */
    private const OXYGEN = [4.0, 12.0];

    private const OXYGEN_OIL = [3.0, 8.0];

    /** CO at most, ppm; smoke at most. */
    private const CO = 100.0;

    private const SMOKE = 1.0;

    /** Draft at the breech at least, in. w.c.: under a hood, and of oil. */
    private const DRAFT = -0.005;

    private const DRAFT_OIL = -0.02;

    /** Flame current at least, µA: a flame, and a pilot alone. */
    private const FLAME = 1.8;

    private const PILOT = 1.0;

    /** Ohms of an eye that sees its flame, at most. */
    private const EYE = 1600.0;

    /** Of what a motor draws by its label. */
    private const AMPS = 1.15;

    private bool $isMetric;

    private ?RatingPlate $plate;

    private Model $model;

    public function __construct(private Plan $plan)
    {
        $this->model = $plan->model;
        $this->isMetric = $this->model->region() === 'EU';
        $this->plate = $this->model->plate();
    }

    /** @return list<Row> */
    public function all(): array
    {
        return [
            ...array_values(array_filter(array_map($this->atTap(...), array_values($this->model->taps())))),
            ...$this->between('rise', 'supply_air', 'return_air', $this->plate?->riseLow, $this->plate?->riseHigh),
            ...$this->between('static', 'supply_static', 'return_static', null, $this->pressure($this->plate?->static)),
            ...$this->input(),
            ...$this->motors(),
            ...$this->flames(),
        ];
    }

    private function atTap(Tap $tap): ?Row
    {
        $plate = $this->plate;
        $isOil = $plate?->fuel === Fuel::Oil;
        [$unit, $low, $high, $isByPlate] = match ($tap->row ?? $tap->instrument) {
            'inlet' => [$this->inches(), ...$this->inlet(), false],
            'manifold' => [$this->inches(), ...$this->around($plate?->manifold, self::MANIFOLD), true],
            'oil_gauge' => $this->nozzle($isOil ? $plate->manifold : null),
            'draught' => [$this->inches(), null, $this->pressure($isOil ? self::DRAFT_OIL : self::DRAFT), false],
            'analyser' => ['% O₂', ...$isOil ? self::OXYGEN_OIL : self::OXYGEN, false],
            'analyser_co' => ['ppm CO', null, self::CO, false],
            'smoke' => ['smoke', null, self::SMOKE, false],
            default => ['', null, null, false],
        };
        if ($low === null && $high === null) {
            return null;
        }

        return new Row($tap->id, $tap->instrument, [$tap->id], $this->title($tap), $unit, $low, $high, $isByPlate);
    }

    private function title(Tap $tap): string
    {
        return Words::say('commissioning.rows.at', [
            'what' => Words::say('commissioning.rows.what.'.($tap->row ?? $tap->instrument)),
            'tap' => $tap->label,
        ]);
    }

    /** @return list<Row> what lies between two taps; none where there are not both, or no limit */
    private function between(string $id, string $more, string $less, ?float $low, ?float $high): array
    {
        $taps = [];
        foreach ($this->model->taps() as $tap) {
            $taps[$tap->row] ??= $tap->id;
        }
        if (! isset($taps[$more], $taps[$less]) || $low === null && $high === null) {
            return [];
        }
        $degrees = $this->isMetric ? '°C' : '°F';

        return [new Row(
            $id,
            $id,
            [$taps[$more], $taps[$less]],
            Words::say("commissioning.rows.$id"),
            $id === 'rise' ? $degrees : $this->inches(),
            $low,
            $high,
            true,
        )];
    }

    /** @return list<Row> the input by the dial of the gas meter */
    private function input(): array
    {
        $dials = $this->plan->those(MeterDial::class);
        if ($dials === [] || $this->plate === null || ! $this->plan->isJoined($dials[0])) {
            return [];
        }
        $by = self::INPUT * $this->plate->input;

        return [new Row(
            'input',
            'input',
            [$dials[0]],
            Words::say('commissioning.rows.input'),
            $this->isMetric ? 'W' : 'Btu/h',
            $this->plate->input - $by,
            $this->plate->input + $by,
            true,
        )];
    }

    /** @return list<Row> what each motor draws */
    private function motors(): array
    {
        $rows = [];
        $feeds = Feeds::of(new Nets($this->model));
        foreach ($this->plan->those(Turns::class) as $id) {
            [$part, $name] = Model::split($id);
            $line = $this->plan->primitives[$id]['spec']['common'] ?? null; // whatever speed it runs at
            $spec = $this->model->part($part)?->spec($name);
            // an electronic one draws what its electronics let it
            $amps = $spec?->class === Motor::class ? $spec->draws($feeds[$id] ?? 0.0) : 0.0;
            if ($line !== null && $amps > 0.05 && $this->wireAt("$part.$line") !== null) {
                $title = Words::say('commissioning.rows.amps', ['part' => $this->model->part($part)->label]);
                $rows[] = new Row("amps $id", 'amps', [$id], $title, 'A AC', null, round(self::AMPS * $amps, 1), false);
            }
        }

        return $rows;
    }

    /** A wire that leads to a terminal. */
    public function wireAt(string $place): ?string
    {
        foreach ($this->model->wires() as $id => $wire) {
            if (in_array($place, [$wire->from, $wire->to], true)) {
                return (string) $id;
            }
        }

        return null;
    }

    /** @return list<string> wires that lead to a part */
    private function wiresOf(string $part): array
    {
        $leads = fn (string $place): bool => Model::split($place)[0] === $part;

        return array_keys(array_filter(
            $this->model->wires(),
            fn (Wire $w): bool => $leads($w->from) || $leads($w->to),
        ));
    }

    /** @return list<Row> what rods and eyes give */
    private function flames(): array
    {
        $rows = [];
        foreach ($this->plan->primitives as $id => $entry) {
            [$part, $name] = Model::split((string) $id);
            $spec = $this->model->part($part)?->spec($name);
            $label = ['part' => $this->model->part($part)->label ?? $part];
            if ($this->wiresOf($part) === []) {
                continue; // one that is there for another control
            }
            if ($spec?->class === FlamePath::class) {
                $isPilot = Model::split($entry['spec']['lit_by'])[0] === $part;
                $least = $isPilot ? self::PILOT : self::FLAME;
                $title = Words::say('commissioning.rows.flame', $label);
                $rows[] = new Row("flame $id", 'flame', [(string) $id], $title, 'µA', $least, null, false);
            } elseif ($spec?->class === LightResistor::class) {
                $title = Words::say('commissioning.rows.eye', $label);
                $rows[] = new Row("eye $id", 'eye', [(string) $id], $title, 'Ω', null, self::EYE, false);
            }
        }

        return $rows;
    }

    /** @return array{float|null, float|null} */
    private function inlet(): array
    {
        [$low, $high] = self::INLET[$this->plate->fuel->value ?? ''] ?? [null, null];

        return [$this->pressure($low), $this->pressure($high)];
    }

    /** @return array{float|null, float|null} */
    private function around(?float $inches, float $by): array
    {
        return $inches === null ? [null, null] : [$this->pressure($inches - $by), $this->pressure($inches + $by)];
    }

    /** @return array{string, float|null, float|null, bool} */
    private function nozzle(?float $psi): array
    {
        $as = fn (float $p): float => $this->isMetric ? round($p * self::BAR, 1) : $p;

        return [
            $this->isMetric ? 'bar' : 'psi',
            $psi === null ? null : $as($psi - self::NOZZLE),
            $psi === null ? null : $as($psi + self::NOZZLE),
            true,
        ];
    }

    private function inches(): string
    {
        return $this->isMetric ? 'mbar' : 'in. w.c.';
    }

    private function pressure(?float $inches): ?float
    {
        return $inches === null || ! $this->isMetric ? $inches : round($inches * self::MBAR, 2);
    }
}
