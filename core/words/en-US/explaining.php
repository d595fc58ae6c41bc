<?php

return [
    'explaining.judgement.missing' => 'The chain has a link more: {text}',
    'explaining.judgement.nothing_was_said' => 'No answer.',
    'explaining.judgement.right' => 'That is the chain.',
    'explaining.judgement.too_much' => 'The chain is in it, and so is something that has no part in it.',
    'explaining.sheet.right' => '{right, number} of {of, number} chains are whole.',
    'explaining.sheet.root' => '{met, number} of {of, number} end where the chain begins.',
];
