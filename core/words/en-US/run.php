<?php

return [
    'run.run_error.at_s_the_appliance_does' => 'At {seconds} s the appliance does not come to rest: {restless} keep changing at the same instant.',
    'run.run_error.follows_which_is_not_in' => '"{primitive}" follows "{followed}", which is not in this appliance.',
    'run.run_error.more_than_changes_by_s' => 'More than {most} changes by {seconds} s into the run: something chatters, or a figure is far off.',
    'run.run_error.would_have_a_resistance_that' => '"{primitive}" would have a resistance that is zero, below zero or no number: a fault or a parameter sets it so.',
];
