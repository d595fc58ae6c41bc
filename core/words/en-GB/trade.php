<?php

return [
    'trade.reference_card.gas_draft_and_air' => 'Gas, draught and air',
    'trade.reference_card.letters_and_colours' => 'Letters and colours',
    'trade.reference_card.neutral_to_ground_at_the' => 'Neutral to earth at the control, large loads off',
    'trade.reference_card.rod_to_ground' => 'Rod to earth',
    'trade.reference_card.white_or_grey_neutral_green' => 'white or grey neutral, green or bare ground',
];
