<?php

declare(strict_types=1);

namespace OddSpark\Wiring\Rules;

use OddSpark\Appliance\Model;
use OddSpark\Wiring\Finding;
use OddSpark\Wiring\Guards;
use OddSpark\Wiring\Rule;

/** Safeties that a fuel valve can be fed without. */
final class Safeties extends Rule
{
    public function find(): array
    {
        $fuel = array_filter((new Guards($this->nets))->ofFuel());
        $found = [];
        foreach ($fuel === [] ? [] : $this->nets->elements() as $e) {
            if ($e['load'] || $this->model()->kindOf($e['part'])?->isGuardingSwitch($e['name']) !== true) {
                continue;
            }
            $safety = $this->model()->part($e['part']);
            if ($safety === null || ! $this->model()->guardsFuel($safety, $e['name'])) {
                continue;
            }
            foreach ($fuel as $valve => $on) {
                $part = Model::split($valve)[0];
                if (! isset($on["{$e['part']}.{$e['name']}"])) {
                    $found[] = new Finding(
                        'safety not in the valve\'s path', Finding::WRONG, [$e['part'], $part], [],
                        "{$this->nets->label($part)} can be fed with {$this->nets->title($e)} open.",
                        'When it opens, the fuel keeps flowing.',
                        'Wire it into the path of the valve, before the transformer that feeds it, or to an input of the control that proves it.',
                    );
                }
            }
        }

        return $found;
    }
}
