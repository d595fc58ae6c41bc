<?php

declare(strict_types=1);

namespace OddSpark\Wiring\Rules;

use OddSpark\Wiring\Finding;
use OddSpark\Wiring\Nets;
use OddSpark\Wiring\Rule;

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
                'switched neutral',
                Finding::WRONG,
                [$e['part'], $load['part']],
                [],
                "$switch is in the neutral, behind $what.",
                'Open, it stops the load but leaves it live to ground: a shock to whoever works on it.',
                'Move it to the live side, before the load.',
            )
            : new Finding(
                'switch in the wrong leg',
                Finding::ODD,
                [$e['part'], $load['part']],
                [],
                "$switch is in the common leg, behind $what.",
                'A wire that rubs through to ground on that side bypasses it, and the load stays on.',
                'Move it to the side of R, before the load.',
            );
    }
}
