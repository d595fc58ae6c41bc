<?php

return [
    'appliance.reference_check.wire_needs_a_gauge_with' => 'Wire "{id}" needs a gauge with its length: awg and feet, or mm2 and metres.',
];
