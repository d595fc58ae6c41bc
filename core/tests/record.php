<?php

declare(strict_types=1);

/*
 * The record: a digest of what is computed for every call, worked attempt and model. A change that is meant to change
 * nothing
 * leaves it the same to the byte; one that is meant to shows where.
 *
 *   php core/tests/record.php            compares with core/tests/record.txt, says what differs
 *   php core/tests/record.php --write    writes it anew
 *   php core/tests/record.php --keep DIR also keeps the whole texts, for diff
 *   … [--processes N] [NAME…]            only what begins with these names
 */

namespace OddSpark\Tests;

require is_file(__DIR__.'/../vendor/autoload.php')
    ? __DIR__.'/../vendor/autoload.php'
    : __DIR__.'/../../vendor/autoload.php';

$words = array_slice($argv, 1);
$option = function (string $name) use (&$words): ?string {
    $at = array_search($name, $words, true);
    if ($at === false) {
        return null;
    }

    return (string) array_splice($words, (int) $at, 2)[1];
};
$keep = $option('--keep');
$processes = (int) ($option('--processes') ?? 2);
$write = in_array('--write', $words, true);
$only = array_values(array_diff($words, ['--write']));

$all = array_filter(
    Recorded::all(),
    fn (string $name) => $only === [] || array_filter($only, fn (string $o) => str_starts_with($name, $o)) !== [],
    ARRAY_FILTER_USE_KEY,
);
$into = (string) tempnam(sys_get_temp_dir(), 'record');
$children = [];
for ($n = 0; $n < $processes; $n++) {
    $pid = pcntl_fork();
    if ($pid !== 0) {
        $children[] = $pid;

        continue;
    }
    $lines = '';
    foreach (array_values(array_map(null, array_keys($all), $all)) as $i => [$name, $make]) {
        if ($i % $processes === $n) {
            $text = json_encode(
                $make(),
                JSON_THROW_ON_ERROR |
                    JSON_PRETTY_PRINT |
                    JSON_UNESCAPED_UNICODE |
                    JSON_PRESERVE_ZERO_FRACTION |
                    JSON_PARTIAL_OUTPUT_ON_ERROR,
            );
            $lines .= hash('sha256', $text)." $name\n";
            if ($keep !== null) {
                @mkdir($keep, 0777, true);
                file_put_contents("$keep/".strtr($name, ' ', '-').'.json', $text);
            }
        }
    }
    file_put_contents("$into.$n", $lines);
    exit(0);
}
$failed = false;
foreach ($children as $pid) {
    pcntl_waitpid($pid, $status);
    $failed = $failed || $status !== 0;
}
$now = [];
for ($n = 0; $n < $processes; $n++) {
    foreach (file("$into.$n", FILE_IGNORE_NEW_LINES) ?: [] as $line) {
        $now[substr($line, 65)] = substr($line, 0, 64);
    }
    @unlink("$into.$n");
}
unlink($into);
ksort($now);
$file = __DIR__.'/record.txt';
$then = [];
foreach (is_file($file) ? file($file, FILE_IGNORE_NEW_LINES) ?: [] : [] as $line) {
    $then[substr($line, 65)] = substr($line, 0, 64);
}
if ($write) {
    $then = $now + $then;
    $now += $only === [] ? [] : $then;
    ksort($now);
    file_put_contents(
        $file,
        implode('', array_map(fn (string $name, string $digest) => "$digest $name\n", array_keys($now), $now)),
    );
}
$differ = array_keys(
    array_filter($now, fn (string $digest, string $name) => ($then[$name] ?? '') !== $digest, ARRAY_FILTER_USE_BOTH),
);
$missing = $only === [] ? array_diff_key($then, $now) : [];
foreach ($differ as $name) {
    echo "differs: $name\n";
}
foreach (array_keys($missing) as $name) {
    echo "is no longer there: $name\n";
}
printf("%d recorded, %d differ\n", count($now), count($differ) + count($missing));
exit($failed || ! $write && ($differ !== [] || $missing !== []) ? 1 : 0);
