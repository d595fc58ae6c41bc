<?php

return [
    'bench.bench.falls_first_then_climbs' => 'baja primero, luego sube',
    'bench.outcome.the_house_rules_stop_this' => 'Las reglas de la casa lo impiden. {text}',
    'bench.wording.not_done' => '{text}: no se hizo. {refused}',
];
