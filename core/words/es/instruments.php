<?php

return [
    'instruments.title.analyser' => 'Analizador de combustión',
    'instruments.title.analyser_co' => 'Analizador de combustión, CO',
    'instruments.title.analyser_co2' => 'Analizador de combustión, CO₂',
    'instruments.title.analyser_efficiency' => 'Analizador de combustión, rendimiento',
    'instruments.title.clamp' => 'Pinza',
    'instruments.title.display' => 'Su pantalla',
    'instruments.title.draught' => 'Medidor de tiro',
    'instruments.title.gauge' => 'Manómetro',
    'instruments.title.meter' => 'Medidor',
    'instruments.title.oil_gauge' => 'Manómetro de gasóleo',
    'instruments.title.probe' => 'Termómetro',
    'instruments.title.smoke' => 'Bomba de humos',
    'instruments.title.water_gauge' => 'Manómetro de agua',
];
