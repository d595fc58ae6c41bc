<?php

declare(strict_types=1);

namespace OddSpark\Wiring\Rules;

use OddSpark\Appliance\Wire;
use OddSpark\Wiring\Finding;
use OddSpark\Wiring\Rule;

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
                'class 2 meets line voltage',
                Finding::WRONG,
                array_values(
                    array_unique(array_map(fn (Wire $w) => substr($w->from, 0, (int) strrpos($w->from, '.')), $wires)),
                ),
                array_column($wires, 'id'),
                "{$this->nets->name($wires[0]->from)} is fed from $title and from {$low[$net]}.",
                'Line voltage comes onto thermostat wire and onto whoever touches it.',
                'Take off '.$this->wireName($wires[0]).', and keep the two apart.',
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
                    'class 2 meets line voltage',
                    Finding::WRONG,
                    [],
                    array_column(array_values($in), 'id'),
                    "Cable \"{$cable['id']}\" carries line voltage and class 2 side by side.",
                    'Insulation of thermostat wire is not made for line voltage.',
                    'Run them in two cables.',
                );
            }
        }

        return $found;
    }
}
