<?php

declare(strict_types=1);

namespace OddSpark\Run;

use OddSpark\Appliance\Plan;
use OddSpark\Appliance\Primitives;
use OddSpark\Circuit\Values;
use OddSpark\Parts\Fittings;
use OddSpark\Parts\Primitive;

/**
 * The primitives of a plan, made once for all machines that run it: they hold no state. A machine with a
 * fault has its own of the few that the fault changes.
 *
 * @phpstan-import-type Figures from Primitive
 * @phpstan-import-type Changes from Primitive
 * @phpstan-import-type Entry from Plan
 */
final class Build
{
    /** @var \WeakMap<Plan, self>|null what is kept here must not hold its plan, or neither is ever let go */
    private static ?\WeakMap $made = null;

    /** @var array<string, Primitive> */
    public array $primitives = [];

    /** @var array<string, Primitive> those that react */
    public array $live = [];

    /** @var array<string, list<string>> those that read the whole of a primitive's slot */
    public array $readers = [];

    /**
     * @var array<string, list<array{string, string|null, list<string>}>> those that read a key of a primitive's slot,
     *     or a key within it: [key, key within, who]
     */
    public array $keyReaders = [];

    /** @var array<string, true> those that are asked again when they have changed themselves */
    public array $restless = [];

    /** @var array<string, true> those that read the circuit */
    public array $circuitReaders = [];

    /** @var array<string, Primitive> those that change the circuit as they run */
    public array $varying = [];

    /**
     * @var array<string, Primitive> those that seldom change it: wires with ends to lift, protectors,
     *     charges; a change of theirs changes what the states have in common
     */
    public array $seldom = [];

    /** With every primitive as it is at first. */
    public Values $values;

    /** What the changed parameters are electrically. */
    public string $key = '|';

    /** @param float $radians a second, of the supply */
    private function __construct(int $branches, private readonly float $radians)
    {
        $this->values = new Values($branches);
    }

    /**
     * @param Changes $set changed parameters: "part.primitive.path" => value
     *
     * @throws RunError
     */
    public static function of(Plan $plan, array $set): self
    {
        self::$made ??= new \WeakMap();
        if (! isset(self::$made[$plan])) {
            $whole = new self(count($plan->branches), 2 * M_PI * $plan->hertz);
            foreach ($plan->primitives as $id => $entry) {
                $whole->put($id, $entry, $entry['spec']);
            }
            $whole->read();
            self::$made[$plan] = $whole;
        }

        return $set === [] ? self::$made[$plan] : self::$made[$plan]->with($plan, $set);
    }

    /** @param Changes $set */
    private function with(Plan $plan, array $set): self
    {
        $changed = [];
        foreach ($set as $path => $value) {
            [$id, $keys] = $plan->parameter($path);
            $changed[$id][$keys] = $value;
        }
        $own = clone $this;
        $own->values = clone $this->values;
        $key = [];
        $readsOtherwise = false;
        foreach ($plan->primitives as $id => $entry) { // in the plan's order, whatever the set's
            if (! isset($changed[$id])) {
                continue;
            }
            $spec = $entry['spec'];
            foreach ($changed[$id] as $keys => $value) {
                $at = &$spec;
                foreach (explode('.', $keys) as $k) {
                    $at = &$at[$k];
                }
                $at = $value;
                unset($at);
                if (
                    $entry['branches'] !== [] &&
                    ! in_array($keys, Primitives::TYPES[$entry['type']]::MECHANICAL, true)
                ) {
                    $key[] = "$id.$keys=".json_encode($value);
                }
            }
            $own->put($id, $entry, $spec);
            [$as, $was] = [$own->primitives[$id], $this->primitives[$id]];
            $readsOtherwise =
                $readsOtherwise || $as->follows() !== $was->follows() || $as->reads() !== $was->reads();
        }
        $own->key = implode(';', $key).'|';
        if ($readsOtherwise) {
            $own->read();
        }

        return $own;
    }

    /**
     * @param Entry $entry of the plan
     * @param Figures $spec with what is changed in it
     */
    private function put(string $id, array $entry, array $spec): void
    {
        $class = Primitives::TYPES[$entry['type']];
        $p = new $class(
            $spec,
            new Fittings(
                $entry['nodes'],
                $entry['branches'],
                $entry['windings'],
                $entry['flames'],
                $this->radians,
            ),
        );
        $this->primitives[$id] = $p;
        if ($class::LIVE) {
            $this->live[$id] = $p;
            unset($this->circuitReaders[$id]);
            if ($p->readsCircuit()) {
                $this->circuitReaders[$id] = true;
            }
        }
        if ($entry['branches'] !== [] && $p->electric($p->initial()) !== '') {
            if ($class::VARIES) {
                $this->varying[$id] = $p;
            } else {
                $this->seldom[$id] = $p;
            }
        }
        $p->stamp($p->initial(), $this->values); // what has no states is as it will stay
        foreach ($entry['branches'] as $b) {
            $siemens = [$this->values->re[$b], $this->values->im[$b], $this->values->dc[$b]];
            if (! is_finite(array_sum($siemens)) || $siemens[0] < 0 || $siemens[2] < 0) {
                throw RunError::noValue($id);
            }
        }
    }

    private function read(): void
    {
        $this->readers = $this->keyReaders = $this->restless = [];
        $byKey = [];
        foreach ($this->live as $id => $p) {
            if (! $p::AT_ONCE) {
                $this->restless[$id] = true;
            }
            $reads = $p->reads();
            foreach ($p->follows() as $followed) {
                if ($followed === Primitive::NOTHING) {
                    continue;
                }
                if (! isset($this->primitives[$followed])) {
                    throw RunError::followsNothing($id, $followed);
                }
                if (! isset($reads[$followed])) {
                    $this->readers[$followed][] = $id;
                }
                foreach ($reads[$followed] ?? [] as $key) {
                    $byKey[$followed][implode("\0", (array) $key)][] = $id;
                }
            }
        }
        foreach ($byKey as $followed => $keys) {
            foreach ($keys as $key => $who) {
                [$outer, $inner] = [...explode("\0", (string) $key), null];
                $this->keyReaders[$followed][] = [$outer, $inner, $who];
            }
        }
    }
}
