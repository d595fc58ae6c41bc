<?php

declare(strict_types=1);

namespace OddSpark\Wiring;

/**
 * Ways through the switches of a wiring, from net to net.
 *
 * @phpstan-import-type Element from Nets
 */
final class Ways
{
    /** Switches on one path, and ways that are looked for between two nets. */
    private const LONGEST = 14;

    private const WAYS = 24;

    /** Switches that are gone through in all, looking for ways: a thousand times what shipped models need. */
    private const STEPS = 200_000;

    private int $steps = 0;

    /** @var array<string, array<string, int>> by net, how many switches the others lie from it */
    private array $near = [];

    /** @var array<string, list<list<Element>>> ways by their ends */
    private array $found = [];

    /** @param array<string, list<Element>> $from switches that begin at a net, turned so that they do */
    public function __construct(private readonly Nets $nets, private readonly array $from) {}

    /**
     * Ways through switches from one net to another, not past some.
     *
     * @param list<string> $past nets
     * @return list<list<Element>>
     */
    public function switched(string $from, string $to, array $past): array
    {
        $key = "$from|$to|".implode('|', $past);

        return $this->found[$key] ??= $this->go($from, $to, $past, $this->near[$to] ??= $this->near($to), []);
    }

    /**
     * Whether a mesh of switches had more ways than are looked for: then not all that is told of ways is known.
     */
    public function isCutShort(): bool
    {
        return $this->steps > self::STEPS;
    }

    /** @return array<string, int> nets by how many switches they lie from one */
    private function near(string $to): array
    {
        $near = [$to => 0];
        $queue = [$to];
        for ($i = 0; $i < count($queue); $i++) {
            foreach ($this->from[$queue[$i]] ?? [] as $e) {
                $next = $this->nets->root($e['b']);
                if (! isset($near[$next])) {
                    $near[$next] = $near[$queue[$i]] + 1;
                    $queue[] = $next;
                }
            }
        }

        return $near;
    }

    /**
     * @param list<string> $past
     * @param array<string, int> $near by how many switches a net lies from the end: a way is not begun that cannot come
     *     there
     * @param list<string> $been
     * @return list<list<Element>>
     */
    private function go(string $from, string $to, array $past, array $near, array $been): array
    {
        if ($from === $to) {
            return [[]];
        }
        if (
            in_array($from, $past, true) ||
            count($been) + ($near[$from] ?? self::LONGEST + 1) > self::LONGEST ||
            ++$this->steps > self::STEPS
        ) {
            return [];
        }
        $ways = [];
        foreach ($this->from[$from] ?? [] as $e) {
            $next = $this->nets->root($e['b']);
            if ($next !== $from && ! in_array($next, $been, true)) {
                foreach ($this->go($next, $to, $past, $near, [...$been, $from]) as $rest) {
                    $ways[] = [$e, ...$rest];
                    if (count($ways) > self::WAYS) {
                        return $ways;
                    }
                }
            }
        }

        return $ways;
    }

    /**
     * Every path from one net through switches and one load to another, by load; of each the fewest switches first.
     *
     * What lies beside another load of the same part is not told twice.
     *
     * @return array<string, list<list<Element>>> by "part.name" of the load; elements turned so that a lies toward the
     *     first net
     */
    public function paths(string $hot, string $return): array
    {
        $found = [];
        $between = [];
        foreach ($this->nets->elements() as $load) {
            $nets = "{$load['part']} {$this->nets->root($load['a'])} {$this->nets->root($load['b'])}";
            if (! $load['load'] || isset($between[$nets])) {
                continue;
            }
            $between[$nets] = true;
            $ways = [];
            foreach ([$load, ['a' => $load['b'], 'b' => $load['a']] + $load] as $turned) {
                foreach ($this->switched($hot, $this->nets->root($turned['a']), [$return]) as $before) {
                    foreach (
                        $this->switched($this->nets->root($turned['b']), $return, [
                            $hot,
                            $this->nets->root($turned['a']),
                        ]) as $after
                    ) {
                        $ways[] = [...$before, $turned, ...$after];
                    }
                }
            }
            usort($ways, fn (array $x, array $y) => count($x) <=> count($y));
            if ($ways !== []) {
                $found["{$load['part']}.{$load['name']}"] = $ways;
            }
        }

        return $found;
    }
}
