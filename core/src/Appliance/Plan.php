<?php

declare(strict_types=1);

namespace OddSpark\Appliance;

use OddSpark\Circuit\Network;
use OddSpark\Circuit\Topology;
use OddSpark\Parts\Primitive;
use OddSpark\Words\Words;

/**
 * A model made ready to run: nodes numbered, the elimination order found, every primitive's
 * parameters and fittings in one list. Plain arrays, so that it can be kept between requests.
 *
 * @phpstan-type Entry array{type: string, spec: Figures, nodes: array<string, int>, branches: list<int>, windings: list<int>, flames: list<int>}
 * @phpstan-import-type Figures from Primitive
 * @phpstan-import-type PerceptDocument from Shapes
 */
final class Plan
{
    private ?Network $network = null;

    /** @var array<class-string, list<string>> */
    private array $able = [];

    /**
     * @param list<array{int, int}> $branches the two nodes of each branch
     * @param array<string, int> $places node of every place: terminals and wire ends
     * @param array<string, Figures> $primitives by id, in the order of the document
     * @param array<string, mixed> $topology arguments of {@see Topology}
     * @param list<array{int, int, int, int}> $windings
     * @param list<array{int, int}> $flames
     * @param array<string, PerceptDocument> $percepts by channel: of, sense, from, thing, say
     */
    public function __construct(
        public readonly Model $model,
        public readonly string $hash,
        public readonly float $hertz,
        public readonly array $branches,
        public readonly array $places,
        public readonly array $primitives,
        public readonly array $topology,
        public readonly array $windings,
        public readonly array $flames,
        public readonly array $percepts,
    ) {}

    public function network(): Network
    {
        return $this->network ??= new Network(
            new Topology(...$this->topology),
            $this->hertz,
            $this->windings,
            $this->flames,
        );
    }

    public function node(string $place): ?int
    {
        return $this->places[$place] ?? null;
    }

    /**
     * A name for every node: the first place that lies on it.
     *
     * @return array<int, string>
     */
    public function nodeNames(): array
    {
        $names = $taken = [];
        foreach ($this->places as $place => $node) {
            if (isset($names[$node])) {
                continue;
            }
            $name = (string) $place;
            while (isset($taken[strtolower($name)])) { // to a simulator "L" and "l" are one
                $name .= '-2';
            }
            $taken[strtolower($name)] = true;
            $names[$node] = $name;
        }

        return $names;
    }

    /**
     * Ids of its primitives that can do something.
     *
     * @param class-string $ability of {@see \OddSpark\Parts\Ability}
     * @return list<string>
     */
    public function those(string $ability): array
    {
        return $this->able[$ability] ??= array_values(
            array_map(
                'strval',
                array_keys(
                    array_filter(
                        $this->primitives,
                        fn (array $p): bool => is_a(Primitives::TYPES[$p['type']], $ability, true),
                    ),
                ),
            ),
        );
    }

    /** Whether it is there and does something: what needs pipes does nothing without. */
    public function isJoined(string $primitive): bool
    {
        return isset($this->primitives[$primitive]) && $this->primitives[$primitive]['type'] !== Primitives::UNJOINED;
    }

    /** @return array{string, string} primitive id and the path within its parameters */
    public function parameter(string $path): array
    {
        $words = explode('.', $path);
        for ($n = count($words) - 1; $n > 0; $n--) {
            $id = implode('.', array_slice($words, 0, $n));
            if (isset($this->primitives[$id])) {
                return [$id, implode('.', array_slice($words, $n))];
            }
        }
        throw new \OutOfBoundsException(Words::say('appliance.plan.no_primitive_is_meant_by', ['path' => $path]));
    }

    /** What the document gives for a parameter, by its path; null when it gives nothing. */
    public function given(string $path): mixed
    {
        [$id, $keys] = $this->parameter($path);
        $value = $this->primitives[$id]['spec'];
        foreach (explode('.', $keys) as $key) {
            $value = is_array($value) ? $value[$key] ?? null : null;
        }

        return $value;
    }

    /** @return array<string, mixed> for {@see fromArray}, without objects */
    public function toArray(): array
    {
        return ['document' => $this->model->document] +
            array_diff_key(get_object_vars($this), ['model' => 1, 'network' => 1, 'able' => 1]);
    }

    /** @param array<string, mixed> $plan from {@see toArray} */
    public static function fromArray(array $plan): self
    {
        $model = new Model($plan['document']);
        unset($plan['document']);

        return new self($model, ...$plan);
    }
}
