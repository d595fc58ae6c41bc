<?php

// Files that are kept lie in storage/app and are served by nobody.
return [
    'default' => 'local',
    'disks' => ['local' => ['driver' => 'local', 'root' => storage_path('app'), 'serve' => false, 'throw' => true]],
    'links' => [],
];
