<?php

declare(strict_types=1);

namespace OddSpark\WiringUp;

use OddSpark\Appliance\Compiler;
use OddSpark\Appliance\Model;
use OddSpark\Appliance\Part;
use OddSpark\Appliance\Shapes;
use OddSpark\Parts\Ability\Decides;
use OddSpark\Wiring\Nets;

/**
 * A control swapped for another make: it does the same, its terminals are pins of two plugs, one of its times is chosen
 * by an option switch, its codes are others, links of the factory bridge what some appliances have no switch for, and a
 * lead that there is no use for here is to be capped.
 *
 * @phpstan-import-type ModelDocument from Shapes
 * @phpstan-import-type WireDocument from Shapes
 * @phpstan-type Kept array{sound: ModelDocument, missing: list<string>, part: string, links: list<WireDocument>,
 *     option: string|null, factory: string|null, leaflet: list<array{to: string, from: string}>, card: list<string>}
 */
final readonly class Swap
{
    private const KIND = 'replacement-control';

    /** A control with fewer wires is not worth the swap. */
    private const LEAST = 6;

    /** Length of a link, ft. */
    private const LINK_FEET = 0.2;

    private const SPARE_FEET = 1.0;

    /**
     * @param Task $task the appliance with the new control, rightly fitted, and the wires that go to it
     * @param string $part the control
     * @param list<WireDocument> $links of the factory, and the spare lead
     * @param string|null $option label of the option switch's right position; null: there is no switch
     * @param string|null $factory its position when it comes
     * @param list<array{to: string, from: string}> $leaflet which terminal takes the place of which
     * @param list<string> $card times of the old one, as they are printed on it
     */
    private function __construct(
        public Task $task,
        public string $part,
        public array $links,
        public ?string $option,
        public ?string $factory,
        public array $leaflet,
        public array $card,
    ) {}

    /** @param int $seed another numbers the terminals otherwise; null where no control is worth it */
    public static function of(Model $old, string $visit, int $seed): ?self
    {
        $part = self::control($old);
        if ($part === null) {
            return null;
        }
        $document = $old->document;
        $names = Replacement::names($old, $part, $seed);
        $kind = OtherCodes::in(Replacement::renamed($document['kinds'][$part->kind->name], $names));
        $time = Replacement::timeThatShows($old, $part, $visit);
        [$option, $factory] = [null, null];
        if ($time !== null) {
            [$kind, $option, $factory] = Replacement::withOption($kind, $time);
        }
        $withSpare = Replacement::withSpareLead($kind);
        $document['kinds'][self::KIND] = ['kind' => self::KIND] + ($withSpare ?? $kind);
        foreach ($document['parts'] as $i => $p) {
            if ($p['id'] === $part->id) {
                $document['parts'][$i]['kind'] = self::KIND;
            }
        }
        $places = [];
        foreach ($names as $was => $is) {
            $places["$part->id.$was"] = "$part->id.$is";
        }
        $sound = new Model(Replacement::placed($document, $places));
        $missing = [];
        foreach ($sound->wires() as $id => $wire) {
            if ($wire->goesTo($part->id)) {
                $missing[] = (string) $id;
            }
        }
        $was = array_flip($names);
        $leaflet = array_map(
            fn (string $is): array => ['to' => $is, 'from' => (string) $was[$is]],
            Replacement::inOrder($names),
        );
        $links = self::links($sound, $part->id);
        $task = new Task($sound, $missing);
        $card = Replacement::card($part);
        $spare = $withSpare === null ? null : self::spare($sound, $part->id);
        $with = new self($task, $part->id, [...$links, ...$spare ?? []], $option, $factory, $leaflet, $card);

        // a lead that may touch the cabinet and nothing comes of it is no matter
        return $spare === null || $with->matters($spare[0]['id'], $visit)
            ? $with
            : new self($task, $part->id, $links, $option, $factory, $leaflet, $card);
    }

    /** Whether something is otherwise with a link, or a lead, left as it comes and the rest rightly fitted. */
    private function matters(string $link, string $visit): bool
    {
        $off = array_values(array_diff(array_column($this->links, 'id'), [$link]));
        $left = $this->fitted($this->task->drawn(), $off, $this->option);

        return ! (new Judge(Compiler::compile($this->task->sound), $visit))->of($left)->isRight();
    }

    /** The appliance with the new control as it comes, and no wire on it but its links. */
    public function bare(): Model
    {
        return $this->fitted([], [], $this->factory);
    }

    /**
     * The appliance as somebody has fitted it.
     *
     * @param list<array{from: string, to: string, colour?: string, awg?: int|float, mm2?: int|float}> $laid
     * @param list<string> $off wires and links that hang loose
     * @param string|null $position of the option switch
     */
    public function fitted(array $laid, array $off, ?string $position): Model
    {
        $document = $this->task->with($laid, $off)->document;
        foreach ($this->links as $link) {
            if (! in_array($link['id'], $off, true)) {
                $document['wires'][] = $link;
            }
        }
        if ($position !== null) {
            $document['kinds'][self::KIND]['primitives'][Replacement::OPTION]['at'] = $position;
        }

        return new Model($document);
    }

    /** The option switch as it is called among what can be set; null where there is none. */
    public function lever(): ?string
    {
        return $this->option === null ? null : "$this->part.".Replacement::OPTION;
    }

    /** The control with the most wires, of those to which nothing of another make has been done already. */
    private static function control(Model $model): ?Part
    {
        $best = null;
        foreach ($model->parts() as $part) {
            $wires = array_filter($model->wires(), fn ($wire): bool => $wire->goesTo($part->id));
            $takes = array_intersect_key($part->kind->primitives, Replacement::ADDED) === [];
            if ($takes && $part->kind->those(Decides::class) !== [] && count($wires) > ($best[0] ?? self::LEAST - 1)) {
                $best = [count($wires), $part];
            }
        }

        return $best[1] ?? null;
    }

    /**
     * A link for each safety that lies between two terminals of the control: where the appliance has it, it is cut.
     *
     * @return list<WireDocument>
     */
    private static function links(Model $sound, string $part): array
    {
        $nets = new Nets($sound);
        $at = [];
        foreach (array_diff_key($sound->part($part)->kind->terminals, [Replacement::SPARE => 1]) as $terminal => $_) {
            $at[$nets->root("$part.$terminal")] = "$part.$terminal";
        }
        foreach ($nets->elements() as $e) {
            $guards = $sound->kindOf($e['part'])?->isGuardingSwitch($e['name']) === true;
            [$a, $b] = [$at[$nets->root($e['a'])] ?? null, $at[$nets->root($e['b'])] ?? null];
            if ($guards && $a !== null && $b !== null && $a !== $b) {
                return [[
                    'id' => self::unused($sound, 'link-1'), 'from' => $a, 'to' => $b, 'colour' => 'bare', 'awg' => 18,
                    'feet' => self::LINK_FEET,
                ]];
            }
        }

        return [];
    }

    /**
     * The spare lead as it comes: its bare end lies on the steel of the cabinet.
     *
     * @return list<WireDocument>|null null where nothing is grounded
     */
    private static function spare(Model $sound, string $part): ?array
    {
        foreach ((new Nets($sound))->grounds() as $ground) {
            if ($ground['part'] !== $part) {
                return [[
                    'id' => self::unused($sound, 'spare'), 'from' => "$part.".Replacement::SPARE, 'to' => $ground['place'],
                    'colour' => 'violet', 'awg' => 18, 'feet' => self::SPARE_FEET,
                ]];
            }
        }

        return null;
    }

    /** An id that no wire has. */
    private static function unused(Model $sound, string $id): string
    {
        while (isset($sound->wires()[$id])) {
            $id .= 'x';
        }

        return $id;
    }

    /** @return Kept for {@see from} */
    public function toArray(): array
    {
        return [
            'sound' => $this->task->sound->document, 'missing' => $this->task->missing, 'part' => $this->part,
            'links' => $this->links, 'option' => $this->option, 'factory' => $this->factory,
            'leaflet' => $this->leaflet, 'card' => $this->card,
        ];
    }

    /** @param Kept $array from {@see toArray} */
    public static function from(array $array): self
    {
        return new self(
            new Task(new Model($array['sound']), $array['missing']),
            $array['part'],
            $array['links'],
            $array['option'],
            $array['factory'],
            $array['leaflet'],
            $array['card'],
        );
    }
}
