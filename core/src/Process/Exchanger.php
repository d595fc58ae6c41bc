<?php

declare(strict_types=1);

namespace OddSpark\Process;

use OddSpark\Parts\Surroundings;
use OddSpark\Trade\Units;

/**
 * The exchanger's metal, °F, between burner and blower.
 *
 * Heat to the air is 1.08·CFM·ΔT (ASHRAE Fundamentals); with the blower off only a little is lost
 * through the jacket, so that the metal climbs at the rate that its heat capacity allows.
 */
final class Exchanger extends Settling
{
    public const GIVEN = [
        'start' => 'number?',
        'room_f' => 'number',
        'burner' => 'id',
        'blower' => 'id',
        'ways' => 'ids',
        'gas_ways' => 'ids?',
        'btu_h' => 'number',
        'cfm' => 'number',
        'jacket_btu_h_f' => 'number',
        'btu_f' => 'number',
    ];

    public function follows(): array
    {
        return [$this->p['burner'], $this->p['blower'], ...$this->p['ways'], ...($this->p['gas_ways'] ?? [])];
    }

    public function reads(): array
    {
        return [$this->p['burner'] => ['lit'], $this->p['blower'] => ['target']];
    }

    protected function aim(Surroundings $now): array
    {
        $lit = $now->follow($this->p['burner'], 'lit') === true;
        $air = (float) $now->follow($this->p['blower'], 'target') * $this->free($now, $this->p['ways']);
        $perDegree = Units::AIR_BTU_H_PER_CFM_F * $this->p['cfm'] * $air + (float) $this->p['jacket_btu_h_f'];
        $rise = $lit ? $this->p['btu_h'] * $this->free($now, $this->p['gas_ways'] ?? []) / $perDegree : 0.0;

        return [round((float) $this->p['room_f'] + $rise, 3), round(3600 * $this->p['btu_f'] / $perDegree, 3)];
    }
}
