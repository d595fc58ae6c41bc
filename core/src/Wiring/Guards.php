<?php

declare(strict_types=1);

namespace OddSpark\Wiring;

use OddSpark\Parts\Ability\Decides;
use OddSpark\Parts\Ability\Transforms;

/**
 * What must all be closed for a load to be fed, as far as the wiring says: the switches that lie on every way to it,
 * those before the transformer that feeds it, and those that a relay or control on the way depends on itself.
 *
 * @phpstan-import-type Element from Nets
 */
final class Guards
{
    /** Relays upon relays that are followed. */
    private const DEPTH = 6;

    /** @var array<string, array<string, list<list<Element>>>> ways by supply and load */
    private array $ways = [];

    /** @var array<int, array<string, array<string, true>>> what was found already, by depth and load */
    private array $found = [];

    public function __construct(private readonly Nets $nets)
    {
        foreach ($nets->supplies() as $i => $supply) {
            $this->ways["$i"] = $nets->paths($nets->root($supply['hot']), $nets->root($supply['return']));
        }
    }

    /**
     * @param string $load "part.name"
     * @return array<string, true> "part.name" of each switch
     */
    public function of(string $load, int $depth = 0): array
    {
        if ($depth > self::DEPTH) {
            return [];
        }

        return $this->found[$depth][$load] ??= $this->all($load, $depth);
    }

    /** @return array<string, true> */
    private function all(string $load, int $depth): array
    {
        $each = [];
        foreach ($this->ways as $i => $loads) {
            foreach ($loads[$load] ?? [] as $way) {
                $each[] = $this->along($way, $depth) + $this->before($this->nets->supplies()[(int) $i]['part'], $depth);
            }
        }

        return $each === [] ? [] : (count($each) === 1 ? $each[0] : array_intersect_key(...$each));
    }

    /**
     * What must be closed for each load that opens a fuel valve; one that nothing feeds is not among them.
     *
     * @return array<string, array<string, true>> switches by load, both "part.name"
     */
    public function ofFuel(): array
    {
        $guards = [];
        foreach ($this->nets->elements() as $e) {
            $kind = $this->nets->model->kindOf($e['part']);
            $load = "{$e['part']}.{$e['name']}";
            $opens = $e['load'] && $kind?->isFuelValve() === true && $kind->opensByItself($e['name']);
            if ($opens && $this->isFed($load)) {
                $guards[$load] = $this->of($load);
            }
        }

        return $guards;
    }

    /** Whether there is any way from a supply to a load. */
    private function isFed(string $load): bool
    {
        return array_filter($this->ways, fn (array $loads): bool => isset($loads[$load])) !== [];
    }

    /**
     * @param list<Element> $way
     * @return array<string, true>
     */
    private function along(array $way, int $depth): array
    {
        $guards = [];
        foreach ($way as $e) {
            if ($e['load']) {
                continue;
            }
            $guards["{$e['part']}.{$e['name']}"] = true;
            $guards += $this->driver($e['part'], $e['name'], $depth);
        }

        return $guards;
    }

    /**
     * What the driver of a contact depends on: the coil that pulls it in, or all that a control proves by its inputs.
     *
     * @return array<string, true>
     */
    private function driver(string $part, string $contact, int $depth): array
    {
        $primitives = $this->nets->model->kindOf($part)->primitives ?? [];
        $driver = $primitives[($primitives[$contact] ?? null)?->follows() ?? ''] ?? null;
        if ($driver === null) {
            return [];
        }
        if (! $driver->can(Decides::class)) {
            return $this->of("$part.$driver->name", $depth + 1);
        }
        $guards = [];
        foreach ($driver->get('inputs') as $input) {
            foreach ($this->feeding($part, $input['ac'] ?? $input['dc'] ?? []) as $load) {
                $guards += $this->of($load, $depth + 1);
            }
            if (isset($input['by'])) {
                $guards[$input['by']] = true;
            }
        }

        return $guards;
    }

    /**
     * Loads of a part that lie between two of its terminals: what an input of it hangs on.
     *
     * @param list<string> $between
     * @return list<string>
     */
    private function feeding(string $part, array $between): array
    {
        if ($between === []) {
            return [];
        }
        $wanted = array_map(fn (string $t) => $this->nets->root("$part.$t"), $between);
        $loads = [];
        foreach ($this->nets->elements() as $e) {
            if (
                $e['load'] &&
                $e['part'] === $part &&
                in_array(
                    [$this->nets->root($e['a']), $this->nets->root($e['b'])],
                    [$wanted, array_reverse($wanted)],
                    true,
                )
            ) {
                $loads[] = "$part.{$e['name']}";
            }
        }

        return $loads;
    }

    /**
     * What lies before a transformer that is the supply.
     *
     * @return array<string, true>
     */
    private function before(string $part, int $depth): array
    {
        $guards = [];
        foreach (array_keys($this->nets->model->kindOf($part)?->those(Transforms::class) ?? []) as $name) {
            $guards += $this->of("$part.$name", $depth + 1);
        }

        return $guards;
    }
}
