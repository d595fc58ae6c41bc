<?php

return [
    'meter.mode.aac' => 'amps AC in series',
    'meter.mode.beep' => 'continuity',
    'meter.mode.hz' => 'hertz',
    'meter.mode.ma' => 'milliamps',
    'meter.mode.mv_dc' => 'mV DC',
    'meter.mode.mvdc' => 'millivolts',
    'meter.mode.ohm' => 'ohms',
    'meter.mode.ua' => 'microamps',
    'meter.mode.uf' => 'microfarads',
    'meter.mode.v_ac_lo' => 'V AC Lo',
    'meter.mode.vac' => 'volts AC',
    'meter.mode.vdc' => 'volts DC',
    'meter.mode.vlz' => 'volts at low impedance',
    'meter.reading.battery_low' => '{text}, battery low',
    'meter.reading.least_most' => ' (least {figure}, most {figure_2})',
    'meter.reading.unsteady' => 'unsteady {unit}',
];
