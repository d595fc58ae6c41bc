<?php

return [
    'predicting.judge.none_of_the_usual' => 'None of the usual mistakes leads to this figure.',
    'predicting.judge.nothing_was_said' => 'Nothing was said.',
    'predicting.judge.right' => 'As the meter shows it.',
    'predicting.judge.stray' => 'Nothing feeds it. The {shown} that the meter shows comes through the insulation of a cable.',
    'predicting.mistake.fault' => 'That is what it shows when nothing is wrong.',
    'predicting.mistake.moment' => 'That is what it shows {moment}.',
    'predicting.mistake.phase' => 'Both have these volts to ground, but they are of different legs: what stands between them is not their difference.',
    'predicting.mistake.reference' => 'That is what it shows with the black lead on {place}, the common of another circuit.',
    'predicting.mistake.stray' => 'Nothing feeds it. What the meter shows comes through the insulation of a cable, and a small load takes it away.',
    'predicting.mistake.switch_made' => '{switch} is made, and there is nothing across a made switch. That would be across it if it were open.',
    'predicting.mistake.switch_open' => '{switch} is open, and what feeds it stands across it. That would be so if it were made.',
    'predicting.sheet.called_dead' => 'Called dead, and it has {shown}.',
    'predicting.sheet.none_called_dead' => 'Nothing live was called dead.',
    'predicting.sheet.right' => '{right, number} of {of, number} as the meter shows them.',
];
