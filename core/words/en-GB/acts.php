<?php

// What is said otherwise in Britain, of 230 V models: only what differs from American English.
return [
    'acts.danger.flue-aside' => 'A flue pipe pushed aside lets flue gas into the room. One trial at most, with outdoor air and a watch on the flame; a draught reading at the hose says the same.',
    'acts.danger.live-work' => 'Hands on a conductor with mains voltage on it: in life that is a shock. Isolate at the spur or the breaker, and prove it dead.',
    'acts.danger.suction' => 'Suction by mouth on a pressure switch: it has torn the diaphragm and proves nothing about the draught. Replace the switch, and measure at the hose with a manometer.',
];
