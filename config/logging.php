<?php

use App\Support\ShortLines;
use Monolog\Handler\StreamHandler;
use Monolog\Processor\PsrLogMessageProcessor;

// To the supervisor, which keeps what is said in files of bounded size; see docs/running.md.
return [
    'default' => env('LOG_CHANNEL', 'stderr'),
    'channels' => [
        'null' => ['driver' => 'monolog', 'handler' => Monolog\Handler\NullHandler::class],
        'stderr' => [
            'driver' => 'monolog',
            'level' => env('LOG_LEVEL', 'warning'),
            'handler' => StreamHandler::class,
            'handler_with' => ['stream' => 'php://stderr'],
            'formatter' => ShortLines::class,
            'processors' => [PsrLogMessageProcessor::class],
        ],
    ],
];
