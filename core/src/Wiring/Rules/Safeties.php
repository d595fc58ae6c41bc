<?php

declare(strict_types=1);

namespace OddSpark\Wiring\Rules;

use OddSpark\Wiring\Finding;
use OddSpark\Wiring\Guards;
use OddSpark\Wiring\Rule;

/** Safeties that a fuel valve can be fed without. */
final class Safeties extends Rule
{
    public function find(): array
    {
        $valves = $this->valves();
        if ($valves === []) {
            return [];
        }
        $guards = new Guards($this->nets);
        $found = [];
        foreach ($this->nets->elements() as $e) {
            if ($e['load'] || $this->model()->kindOf($e['part'])?->isGuardingSwitch($e['name']) !== true) {
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
            if ($e['load'] && $kind?->isFuelValve() === true && $kind->opensByItself($e['name'])) {
                $valves["{$e['part']}.{$e['name']}"] = $e['part'];
            }
        }

        return $valves;
    }
}
