<?php

return [
    'returning.last_visit.cured' => 'En la última visita alguien cambió esta pieza, y desde entonces funciona: {part}.',
    'returning.last_visit.nothing' => 'En la última visita alguien lo revisó y no cambió nada.',
    'returning.last_visit.ran' => 'Cuando se fue, funcionaba.',
    'returning.last_visit.ran_not' => 'Cuando se fue, no funcionaba.',
    'returning.last_visit.replaced' => 'En la última visita alguien cambió esta pieza: {part}.',
];
