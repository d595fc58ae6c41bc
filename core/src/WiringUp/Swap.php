<?php

declare(strict_types=1);

namespace OddSpark\WiringUp;

use OddSpark\Appliance\Compiler;
use OddSpark\Appliance\Model;
use OddSpark\Appliance\Part;
use OddSpark\Appliance\Shapes;
use OddSpark\Parts\Ability\Decides;
use OddSpark\Suspects\Trial;
use OddSpark\Wiring\Nets;

/**
 * A control swapped for another make: it does the same, its terminals are numbered and stand elsewhere, one of its
 * times is chosen by an option switch, and links of the factory bridge what some appliances have no switch for.
 *
 * @phpstan-import-type WireDocument from Shapes
 * @phpstan-type Kept array{sound: array<string, mixed>, missing: list<string>, part: string, links: list<WireDocument>,
 *     option: string|null, factory: string|null, leaflet: list<array{to: string, from: string}>}
 */
final readonly class Swap
{
    /** What its lever is called among its primitives, and the kind that it is of. */
    private const OPTION = 'option';

    private const KIND = 'replacement-control';

    /** Times of a table beside the right one: shares of it. The first is how it leaves the factory. */
    private const TIMES = [2.0, 1.0, 0.5];

    /** A control with fewer wires is not worth the swap. */
    private const LEAST = 6;

    /** Length of a link, ft. */
    private const LINK_FEET = 0.2;

    /**
     * @param Task $task the appliance with the new control, rightly fitted, and the wires that go to it
     * @param string $part the control
     * @param list<WireDocument> $links of the factory
     * @param string|null $option label of the option switch's right position; null: there is no switch
     * @param string|null $factory its position when it comes
     * @param list<array{to: string, from: string}> $leaflet which terminal takes the place of which
     */
    private function __construct(
        public Task $task,
        public string $part,
        public array $links,
        public ?string $option,
        public ?string $factory,
        public array $leaflet,
    ) {}

    /** @param int $seed another numbers the terminals otherwise; null where no control is worth it */
    public static function of(Model $old, string $visit, int $seed): ?self
    {
        $part = self::control($old);
        if ($part === null) {
            return null;
        }
        $document = $old->document;
        $names = self::names($part, $seed);
        $kind = self::renamed($document['kinds'][$part->kind->name], $names);
        $time = self::timeThatShows($old, $part, $visit);
        [$option, $factory] = [null, null];
        if ($time !== null) {
            [$kind, $option, $factory] = self::withOption($kind, $time);
        }
        $document['kinds'][self::KIND] = ['kind' => self::KIND] + $kind;
        foreach ($document['parts'] as $i => $p) {
            if ($p['id'] === $part->id) {
                $document['parts'][$i]['kind'] = self::KIND;
            }
        }
        $places = [];
        foreach ($names as $was => $is) {
            $places["$part->id.$was"] = "$part->id.$is";
        }
        $sound = new Model(self::placed($document, $places));
        $missing = [];
        foreach ($sound->wires() as $id => $wire) {
            if ($wire->goesTo($part->id)) {
                $missing[] = (string) $id;
            }
        }
        $leaflet = array_map(
            fn (string $was, string $is): array => ['to' => $is, 'from' => $was],
            array_map(strval(...), array_keys($names)),
            array_values($names),
        );
        usort($leaflet, fn (array $x, array $y): int => (int) $x['to'] <=> (int) $y['to']);

        return new self(
            new Task($sound, $missing),
            $part->id,
            self::links($sound, $part->id),
            $option,
            $factory,
            $leaflet,
        );
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
            $document['kinds'][self::KIND]['primitives'][self::OPTION]['at'] = $position;
        }

        return new Model($document);
    }

    /** The option switch as it is called among what can be set; null where there is none. */
    public function lever(): ?string
    {
        return $this->option === null ? null : "$this->part.".self::OPTION;
    }

    /** The control with the most wires. */
    private static function control(Model $model): ?Part
    {
        $best = null;
        foreach ($model->parts() as $part) {
            $wires = array_filter($model->wires(), fn ($wire): bool => $wire->goesTo($part->id));
            if ($part->kind->those(Decides::class) !== [] && count($wires) > ($best[0] ?? self::LEAST - 1)) {
                $best = [count($wires), $part];
            }
        }

        return $best[1] ?? null;
    }

    /** @return array<string, string> new terminal by old */
    private static function names(Part $part, int $seed): array
    {
        $terminals = array_map(strval(...), array_keys($part->kind->terminals));
        $numbers = array_map(strval(...), range(1, count($terminals)));
        usort($numbers, fn (string $x, string $y): int => crc32("$seed/$x") <=> crc32("$seed/$y"));

        return array_combine($terminals, $numbers);
    }

    /**
     * @param array<string, mixed> $kind
     * @param array<string, string> $names
     * @return array<string, mixed>
     */
    private static function renamed(array $kind, array $names): array
    {
        $places = array_column($kind['terminals'], 'at');
        $terminals = [];
        foreach ($kind['terminals'] as $was => $terminal) { // in the order of their numbers round the board
            $terminals[$names[$was]] = ['at' => $places[(int) $names[$was] - 1]] + $terminal;
        }
        ksort($terminals);
        $kind['terminals'] = $terminals;
        $kind['title'] = 'replacement control';
        foreach ($kind['primitives'] as $name => $primitive) {
            $table = $primitive['table'] ?? null;
            unset($primitive['table']);
            $kind['primitives'][$name] = self::placed($primitive, $names) + ($table === null ? [] : ['table' => $table]);
        }
        foreach (array_intersect(['joined', 'references'], array_keys($kind)) as $key) {
            $kind[$key] = self::placed($kind[$key], $names);
        }
        foreach ($kind['ports'] ?? [] as $name => $port) {
            $kind['ports'][$name] = self::placed($port, array_diff_key($names, ['in' => 1, 'out' => 1]));
        }

        return $kind;
    }

    /**
     * @param array<string, mixed> $in
     * @param array<string, string> $names
     * @return array<string, mixed> with every text that is one of the names as the other
     */
    private static function placed(array $in, array $names): array
    {
        array_walk_recursive($in, function (mixed &$value) use ($names): void {
            $value = is_string($value) ? $names[$value] ?? $value : $value;
        });

        return $in;
    }

    /** A time of the control's table that shows when it is another; null where none does. */
    private static function timeThatShows(Model $old, Part $part, string $visit): ?string
    {
        $control = array_key_first($part->kind->those(Decides::class));
        $loads = Loads::of(Compiler::compile($old));
        $trial = new Trial($old);
        $sound = (new Rehearsal(Compiler::compile($old), $loads, $trial, $visit))->visit;
        $kind = $part->kind->name;
        foreach (array_reverse(array_keys($part->kind->primitives[$control]->get('table')['times'])) as $time) {
            $document = $old->document;
            $document['kinds'][$kind]['primitives'][$control]['table']['times'][$time] *= self::TIMES[0];
            $plan = Compiler::compile(new Model($document));
            $other = (new Rehearsal($plan, $loads, $trial, $visit))->visit;
            foreach ($loads->ids() as $id) {
                if ($sound->parts($other, $id) !== null) {
                    return (string) $time;
                }
            }
        }

        return null;
    }

    /**
     * One of its times by a switch: each of its positions counts another.
     *
     * @param array<string, mixed> $kind
     * @return array{array<string, mixed>, string, string} the kind, the right position, that of the factory
     */
    private static function withOption(array $kind, string $time): array
    {
        $control = self::deciding($kind);
        $table = $kind['primitives'][$control]['table'];
        $positions = [];
        foreach (self::TIMES as $i => $share) {
            $seconds = round($share * $table['times'][$time], 1);
            $positions[$i] = "$seconds s";
            $table['times']["{$time}_option_$i"] = $seconds;
            $kind['primitives'][$control]['inputs']["option_$i"] = [
                'by' => self::OPTION, 'key' => 'at', 'when' => $positions[$i],
            ];
        }
        foreach ($table['states'] as $state => $is) {
            $guards = [];
            foreach ($is['guards'] ?? [] as $guard) {
                foreach (($guard['after'] ?? null) === $time ? array_keys(self::TIMES) : [null] as $i) {
                    $guards[] = $i === null ? $guard : [
                        'if' => ($guard['if'] ?? []) + ["option_$i" => true],
                        'after' => "{$time}_option_$i",
                    ] + $guard;
                }
            }
            $table['states'][$state]['guards'] = $guards;
        }
        $kind['primitives'][$control]['table'] = $table;
        $kind['primitives'][self::OPTION] = ['type' => 'lever', 'positions' => $positions, 'at' => $positions[1]];
        $kind['controls'][self::OPTION] = ['label' => 'option switch: '.self::words($time), 'minutes' => 0.5];

        return [$kind, $positions[1], $positions[0]];
    }

    private static function words(string $time): string
    {
        return str_replace('_', ' ', (string) preg_replace('/_s$/', '', $time));
    }

    /** @param array<string, mixed> $kind */
    private static function deciding(array $kind): string
    {
        foreach ($kind['primitives'] as $name => $primitive) {
            if (isset($primitive['table'])) {
                return (string) $name;
            }
        }
        throw new \LogicException('a control without a table');
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
        foreach ($sound->part($part)->kind->terminals as $terminal => $_) {
            $at[$nets->root("$part.$terminal")] = "$part.$terminal";
        }
        foreach ($nets->elements() as $e) {
            $guards = $sound->kindOf($e['part'])?->isGuardingSwitch($e['name']) === true;
            [$a, $b] = [$at[$nets->root($e['a'])] ?? null, $at[$nets->root($e['b'])] ?? null];
            if ($guards && $a !== null && $b !== null && $a !== $b) {
                return [[
                    'id' => 'link-1', 'from' => $a, 'to' => $b, 'colour' => 'bare', 'awg' => 18,
                    'feet' => self::LINK_FEET,
                ]];
            }
        }

        return [];
    }

    /** @return Kept for {@see from} */
    public function toArray(): array
    {
        return [
            'sound' => $this->task->sound->document, 'missing' => $this->task->missing, 'part' => $this->part,
            'links' => $this->links, 'option' => $this->option, 'factory' => $this->factory,
            'leaflet' => $this->leaflet,
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
        );
    }
}
