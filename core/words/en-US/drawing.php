<?php

return [
    'drawing.chart.minutes_and_seconds' => 'minutes and seconds after the arrival',
    'drawing.sheet.caution' => 'Simulation. On real equipment follow the maker\'s instructions and local codes, and work under a licensed person.',
    'drawing.sheet.wires_run_hidden' => 'wires run hidden',
];
