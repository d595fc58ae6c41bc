<?php

// Requests that are nearly right, over all endpoints of the running site: no error of ours, none that takes three
// seconds.

declare(strict_types=1);
require __DIR__.'/lib/client.php';
require __DIR__.'/../../tests/Fuzz/Requests.php';

const LONGEST_S = 3.0;

database();
$routes = [];
foreach (app('router')->getRoutes() as $route) {
    if (in_array($route->uri(), ['logout', 'login'], true) || $route->methods()[0] === 'DELETE') {
        continue; // whoever is signed out finds nothing more
    }
    for ($i = str_ends_with($route->uri(), '/acts') || str_ends_with($route->uri(), '/edits') ? 12 : 1; $i > 0; $i--) {
        $routes[] = [$route->methods()[0], $route->uri()];
    }
}
$people = [
    Person::signedIn('ines'),
    Person::signedIn('brannoc'),
    Person::signedIn('isolde'),
    Person::signedIn('oona'),
    new Person('nobody'),
];
$open = attempt($people[1], 2);
$done = (int) database()->table('attempts')->whereNotNull('mark')->value('id');
$model = App\Models\Appliance::query()->where('name', 'furnace-80')->firstOrFail();
$document = $model->model();
$requests = new Tests\Fuzz\Requests(
    (int) ($argv[2] ?? 1),
    [
        'appliance' => [(string) $model->id, '2', '5'],
        'assignment' => ['1', '2', '3'],
        'attempt' => [(string) $open, (string) $done],
        'course' => ['1'],
        'draft' => [(string) database()->table('drafts')->orderBy('id')->value('id')],
        'task' => ['1', '2'],
        'what' => ['model.json', 'wires.csv', 'netlist.cir', 'board.svg', 'x'],
        'sum' => ['capacitor', 'rise', 'x'],
    ],
    [...array_keys($document->wires()), 'limit.a', 'limit.b', 'board.C', 'board.R', 'w01.a', 'w02.b'],
    array_keys($document->parts()),
    $routes,
);
$count = (int) ($argv[1] ?? 10_000);
$statuses = [];
$longest = 0.0;
$bad = [];
for ($i = 0; $i < $count; $i++) {
    [$method, $path, $body] = $requests->next();
    // mostly those who may
    $who = $i % 6 === 0 ? $people[$i % 5] : (str_starts_with($path, '/attempts') ? $people[1] : $people[0]);
    [$status, $text, $s] = $who->send($method, $path, $body);
    $statuses[$status] = ($statuses[$status] ?? 0) + 1;
    if ($s > $longest) {
        [$longest, $what] = [$s, "$method $path"];
    }
    if ($status >= 500 || $status === 0 || $s > LONGEST_S) {
        $bad[] = sprintf(
            '%d: %s %s %d after %.1f s %s',
            $i,
            $method,
            $path,
            $status,
            $s,
            substr((string) json_encode($body), 0, 400),
        );
    }
}
ksort($statuses);
say("$count requests: ".json_encode($statuses).sprintf(', the longest %.2f s (%s)', $longest, $what ?? ''));
foreach (array_slice($bad, 0, 10) as $line) {
    say($line);
}
check($bad === [], 'no error of ours, none over three seconds');
