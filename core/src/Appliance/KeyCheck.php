<?php

declare(strict_types=1);

namespace OddSpark\Appliance;

use OddSpark\Parts\Ability\Decides;
use OddSpark\Sequence\Table;
use OddSpark\Words\Words;

/**
 * Whether kinds, their modes and the parts of a document say of each primitive what it knows, and all that it needs: a
 * key that is misspelt would do nothing, and be found by nobody.
 *
 * @phpstan-import-type ModelDocument from Shapes
 * @phpstan-import-type KindDocument from Shapes
 */
final class KeyCheck
{
    /** Letters by which a word may differ from the one that was meant. */
    private const MISSPELT = 3;

    /**
     * @param ModelDocument $d a resolved model document
     *
     * @throws DocumentError
     */
    public static function check(array $d): void
    {
        foreach ($d['kinds'] as $name => $kind) {
            self::kind("/kinds/$name", $kind);
        }
        foreach ($d['parts'] as $i => $part) {
            $kind = $d['kinds'][$part['kind']];
            foreach ($part['params'] ?? [] as $primitive => $params) {
                $type = self::type("/parts/$i/params/$primitive", $kind, (string) $primitive);
                $own = $kind['primitives'][$primitive];
                foreach ($params as $key => $value) {
                    $at = "/parts/$i/params/$primitive/$key";
                    self::key($at, $type, (string) $key);
                    if (is_array($value) && ! array_is_list($value) && ! is_array($own[$key] ?? [])) {
                        throw new DocumentError($at, Words::say('appliance.key_check.must_be_of_the_form', [
                            'own' => json_encode($own[$key]),
                        ]));
                    }
                }
                if (isset($params['overrides'])) {
                    $own = $kind;
                    $own['primitives'][$primitive]['table'] = Table::with(
                        $kind['primitives'][$primitive]['table'],
                        $params['overrides'],
                    );
                    self::outputs("/parts/$i/params/$primitive", $own, (string) $primitive);
                }
            }
        }
    }

    /**
     * Whether every primitive of a kind has what it cannot do without, in the form that it is read in; till then
     * nothing can be asked of the kind.
     *
     * @param array<string, array<string, mixed>> $primitives
     *
     * @throws DocumentError
     */
    public static function whole(string $kind, array $primitives): void
    {
        foreach ($primitives as $of => $primitive) {
            $at = "/kinds/$kind/primitives/$of";
            if (! isset(Primitives::TYPES[$primitive['type']])) {
                throw new DocumentError("$at/type", Words::say('appliance.key_check.there_is_no_primitive_called', [
                    'type' => $primitive['type'],
                ]));
            }
            foreach (self::known($primitive['type'])['needs'] ?? [] as $key) {
                if (! isset($primitive[$key])) {
                    throw new DocumentError($at, "A \"{$primitive['type']}\" needs \"$key\".");
                }
            }
            $spec = Spec::of((string) $of, $primitive);
            if ($spec->can(Decides::class) && ! is_array($spec->get('table'))) {
                throw new DocumentError("$at/table", Words::say('appliance.key_check.a_control_needs_a_sequence'));
            }
            self::readable($at, $spec);
        }
    }

    /**
     * Asks a primitive once for all that is asked of it later; what it stumbles over is what is missing, or is of
     * another form than it reads.
     */
    private static function readable(string $at, Spec $spec): void
    {
        set_error_handler(fn (int $level, string $message): bool => throw new \ErrorException($message, 0, $level));
        try {
            $spec->isElectric();
            $spec->wiring();
            $spec->faults();
            $figures = $spec->figures();
        } catch (\ErrorException|\TypeError $e) {
            throw new DocumentError(
                $at,
                preg_match('/^Undefined array key "(.+)"$/', $e->getMessage(), $found) === 1
                    ? "A \"{$spec->get('type')}\" needs \"$found[1]\"."
                    : Words::say('appliance.key_check.what_is_said_of_this', ['type' => $spec->get('type')]),
            );
        } finally {
            restore_error_handler();
        }
        foreach ($figures as $figure) {
            // without a unit it is a position, which has a name
            if ($figure->unit !== '' && is_string($spec->get($figure->key))) {
                throw new DocumentError("$at/$figure->key", Words::say('appliance.key_check.give_as_a_number', [
                    'key' => $figure->key,
                ]));
            }
        }
    }

    /** @param KindDocument $kind */
    private static function kind(string $pointer, array $kind): void
    {
        foreach ($kind['primitives'] as $name => $primitive) {
            $at = "$pointer/primitives/$name";
            foreach (array_keys($primitive) as $key) {
                self::key("$at/$key", $primitive['type'], (string) $key);
            }
            $follows = $primitive['follows'] ?? null;
            if (is_string($follows) && ! str_starts_with($follows, '@')) {
                self::type("$at/follows", $kind, $follows);
            }
            self::outputs($at, $kind, (string) $name);
        }
        foreach (self::sets($kind) as $where => $set) {
            foreach (array_keys($set) as $path) {
                [$of, $key] = [...explode('.', (string) $path), ''];
                $at = "$pointer/$where/$path";
                self::key($at, self::type($at, $kind, $of), $key);
            }
        }
        foreach (['percepts', 'ports'] as $list) {
            foreach ($kind[$list] ?? [] as $name => $x) {
                foreach (array_filter([$x['of'] ?? null, $x['lights']['by'] ?? null, $x['emits'] ?? null]) as $of) {
                    self::type("$pointer/$list/$name", $kind, $of);
                }
            }
        }
    }

    /**
     * What changes figures of its primitives: ways of failing, spares, and ways of cleaning.
     *
     * @param KindDocument $kind
     * @return array<string, array<string, mixed>> by where it stands
     */
    private static function sets(array $kind): array
    {
        $sets = [];
        foreach ($kind['modes'] as $mode => $m) {
            $sets["modes/$mode/set"] = $m['set'] ?? [];
            foreach ($m['degrees'] ?? [] as $degree => $set) {
                $sets["modes/$mode/degrees/$degree"] = $set;
            }
        }
        foreach (['spares', 'cleaned'] as $list) {
            foreach ($kind[$list] ?? [] as $name => $set) {
                $sets["$list/$name"] = $set;
            }
        }

        return $sets;
    }

    /**
     * Outputs of a control that nothing follows: they would do nothing. A kind need not have all of those of a stock
     * table.
     *
     * @param KindDocument $kind
     */
    private static function outputs(string $pointer, array $kind, string $control): void
    {
        $followed = ['out' => [], 'level' => []];
        foreach ($kind['primitives'] as $primitive) {
            [$of, $name] = [...explode('.', (string) ($primitive['key'] ?? ''), 2), ''];
            if (($primitive['follows'] ?? null) === $control && isset($followed[$of])) {
                $followed[$of][$name] = true;
            }
        }
        $table = $kind['primitives'][$control]['table'] ?? [];
        $spare = KnownKeys::OUTPUTS[$table['table'] ?? ''] ?? [];
        foreach ($table['states'] ?? [] as $state => $row) {
            $gives = ['outputs' => ['out', $row['outputs']], 'levels' => ['level', array_keys($row['levels'] ?? [])]];
            foreach ($gives as $list => [$as, $names]) {
                foreach ($names as $name) {
                    if (! isset($followed[$as][$name]) && ! in_array($name, $spare, true)) {
                        throw new DocumentError(
                            "$pointer/table/states/$state/$list",
                            Words::say('appliance.key_check.nothing_of_this_kind_follows', [
                                'list' => rtrim($list, 's'),
                                'name' => $name,
                                'meant' => self::meant((string) $name, array_map('strval', array_keys($followed[$as]))),
                            ]),
                        );
                    }
                }
            }
        }
    }

    /**
     * The type of a primitive that is named.
     *
     * @param KindDocument $kind
     *
     * @throws DocumentError when there is none of that name
     */
    private static function type(string $pointer, array $kind, string $primitive): string
    {
        return $kind['primitives'][$primitive]['type'] ?? throw new DocumentError(
            $pointer,
            Words::say('appliance.key_check.is_not_made_of_anything', [
                'kind' => $kind['kind'],
                'primitive' => $primitive,
                'meant' => self::meant($primitive, array_map('strval', array_keys($kind['primitives']))),
            ]),
        );
    }

    private static function key(string $pointer, string $type, string $key): void
    {
        $known = self::known($type);
        if ($known !== null && $key !== 'overrides' && ! in_array($key, $known['keys'], true)) {
            throw new DocumentError(
                $pointer,
                Words::say('appliance.key_check.a_has_nothing_called', [
                    'type' => $type,
                    'key' => $key,
                    'meant' => self::meant($key, $known['keys']),
                ]),
            );
        }
    }

    /** @param list<string> $words */
    private static function meant(string $word, array $words): string
    {
        $near = array_filter($words, fn (string $w): bool => levenshtein($w, $word) <= self::MISSPELT);
        usort($near, fn (string $a, string $b): int => levenshtein($a, $word) <=> levenshtein($b, $word));

        return $near === [] ? '' : " Is \"$near[0]\" meant?";
    }

    /** @return array{keys: list<string>, needs: list<string>}|null null of a type that no kind is made of */
    private static function known(string $type): ?array
    {
        return KnownKeys::OF[$type] ?? null;
    }
}
