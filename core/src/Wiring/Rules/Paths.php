<?php

declare(strict_types=1);

namespace OddSpark\Wiring\Rules;

use OddSpark\Wiring\Circuits;
use OddSpark\Wiring\Finding;
use OddSpark\Wiring\Rule;

/** Loads without a way from a supply and home, parts that nothing is wired to, and switches that switch nothing. */
final class Paths extends Rule
{
    public function find(): array
    {
        $bare = $this->bare();
        $found = array_map(
            fn (string $part) => new Finding(
                'floating part',
                Finding::ODD,
                [$part],
                [],
                "Nothing is wired to {$this->nets->label($part)}.",
                'It is on the board and does nothing.',
                'Wire it, or take it off the board.',
            ),
            array_keys($bare),
        );
        foreach (Circuits::of($this->nets)['open'] as $gap) {
            if (! isset($bare[$gap['part']])) {
                $found[] = new Finding(
                    'load without a path',
                    $gap['input'] ? Finding::ODD : Finding::WRONG,
                    [$gap['part']],
                    [],
                    $gap['words'],
                    $gap['input']
                        ? 'The control never sees it. Fine if this appliance does not use that terminal.'
                        : 'It can never work.',
                    'Wire the open side: toward the supply through the switch that controls it, or back to the other pole.',
                );
            }
        }

        $idle = $this->idle($bare);

        return [...$found, ...($this->nets->isCutShort() ? [$this->meshed()] : $idle)];
    }

    private function meshed(): Finding
    {
        return new Finding(
            'too many ways',
            Finding::ODD,
            [],
            [],
            'This board has more paths through its switches than are checked.',
            'A load without a path, or a part without effect, is not reported here.',
            'Build smaller boards and include them, or remove parallel wires.',
        );
    }

    /** @return array<string, true> parts with terminals and no wire on any of them */
    private function bare(): array
    {
        $wired = [];
        foreach ($this->model()->wires() as $wire) {
            $wired += array_fill_keys($wire->parts(), true);
        }
        foreach ($this->model()->joined() as $group) {
            foreach ($group as $place) {
                $wired[substr($place, 0, (int) strrpos($place, '.'))] = true;
            }
        }
        $bare = [];
        foreach ($this->model()->parts() as $part) {
            if (! isset($wired[$part->id]) && $part->kind->isElectric() && ! $part->inVan) {
                $bare[$part->id] = true;
            }
        }

        return $bare;
    }

    /**
     * Switches that lie on no way to any load.
     *
     * @param array<string, true> $bare
     * @return list<Finding>
     */
    private function idle(array $bare): array
    {
        $used = [];
        foreach ($this->nets->supplies() as $supply) {
            foreach (
                $this->nets->paths($this->nets->root($supply['hot']), $this->nets->root($supply['return'])) as $ways
            ) {
                foreach (array_merge(...$ways) as $e) {
                    $used[$e['part']] = true;
                }
            }
        }
        $found = [];
        foreach ($this->nets->elements() as $e) {
            if (! $e['load'] && ! isset($used[$e['part']]) && ! isset($bare[$e['part']])) {
                $used[$e['part']] = true;
                $found[] = new Finding(
                    'part without effect',
                    Finding::ODD,
                    [$e['part']],
                    [],
                    "{$this->nets->label($e['part'])} is on no path from a supply through a load.",
                    'Whether it is open or closed changes nothing.',
                    'Wire it into the path that it is to open.',
                );
            }
        }

        return $found;
    }
}
