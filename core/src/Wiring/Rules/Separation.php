<?php

declare(strict_types=1);

namespace OddSpark\Wiring\Rules;

use OddSpark\Appliance\Wire;
use OddSpark\Wiring\Finding;
use OddSpark\Wiring\Rule;
use OddSpark\Words\Words;

/** Class 2 conductors that meet line voltage: on one net, or in one cable. */
final class Separation extends Rule
{
    public function find(): array
    {
        $line = [];
        foreach ($this->lines() as $supply) {
            $line += array_fill_keys(
                array_keys(
                    $this->nets->reached($this->nets->root($supply['hot']), [$this->nets->root($supply['return'])]),
                ),
                $supply['title'],
            );
        }
        $low = [];
        foreach ($this->nets->supplies() as $supply) {
            if ($supply['class'] === 'control') {
                $low += array_fill_keys(
                    [
                        ...array_keys(
                            $this->nets->reached($this->nets->root($supply['hot']), [
                                $this->nets->root($supply['return']),
                            ]),
                        ),
                        $this->nets->root($supply['return']),
                        ...$this->beforeLoads($this->nets->root($supply['return'])),
                    ],
                    $supply['title'],
                );
            }
        }

        return [...$this->meeting($line, $low), ...$this->cables($line, $low)];
    }

    /**
     * The live sides of loads whose home is a common, fed or not.
     *
     * @return list<string>
     */
    private function beforeLoads(string $common): array
    {
        $nets = [];
        foreach ($this->nets->elements() as $e) {
            foreach ([[$e['a'], $e['b']], [$e['b'], $e['a']]] as [$home, $live]) {
                if ($e['load'] && $this->nets->root($home) === $common) {
                    $nets = [
                        ...$nets,
                        ...array_map('strval', array_keys($this->nets->reached($this->nets->root($live), [$common]))),
                    ];
                }
            }
        }

        return $nets;
    }

    /**
     * @param array<string, string> $line title of the supply by net
     * @param array<string, string> $low
     * @return list<Finding>
     */
    private function meeting(array $line, array $low): array
    {
        $found = [];
        foreach (array_intersect_key($line, $low) as $net => $title) {
            $wires = $this->wiresOf($net);
            if ($wires === []) {
                continue;
            }
            $found[] = new Finding(
                Words::plain('wiring.separation.class_2_meets_line_voltage'),
                Finding::WRONG,
                array_values(
                    array_unique(array_map(fn (Wire $w) => substr($w->from, 0, (int) strrpos($w->from, '.')), $wires)),
                ),
                array_column($wires, 'id'),
                Words::say('wiring.separation.is_fed_from_and_from', [
                    'from' => $this->nets->name($wires[0]->from),
                    'title' => $title,
                    'low' => $low[$net],
                ]),
                Words::say('wiring.separation.line_voltage_comes_onto_thermostat'),
                Words::say('wiring.separation.take_off_and_keep_the', ['wire_name' => $this->wireName($wires[0])]),
            );
            break; // the others follow from it
        }

        return $found;
    }

    /**
     * @param array<string, string> $line
     * @param array<string, string> $low
     * @return list<Finding>
     */
    private function cables(array $line, array $low): array
    {
        $found = [];
        foreach ($this->model()->cables() as $cable) {
            $in = array_filter($this->model()->wires(), fn (Wire $w) => $w->cable === $cable['id']);
            $live = array_filter($in, fn (Wire $w) => isset($line[$this->nets->root($w->from)]));
            $class2 = array_filter($in, fn (Wire $w) => isset($low[$this->nets->root($w->from)]));
            if ($live !== [] && array_diff_key($class2, $live) !== []) {
                $found[] = new Finding(
                    Words::plain('wiring.separation.class_2_meets_line_voltage'),
                    Finding::WRONG,
                    [],
                    array_column(array_values($in), 'id'),
                    Words::say('wiring.separation.cable_carries_line_voltage_and', ['id' => $cable['id']]),
                    Words::say('wiring.separation.insulation_of_thermostat_wire_is'),
                    Words::say('wiring.separation.run_them_in_two_cables'),
                );
            }
        }

        return $found;
    }
}
