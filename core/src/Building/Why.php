<?php

declare(strict_types=1);

namespace OddSpark\Building;

use OddSpark\Appliance\Model;
use OddSpark\Appliance\Primitives;
use OddSpark\Parts\Ability\Burns;
use OddSpark\Parts\Ability\Decides;
use OddSpark\Parts\Ability\Transforms;
use OddSpark\Parts\Reason as Because;
use OddSpark\Sequence\Control;
use OddSpark\Wiring\Nets;
use OddSpark\Words\Words;

/**
 * Why something is off just now: the chain of what is missing, back to what a person set, what a sensor feels, or what
 * a control waits for. Read off a run and the wiring; nothing of it is written down in advance.
 *
 * @phpstan-import-type Element from Nets
 * @phpstan-type Reason array{text: string, part: string|null, id: string|null, because: list<mixed>}
 * @phpstan-import-type Supply from Nets
 */
final class Why
{
    private const DEPTH = 12;

    /** Share of a supply's volts above which a load counts as fed. */
    private const FED = 0.6;

    /** @var array<string, true> what was asked already, so that a seal-in contact does not explain itself */
    private array $asked = [];

    private readonly Nets $nets;

    private readonly WhyControl $control;

    public function __construct(private readonly HealthyRun $run)
    {
        $this->nets = $run->nets;
        $this->control = new WhyControl($this, $run);
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
        foreach ($this->run->plan->those(Burns::class) as $id) {
            $all[$id] = ['id' => $id, 'title' => Words::say('building.why.fire', [
                'id' => $id,
            ]), 'on' => $this->run->slot($id)['lit']];
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
            throw new EditError('/of', Words::say('building.why.there_is_nothing_called_to', ['id' => $id]));
        }

        return $this->reason($id, 0);
    }

    /** @return Reason */
    public function reason(string $id, int $depth): array
    {
        if ($depth > self::DEPTH || isset($this->asked[$id])) {
            return $this->say(Words::say('building.why.see_above', ['id' => $this->title($id)]), $id);
        }
        $this->asked[$id] = true;
        if ($this->isIn($id, Decides::class)) {
            return $this->control->reason($id, null, $depth);
        }
        $why = $this->own($id);
        if ($why !== null) {
            // a fire belongs to no part
            return $this->say(
                $this->title($id).' '.$why->text,
                $this->isIn($id, Burns::class) ? null : $id,
                array_map(fn (string $next) => $this->reason($next, $depth + 1), $why->because),
            );
        }

        return $this->spans($id) === [] && ! $this->isElectric($id)
            ? $this->say($this->title($id).'.', $id)
            : $this->load($id, $depth);
    }

    /** What a primitive says of itself. */
    private function own(string $id): ?Because
    {
        $entry = $this->run->plan->primitives[$id];

        return Primitives::TYPES[$entry['type']]::why(
            $entry['spec'],
            $this->run->slot($id),
            $this->run->surroundings(),
        );
    }

    /** @param class-string $ability */
    private function isIn(string $id, string $ability): bool
    {
        return in_array($id, $this->run->plan->those($ability), true);
    }

    /** @return list<Element> what it is in the wiring */
    private function spans(string $id): array
    {
        $isOf = fn (array $e): bool => "{$e['part']}.{$e['name']}" === $id;

        return array_values(array_filter($this->nets->elements(), $isOf));
    }

    private function isElectric(string $id): bool
    {
        return $this->run->plan->primitives[$id]['branches'] !== [] ||
            $this->run->plan->primitives[$id]['windings'] !== [];
    }

    /** @return Reason */
    private function load(string $id, int $depth): array
    {
        $spans = $this->spans($id);
        if ($spans === []) {
            return $this->say(Words::say('building.why.is_not_in_the_circuit', ['id' => $this->title($id)]), $id);
        }
        $volts = max(array_map($this->across(...), $spans));
        $fed = array_filter($spans, $this->isFed(...));
        $title = $this->title($id);
        if ($fed !== []) {
            return $this->say(Words::say('building.why.is_fed_across_it', [
                'title' => $title,
                'volts' => $this->volts($volts),
            ]), $id);
        }
        $best = $this->nets->leastOpen($id, $this->isClosed(...));
        if ($best === null) {
            return $this->say(Words::say('building.why.has_no_complete_path_from', ['title' => $title]), $id);
        }
        [$supply, $open] = $best;
        if ($open === []) {
            return $this->say(
                Words::say('building.why.has_across_it_everything_on', [
                    'title' => $title,
                    'volts' => $this->volts($volts),
                ]),
                $id,
                [$this->supply($supply, $depth)],
            );
        }

        return $this->say(
            Words::say('building.why.has_across_it', [
                'title' => $title,
                'volts' => $this->volts($volts),
                'open' => count($open) === 1
                    ? Words::say('building.why.one_switch_on_its_path')
                    : Words::say('building.why.switches_on_its_path_are', ['open' => count($open)]),
            ]),
            $id,
            array_map(fn (array $e) => $this->switch($e, $depth + 1), $open),
        );
    }

    /**
     * @param Supply $supply
     * @return Reason
     */
    private function supply(array $supply, int $depth): array
    {
        $dc = in_array($supply['class'], ['millivolt', 'battery'], true);
        $text = Words::say('building.why.gives', [
            'title' => $supply['title'],
            'volts' => $this->volts($this->run->volts($supply['hot'], $supply['return'], $dc)),
        ]);
        $primitive = "{$supply['part']}.{$supply['name']}";

        return $this->say(
            $text,
            $primitive,
            $this->isIn($primitive, Transforms::class) ? [$this->reason($primitive, $depth + 1)] : [],
        );
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
        $key = explode('.', $spec['key'] ?? 'at');
        if (isset($spec['follows']) && $key[0] === 'out' && $this->isIn($spec['follows'], Decides::class)) {
            return $this->say(Words::say('building.why.is_open', [
                'title' => $title,
            ]), $id, [$this->control->reason($spec['follows'], $key[1], $depth)]);
        }
        $why = $this->own($id);

        return $this->say(
            $title.' '.($why->text ?? Words::say('building.why.is_open_2')),
            $id,
            array_map(fn (string $next) => $this->reason($next, $depth), $why->because ?? []),
        );
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
            if (
                isset(
                    $this->nets->paths($this->nets->root($supply['hot']), $this->nets->root($supply['return']))[
                        "{$e['part']}.{$e['name']}"
                    ],
                )
            ) {
                return $volts > self::FED * ($supply['class'] === 'millivolt' ? 0.01 : $supply['volts']);
            }
        }

        return $volts > 1.0;
    }

    public function volts(float $volts): string
    {
        return $volts < 0.5 && $volts > 0.0005
            ? round(1000 * $volts, 1).' mV'
            : round($volts, $volts < 10 ? 2 : 1).' V';
    }

    public function title(string $id): string
    {
        [$part, $name] = Model::split($id);
        $label = $this->run->plan->model->part($part)->label ?? null;

        return $label === null ? "\"$id\"" : $label.': '.str_replace('_', ' ', $name);
    }

    /**
     * @param list<Reason> $because
     * @return Reason
     */
    public function say(string $text, ?string $id, array $because = []): array
    {
        $part = $id === null ? null : Model::split($id)[0];

        return [
            'text' => $text,
            'part' => $part !== null && isset($this->run->plan->model->parts()[$part]) ? $part : null,
            'id' => $id,
            'because' => $because,
        ];
    }
}
