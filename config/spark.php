<?php

// Names the state of the core's code, so that nothing compiled by an older one is used: with the
// configuration cached it is computed once, when the application starts.
$files = glob(base_path('core/src/*/*.php')) ?: [];
$files = [...$files, ...(glob(base_path('core/src/*/*/*.php')) ?: [])];

return [
    'bench' => (bool) env('SPARK_BENCH', false),
    'build' => substr(hash('sha256', implode(',', array_map(fn ($f) => basename($f).filemtime($f), $files))), 0, 12),
];
