<?php

declare(strict_types=1);

namespace OddSpark\Acts\InHand;

use OddSpark\Acts\Act;
use OddSpark\Acts\Field;
use OddSpark\Acts\Names;
use OddSpark\Acts\Quality;
use OddSpark\Acts\Situation;
use OddSpark\Appliance\Spec;
use OddSpark\Instruments\Measured;
use OddSpark\Meter\Meter;
use OddSpark\Meter\Mode;
use OddSpark\Parts\Ability\Blows;
use OddSpark\Words\Words;

/** Ohms of a fuse that has been drawn, from cap to cap: the fuse's alone. */
final readonly class MeasureFuse extends Act
{
    public const NAME = 'ohm_fuse';

    public const MINUTES = 0.5;

    public const QUALITIES = [Quality::Asks, Quality::Barrable];

    /** Of a fuse whose kind says nothing of it. */
    private const OHM = 0.01;

    public static function fields(): array
    {
        return ['part' => Field::part(), 'fuse' => Field::id('fuse')->optional()];
    }

    public function refusal(Situation $now): ?string
    {
        $kind = $now->model->kindOf($this->part());

        return match (true) {
            $kind === null => Words::say('acts.measure_fuse.there_is_no_part_called', ['part' => $this->part()]),
            $kind->hands()->fuse === null => Words::say('acts.measure_fuse.there_is_no_fuse_in'),
            ! isset($now->state->off[$this->part()]) => Words::say('acts.measure_fuse.it_has_to_be_out'),
            $this->fuse($now) === null => Words::say('acts.measure_fuse.there_is_no_such_fuse', [
                'those' => implode(', ', array_keys($kind->those(Blows::class))),
            ]),
            default => null,
        };
    }

    public function measures(Situation $now): ?Measured
    {
        $fuse = $this->fuse($now);
        if ($fuse === null) {
            return null;
        }
        $isWhole = $now->state->slots["{$this->part()}.$fuse->name"]['whole'] === true;
        $ohms = $isWhole ? (float) ($fuse->get('ohm') ?? self::OHM) : INF;
        $isLow = $now->state->battery === 'low';

        return new Measured($ohms, Meter::show(Mode::Ohms, $ohms, $now->site()->noise(), null, $isLow));
    }

    public function said(Names $names): string
    {
        return Words::say('acts.measure_fuse.the_fuse_of_in_the', ['part' => $names->part($this->part())]);
    }

    /** The one that is meant, or the only one. */
    private function fuse(Situation $now): ?Spec
    {
        $fuses = $now->model->part($this->part())?->specs() ?? [];
        $fuses = array_filter($fuses, fn (Spec $s): bool => $s->can(Blows::class) && ! $s->has('lever'));
        $wanted = $this->get('fuse');

        return $wanted === null ? (array_values($fuses)[0] ?? null) : ($fuses[$wanted] ?? null);
    }
}
