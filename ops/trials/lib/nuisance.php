<?php

// Does the worst without a pause, until it is killed.

declare(strict_types=1);

return function (string $role, int $connection): void {
    proc_nice(19); // his own machine is another than the server
    $who = Person::signedIn($role === 'trainee' ? 'oyelaran' : 'ines');
    if ($role === 'trainee') {
        $attempt = attempt($who, 1);
        for ($i = 0; ; $i++) {
            $now = json_decode($who->send('POST', "/attempts/$attempt/play", ['to_s' => 0])[1], true)['now_s'] ?? 0;
            match ($connection % 4) {
                0 => $who->send('POST', "/attempts/$attempt/acts", [
                    'id' => "$connection-".bin2hex(random_bytes(6)),
                    'act' => 'hint',
                    'grade' => 'reading',
                    'at_s' => $now,
                ]),
                1 => $who->send('POST', "/attempts/$attempt/next"),
                2 => $who->send('GET', "/attempts/$attempt"),
                default => $who->send('POST', "/attempts/$attempt/acts", [
                    'id' => "$connection-".bin2hex(random_bytes(6)),
                    'act' => 'look',
                    'part' => 'thermostat',
                    'at_s' => $now,
                ]),
            };
        }
    }
    $drafts = (int) lately()->table('drafts')->orderBy('id')->value('id');
    $crossing = [
        'odd_spark_model' => 1,
        'name' => 'crossing',
        'title' => 'Crossing',
        'notes' => '',
        'supply' => ['hertz' => 60, 'volts' => 120, 'region' => 'NA'],
        'parts' => [],
        'joined' => [],
        'wires' => [],
        'cables' => [],
        'percepts' => new stdClass(),
        'tape' => [],
        'doors' => [],
    ];
    for ($i = 0; $i < 200; $i++) {
        $crossing['parts'][] = [
            'id' => "p$i",
            'kind' => 'limit-switch',
            'label' => "Part $i",
            'at' => [40 + (($i * 37) % 1100), 40 + (($i * 53) % 650)],
        ];
        $crossing['wires'][] = [
            'id' => "w$i",
            'from' => "p$i.a",
            'to' => 'p'.($i * 91 + 50) % 200 .'.b',
            'colour' => 'red',
            'awg' => 18,
            'feet' => 3,
        ];
    }
    for ($i = 0; ; $i++) {
        match ($connection % 8) {
            0 => $who->send('GET', '/models/'.(1 + $i % 9)),
            1 => $who->send('GET', "/drafts/$drafts/safeties"),
            2 => $who->send('GET', "/drafts/$drafts/checks"),
            3 => $who->send('POST', '/drafts', ['file' => json_encode($crossing), 'title' => "Crossing $i"]),
            4 => $who->send('GET', "/drafts/$drafts/files/board.pdf"),
            5 => $who->send('POST', '/models/'.(1 + $i % 9).'/analysis?visit=cold'),
            6 => $who->send('GET', '/models/1/preview?fault=healthy&visit=cold'),
            default => $who->send('GET', '/models'),
        };
    }
};
