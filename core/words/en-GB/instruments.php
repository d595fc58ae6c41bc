<?php

return [
    'instruments.title.analyser' => 'Combustion analyser',
    'instruments.title.analyser_co' => 'Combustion analyser, CO',
    'instruments.title.analyser_co2' => 'Combustion analyser, CO₂',
    'instruments.title.analyser_efficiency' => 'Combustion analyser, efficiency',
    'instruments.title.draught' => 'Draught gauge',
];
