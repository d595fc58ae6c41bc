<?php

// People with browsers, for the trials: requests one after the other or many at once, each person with his cookies.

declare(strict_types=1);

require_once __DIR__.'/../../../vendor/autoload.php';

final class Person
{
    /** @var array<string, string> */
    public array $cookies = [];

    public function __construct(public readonly string $mailbox, private readonly string $address = '') {}

    public static function signedIn(string $mailbox): self
    {
        $person = new self($mailbox);
        $person->send('GET', '/login');
        [$status] = $person->send('POST', '/login', ['email' => "$mailbox@demo.example", 'password' => 'copper-lamp']);
        $status === 302 || fail("$mailbox cannot sign in: $status");

        return $person;
    }

    /** @return array{int, string, float, string} status (0: nobody answered), text, seconds, where it is sent to */
    public function send(string $method, string $path, ?array $body = null, int $timeout = 30): array
    {
        return parallel([[$this, $method, $path, $body]], $timeout)[0];
    }

    /**
     * Until it is done: what nobody answered to is sent again, as the pages do.
     *
     * @return array{int, string, float, string}
     */
    public function persist(string $method, string $path, ?array $body = null, float $for = 20): array
    {
        $until = microtime(true) + $for;
        do {
            $reply = $this->send($method, $path, $body, 10);
            if (! in_array($reply[0], [0, 429, 502, 503, 504], true)) {
                return $reply;
            }
            usleep(100_000);
        } while (microtime(true) < $until);

        return $reply;
    }

    public function prepare(
        string $method,
        string $path,
        ?array $body,
        int $timeout,
        string $accept = 'application/json',
    ): CurlHandle {
        $curl = curl_init();
        $headers = ["Accept: $accept", 'X-Requested-With: XMLHttpRequest', 'Expect:'];
        if (isset($this->cookies['XSRF-TOKEN'])) {
            $headers[] = 'X-XSRF-TOKEN: '.urldecode($this->cookies['XSRF-TOKEN']);
        }
        if ($this->cookies !== []) {
            $headers[] =
                'Cookie: '.
                implode('; ', array_map(fn ($n, $v) => "$n=$v", array_keys($this->cookies), $this->cookies));
        }
        $with = [
            CURLOPT_URL => getenv('SPARK_URL').$path,
            CURLOPT_CUSTOMREQUEST => $method,
            CURLOPT_RETURNTRANSFER => true,
            CURLOPT_TIMEOUT => $timeout,
            CURLOPT_ENCODING => '',
            CURLOPT_HEADERFUNCTION => function ($curl, string $line): int {
                if (preg_match('/^set-cookie:\s*([^=]+)=([^;]*)/i', $line, $m) === 1) {
                    $this->cookies[$m[1]] = $m[2];
                }

                return strlen($line);
            },
        ];
        if ($body !== null) {
            $headers[] = 'Content-Type: application/json';
            $with[CURLOPT_POSTFIELDS] = (string) json_encode($body, JSON_PARTIAL_OUTPUT_ON_ERROR);
        }
        curl_setopt_array($curl, $with + [CURLOPT_HTTPHEADER => $headers]);

        return $curl;
    }
}

/**
 * @param list<array{Person, string, string, array|null}> $requests
 * @return list<array{int, string, float, string}>
 */
function parallel(array $requests, int $timeout = 30): array
{
    $all = curl_multi_init();
    $curls = [];
    foreach ($requests as $i => [$person, $method, $path, $body]) {
        curl_multi_add_handle($all, $curls[$i] = $person->prepare($method, $path, $body, $timeout));
    }
    do {
        curl_multi_exec($all, $running);
        if ($running > 0) {
            curl_multi_select($all, 0.05);
        }
    } while ($running > 0);
    $replies = [];
    foreach ($curls as $i => $curl) {
        $replies[$i] = [
            curl_getinfo($curl, CURLINFO_RESPONSE_CODE),
            (string) curl_multi_getcontent($curl),
            (float) curl_getinfo($curl, CURLINFO_TOTAL_TIME),
            (string) curl_getinfo($curl, CURLINFO_REDIRECT_URL),
        ];
    }

    return $replies;
}

/** @return Illuminate\Database\ConnectionInterface of the instance under trial */
function database(): Illuminate\Database\ConnectionInterface
{
    static $db = null;
    if ($db === null) {
        $app = require __DIR__.'/../../../bootstrap/app.php';
        $app->make(Illuminate\Contracts\Console\Kernel::class)->bootstrap();
        $db = Illuminate\Support\Facades\DB::connection();
    }

    return $db;
}

/** The database may have been killed since. */
function lately(): Illuminate\Database\ConnectionInterface
{
    database();
    Illuminate\Support\Facades\DB::purge();

    return Illuminate\Support\Facades\DB::connection();
}

function attempt(Person $who, int $job): int
{
    [$status, , , $to] = $who->persist('POST', "/jobs/$job/attempt");
    preg_match('#/attempts/(\d+)#', $to, $m) === 1 || fail("$who->mailbox cannot begin job $job: $status $to");

    return (int) $m[1];
}

function say(string $line): void
{
    echo "  $line\n";
}

function fail(string $why): never
{
    echo "  FAILED: $why\n";
    exit(1);
}

function check(bool $is, string $what): void
{
    $is ? say("ok: $what") : fail($what);
}

/** @param list<float> $list */
function percentile(array $list, float $share): float
{
    sort($list);

    return $list[(int) min(count($list) - 1, floor($share * count($list)))] ?? 0.0;
}
