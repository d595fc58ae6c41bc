<?php

return [
    'wiring.bonds.has_no_path_to_ground' => '{place} has no path to earth.',
    'wiring.bonds.wire_to_ground' => 'Wire {terminal} to earth.',
    'wiring.colours.colour_against_the_convention' => 'colour against the convention',
    'wiring.colours.whoever_reads_it_by_its' => 'Whoever reads it by its colour takes it for something else.',
    'wiring.returns.a_wire_that_rubs_through' => 'A wire that rubs through to earth on that side bypasses it, and the load stays on.',
    'wiring.returns.open_it_stops_the_load' => 'Open, it stops the load but leaves it live to earth: a shock to whoever works on it.',
    'wiring.separation.cable_carries_line_voltage_and' => 'Cable "{id}" carries mains voltage and extra-low voltage side by side.',
    'wiring.separation.insulation_of_thermostat_wire_is' => 'Insulation of thermostat cable is not made for mains voltage.',
];
