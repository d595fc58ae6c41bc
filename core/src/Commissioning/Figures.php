<?php

declare(strict_types=1);

namespace OddSpark\Commissioning;

use OddSpark\Appliance\Model;
use OddSpark\Appliance\Plan;
use OddSpark\Bench\Bench;
use OddSpark\Faults\Fault;
use OddSpark\Instruments\Bag;
use OddSpark\Instruments\Site;
use OddSpark\Parts\Ability\Burns;
use OddSpark\Run\BenchState;
use OddSpark\Run\Memory;
use OddSpark\Suspects\Trial;
use OddSpark\Trade\Fuel;

/** What an appliance has on each row of its sheet, once it has burned for a while. */
final readonly class Figures
{
    /** It is looked at every so often, ms, until it has burned for so long, or that long has gone by. */
    private const LOOKS = 15_000;

    private const BURNS = 600_000;

    private const LASTS = 2_400_000;

    /** A fire that has burned for less has told nothing yet, ms. */
    private const SETTLED = 90_000;

    /** Natural gas, W·h in ten litres: 10.55 kWh/m³, from memory. */
    private const WH_PER_TEN_LITRES = 105.5;

    public function __construct(private Plan $plan, private Fault $fault, private Memory $memory = new Memory()) {}

    /**
     * @param BenchState $state from which it is made to run
     * @param list<Row> $rows
     * @return array<string, float>|null by row; null where no fire burns for long enough
     */
    public function of(BenchState $state, array $rows): ?array
    {
        $bench = new Bench($this->plan, $this->fault, $this->memory);
        $state = $bench->resume($bench->withoutMeter($state)->with(clamp: null, taps: []));
        foreach ((new Trial($this->plan->model))->calls($state->now()) as $act) {
            [$state] = $bench->do($state, $act);
        }
        $lit = $this->isLit($state) ? $state->now() : null;
        $see = function (BenchState $s) use (&$lit): bool {
            $lit = $this->isLit($s) ? $lit ?? $s->now() : null;

            return false;
        };
        $stood = null;
        $burned = 0;
        for ($looks = 0; $looks * self::LOOKS < self::LASTS && $burned < self::BURNS; $looks++) {
            $state = $bench->watch($state, $state->now() + self::LOOKS, $see);
            if ($lit !== null && $state->now() - $lit >= self::SETTLED) {
                $stood = $state; // of a small house the fire goes out by itself: the last time that it burned counts
                $burned += self::LOOKS;
            }
        }

        return $stood === null ? null : $this->now($bench, $stood, $rows);
    }

    /** Whether a fire burns that heats something; a pilot only lights the others. */
    private function isLit(BenchState $s): bool
    {
        $heating = array_column(array_column($this->plan->primitives, 'spec'), 'fired_by');
        foreach ($this->plan->those(Burns::class) as $id) {
            if ($s->slots[$id]['lit'] && in_array($id, $heating, true)) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param list<Row> $rows
     * @return array<string, float>
     */
    private function now(Bench $bench, BenchState $state, array $rows): array
    {
        $figures = [];
        foreach ($rows as $row) {
            $figures[$row->id] = $this->figure($row, new Site($this->plan, $bench->machine(), $state));
        }

        return $figures;
    }

    private function figure(Row $row, Site $site): float
    {
        $at = fn (int $i, string $with): float => Bag::atTap($with)->at($site, $row->of[$i])->exact;

        return match ($row->sort) {
            'rise' => $at(0, 'probe') - $at(1, 'probe'),
            'static' => $at(0, 'gauge') - $at(1, 'gauge'),
            'input' => self::input($site->state->value($row->of[0]), $this->plan->model),
            'amps' => $this->amps($row->of[0], $site),
            'flame' => 1e6 * abs($site->machine->solution($site->state)->flameAmps(
                $this->plan->primitives[$row->of[0]]['flames'][0],
            )),
            'eye' => 1 / max(1e-9, $site->machine->values($site->state)->re[
                $this->plan->primitives[$row->of[0]]['branches'][0]
            ]),
            default => $at(0, $row->sort),
        };
    }

    /**
     * What burns by the dial of the gas meter: Btu/h, W where the supply is European.
     *
     * @param float $seconds for one turn of the small hand; 0: it stands
     */
    public static function input(float $seconds, Model $model): float
    {
        if ($seconds <= 0.0) {
            return 0.0;
        }
        $fuel = $model->plate()->fuel ?? Fuel::NaturalGas;

        return $model->region() === 'EU'
            ? 3600 * self::WH_PER_TEN_LITRES / $seconds
            : 3600 * $fuel->heatingValue() / $seconds;
    }

    private function amps(string $motor, Site $site): float
    {
        [$part] = Model::split($motor);
        $line = $this->plan->primitives[$motor]['spec']['common'];
        $wire = (new Rows($this->plan))->wireAt("$part.$line");
        $state = $site->state->with(clamp: ['wires' => [(string) $wire], 'turns' => 1]);

        return Bag::all()['clamp']->read(new Site($site->plan, $site->machine, $state))->exact;
    }
}
