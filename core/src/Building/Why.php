<?php

declare(strict_types=1);

namespace OddSpark\Building;

use OddSpark\Appliance\Model;
use OddSpark\Parts\Condition;
use OddSpark\Sequence\Control;
use OddSpark\Sequence\Table;
use OddSpark\Wiring\Nets;

/**
 * Why something is off just now: the chain of what is missing, back to what a person set, what a sensor feels, or what
 * a control waits for. Read off a run and the wiring; nothing of it is written down in advance.
 *
 * @phpstan-import-type Element from Nets
 * @phpstan-type Reason array{text: string, part: string|null, because: list<mixed>}
 */
final class Why
{
    private const DEPTH = 12;

    /** Share of a supply's volts above which a load counts as fed. */
    private const FED = 0.6;

    /** @var array<string, true> what was asked already, so that a seal-in contact does not explain itself */
    private array $asked = [];

    private readonly Nets $nets;

    public function __construct(private readonly HealthyRun $run)
    {
        $this->nets = $run->nets;
    }

    /** @return list<array{id: string, title: string, on: bool}> what can be asked about: loads, and fires */
    public function askable(): array
    {
        $all = [];
        foreach ($this->nets->elements() as $e) {
            $id = "{$e['part']}.{$e['name']}";
            if ($e['load'] && ! isset($all[$id])) {
                $all[$id] = ['id' => $id, 'title' => $this->nets->title($e), 'on' => $this->isFed($e)];
            }
        }
        foreach ($this->run->plan->primitives as $id => $p) {
            if ($p['type'] === 'burner') {
                $all[$id] = ['id' => (string) $id, 'title' => 'Fire: '.$id, 'on' => $this->run->slot((string) $id)['lit']];
            }
        }

        return array_values($all);
    }

    /**
     * @param string $id a load ("valve.coil") or a process element ("fire")
     * @return Reason
     *
     * @throws EditError when there is no such thing
     */
    public function of(string $id): array
    {
        $this->asked = [];
        if (! isset($this->run->plan->primitives[$id])) {
            throw new EditError('/of', "There is nothing called \"$id\" to ask about.");
        }

        return $this->reason($id, 0);
    }

    /** @return Reason */
    private function reason(string $id, int $depth): array
    {
        $type = $this->run->plan->primitives[$id]['type'];
        if ($depth > self::DEPTH || isset($this->asked[$id])) {
            return $this->say($this->title($id).': see above.', $id);
        }
        $this->asked[$id] = true;

        return match ($type) {
            'burner' => $this->burner($id, $depth),
            'way', 'passage' => $this->way($id, $depth),
            'sensor', 'set-switch' => $this->sensor($id),
            'lever', 'clock' => $this->say($this->title($id).' '.($type === 'lever' ? 'is at "'.$this->run->slot($id)['at'].'"' : 'is '.($this->run->slot($id)['on'] ? 'on' : 'off').' at this hour').'.', $id),
            'control' => $this->control($id, null, $depth),
            'heater', 'coil', 'motor', 'actuator', 'resistor', 'room-thermostat', 'windings', 'mid-position', 'light-resistor' => $this->load($id, $depth),
            default => $this->say($this->title($id).'.', $id),
        };
    }

    /** @return Reason */
    private function load(string $id, int $depth): array
    {
        $spans = array_values(array_filter($this->nets->elements(), fn (array $e) => "{$e['part']}.{$e['name']}" === $id));
        if ($spans === []) {
            return $this->say($this->title($id).' is not in the circuit.', $id);
        }
        $volts = max(array_map($this->across(...), $spans));
        $fed = array_filter($spans, $this->isFed(...));
        $title = $this->title($id);
        if ($fed !== []) {
            return $this->say("$title is fed: {$this->volts($volts)} across it.", $id);
        }
        $best = null;
        foreach ($this->nets->supplies() as $supply) {
            foreach ($this->nets->paths($this->nets->root($supply['hot']), $this->nets->root($supply['return']))[$id] ?? [] as $way) {
                $open = array_values(array_filter($way, fn (array $e) => ! $e['load'] && ! $this->isClosed($e)));
                if ($best === null || count($open) < count($best[1])) {
                    $best = [$supply, $open];
                }
            }
        }
        if ($best === null) {
            return $this->say("$title has no way from a supply and home.", $id);
        }
        [$supply, $open] = $best;
        if ($open === []) {
            return $this->say("$title has {$this->volts($volts)} across it: all on its way is closed, so it is the supply.", $id, [$this->supply($supply, $depth)]);
        }

        return $this->say("$title has {$this->volts($volts)} across it: ".(count($open) === 1 ? 'one switch on its way is open.' : count($open).' switches on its way are open.'), $id,
            array_map(fn (array $e) => $this->switch($e, $depth + 1), $open));
    }

    /**
     * @param array<string, mixed> $supply
     * @return Reason
     */
    private function supply(array $supply, int $depth): array
    {
        $dc = in_array($supply['class'], ['millivolt', 'battery'], true);
        $text = "{$supply['title']} gives {$this->volts($this->run->volts($supply['hot'], $supply['return'], $dc))}.";
        $primitive = "{$supply['part']}.{$supply['name']}";

        return $this->say($text, $primitive, match ($this->run->plan->primitives[$primitive]['type'] ?? '') {
            'windings' => [$this->reason($primitive, $depth + 1)],
            default => [],
        });
    }

    /**
     * @param Element $e
     * @return Reason
     */
    private function switch(array $e, int $depth): array
    {
        $id = "{$e['part']}.{$e['name']}";
        $spec = $this->run->plan->primitives[$id]['spec'];
        $title = $this->nets->title($e);
        if ($spec['type'] === 'fuse') {
            $lever = isset($spec['lever']) ? $this->owned($id, $spec['lever']) : null;

            return $this->say("$title is ".($this->run->slot($id)['tripped'] ? 'tripped.' : 'open.'), $id, $lever === null ? [] : [$this->reason($lever, $depth)]);
        }
        if ($spec['type'] === 'protector') {
            return $this->say("$title has opened on heat.", $id);
        }
        $follows = $spec['follows'];
        $key = explode('.', $spec['key'] ?? 'at');
        if ($this->run->plan->primitives[$follows]['type'] === 'control' && $key[0] === 'out') {
            return $this->say("$title is open.", $id, [$this->control($follows, $key[1], $depth)]);
        }
        $wants = $spec['when'] ?? true;

        return $this->say("$title is open".(is_string($wants) ? "; it closes at \"$wants\"." : '.'), $id, [$this->reason($follows, $depth)]);
    }

    /** @return Reason */
    private function sensor(string $id): array
    {
        $spec = $this->run->plan->primitives[$id]['spec'];
        $slot = $this->run->slot($id);
        $x = round($this->run->value($spec['of']), 1);
        if ($spec['type'] === 'set-switch') {
            return $this->say("{$this->title($id)} is set to {$this->run->slot($spec['set'])['at']} and feels $x.", $id);
        }
        $text = $slot['made']
            ? "{$this->title($id)} is made at $x; it opens at {$spec['opens_at']}."
            : "{$this->title($id)} stands open at $x; it closes at {$spec['closes_at']}".(($slot['latched'] ?? false) ? ', and waits to be reset by hand.' : '.');

        return $this->say($text, $id);
    }

    /**
     * A control, and why it does not give an output.
     *
     * @return Reason
     */
    private function control(string $id, ?string $output, int $depth): array
    {
        $spec = $this->run->plan->primitives[$id]['spec'];
        $slot = $this->run->slot($id);
        $table = $spec['table'];
        $title = $this->title($id);
        if ($slot['state'] === Control::DARK) {
            return $this->say("$title is without power.", $id, $this->input($id, $spec, $table['supply'] ?? '', $depth));
        }
        $row = $table['states'][$slot['state']];
        $giving = array_filter($table['states'], fn (array $r) => $output === null || in_array($output, $r['outputs'], true));
        $text = "$title is in \"{$row['title']}\"";
        if ($output !== null) {
            $text .= $giving === [] ? "; no state of its table gives \"$output\"." : "; it gives \"$output\" only in ".implode(', ', array_map(fn (array $r) => "\"{$r['title']}\"", array_slice($giving, 0, 4))).'.';
        }
        $words = array_column((new Table($table))->words(), 'lines', 'state')[$slot['state']] ?? [];
        $because = [];
        foreach ($row['guards'] as $i => $guard) {
            $missing = array_filter($guard['if'] ?? [], fn (bool $on, string $input) => $slot['in'][$input] !== $on, ARRAY_FILTER_USE_BOTH);
            if ($missing === [] && ! isset($guard['after']) && ! isset($guard['timer'])) {
                continue;
            }
            if ($this->stepsTo($table, $guard['go'], $output) >= $this->stepsTo($table, $slot['state'], $output)) {
                continue; // it leads elsewhere
            }
            $inputs = [];
            foreach ($missing as $input => $on) {
                $inputs = [...$inputs, ...($on ? $this->input($id, $spec, (string) $input, $depth) : [$this->say("\"$input\" is still there.", $id)])];
            }
            $because[] = $this->say('It goes on when: '.$words[$i].'.', $id, $inputs);
        }
        if (isset($row['reset']) && $slot['latched']) {
            $because[] = $this->say('It waits for its button.', $id);
        }

        return $this->say($text, $id, array_slice($because, 0, 4));
    }

    /**
     * Steps through a table from a state to the nearest that gives an output.
     *
     * @param array<string, mixed> $table
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
     * @param array<string, mixed> $spec of the control
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
            return [$this->say("\"$input\" is not there.", $id, [$this->reason($p['by'] ?? $p['of'], $depth + 1)])];
        }
        $between = $p['ac'] ?? $p['dc'] ?? null;
        if ($between === null) {
            return [$this->say("\"$input\" is not there.", $id)];
        }
        $wanted = array_map(fn (string $t) => $this->nets->root("$part.$t"), $between);
        $volts = $this->run->volts("$part.$between[0]", "$part.$between[1]", isset($p['dc']));
        foreach ($this->nets->elements() as $e) {
            $nets = [$this->nets->root($e['a']), $this->nets->root($e['b'])];
            if ($e['load'] && ($nets === $wanted || array_reverse($nets) === $wanted)) {
                return [$this->say("\"$input\" has {$this->volts($volts)} of {$p['on']} V.", $id, [$this->reason("{$e['part']}.{$e['name']}", $depth + 1)])];
            }
        }

        return [$this->say("\"$input\" has {$this->volts($volts)} of {$p['on']} V.", $id)];
    }

    /** @return Reason */
    private function burner(string $id, int $depth): array
    {
        $p = $this->run->plan->primitives[$id]['spec'];
        $slot = $this->run->slot($id);
        if ($slot['lit']) {
            return $this->say("\"$id\" burns.", null);
        }
        $shut = array_values(array_filter($p['ways'], fn (string $way) => ($this->run->slot($way)['free'] ?? 1.0) < 0.3));
        if ($shut !== []) {
            return $this->say("\"$id\" has no fuel.", null, array_map(fn (string $way) => $this->reason($way, $depth + 1), $shut));
        }
        $lighting = [...(isset($p['igniter']) ? [$p['igniter']] : []), ...array_column($p['lit_by'] ?? [], 'by')];

        return $this->say("\"$id\" has fuel, and nothing lights it.", null, array_map(fn (string $by) => $this->reason($by, $depth + 1), $lighting));
    }

    /** @return Reason */
    private function way(string $id, int $depth): array
    {
        $p = $this->run->plan->primitives[$id]['spec'];
        if (($this->run->slot($id)['free'] ?? 1.0) >= 0.3) {
            return $this->say("{$this->title($id)} is free.", $id);
        }
        $conditions = [...($p['all'] ?? []), ...($p['any'] ?? [])];
        if (isset($p['follows'])) {
            $conditions[] = ['by' => $p['follows'], 'key' => $p['key'] ?? 'at', 'when' => $p['when'] ?? $p['clear_when'] ?? true];
        }
        $missing = array_filter($conditions, fn (array $c) => ! Condition::holds($c, $this->run->surroundings()));

        return $this->say("{$this->title($id)} is shut.", $id, array_values(array_map(fn (array $c) => $this->reason($c['by'], $depth + 1), $missing)));
    }

    /** @param Element $e */
    private function isClosed(array $e): bool
    {
        $slot = $this->run->slot("{$e['part']}.{$e['name']}");

        return $slot['closed'] ?? $slot['whole'] ?? true;
    }

    /** @param Element $e */
    private function across(array $e): float
    {
        return max($this->run->volts($e['a'], $e['b']), $this->run->volts($e['a'], $e['b'], true));
    }

    /** @param Element $e */
    private function isFed(array $e): bool
    {
        $volts = $this->across($e);
        foreach ($this->nets->supplies() as $supply) {
            if (isset($this->nets->paths($this->nets->root($supply['hot']), $this->nets->root($supply['return']))["{$e['part']}.{$e['name']}"])) {
                return $volts > self::FED * ($supply['class'] === 'millivolt' ? 0.01 : $supply['volts']);
            }
        }

        return $volts > 1.0;
    }

    private function volts(float $volts): string
    {
        return $volts < 0.5 && $volts > 0.0005 ? round(1000 * $volts, 1).' mV' : round($volts, $volts < 10 ? 2 : 1).' V';
    }

    private function owned(string $id, string $name): string
    {
        return isset($this->run->plan->primitives[$name]) ? $name : substr($id, 0, (int) strrpos($id, '.')).".$name";
    }

    private function title(string $id): string
    {
        [$part, $name] = Model::split($id);
        $label = $this->run->plan->model->parts()[$part]['label'] ?? null;

        return $label === null ? "\"$id\"" : $label.': '.str_replace('_', ' ', $name);
    }

    /**
     * @param list<Reason> $because
     * @return Reason
     */
    private function say(string $text, ?string $id, array $because = []): array
    {
        $part = $id === null ? null : Model::split($id)[0];

        return ['text' => $text, 'part' => $part !== null && isset($this->run->plan->model->parts()[$part]) ? $part : null, 'because' => $because];
    }
}
