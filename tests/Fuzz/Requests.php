<?php

namespace Tests\Fuzz;

use OddSpark\Acts\Catalogue;
use OddSpark\Building\Edits;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Requests that are nearly right: each endpoint with a body that it takes, in which a few things are damaged. The same
 * seed gives the same requests.
 */
final class Requests
{
    private const JUNK = [
        null, true, false, 0, -1, 1, 1e300, -1e300, 1e-300, 2147483648, 9007199254740993, 0.1, '', ' ', "\0",
        "a\u{0}b", '0', '-1', '1e9', 'NaN', '=1+1', '<script>', "' OR 1=1 --", '../../etc/passwd',
        "\u{202E}\u{1F525}", '%s%n', '${7*7}', [], [[]], [null], [1, 2], ['x' => 1], ['' => ''],
        ['__proto__' => 1],
    ];

    private const IDS = [
        '0', '1', '2', '-1', '999999', '1.5', 'abc', '1abc', '99999999999999999999', '%00', "1'", '1%2F2',
    ];

    private Randomizer $random;

    /**
     * @param array<string, list<string>> $ids what really is there, by parameter of a route
     * @param list<string> $places of the appliance on the bench
     * @param list<string> $parts
     * @param list<array{string, string}> $routes method and URI
     */
    public function __construct(
        int $seed,
        private readonly array $ids,
        private readonly array $places,
        private readonly array $parts,
        private readonly array $routes,
    ) {
        $this->random = new Randomizer(new Mt19937($seed));
    }

    /** @return array{string, string, array<array-key, mixed>|null} method, path with query, body */
    public function next(): array
    {
        [$method, $uri] = $this->any($this->routes);
        $path = preg_replace_callback(
            '/\{(\w+)\}/',
            fn (array $m) => $this->chance(85) ? $this->any($this->ids[$m[1]] ?? ['1']) : $this->any(self::IDS),
            $uri,
        );
        $query = $this->query($uri);
        if ($this->chance(40) && $query !== []) {
            $query = $this->damaged($query);
        }
        $path = '/'.ltrim((string) $path, '/').($query === [] ? '' : '?'.http_build_query($query));
        if ($method === 'GET') {
            return [$method, $path, null];
        }
        $body = $this->body($uri);

        return [$method, $path, $this->chance(25) ? $body : $this->damaged($body)];
    }

    /** @return array<string, mixed> */
    private function query(string $uri): array
    {
        return match (true) {
            str_ends_with($uri, '/preview') => [
                'fault' => $this->any(['healthy', 'limit:stuck-open', 'no:such']),
                'visit' => $this->any(['cold', 'hot', 'never']),
            ],
            str_ends_with($uri, '/analysis'), str_ends_with($uri, '/run'), str_ends_with($uri, '/safeties') => [
                'visit' => $this->any(['cold', 'x']),
            ],
            str_ends_with($uri, '/kinds') => ['words' => $this->any(['relay', 'dead valve', ''])],
            str_ends_with($uri, '/difference') => ['from' => 0, 'to' => $this->random->getInt(0, 3)],
            str_ends_with($uri, '/moment') => ['at_s' => $this->random->getInt(0, 900), 'visit' => 'cold'],
            str_ends_with($uri, '/why') => ['at_s' => 40, 'of' => $this->any(['burners.fire', 'valve', 'x'])],
            str_ends_with($uri, '/waiting') => ['of' => $this->any(['h1', 'x'])],
            $uri === 'rules' => ['set' => 'first-year'],
            default => [],
        };
    }

    /** @return array<string, mixed> */
    private function body(string $uri): array
    {
        return match (true) {
            str_ends_with($uri, '/acts') => $this->act(),
            str_ends_with($uri, '/play') => ['to_s' => $this->random->getInt(0, 60)],
            str_ends_with($uri, '/edits') => [
                'upon' => $this->random->getInt(0, 4),
                'id' => bin2hex($this->random->getBytes(6)),
                'edits' => [$this->edit()],
            ],
            str_ends_with($uri, '/go') => [
                'upon' => $this->random->getInt(0, 4),
                'way' => $this->any(['undo', 'redo', 'tidy']),
            ],
            str_ends_with($uri, '/restore') => ['upon' => 0, 'number' => 0],
            str_ends_with($uri, '/label') => ['number' => 0, 'label' => 'first'],
            str_ends_with($uri, '/overrides') => [
                'line' => $this->any(['trace', 'basics', 'x']),
                'points' => $this->random->getInt(0, 30),
                'reason' => 'Said so.',
            ],
            str_ends_with($uri, '/marks') => ['rules' => $this->random->getInt(1, 4)],
            str_ends_with($uri, '/analysis') => ['visit' => 'cold'],
            str_starts_with($uri, 'reference/sums') => [
                'with' => [$this->any(['volts', 'amps', 'x']) => $this->random->getInt(-5, 200)],
            ],
            $uri === 'login' => ['email' => 'x@demo.example', 'password' => 'x'],
            $uri === 'jobs' => [
                'appliance' => $this->any($this->ids['appliance']),
                'course' => $this->any($this->ids['course']),
                'trainees' => [],
                'title' => 'A job',
                'fault' => 'limit:stuck-open',
                'visit' => 'cold',
                'kind' => 'practice',
                'rules' => 1,
                'complaint' => 'No heat.',
            ],
            $uri === 'drafts' => $this->any([
                ['title' => 'New', 'region' => 'NA'],
                ['model' => 'boiler-simple-230'],
                ['file' => '{"odd_spark_model":1}'],
                ['title' => 'X', 'file' => str_repeat('[', 50)],
            ]),
            $uri === 'kinds' => [
                'name' => 'own-kind',
                'title' => 'Own',
                'terminals' => [['name' => 'a', 'edge' => 'left'], ['name' => 'b', 'edge' => 'right']],
                'primitives' => [['name' => 'switch', 'type' => 'contact', 'a' => 'a', 'b' => 'b', 'rest' => 'closed']],
            ],
            $uri === 'rules' => ['document' => ['name' => 'first-year', 'title' => 'Ours', 'pass_mark' => 60]],
            default => [],
        };
    }

    /** @return array<string, mixed> */
    private function act(): array
    {
        $name = $this->any(array_diff(array_keys(Catalogue::all()), ['hand_back']));
        $act = [
            'id' => bin2hex($this->random->getBytes(6)),
            'act' => $name,
            'at_s' => $this->random->getInt(0, 40) / 2,
        ];
        foreach (Catalogue::all()[$name]::fields() as $field => $asked) {
            $type = ((array) ($asked->schema['type'] ?? 'enum'))[0];
            $act[$field] = match (true) {
                $type === 'enum' => $this->any($asked->schema['enum']),
                $asked->names === 'wire' => [$this->any($this->places)],
                $type === 'number', $type === 'integer' => $this->random->getInt(1, 10),
                $field === 'to' => $this->any(['on', 'off', 70, 'heat']),
                $field === 'fault' => 'limit:stuck-open',
                $asked->names === '' => 'words',
                default => $this->any([...$this->places, ...$this->parts]),
            };
        }

        return $act;
    }

    /** @return array<string, mixed> */
    private function edit(): array
    {
        $name = $this->any(array_keys(Edits::EDITS));
        $edit = ['do' => $name];
        foreach (Edits::EDITS[$name] as $field => $type) {
            if (str_ends_with($type, '?') && $this->chance(50)) {
                continue;
            }
            $edit[$field] = match (rtrim($type, '?')) {
                'text' => match ($field) {
                    'kind' => $this->any(['relay-24', 'limit-switch', 'splice']),
                    'from', 'to', 'on' => $this->any($this->places),
                    'part' => $this->any($this->parts),
                    'wire' => $this->any(['w01', 'w02']),
                    'colour' => $this->any(['red', 'moon']),
                    'path' => $this->any([
                        '/title',
                        '/visits',
                        '/tape',
                        '/taps',
                        '/wires/0/colour',
                        '/parts/0/at',
                        '/process',
                        '/',
                    ]),
                    'csv' => "from,to\nA,B",
                    'model' => 'boiler-simple-230',
                    default => 'x',
                },
                'texts' => [$this->any([...$this->parts, 'w01', 'w02'])],
                'point' => [$this->random->getInt(-50, 900), $this->random->getInt(-50, 900)],
                'points' => [[10, 10], [50, 90]],
                'number' => $this->random->getInt(-2, 40),
                'map' => ['x' => 1],
                'any' => $this->any(self::JUNK),
                default => $this->any(explode('|', rtrim($type, '?'))),
            };
        }

        return $edit;
    }

    /**
     * @param array<array-key, mixed> $value
     * @return array<array-key, mixed>
     */
    private function damaged(array $value): array
    {
        if ($value === []) {
            return $this->chance(50) ? [] : ['x' => $this->junk()];
        }
        $key = $this->any(array_keys($value));
        if (is_array($value[$key]) && $value[$key] !== [] && $this->chance(60)) {
            $value[$key] = $this->damaged($value[$key]);

            return $value;
        }
        switch ($this->random->getInt(0, 4)) {
            case 0: unset($value[$key]);
                break;
            case 1: $value["$key-more"] = $this->junk();
                break;
            default: $value[$key] = $this->junk();
        }

        return $value;
    }

    private function junk(): mixed
    {
        return match ($this->random->getInt(0, 9)) {
            0 => str_repeat($this->any(['a', '9', 'ß', '🔥', '[']), $this->random->getInt(1, 6000)),
            1 => array_fill(0, $this->random->getInt(1, 300), 1),
            2 => $this->nested($this->random->getInt(2, 30)),
            default => $this->any(self::JUNK),
        };
    }

    /** @return array<array-key, mixed> */
    private function nested(int $depth): array
    {
        return $depth === 0 ? [] : ['a' => $this->nested($depth - 1)];
    }

    private function chance(int $percent): bool
    {
        return $this->random->getInt(1, 100) <= $percent;
    }

    /**
     * @template T
     *
     * @param array<array-key, T> $list
     * @return T
     */
    private function any(array $list): mixed
    {
        return array_values($list)[$this->random->getInt(0, count($list) - 1)];
    }
}
