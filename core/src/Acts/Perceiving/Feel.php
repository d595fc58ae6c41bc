<?php

declare(strict_types=1);

namespace OddSpark\Acts\Perceiving;

use OddSpark\Acts\Act;
use OddSpark\Acts\Field;
use OddSpark\Acts\Names;
use OddSpark\Acts\Quality;
use OddSpark\Acts\Situation;
use OddSpark\Appliance\Medium;
use OddSpark\Appliance\Model;
use OddSpark\Instruments\Thermometer;
use OddSpark\Parts\Ability\IsWarm;
use OddSpark\Parts\Ability\Turns;
use OddSpark\Words\Words;

/** A hand on a part: its warmth, its tremor. */
final readonly class Feel extends Act
{
    public const NAME = 'feel';

    public const MINUTES = 0.2;

    public const QUALITIES = [Quality::Asks];

    public static function fields(): array
    {
        return ['part' => Field::part()];
    }

    /** How a temperature feels, from here on, °F; °C where the supply is European. Common practice, no source. */
    private const FEELS = [
        'NA' => [60 => 'cool', 88 => 'warm', 112 => 'hot', 140 => 'too_hot'],
        'EU' => [16 => 'cool', 31 => 'warm', 44 => 'hot', 60 => 'too_hot'],
    ];

    public function refusal(Situation $now): ?string
    {
        return $now->reach->part($now->state, $this->part());
    }

    public function risks(Situation $now): array
    {
        $kind = $now->model->kindOf($this->part());
        if ($now->risk->burns($now, $this->part())) {
            return ['hot-igniter'];
        }

        $risks = $kind?->isTouched() === true ? $now->risk->hands($now, $this->part()) : [];

        return $kind?->isBrittle() === true ? [...$risks, 'igniter-touched'] : $risks;
    }

    public function shows(Situation $now): array
    {
        $felt = [];
        foreach ($now->model->taps() as $tap) {
            if ($tap->part === $this->part() && $tap->instrument === Thermometer::KEY) {
                $felt['warmth'] = self::warmth($now->model->region(), $now->state->value($tap->of));
            }
        }
        $seat = $felt === [] ? $this->seat($now) : null;
        if ($seat !== null) {
            $felt['warmth'] = self::warmth($now->model->region(), $now->state->value($seat));
        }
        foreach (array_keys($now->model->kindOf($this->part())?->those(Turns::class) ?? []) as $name) {
            $felt['tremor'] = match ($now->machine->shows($now->state, "{$this->part()}.$name")) {
                '' => 'still',
                'hums' => Words::say('acts.feel.trembles_and_does_not_turn'),
                default => Words::say('acts.feel.runs_smoothly'),
            };
        }

        $kind = $now->model->kindOf($this->part());
        $loose = $now->noticing->sick($now->state, $this->part())?->signs->felt;
        if ($loose !== null || $felt === [] || $kind?->isTried() === true) {
            $felt['touch'] = $loose ?? $kind->feel ?? Words::say('appliance.kind.nothing_felt');
        }

        return $felt;
    }

    /** What the part feels itself, by where it sits; null when it sits nowhere. */
    private function seat(Situation $now): ?string
    {
        foreach ($now->model->pipes() as $pipe) {
            foreach ([[$pipe->from, $pipe->to], [$pipe->to, $pipe->from]] as [$here, $there]) {
                [$other, $port] = Model::split($there);
                $gives = $now->model->kindOf($other)?->ports[$port] ?? null;
                $isHere = Model::split($here)[0] === $this->part();
                $of = $now->model->kindOf($other)->primitives[$gives->of ?? ''] ?? null;
                if ($isHere && $gives?->medium === Medium::Heat && $of?->can(IsWarm::class) === true) {
                    return "$other.{$gives->of}";
                }
            }
        }

        return null;
    }

    private static function warmth(string $region, float $degrees): string
    {
        $feels = 'cold';
        foreach (self::FEELS[$region] as $from => $warmer) {
            $feels = $degrees >= $from ? $warmer : $feels;
        }

        return Words::say("acts.feel.warmth.$feels");
    }

    public function said(Names $names): string
    {
        return Words::say('acts.feel.felt', ['part' => $names->part($this->part())]);
    }
}
