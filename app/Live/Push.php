<?php

namespace App\Live;

/**
 * Tells browsers that listen, at once: nginx holds their connections (module nchan), this hands it the message over its
 * socket. Nobody waits for it: a browser that misses one sees it when it looks next.
 */
class Push
{
    private const LONGEST_MS = 300;

    private ?\CurlHandle $line = null;

    /** @param string|null $socket where nginx takes messages; null: nobody listens */
    public function __construct(private readonly ?string $socket) {}

    /** @param array<string, mixed> $message */
    public function wall(int $course, string $what, array $message): void
    {
        $this->send("wall-$course", $what, $message);
    }

    /** @param array<string, mixed> $message */
    public function bench(int $attempt, string $what, array $message = []): void
    {
        $this->send("bench-$attempt", $what, $message);
    }

    /** @param array<string, mixed> $message */
    protected function send(string $channel, string $what, array $message): void
    {
        if ($this->socket === null || $this->socket === '') {
            return;
        }
        $this->line ??= curl_init();
        curl_setopt_array($this->line, [
            CURLOPT_URL => "http://push/$channel",
            CURLOPT_UNIX_SOCKET_PATH => $this->socket,
            CURLOPT_POST => true,
            CURLOPT_POSTFIELDS => json_encode(
                ['what' => $what] + $message,
                JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR,
            ),
            CURLOPT_HTTPHEADER => ['Content-Type: application/json', 'Expect:'],
            CURLOPT_TIMEOUT_MS => self::LONGEST_MS,
            CURLOPT_RETURNTRANSFER => true,
        ]);
        curl_exec($this->line);
    }
}
