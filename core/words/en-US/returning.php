<?php

return [
    'returning.last_visit.cured' => 'At the last visit somebody replaced this part, and it has worked since: {part}.',
    'returning.last_visit.nothing' => 'At the last visit somebody looked it over and replaced nothing.',
    'returning.last_visit.ran' => 'When he left, it ran.',
    'returning.last_visit.ran_not' => 'When he left, it did not run.',
    'returning.last_visit.replaced' => 'At the last visit somebody replaced this part: {part}.',
];
