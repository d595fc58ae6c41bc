<?php

// Requests as a browser makes them, with its cookies: method, path and body in; status, text, milliseconds and where it
// is sent to out.

declare(strict_types=1);

$jar = tempnam(sys_get_temp_dir(), 'jar');
register_shutdown_function(fn () => @unlink($jar));
$curl = curl_init();

return function (string $method, string $path, ?array $body = null) use ($curl, $jar): array {
    $token = '';
    foreach (curl_getinfo($curl, CURLINFO_COOKIELIST) ?: [] as $cookie) {
        $c = explode("\t", $cookie);
        $token = $c[5] === 'XSRF-TOKEN' ? urldecode($c[6]) : $token;
    }
    curl_setopt_array($curl, [
        CURLOPT_URL => getenv('SPARK_URL').$path,
        CURLOPT_CUSTOMREQUEST => $method,
        CURLOPT_RETURNTRANSFER => true,
        CURLOPT_COOKIEFILE => $jar,
        CURLOPT_ENCODING => '',
        CURLOPT_POSTFIELDS => $body === null ? '' : json_encode($body),
        CURLOPT_HTTPHEADER => ['Content-Type: application/json', 'Accept: application/json', "X-XSRF-TOKEN: $token"],
    ]);
    $start = hrtime(true);
    $text = (string) curl_exec($curl);

    return [
        curl_getinfo($curl, CURLINFO_RESPONSE_CODE),
        $text,
        (hrtime(true) - $start) / 1e6,
        (string) curl_getinfo($curl, CURLINFO_REDIRECT_URL),
    ];
};
