<?php

// Adds up what the runners and the trials say, and says it in one line; fails when a runner is missing.

declare(strict_types=1);

[, $folder, $failedAnyway] = $argv;
$passed = $failed = $skipped = 0;
$missing = [];
foreach (['core', 'marking', 'suspects', 'building', 'feature'] as $suite) {
    $xml = @simplexml_load_file("$folder/$suite.xml");
    if ($xml === false) {
        $missing[] = $suite;

        continue;
    }
    $s = $xml->testsuite[0];
    $bad = (int) $s['failures'] + (int) $s['errors'];
    $passed += (int) $s['tests'] - $bad - (int) $s['skipped'];
    $failed += $bad;
    $skipped += (int) $s['skipped'];
}
$front = json_decode((string) @file_get_contents("$folder/front.json"), true);
if ($front === null) {
    $missing[] = 'front end';
} else {
    $passed += $front['numPassedTests'];
    $failed += $front['numFailedTests'];
    $skipped += $front['numPendingTests'];
}
$browser = json_decode((string) @file_get_contents("$folder/browser.json"), true);
if ($browser === null) {
    $missing[] = 'browser';
} else {
    $passed += $browser['stats']['expected'];
    $failed += $browser['stats']['unexpected'] + $browser['stats']['flaky'];
    $skipped += $browser['stats']['skipped'];
}
$trials = json_decode((string) @file_get_contents("$folder/trials.json"), true);
if ($trials === null) {
    $missing[] = 'trials';
} else {
    $passed += $trials['passed'];
    $failed += $trials['failed'];
}
foreach ($missing as $suite) {
    echo "The $suite left no result.\n";
    $failed++;
}
if ($failed === 0 && $failedAnyway !== '0') {
    echo "A runner failed without a failed test.\n";
    $failed++;
}
echo "$passed passed, $failed failed, $skipped skipped\n";
exit($failed === 0 ? 0 : 1);
