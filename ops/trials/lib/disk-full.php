<?php

// Acts, edits and a backup on a disk that has no room left, and after there is room again.

declare(strict_types=1);
require __DIR__.'/client.php';

$filler = (string) getenv('FULL');
$tova = Person::signedIn('tova');
$oona = Person::signedIn('oona');
$attempt = attempt($tova, 2);
$draft = (int) database()->table('drafts')->orderBy('id')->value('id');
$document = lately()->table('drafts')->where('id', $draft)->value('document');
$fill = function () use ($filler): void {
    $file = fopen($filler, 'a');
    while (@fwrite($file, str_repeat('x', 65536)) === 65536) {
    }
    @fclose($file);
};
$fill();
$refused = $done = 0;
$sentences = [];
for ($i = 0; $i < 400; $i++) {
    $fill();
    [$status, $text] = $tova->send('POST', "/attempts/$attempt/acts", [
        'id' => "f-$i",
        'act' => 'todo',
        'item' => str_repeat("item $i ", 18),
        'state' => 'open',
        'at_s' => 0.1 * $i,
    ]);
    $status === 200 ? $done++ : $refused++;
    if ($status !== 200) {
        $sentences["$status ".(json_decode($text, true)['message'] ?? substr($text, 0, 80))] = true;
    }
    [$status, $text] = $oona->send('POST', "/drafts/$draft/edits", [
        'id' => "f-$i",
        'upon' => (int) ($step ?? 0) + 0,
        'edits' => [['do' => 'label', 'part' => 'limit', 'label' => "L $i"]],
    ]);
    if ($status !== 200 && $status !== 409) {
        $sentences["$status ".(json_decode($text, true)['message'] ?? substr($text, 0, 80))] = true;
    }
    if ($refused > 20) {
        break;
    }
}
say("$done acts went through before the disk was full, $refused were refused: ".implode(' | ', array_keys($sentences)));
foreach (array_keys($sentences) as $sentence) {
    check(str_starts_with($sentence, '507 ') || str_starts_with($sentence, '503 '), "said: $sentence");
}
unlink($filler);
$nobody = new Person('nobody');
for ($i = 0; $i < 100 && $nobody->send('GET', '/up')[0] !== 200; $i++) {
    usleep(100_000);
}
[$status, $text] = $tova->persist('POST', "/attempts/$attempt/acts", [
    'id' => 'room',
    'act' => 'look',
    'part' => 'thermostat',
    'at_s' => 0.1 * $done,
]);
check($status === 200, "with room again it goes on ($status)");
$kept = lately()->table('entries')->where('attempt_id', $attempt)->where('client_id', 'like', 'f-%')->count();
check($kept === $done, "$kept entries of $done that were acknowledged");
check(
    json_decode((string) lately()->table('drafts')->where('id', $draft)->value('document')) !== null,
    'the model is whole',
);
