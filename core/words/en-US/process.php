<?php

return [
    'process.burner.has_fuel_and_nothing_lights' => 'has fuel, and nothing lights it.',
    'process.burner.has_no_fuel' => 'has no fuel.',
    'process.run.carries_what_it_should' => 'carries what it should.',
    'process.run.is_open_and_next_to' => 'is open, and next to nothing comes.',
    'process.run.is_shut' => 'is shut.',
    'process.way.is_free' => 'is free.',
    'process.way.is_shut' => 'is shut.',
];
