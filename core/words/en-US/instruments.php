<?php

return [
    'instruments.bag.nothing_is_read_on' => 'Nothing is read on "{key}".',
    'instruments.bag.there_is_no_instrument_called' => 'There is no instrument called "{key}".',
    'instruments.title.analyser' => 'Combustion analyzer',
    'instruments.title.analyser_co' => 'Combustion analyzer, CO',
    'instruments.title.analyser_co2' => 'Combustion analyzer, CO₂',
    'instruments.title.analyser_efficiency' => 'Combustion analyzer, efficiency',
    'instruments.title.clamp' => 'Clamp',
    'instruments.title.display' => 'Its display',
    'instruments.title.draught' => 'Draft gauge',
    'instruments.title.gauge' => 'Manometer',
    'instruments.title.meter' => 'Meter',
    'instruments.title.oil_gauge' => 'Oil pressure gauge',
    'instruments.title.probe' => 'Thermometer',
    'instruments.title.smoke' => 'Smoke pump',
    'instruments.title.water_gauge' => 'Water pressure gauge',
];
