<?php

return [
    'marking.schools.ways.flue_aside.never' => 'never: measure the draught',
    'marking.schools.ways.reference.any_metal' => 'any chassis metal or earth screw',
    'marking.schools.ways.start.supply' => 'at the spur, breaker and switch',
];
