<?php

declare(strict_types=1);

namespace OddSpark\Wiring\Rules;

use OddSpark\Wiring\Circuits;
use OddSpark\Wiring\Finding;
use OddSpark\Wiring\Rule;
use OddSpark\Words\Words;

/** Loads without a way from a supply and home, parts that nothing is wired to, and switches that switch nothing. */
final class Paths extends Rule
{
    public function find(): array
    {
        $bare = $this->bare();
        $found = array_map(
            fn (string $part) => new Finding(
                Words::plain('wiring.paths.floating_part'),
                Finding::ODD,
                [$part],
                [],
                Words::say('wiring.paths.nothing_is_wired_to', ['part' => $this->nets->label($part)]),
                Words::say('wiring.paths.it_is_on_the_board'),
                Words::say('wiring.paths.wire_it_or_take_it'),
            ),
            array_keys($bare),
        );
        foreach (Circuits::of($this->nets)['open'] as $gap) {
            if (! isset($bare[$gap['part']])) {
                $found[] = new Finding(
                    Words::plain('wiring.paths.load_without_a_path'),
                    $gap['input'] ? Finding::ODD : Finding::WRONG,
                    [$gap['part']],
                    [],
                    $gap['words'],
                    $gap['input']
                        ? Words::say('wiring.paths.the_control_never_sees_it')
                        : Words::say('wiring.paths.it_can_never_work'),
                    Words::say('wiring.paths.wire_the_open_side_toward'),
                );
            }
        }

        $idle = $this->idle($bare);

        return [...$found, ...($this->nets->isCutShort() ? [$this->meshed()] : $idle)];
    }

    private function meshed(): Finding
    {
        return new Finding(
            Words::plain('wiring.paths.too_many_ways'),
            Finding::ODD,
            [],
            [],
            Words::say('wiring.paths.this_board_has_more_paths'),
            Words::say('wiring.paths.a_load_without_a_path'),
            Words::say('wiring.paths.build_smaller_boards_and_include'),
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
                    Words::plain('wiring.paths.part_without_effect'),
                    Finding::ODD,
                    [$e['part']],
                    [],
                    Words::say('wiring.paths.is_on_no_path_from', ['part' => $this->nets->label($e['part'])]),
                    Words::say('wiring.paths.whether_it_is_open_or'),
                    Words::say('wiring.paths.wire_it_into_the_path'),
                );
            }
        }

        return $found;
    }
}
