<?php

declare(strict_types=1);

namespace OddSpark\Building;

use OddSpark\Appliance\DocumentError;
use OddSpark\Appliance\Family;
use OddSpark\Appliance\KeyCheck;
use OddSpark\Appliance\Library;
use OddSpark\Appliance\Primitives;
use OddSpark\Appliance\Schema;
use OddSpark\Appliance\Shapes;
use OddSpark\Appliance\Spec;
use OddSpark\Parts\Ability\Decides;
use OddSpark\Parts\Ability\StandsAsSet;
use OddSpark\Parts\Primitive;
use OddSpark\Parts\Role;
use OddSpark\Words\Words;

/**
 * A kind of part that an instructor makes of primitives and a table, without code: terminals by their edge, what lies
 * between them, and the faults that such things have unless he says otherwise.
 *
 * @phpstan-import-type KindDocument from Shapes
 * @phpstan-import-type Figures from Primitive
 * @phpstan-import-type ModeDocument from Shapes
 */
final readonly class OwnKind
{
    /** What an input of a 24 V control draws on; common practice, no source. */
    private const INPUT_OHM = 2200;

    public function __construct(private Library $library) {}

    /**
     * A kind from what was said of it.
     *
     * @param array{name: string, title: string, family?: string, symbol?: string,
     *     terminals: list<array{name: string, edge: string}>, primitives: array<string, Figures>,
     *     look?: string, modes?: array<string, ModeDocument>, joined?: list<list<string>>,
     *     references?: list<string>} $said
     * @return KindDocument a kind's document
     *
     * @throws EditError what is wrong, and where
     */
    public function make(array $said): array
    {
        $name = PartEdits::slug($said['name']);
        if (in_array($name, $this->library->kindNames(), true)) {
            throw new EditError('/name', Words::say('building.own_kind.there_is_a_shipped_kind', [
                'name' => $name,
            ]));
        }
        if ($said['terminals'] === []) {
            throw new EditError('/terminals', Words::say('building.own_kind.a_part_needs_a_terminal'));
        }
        [$size, $terminals] = TerminalEdges::laidOut($said['terminals']);
        $primitives = $said['primitives'];
        foreach ($primitives as $id => $spec) {
            if (! is_string($spec['type'] ?? null)) {
                throw new EditError("/primitives/$id/type", Words::say('building.own_kind.choose_a_primitive'));
            }
            if (! Primitives::isOfPart($spec['type'])) {
                throw new EditError(
                    "/primitives/$id/type",
                    Words::say('building.own_kind.there_is_no_primitive_called', [
                        'type' => $spec['type'],
                    ]),
                );
            }
            if (is_string($spec['table'] ?? null)) {
                $primitives[$id]['table'] = $this->library->table($spec['table']);
            }
        }
        self::whole($name, $primitives);
        $primitives = self::withInputs($primitives);
        foreach ($primitives as $id => $spec) {
            foreach (self::named($spec) as $terminal) {
                isset($terminals[$terminal]) ||
                    throw new EditError(
                        "/primitives/$id",
                        Words::say('building.own_kind.goes_to_which_is_no', [
                            'id' => $id,
                            'terminal' => $terminal,
                            'terminals' => implode(', ', array_keys($terminals)),
                        ]),
                    );
            }
        }
        $kind = array_filter(
            [
                'kind' => $name,
                'version' => 1,
                'title' => $said['title'],
                'family' => (Family::tryFrom($said['family'] ?? '') ?? Family::Own)->value,
                'size' => $size,
                'symbol' => $said['symbol'] ?? '' ?: 'control',
                'terminals' => $terminals,
                'joined' => $said['joined'] ?? null,
                'references' => $said['references'] ?? null,
                'primitives' => $primitives,
                'controls' => array_map(
                    fn (array $p) => ['label' => $p['label'] ?? 'lever'],
                    array_filter(
                        $primitives,
                        fn (array $p) => is_a(Primitives::TYPES[$p['type']], StandsAsSet::class, true),
                    ),
                ) ?:
                    null,
                'look' => $said['look'] ?? '' ?: Words::say('building.own_kind.nothing_to_be_seen'),
            ],
            fn ($v) => $v !== null,
        ) + ['modes' => $said['modes'] ?? self::faults($primitives, $said['title'])];
        foreach ($kind['primitives'] as $id => $spec) {
            unset($kind['primitives'][$id]['label']);
        }
        $this->check($kind);

        return $kind;
    }

    /**
     * Whether a kind can be used: as the format asks, and every figure and name in it as its primitives need them.
     *
     * @param KindDocument $kind
     *
     * @throws EditError
     */
    public function check(array $kind): void
    {
        try {
            $document = Document::blank('trial', 'Trial', 'NA');
            $document['kinds'] = [$kind['kind'] => $kind];
            $document['parts'] = [['id' => 'one', 'kind' => $kind['kind'], 'label' => 'One', 'at' => [40, 40]]];
            Schema::checkDraft($document);
            $this->library->draft($document);
        } catch (DocumentError $e) {
            throw self::refusal($e);
        }
    }

    /**
     * @param array<string, Figures> $primitives
     *
     * @throws EditError what a primitive lacks, before it is asked where it goes and what can fail in it
     */
    private static function whole(string $name, array $primitives): void
    {
        try {
            KeyCheck::whole($name, $primitives);
        } catch (DocumentError $e) {
            throw self::refusal($e);
        }
    }

    private static function refusal(DocumentError $e): EditError
    {
        return new EditError((string) preg_replace('#^/kinds/[^/]+#', '', $e->pointer), $e->sentence);
    }

    /**
     * The faults that primitives have by their nature.
     *
     * @param array<string, Figures> $primitives
     * @return array<string, Figures>
     */
    public static function faults(array $primitives, string $title): array
    {
        $modes = [];
        foreach ($primitives as $id => $spec) {
            foreach (Spec::of((string) $id, $spec)->faults() as $fault) {
                $modes[PartEdits::slug("$id-$fault->mode")] = [
                    'title' => str_replace('_', ' ', (string) $id)." $fault->words",
                    'set' => array_combine(
                        array_map(fn (string $path) => "$id.$path", array_keys($fault->set)),
                        array_values($fault->set),
                    ),
                    'weight' => $fault->weight,
                    'repair' => mb_strtolower($title),
                ];
            }
        }

        return $modes;
    }

    /**
     * What a control reads the volts of has an impedance, or it would read what strays onto an open wire.
     *
     * @param array<string, Figures> $primitives
     * @return array<string, Figures>
     */
    private static function withInputs(array $primitives): array
    {
        $loaded = [];
        foreach (
            array_filter(
                $primitives,
                fn (array $p) => isset($p['type'], $p['between']) && isset(Primitives::TYPES[$p['type']]),
            ) as $id => $spec
        ) {
            foreach (Spec::of((string) $id, $spec)->wiring() as $wired) {
                if ($wired->role === Role::Load) {
                    $loaded[] = $spec['between'];
                }
            }
        }
        foreach ($primitives as $id => $spec) {
            $inputs =
                isset($spec['type']) && is_string($spec['type']) && Spec::of((string) $id, $spec)->can(Decides::class)
                    ? $spec['inputs'] ?? []
                    : [];
            foreach ($inputs as $name => $input) {
                $between = $input['ac'] ?? null;
                if (
                    $between !== null &&
                    ! in_array($between, $loaded, true) &&
                    ! in_array(array_reverse($between), $loaded, true)
                ) {
                    $primitives["{$name}_input"] = [
                        'type' => 'resistor',
                        'between' => $between,
                        'ohm' => self::INPUT_OHM,
                    ];
                    $loaded[] = $between;
                }
            }
        }

        return $primitives;
    }

    /**
     * Terminals that a primitive names.
     *
     * @param Figures $spec
     * @return list<string>
     */
    private static function named(array $spec): array
    {
        /** @var class-string<Primitive> $class */
        $class = Primitives::TYPES[$spec['type']];
        try {
            $joins = $class::joins($spec);
        } catch (\Throwable) {
            throw new EditError('/primitives', Words::say('building.own_kind.a_needs_to_know_between', [
                'type' => $spec['type'],
            ]));
        }
        $names = array_merge([], ...$joins['branches'] ?? [], ...$joins['windings'] ?? []);
        foreach ($spec['inputs'] ?? [] as $input) {
            foreach (['ac', 'dc', 'ohms', 'ua_through'] as $how) {
                $names = [...$names, ...$input[$how] ?? []];
            }
        }

        return array_values(array_unique($names));
    }
}
