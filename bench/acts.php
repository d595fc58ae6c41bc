<?php

// An act with its reading, on the bench as a browser does it, against a route of the same stack that reads a session
// and commits one insert; of each, the middle of seventy, taken in turns.

declare(strict_types=1);

return function (): array {
    $send = require __DIR__.'/browser.php';
    $send('GET', '/login');
    $send('POST', '/login', ['email' => 'sunniva@demo.example', 'password' => 'copper-lamp']);

    $against = function (int $job, array $first, array $places, string $common) use ($send): array {
        [$code, , , $to] = $send('POST', "/jobs/$job/attempt");
        preg_match('#/attempts/(\d+)#', $to, $m);
        $attempt = $m[1] ?? exit("The bench could not begin an attempt: $code $to\n");
        $t = 1.0;
        $do = function (array $act) use (&$t, $send, $attempt): float {
            [$code, $text, $ms] = $send(
                'POST',
                "/attempts/$attempt/acts",
                ['id' => bin2hex(random_bytes(8)), 'at_s' => $t] + $act,
            );
            $code === 200 || exit("An act was refused: $code $text\n");
            $t += 3;

            return $ms;
        };
        array_map($do, $first);
        $acts = $base = [];
        for ($i = 0; $i < 80; $i++) {
            [$code, , $ms] = $send('POST', '/bench/baseline');
            $code === 200 || exit("The baseline route does not answer: $code\n");
            $base[] = $ms;
            $acts[] = $do(['act' => 'leads', 'red' => $places[$i % count($places)], 'black' => $common]);
        }
        [$acts, $base] = [array_slice($acts, 10), array_slice($base, 10)];

        return [
            'measured' => median($acts) / median($base),
            'bar' => 1.3,
            'notes' => sprintf('medians %.1f and %.1f ms of %d each', median($acts), median($base), count($acts)),
        ];
    };

    $rows = [
        'an act on the furnace, as times a route with one insert' => $against(
            2,
            [['act' => 'door', 'to' => 'open'], ['act' => 'hold', 'to' => 'held']],
            [
                'board.R',
                'board.W',
                'limit.a',
                'limit.b',
                'board.PS-IN',
                'valve.MV',
                'igniter.1',
                'inducer.L',
                'rod.rod',
                'blower.RED',
            ],
            'board.C',
        ),
        'an act on the zones, as times a route with one insert' => $against(
            5,
            [],
            ['panel.R', 'zv1.M1', 'zv1.E1', 'zv2.M1', 'zv2.E1', 'zv3.M1', 'zv3.E1', 'panel.V1', 'panel.V2', 'panel.V3'],
            'panel.C',
        ),
    ];

    return $rows;
};
