<?php

declare(strict_types=1);

namespace OddSpark\Wiring\Rules;

use OddSpark\Appliance\Model;
use OddSpark\Wiring\Finding;
use OddSpark\Wiring\Guards;
use OddSpark\Wiring\Rule;
use OddSpark\Words\Words;

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
                        Words::plain(
                            'wiring.safeties.safety_not_in_the_valve',
                        ), Finding::WRONG, [$e['part'], $part], [],
                        Words::say('wiring.safeties.can_be_fed_with_open', [
                            'part' => $this->nets->label($part),
                            'e' => $this->nets->title($e),
                        ]),
                        Words::say('wiring.safeties.when_it_opens_the_fuel'),
                        Words::say('wiring.safeties.wire_it_into_the_path'),
                    );
                }
            }
        }

        return $found;
    }
}
