<?php

declare(strict_types=1);

namespace OddSpark\Tests\WiringUp;

use OddSpark\Appliance\Compiler;
use OddSpark\Appliance\Library;
use OddSpark\Appliance\Model;
use OddSpark\Marking\Rules;
use OddSpark\Tests\Models;
use OddSpark\Tests\Sample;
use OddSpark\WiringUp\Judge;
use OddSpark\WiringUp\Swap;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Controls swapped for another make: on every model the rightly fitted one does what the old one did. */
final class SwapTest extends TestCase
{
    private const SEED = 5;

    /** @var array<string, array{Swap, Judge}|null> by model */
    private static array $swaps = [];

    /** @return iterable<string, array{string}> */
    public static function models(): iterable
    {
        return Models::some(1);
    }

    /** @return array{Swap, Judge}|null */
    private static function swap(string $name): ?array
    {
        if (! array_key_exists($name, self::$swaps)) {
            $model = (new Library())->model($name);
            $visit = $model->visits()[0];
            $swap = Swap::of($model, $visit, self::SEED);
            self::$swaps[$name] = $swap === null
                ? null
                : [$swap, new Judge(Compiler::compile($swap->task->sound), $visit)];
        }

        return self::$swaps[$name];
    }

    private static function verdict(Judge $judge, Model $fitted): string
    {
        return $judge->of($fitted)->mark(Rules::of((new Library())->rules('first-year')))->verdict;
    }

    #[DataProvider('models')]
    public function test_rightly_fitted_it_does_what_the_old_one_did_and_as_it_comes_it_does_not(string $name): void
    {
        [$swap, $judge] = self::swap($name) ?? [null, null];
        if ($swap === null) {
            self::assertContains($name, [
                'boiler-standing-pilot', 'furnace-standing-pilot', 'wall-heater-millivolt', 'water-heater-thermopile',
            ], 'these have no control with six wires');

            return;
        }
        $kept = Swap::from(json_decode((string) json_encode($swap->toArray()), true));
        $links = array_column($kept->links, 'id');
        self::assertSame('wired', self::verdict($judge, $kept->fitted($kept->task->drawn(), $links, $kept->option)));
        self::assertNotSame('wired', self::verdict($judge, $kept->bare()));
        if ($kept->option !== null) {
            $left = $kept->fitted($kept->task->drawn(), $links, $kept->factory);
            self::assertNotSame('wired', self::verdict($judge, $left), 'its time as it comes');
        }
        foreach ($links as $link) {
            $off = array_values(array_diff($links, [$link]));
            $left = $kept->fitted($kept->task->drawn(), $off, $kept->option);
            self::assertNotSame('wired', self::verdict($judge, $left), "$link as it comes");
        }
        self::assertNotNull($kept->option);
        self::assertCount(count($kept->leaflet), array_unique(array_column($kept->leaflet, 'to')));
    }

    public function test_a_control_of_another_make_is_not_swapped_again(): void
    {
        $swap = self::swap('tube-heater')[0] ?? self::fail('it has one');
        self::assertNull(Swap::of($swap->task->sound, 'cold', self::SEED));
    }

    public function test_a_wire_of_the_appliance_may_be_called_as_a_link_is(): void
    {
        $document = (new Library())->model('tube-heater')->document;
        $document['wires'][0]['id'] = 'link-1';
        $document['wires'][1]['id'] = 'spare';
        $swap = Swap::of(new Model($document), 'cold', self::SEED) ?? self::fail('it has one');
        self::assertSame(['link-1x', 'sparex'], array_column($swap->links, 'id'));
        self::assertCount(count($swap->task->sound->wires()) - count($swap->task->missing) + 2, $swap->bare()->wires());
    }

    public function test_what_was_judged_by_hand_is_judged_the_same(): void
    {
        $apart = [];
        $examples = json_decode((string) file_get_contents(__DIR__.'/swaps.json'), true);
        foreach (Sample::of(3, $examples) as $i => $e) {
            [$swap, $judge] = self::swap($e['model']) ?? self::fail($e['model']);
            $new = array_column($swap->leaflet, 'to', 'from');
            $turned = [];
            foreach ($e['exchanged'] ?? [] as $j => $was) {
                $turned["$swap->part.$new[$was]"] = "$swap->part.".$new[$e['exchanged'][1 - $j]];
            }
            $laid = array_map(fn (array $wire): array => [
                'from' => $turned[$wire['from']] ?? $wire['from'], 'to' => $turned[$wire['to']] ?? $wire['to'],
            ] + $wire, $swap->task->drawn());
            $left = array_filter(['link-1' => $e['link'] ?? false, 'spare' => $e['spare'] ?? false]);
            $off = array_values(array_diff(array_column($swap->links, 'id'), array_keys($left)));
            $at = ($e['option'] ?? false) ? $swap->factory : $swap->option;
            $is = self::verdict($judge, $swap->fitted($laid, $off, $at));
            if ($is !== ($e['computed']['verdict'] ?? $e['verdict'])) { // where the hand was wrong, it says why
                $apart[] = "$i {$e['model']} ".json_encode($e['exchanged'] ?? '').": $is";
            }
        }
        self::assertSame([], $apart);
    }
}
