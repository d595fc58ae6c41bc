<?php

declare(strict_types=1);

namespace OddSpark\Tests\WiringUp;

use OddSpark\Appliance\Compiler;
use OddSpark\Appliance\Library;
use OddSpark\Appliance\Model;
use OddSpark\Appliance\Part;
use OddSpark\Tests\Models;
use OddSpark\Wiring\Nets;
use OddSpark\WiringUp\Judge;
use OddSpark\WiringUp\Task;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * On every shipped model: wirings at random that are the same circuit are right, one in which a safety is bridged is
 * wrong, and nothing wired is wrong.
 *
 * @phpstan-import-type Laid from Task
 */
final class EveryModelTest extends TestCase
{
    /** A part that no wire shorter than this leads to stands elsewhere: no wire goes by way of it. ft */
    private const FAR = 8.0;

    /** @return iterable<string, array{string}> */
    public static function models(): iterable
    {
        return Models::some(0);
    }

    #[DataProvider('models')]
    public function test_the_same_circuit_is_right_and_one_safety_less_is_wrong(string $name): void
    {
        $sound = (new Library())->model($name);
        $judge = new Judge(Compiler::compile($sound), $sound->visits()[0]);
        $task = Task::of($sound, 'all', 0);
        mt_srand(crc32($name));
        $again = $judge->of($task->with(self::atRandom($sound)));
        self::assertSame([], $again->first()?->sentences() ?? [], 'the same circuit, wired otherwise');
        self::assertFalse($judge->of($task->bare())->isRight(), 'nothing is wired');

        foreach (self::safeties($sound) as $switch => [$a, $b]) {
            $verdict = $judge->of($task->with([...$task->drawn(), ['from' => $a, 'to' => $b]]));
            self::assertFalse($verdict->isRight(), "$switch bridged");
        }
    }

    /**
     * Every conductor wired anew, in whatever order, with single contacts turned round.
     *
     * @return list<Laid>
     */
    private static function atRandom(Model $sound): array
    {
        $places = $laid = $turned = [];
        $nets = new Nets($sound);
        foreach ($sound->wires() as $wire) {
            foreach ([$wire->from, $wire->to] as $place) {
                $places[$nets->root($place)][$place] = self::isFar($sound, $place);
            }
        }
        foreach ($sound->parts() as $part) {
            if (self::isOneContact($part) && mt_rand(0, 1) === 1) {
                [$a, $b] = $part->places();
                $turned += [$a => $b, $b => $a];
            }
        }
        foreach ($places as $of) {
            $near = array_keys(array_filter($of, fn (bool $far): bool => ! $far));
            $far = array_keys(array_filter($of));
            shuffle($near);
            shuffle($far);
            $all = [...$near, ...$far];
            for ($i = 1; $i < count($all); $i++) {
                $from = $all[mt_rand(0, max(0, min($i, count($near)) - 1))];
                $laid[] = ['from' => $turned[$from] ?? $from, 'to' => $turned[$all[$i]] ?? $all[$i]];
            }
        }

        return $laid;
    }

    private static function isFar(Model $sound, string $place): bool
    {
        $part = Model::split($place)[0];
        foreach ($sound->wires() as $wire) {
            if ($wire->goesTo($part) && ($wire->feet ?? $wire->metres * 3.28) <= self::FAR) {
                return false;
            }
        }

        return true;
    }

    private static function isOneContact(Part $part): bool
    {
        $electric = array_values(array_filter($part->specs(), fn ($spec): bool => $spec->isElectric()));

        return count($electric) === 1 && $electric[0]->follows() !== null && count($part->kind->terminals) === 2;
    }

    /** @return array<string, array{string, string}> terminals of each safety that guards the fuel, by its name */
    private static function safeties(Model $sound): array
    {
        $nets = new Nets($sound);
        $found = [];
        foreach ($sound->parts() as $part) {
            foreach ($part->kind->stoppingSwitches() as $name) {
                $wired = $part->spec($name)?->wiring()[0] ?? null;
                [$a, $b] = ["$part->id.$wired?->a", "$part->id.$wired?->b"];
                if ($sound->guardsFuel($part, $name) && $nets->root($a) !== $nets->root($b)) {
                    $found["$part->id.$name"] = [$a, $b];
                }
            }
        }

        return $found;
    }
}
