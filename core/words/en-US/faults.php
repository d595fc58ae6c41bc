<?php

return [
    'faults.fault.nothing_wrong' => 'nothing wrong',
    'faults.fault_set.an_earlier_jumper_from_to' => '{label}: an earlier jumper from {place_name} to {place_name_2}',
    'faults.fault_set.and_swapped' => '{place_name} and {place_name_2}: swapped',
    'faults.fault_set.landed_on' => '{place_name}: landed on {place_name_2}',
    'faults.fault_set.must_be_different_faults_the' => 'Must be different faults, the healthy appliance not among them.',
    'faults.fault_set.there_is_no_fault_has' => 'There is no fault "{id}"; "{part}" has {near}.',
    'faults.fault_set.there_is_no_fault_no' => 'There is no fault "{id}": no part or wire "{part}" with modes of its own is in this model.',
    'faults.fault_set.wire_to' => '{colour} wire {place_name} to {place_name_2}',
];
