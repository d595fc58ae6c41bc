<?php

declare(strict_types=1);

namespace OddSpark\Wiring\Rules;

use OddSpark\Wiring\Finding;
use OddSpark\Wiring\Guards;
use OddSpark\Wiring\Rule;
use OddSpark\Wiring\Safety;

/** Safeties that a fuel valve can be fed without. */
final class Safeties extends Rule
{
    private const SAFETIES = ['limit', 'safety', 'rollout'];

    private const FUEL = ['gas valve', 'oil valve'];

    /** Loads of a fuel valve that give fuel; a pilot magnet is held by its flame. */
    private const GIVES = ['coil', 'heater', 'actuator'];

    public function find(): array
    {
        $valves = $this->valves();
        if ($valves === []) {
            return [];
        }
        $guards = new Guards($this->nets);
        $found = [];
        foreach ($this->nets->elements() as $e) {
            $kind = $this->model()->kindOf($e['part']);
            $follows = $kind['primitives'][$kind['primitives'][$e['name']]['follows'] ?? ''] ?? null;
            if ($e['load'] || ! in_array($kind['family'] ?? '', self::SAFETIES, true) || ! Safety::guards($kind, $follows ?? [])) {
                continue;
            }
            foreach ($valves as $valve => $part) {
                $on = $guards->of($valve);
                if ($on !== [] && ! isset($on["{$e['part']}.{$e['name']}"])) {
                    $found[] = new Finding(
                        'safety not in the valve\'s path', Finding::WRONG, [$e['part'], $part], [],
                        "{$this->nets->label($part)} can be fed with {$this->nets->title($e)} open.",
                        'When it opens, the fuel goes on.',
                        'Bring it into the path of the valve, before the transformer that feeds it, or to an input of the control that proves it.',
                    );
                }
            }
        }

        return $found;
    }

    /** @return array<string, string> "part.name" of each load that opens a fuel valve => part */
    private function valves(): array
    {
        $valves = [];
        foreach ($this->nets->elements() as $e) {
            $kind = $this->model()->kindOf($e['part']);
            if ($e['load'] && in_array($kind['family'] ?? '', self::FUEL, true)) {
                $spec = $kind['primitives'][$e['name']];
                if (in_array($spec['type'], self::GIVES, true) && ! ($spec['dc'] ?? false)) {
                    $valves["{$e['part']}.{$e['name']}"] = $e['part'];
                }
            }
        }

        return $valves;
    }
}
