<?php

declare(strict_types=1);

namespace OddSpark\Appliance;

use OddSpark\Circuit\Topology;
use OddSpark\Parts\Primitive;
use OddSpark\Words\Words;

/**
 * From places to nodes, and from primitives to their branches, windings and flames, all by number.
 *
 * @phpstan-import-type PerceptDocument from Shapes
 * @phpstan-import-type Figures from Primitive
 */
final readonly class Numbering
{
    /** Of a wire or a part to earth, from memory: some feet of wire in a cabinet have tens of picofarads. */
    private const STRAY_PF = 10.0;

    private const STRAY_OHM = 1.0e13;

    public function __construct(private Model $model, private Places $places) {}

    /**
     * @param array<string, array{type: string, spec: Figures, scope: string, local: list<string>}> $primitives
     * @param array<string, PerceptDocument> $percepts
     *
     * @throws DocumentError when a primitive is fitted to what is no place
     */
    public function plan(array $primitives, array $percepts): Plan
    {
        $nodes = [];
        $places = [];
        foreach ($this->places->all() as $place) {
            $nodes[$this->places->find($place)] ??= count($nodes) + 1;
            $places[$place] = $nodes[$this->places->find($place)];
        }
        $strays = $this->strays();
        $primitives['stray'] = [
            'type' => 'stray',
            'spec' => [
                'type' => 'stray',
                'places' => array_map('strval', array_keys($strays)),
                'picofarads' => array_values($strays),
                'leak_ohm' => self::STRAY_OHM,
            ],
            'scope' => '',
            'local' => [],
        ];
        $branches = $windings = $flames = $entries = $variable = $read = [];
        foreach ($primitives as $id => ['type' => $type, 'spec' => $spec, 'scope' => $scope, 'local' => $local]) {
            $node = fn (string $name): int => match (true) {
                $name === 'EARTH' => 0,
                isset($places["$scope.$name"]) => $places["$scope.$name"],
                isset($places[$name]) => $places[$name],
                default => throw new DocumentError('', Words::say('appliance.numbering.is_fitted_to_which_is', [
                    'id' => $id,
                    'name' => $name,
                ])),
            };
            $named = [];
            foreach ($local as $name) {
                $named[$name] = $node($name);
            }
            foreach ($spec as $role => $value) {
                if (is_string($value) && (isset($places["$scope.$value"]) || isset($places[$value]))) {
                    $named[$role] = $node($value);
                }
            }
            if (isset($spec['between'])) {
                $named['a'] = $node($spec['between'][0]);
                $named['b'] = $node($spec['between'][1]);
            }
            $joins = Primitives::TYPES[$type]::joins($spec);
            $entry = [
                'type' => $type,
                'spec' => $spec,
                'nodes' => $named,
                'branches' => [],
                'windings' => [],
                'flames' => [],
            ];
            foreach ($joins['branches'] ?? [] as $pair) {
                if (Primitives::TYPES[$type]::VARIES) {
                    $variable[] = count($branches);
                }
                $entry['branches'][] = count($branches);
                $branches[] = array_map($node, $pair);
            }
            foreach ($joins['windings'] ?? [] as $four) {
                $entry['windings'][] = count($windings);
                $windings[] = array_map($node, $four);
            }
            foreach ($joins['flames'] ?? [] as $pair) {
                $entry['flames'][] = count($flames);
                $flames[] = array_map($node, $pair);
            }
            if (Primitives::TYPES[$type]::READS_CIRCUIT && isset($named['a'])) {
                array_push($read, $named['a'], $named['b']);
            }
            foreach ($spec['inputs'] ?? [] as $input) {
                array_push(
                    $read,
                    ...array_map(
                        $node,
                        $input['ac'] ?? ($input['dc'] ?? ($input['ua_through'] ?? ($input['ohms'] ?? []))),
                    ),
                );
            }
            $entries[$id] = $entry;
        }

        return new Plan(
            $this->model,
            $this->model->hash(),
            (float) $this->model->document['supply']['hertz'],
            $branches,
            $places,
            $entries,
            get_object_vars(
                Topology::of(
                    count($nodes) + 1,
                    $branches,
                    $variable,
                    array_values(array_unique(array_diff($read, [0]))),
                ),
            ),
            $windings,
            $flames,
            $percepts,
        );
    }

    /**
     * What every conductor has to earth, so that none floats altogether, whatever is lifted, open or broken: of a part
     * shared among its terminals and what lies inside, of a wire among its ends.
     *
     * @return array<string, float> picofarads by place, each standing for all that are one with it
     */
    private function strays(): array
    {
        $of = [];
        foreach ($this->model->document['parts'] as $part) {
            $kind = $this->model->document['kinds'][$part['kind']];
            foreach ([...array_keys($kind['terminals']), ...($kind['inside'] ?? [])] as $name) {
                $of[$part['id']][$this->places->find("{$part['id']}.$name")] = true;
            }
        }
        foreach ($this->model->document['wires'] as $wire) {
            $of["{$wire['id']} wire"] = ["{$wire['id']}.a" => true, "{$wire['id']}.b" => true];
        }
        $strays = [];
        foreach ($of as $places) {
            foreach (array_keys($places) as $place) {
                $strays[$place] = ($strays[$place] ?? 0.0) + self::STRAY_PF / count($places);
            }
        }

        return $strays;
    }
}
