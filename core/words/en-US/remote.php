<?php

return [
    'remote.customer.not_on_his_meter' => 'His meter has volts AC, volts DC, ohms and a beeper.',
    'remote.customer.takes_somebody_trained' => 'A customer cannot be asked that: it takes somebody who is trained.',
];
