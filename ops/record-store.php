<?php

/*
 * A small learning record store to try the export with (xAPI 1.0.3: POST and GET /statements), and no more: it keeps
 * statements in a file, one a line, and takes each id once. Not for a school's records.
 *
 *     SPARK_STORE_FILE=/tmp/statements.jsonl php -S 127.0.0.1:8790 ops/record-store.php
 *     SPARK_LRS_URL=http://127.0.0.1:8790 SPARK_LRS_KEY=try SPARK_LRS_SECRET=try ./spark up
 */

$file = getenv('SPARK_STORE_FILE') ?: sys_get_temp_dir().'/odd-spark-statements.jsonl';
$answer = function (int $status, mixed $body): never {
    http_response_code($status);
    header('Content-Type: application/json');
    header('X-Experience-API-Version: 1.0.3');
    echo json_encode($body, JSON_UNESCAPED_SLASHES), "\n";
    exit;
};
$path = rtrim((string) parse_url((string) $_SERVER['REQUEST_URI'], PHP_URL_PATH), '/');
if ($path !== '/statements') {
    $answer(404, ['error' => 'There are statements here, and nothing else.']);
}
if (($_SERVER['PHP_AUTH_USER'] ?? '') === '') {
    $answer(401, ['error' => 'Say who you are.']);
}
if (! str_starts_with((string) ($_SERVER['HTTP_X_EXPERIENCE_API_VERSION'] ?? ''), '1.0')) {
    $answer(400, ['error' => 'The header X-Experience-API-Version is missing, or another version.']);
}
$lock = fopen($file, 'c+');
flock($lock, LOCK_EX);
$kept = [];
while (($line = fgets($lock)) !== false) {
    $statement = json_decode($line, true);
    $kept[$statement['id']] = $statement;
}
if ($_SERVER['REQUEST_METHOD'] === 'GET') {
    $answer(200, ['statements' => array_values($kept), 'more' => '']);
}
$said = json_decode((string) file_get_contents('php://input'), true);
$all = is_array($said) && ! array_is_list($said) ? [$said] : $said;
if (! is_array($all) || $all === []) {
    $answer(400, ['error' => 'That is no statement, nor a list of them.']);
}
foreach ($all as $i => $statement) {
    foreach (['id', 'actor', 'verb', 'object'] as $key) {
        if (! isset($statement[$key])) {
            $answer(400, ['error' => "Statement $i has no \"$key\"."]);
        }
    }
}
foreach ($all as $statement) {
    if (! isset($kept[$statement['id']])) {
        fwrite($lock, json_encode($statement, JSON_UNESCAPED_SLASHES)."\n");
    }
}
$answer(200, array_column($all, 'id'));
