<?php

return [
    'building.wire_list.is_not_a_known_wire' => '"{colour}" is not a known wire colour: {colours}',
];
