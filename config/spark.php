<?php

// Names the state of the core's code, so that nothing compiled by an older one is used: with the
// configuration cached it is computed once, when the application starts.
$files = glob(base_path('core/src/*/*.php')) ?: [];
$files = [...$files, ...glob(base_path('core/src/*/*/*.php')) ?: []];
$list = fn (string $name): array => array_values(
    array_filter(array_map(trim(...), explode(',', (string) env($name, '')))),
);

return [
    'bench' => (bool) env('SPARK_BENCH', false),
    'build' => substr(hash('sha256', implode(',', array_map(fn ($f) => basename($f).filemtime($f), $files))), 0, 12),
    'instance' => (string) env('SPARK_INSTANCE', ''), // which installation answers
    'signing_key' => (string) env('SPARK_SIGNING_KEY', ''), // 32 bytes, hexadecimal: made once, not in the database
    'lrs' => [
        'url' => env('SPARK_LRS_URL', ''),
        'key' => env('SPARK_LRS_KEY', ''),
        'secret' => env('SPARK_LRS_SECRET', ''),
    ],
    'mail' => ! in_array(env('MAIL_MAILER', 'none'), ['none', 'log', 'array'], true),
    'push' => env('SPARK_PUSH'), // socket where nginx takes what browsers are told at once
    'worker' => 'site',
    'hosts' => [
        parse_url((string) env('APP_URL', 'http://127.0.0.1:8717'), PHP_URL_HOST),
        '127.0.0.1',
        'localhost',
        ...$list('SPARK_HOSTS'),
    ],
    'proxies' => $list('SPARK_PROXIES'), // addresses of what ends TLS before it
];
