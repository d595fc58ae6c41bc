<?php

declare(strict_types=1);

namespace OddSpark\Building;

use OddSpark\Parts\Primitive;
use OddSpark\Sequence\Control;
use OddSpark\Sequence\Table;
use OddSpark\Words\Words;

/**
 * Why a control does not give an output: what its table waits for, and why that is not there.
 *
 * @phpstan-import-type Reason from Why
 * @phpstan-import-type Figures from Primitive
 * @phpstan-import-type TableDocument from Table
 */
final readonly class WhyControl
{
    public function __construct(private Why $why, private HealthyRun $run) {}

    /**
     * A control, and why it does not give an output.
     *
     * @return Reason
     */
    public function reason(string $id, ?string $output, int $depth): array
    {
        $spec = $this->run->plan->primitives[$id]['spec'];
        $slot = $this->run->slot($id);
        $table = $spec['table'];
        $title = $this->why->title($id);
        if ($slot['state'] === Control::DARK) {
            return $this->why->say(
                Words::say('building.why_control.is_without_power', ['title' => $title]),
                $id,
                $this->input($id, $spec, $table['supply'] ?? '', $depth),
            );
        }
        $row = $table['states'][$slot['state']];
        $giving = array_filter(
            $table['states'],
            fn (array $r) => $output === null || in_array($output, $r['outputs'], true),
        );
        $text = Words::say('building.why_control.is_in', ['title' => $title, 'title_2' => $row['title']]);
        if ($output !== null) {
            $text .=
                $giving === []
                    ? Words::say('building.why_control.no_state_of_its_table', ['output' => $output])
                    : Words::say('building.why_control.it_gives_only_in', [
                        'output' => $output,
                        'giving' => implode(
                            ', ',
                            array_map(fn (array $r) => "\"{$r['title']}\"", array_slice($giving, 0, 4)),
                        ),
                    ]);
        }
        $words = array_column((new Table($table))->words(), 'lines', 'state')[$slot['state']] ?? [];
        $because = [];
        foreach ($row['guards'] as $i => $guard) {
            $missing = array_filter(
                $guard['if'] ?? [],
                fn (bool $on, string $input) => $slot['in'][$input] !== $on,
                ARRAY_FILTER_USE_BOTH,
            );
            if ($missing === [] && ! isset($guard['after']) && ! isset($guard['timer'])) {
                continue;
            }
            if ($this->stepsTo($table, $guard['go'], $output) >= $this->stepsTo($table, $slot['state'], $output)) {
                continue; // it leads elsewhere
            }
            $inputs = [];
            foreach ($missing as $input => $on) {
                $inputs = [
                    ...$inputs,
                    ...$on
                        ? $this->input($id, $spec, (string) $input, $depth)
                        : [$this->why->say(Words::say('building.why_control.is_still_there', [
                            'input' => $input,
                        ]), $id)],
                ];
            }
            $because[] = $this->why->say(Words::say('building.why_control.it_goes_on_when', [
                'words' => $words[$i],
            ]), $id, $inputs);
        }
        if (isset($row['reset']) && $slot['latched']) {
            $because[] = $this->why->say(Words::say('building.why_control.it_waits_for_its_button'), $id);
        }

        return $this->why->say($text, $id, array_slice($because, 0, 4));
    }

    /**
     * Steps through a table from a state to the nearest that gives an output.
     *
     * @param TableDocument $table
     */
    private function stepsTo(array $table, string $from, ?string $output): int
    {
        $steps = [$from => 0];
        $queue = [$from];
        for ($i = 0; $i < count($queue); $i++) {
            $row = $table['states'][$queue[$i]];
            if ($output === null || in_array($output, $row['outputs'], true)) {
                return $steps[$queue[$i]];
            }
            foreach ([...array_column($row['guards'], 'go'), ...(isset($row['reset']) ? [$row['reset']] : [])] as $go) {
                if (! isset($steps[$go])) {
                    $steps[$go] = $steps[$queue[$i]] + 1;
                    $queue[] = $go;
                }
            }
        }

        return PHP_INT_MAX;
    }

    /**
     * Why an input of a control is not on.
     *
     * @param Figures $spec of the control
     * @return list<Reason>
     */
    private function input(string $id, array $spec, string $input, int $depth): array
    {
        $p = $spec['inputs'][$input] ?? null;
        if ($p === null) {
            return [];
        }
        $part = substr($id, 0, (int) strrpos($id, '.'));
        if (isset($p['by']) || isset($p['of'])) {
            return [
                $this->why->say(Words::say('building.why_control.is_not_there', ['input' => $input]), $id, [
                    $this->why->reason($p['by'] ?? $p['of'], $depth + 1),
                ]),
            ];
        }
        $between = $p['ac'] ?? $p['dc'] ?? null;
        if ($between === null) {
            return [$this->why->say(Words::say('building.why_control.is_not_there', ['input' => $input]), $id)];
        }
        $wanted = array_map(fn (string $t) => $this->run->nets->root("$part.$t"), $between);
        $volts = $this->run->volts("$part.$between[0]", "$part.$between[1]", isset($p['dc']));
        foreach ($this->run->nets->elements() as $e) {
            $nets = [$this->run->nets->root($e['a']), $this->run->nets->root($e['b'])];
            if ($e['load'] && ($nets === $wanted || array_reverse($nets) === $wanted)) {
                return [
                    $this->why->say(Words::say('building.why_control.has_of_v', [
                        'input' => $input,
                        'volts' => $this->why->volts($volts),
                        'on' => $p['on'],
                    ]), $id, [
                        $this->why->reason("{$e['part']}.{$e['name']}", $depth + 1),
                    ]),
                ];
            }
        }

        return [$this->why->say(Words::say('building.why_control.has_of_v', [
            'input' => $input,
            'volts' => $this->why->volts($volts),
            'on' => $p['on'],
        ]), $id)];
    }
}
