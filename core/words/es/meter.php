<?php

return [
    'meter.mode.aac' => 'amperios CA en serie',
    'meter.mode.beep' => 'continuidad',
    'meter.mode.hz' => 'hercios',
    'meter.mode.ma' => 'miliamperios',
    'meter.mode.mvdc' => 'milivoltios',
    'meter.mode.ohm' => 'ohmios',
    'meter.mode.ua' => 'microamperios',
    'meter.mode.uf' => 'microfaradios',
    'meter.mode.vac' => 'voltios CA',
    'meter.mode.vdc' => 'voltios CC',
    'meter.mode.vlz' => 'voltios en baja impedancia',
    'meter.reading.battery_low' => '{text}, pila baja',
    'meter.reading.least_most' => ' (mín. {figure}, máx. {figure_2})',
    'meter.reading.unsteady' => '{unit} inestables',
];
