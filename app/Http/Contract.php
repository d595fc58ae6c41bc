<?php

namespace App\Http;

use Illuminate\Http\Request;
use OddSpark\Appliance\DocumentError;
use OddSpark\Appliance\Schema;

/**
 * What the browser and the server say to each other: contract/routes.json names, by route, the schemas of what is sent
 * (contract/requests.json) and answered (contract/replies.json); a page's props are called by the page. The browser's
 * types are written from the same files.
 *
 * A field whose fault is better told in words of its own has them under "sentence". What an act or an edit must have is
 * said by the core's own catalogues.
 */
class Contract
{
    /** What every page has beside its own. */
    private const SHARED = ['errors', 'me', 'instruments', 'flash'];

    /** What is answered as a file, in a format of its own. */
    private const FILES = [
        'GET attempts/{attempt}/xapi',
        'GET attempts/{attempt}/paper.json',
        'GET drafts/{draft}/files/{what}',
    ];

    /** Keywords of a schema that {@see isPlainlyMet} knows. */
    private const PLAIN = ['type' => 1, 'required' => 1, 'properties' => 1, 'additionalProperties' => 1,
        'description' => 1];

    private const PLAIN_FIELD = ['type' => 1, 'minimum' => 1, 'maximum' => 1, 'minLength' => 1, 'maxLength' => 1,
        'enum' => 1, 'sentence' => 1, 'description' => 1];

    /** @var array<string, array<string, mixed>> files that were read */
    private static array $files = [];

    /** What is wrong with a request; null when nothing is, or nothing is asked of it. */
    public static function fault(Request $request): ?DocumentError
    {
        $type = self::routes()[self::name($request)]['request'] ?? null;
        if ($type === null) {
            return null;
        }
        $schema = self::file('requests')['$defs'][$type];
        $isForm = ! $request->isJson() || $request->hasHeader('X-Inertia');
        $body = json_decode($isForm ? (string) json_encode($request->post()) : $request->getContent());
        if (is_array($body) && $body !== []) {
            return new DocumentError('/', 'The request must be a JSON object.');
        }
        $fields = get_object_vars((object) $body);
        $said = (object) (($isForm ? self::read($fields, $schema) : $fields) + self::read($request->query(), $schema));
        foreach ($schema['required'] as $field) {
            if (in_array($said->$field ?? null, [null, ''], true)) {
                $sentence = $schema['properties'][$field]['sentence'] ?? "\"$field\" is missing.";

                return new DocumentError("/$field", $sentence);
            }
        }
        if (self::isPlainlyMet($schema, get_object_vars($said))) {
            return null;
        }
        $fault = Schema::fault((string) json_encode($schema), $said);
        if ($fault === null) {
            return null;
        }
        $at = ltrim($fault->pointer, '/');

        return new DocumentError($fault->pointer, match (true) {
            isset($schema['properties'][$at]['sentence']) => $schema['properties'][$at]['sentence'],
            $at === '' => $fault->sentence,
            default => "$at: ".lcfirst($fault->sentence),
        });
    }

    /**
     * Whether a request of figures, texts and yes or no meets its schema. Nearly every one does, and is told so in a
     * hundredth of the time; of anything else the validator says what is wrong.
     *
     * @param array<string, mixed> $schema
     * @param array<string, mixed> $said
     */
    private static function isPlainlyMet(array $schema, array $said): bool
    {
        if (array_diff_key($schema, self::PLAIN) !== [] || array_diff_key($said, $schema['properties']) !== []) {
            return false;
        }
        foreach ($said as $field => $value) {
            $asked = $schema['properties'][$field];
            $isMet = array_diff_key($asked, self::PLAIN_FIELD) === [] && match ($asked['type'] ?? null) {
                'integer' => is_int($value),
                'number' => is_int($value) || is_float($value),
                'string' => is_string($value),
                'boolean' => is_bool($value),
                default => false,
            };
            if (
                ! $isMet ||
                is_string($value) && (
                    mb_strlen($value) < ($asked['minLength'] ?? 0) ||
                    mb_strlen($value) > ($asked['maxLength'] ?? INF)
                ) ||
                ! is_string($value) && ($value < ($asked['minimum'] ?? -INF) || $value > ($asked['maximum'] ?? INF)) ||
                isset($asked['enum']) && ! in_array($value, $asked['enum'], true)
            ) {
                return false;
            }
        }

        return true; // what is required is there: that was asked before
    }

    /** What is wrong with what is answered; null when nothing is, or nothing is said of it. */
    public static function unlike(Request $request, mixed $answer): ?DocumentError
    {
        $type = self::routes()[self::name($request)]['reply'] ?? null;
        if ($type === null) {
            return in_array(self::name($request), self::FILES, true)
                ? null
                : new DocumentError('/', 'contract/routes.json does not say what this route answers.');
        }

        return self::against($type, $answer);
    }

    /** What is wrong with the props of a page. */
    public static function unlikePage(string $page, object $props): ?DocumentError
    {
        $own = (object) array_diff_key(get_object_vars($props), array_flip(self::SHARED));

        return self::against("{$page}Page", $own);
    }

    /** @return array<string, array{request?: string, reply?: string}> by method and address */
    public static function routes(): array
    {
        return self::file('routes');
    }

    public static function name(Request $request): string
    {
        return $request->method().' '.$request->route()?->uri();
    }

    private static function against(string $type, mixed $answer): ?DocumentError
    {
        $schema = ['$ref' => "#/\$defs/$type"] + self::file('replies');

        return Schema::fault((string) json_encode($schema), $answer);
    }

    /**
     * Figures of an address, and of a form, are text: those that are to be numbers become them; what was left empty was
     * not said.
     *
     * @param array<string, mixed> $query
     * @param array<string, mixed> $schema
     * @return array<string, mixed>
     */
    private static function read(array $query, array $schema): array
    {
        foreach ($query as $key => $value) {
            $types = (array) ($schema['properties'][$key]['type'] ?? []);
            if (is_string($value) && is_numeric($value) && array_intersect($types, ['number', 'integer']) !== []) {
                $query[$key] = $value + 0;
            }
        }

        return $query;
    }

    /** @return array<string, mixed> */
    private static function file(string $name): array
    {
        return self::$files[$name] ??= json_decode(
            (string) file_get_contents(base_path("contract/$name.json")),
            true,
            flags: JSON_THROW_ON_ERROR,
        );
    }
}
