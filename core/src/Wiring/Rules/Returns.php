<?php

declare(strict_types=1);

namespace OddSpark\Wiring\Rules;

use OddSpark\Wiring\Finding;
use OddSpark\Wiring\Nets;
use OddSpark\Wiring\Rule;
use OddSpark\Words\Words;

/**
 * Switches between a load and home: the neutral of a line circuit, the common of a control circuit.
 *
 * @phpstan-import-type Element from Nets
 */
final class Returns extends Rule
{
    public function find(): array
    {
        $found = [];
        $told = [];
        foreach ($this->nets->supplies() as $supply) {
            if (
                ! in_array($supply['class'], ['line', 'control'], true) ||
                ($supply['volts'] > 200 &&
                    count(array_filter($this->lines(), fn (array $s) => $s['part'] === $supply['part'])) > 1)
            ) {
                continue; // millivolts have no side that must not be switched, nor have two legs of a split phase
            }
            foreach (
                $this->nets->paths($this->nets->root($supply['hot']), $this->nets->root($supply['return'])) as $ways
            ) {
                foreach ($ways as $way) {
                    foreach ($this->behind($way) as [$e, $load]) {
                        $key = "{$e['part']}.{$e['name']}";
                        if (! isset($told[$key])) {
                            $told[$key] = true;
                            $found[] = $this->finding($supply['class'] === 'line', $e, $load);
                        }
                    }
                }
            }
        }

        return $found;
    }

    /**
     * Switches behind the load whose part does not also open the live side.
     *
     * @param list<Element> $way
     * @return list<array{Element, Element}> each with the load
     */
    private function behind(array $way): array
    {
        $at = (int) array_key_first(array_filter($way, fn (array $e) => $e['load']));
        $before = array_column(array_slice($way, 0, $at), 'part');
        $behind = [];
        foreach (array_slice($way, $at + 1) as $e) {
            if (! in_array($e['part'], $before, true) && $e['part'] !== $way[$at]['part']) {
                $behind[] = [$e, $way[$at]];
            }
        }

        return $behind;
    }

    /**
     * @param Element $e
     * @param Element $load
     */
    private function finding(bool $line, array $e, array $load): Finding
    {
        $switch = $this->nets->title($e);
        $what = $this->nets->title($load);

        return $line
            ? new Finding(
                Words::plain('wiring.returns.switched_neutral'),
                Finding::WRONG,
                [$e['part'], $load['part']],
                [],
                Words::say('wiring.returns.is_in_the_neutral_behind', ['switch' => $switch, 'what' => $what]),
                Words::say('wiring.returns.open_it_stops_the_load'),
                Words::say('wiring.returns.move_it_to_the_live'),
            )
            : new Finding(
                Words::plain('wiring.returns.switch_in_the_wrong_leg'),
                Finding::ODD,
                [$e['part'], $load['part']],
                [],
                Words::say('wiring.returns.is_in_the_common_leg', ['switch' => $switch, 'what' => $what]),
                Words::say('wiring.returns.a_wire_that_rubs_through'),
                Words::say('wiring.returns.move_it_to_the_side'),
            );
    }
}
