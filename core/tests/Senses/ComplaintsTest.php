<?php

declare(strict_types=1);

namespace OddSpark\Tests\Senses;

use OddSpark\Appliance\Library;
use OddSpark\Bench\Bench;
use OddSpark\Faults\FaultSet;
use OddSpark\Run\Memory;
use OddSpark\Tests\TestRig;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * What the customer says of every single fault of every model: a table that was read, row by row, and is kept. Common
 * practice, no source. All of it is run by `./spark check`, two models with every run; it is written anew with
 * SPARK_WRITE=1, and is then to be read again where it differs.
 */
final class ComplaintsTest extends TestCase
{
    private const KEPT = __DIR__.'/complaints.json';

    private const ALWAYS = ['furnace-80', 'boiler-simple-230'];

    /** @return iterable<string, array{string}> */
    public static function models(): iterable
    {
        foreach ((new Library())->names() as $name) {
            if (in_array($name, self::ALWAYS, true) || getenv('SPARK_ALL_FAULTS') || getenv('SPARK_WRITE')) {
                yield $name => [$name];
            }
        }
    }

    #[DataProvider('models')]
    public function test_a_customer_says_of_each_fault_what_was_read_and_found_right(string $name): void
    {
        $plan = TestRig::plan($name);
        $memory = new Memory();
        $said = [];
        foreach ($plan->model->visits() as $visit) {
            foreach (FaultSet::of($plan->model)->faults as $id => $fault) {
                $words = array_column((new Bench($plan, $fault, $memory))->arrive($visit)->complaint, 'text');
                $said[$visit][implode(' ', $words)][] = $id;
            }
        }
        $kept = json_decode((string) @file_get_contents(self::KEPT), true) ?: [];
        if (getenv('SPARK_WRITE')) {
            $kept[$name] = $said;
            ksort($kept);
            file_put_contents(
                self::KEPT,
                json_encode($kept, JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE)."\n",
            );
        }
        self::assertSame($kept[$name] ?? [], $said);
    }

    /**
     * @return iterable<string, array{string, string, string, list<string>, list<string>}> model, visit, fault, says,
     *     not
     */
    public static function facts(): iterable
    {
        yield 'a fan that runs with nobody calling' => [
            'furnace-80', 'hot', 'board:heat-relay-welded', ['The fan never stops.'], ['It seems to work just now.'],
        ];
        yield 'a fan that runs with a call, and no fire' => [
            'package-direct-spark', 'cold', 'valve:coil-open', ['The fan blows, but the air is cold.'],
            ['The fan never stops.'],
        ];
        yield 'a burner that lights and dies' => [
            'furnace-80', 'hot', 'rod:dirty', ['It lights, and goes out again within seconds.'],
            ['It comes on, runs a while and quits, over and over.'],
        ];
        yield 'a blower that stopped with the fault' => [
            'furnace-80', 'hot', 'blower:open', ['No air comes from the registers.'], [],
        ];
        yield 'a pump that is dead' => [
            'boiler-hydronic', 'cold', 'circulator:open', ['The boiler is hot, but the radiators stay cold.'],
            ['It seems to work just now.'],
        ];
        yield 'a boiler that never lit has not made radiators cold' => [
            'boiler-hydronic', 'cold', 'breaker:open', ['We have no heat at all.'],
            ['The boiler is hot, but the radiators stay cold.'],
        ];
        yield 'a burner that fires with nobody calling' => [
            'boiler-simple-230', 'cold', 'stat:welded', ['It heats even when we turn the thermostat down.'], [],
        ];
        yield 'fumes' => ['boiler-hydronic', 'running', 'chimney:blocked', ['There is a smell of fumes.'], []];
        yield 'oil is not gas' => [
            'oil-furnace', 'cold', 'ignition:open', ['There was a smell of oil for a moment.'],
            ['There was a smell of gas for a moment.'],
        ];
        yield 'oil that lights smells of nothing' => [
            'oil-furnace', 'cold', 'filter:blocked@half', [], ['There was a smell of oil for a moment.'],
        ];
    }

    /**
     * @param list<string> $says
     * @param list<string> $not
     */
    #[DataProvider('facts')]
    public function test_never_the_wrong_way_round(
        string $name,
        string $visit,
        string $fault,
        array $says,
        array $not,
    ): void {
        $plan = TestRig::plan($name);
        $bench = new Bench($plan, FaultSet::of($plan->model)->get($fault), new Memory());
        $words = array_column($bench->arrive($visit)->complaint, 'text');
        self::assertSame([], array_diff($says, $words), implode(' ', $words));
        self::assertSame([], array_intersect($not, $words), implode(' ', $words));
    }

    public function test_of_a_filter_only_he_can_say_something_who_has_one(): void
    {
        foreach ([
            'furnace-80' => 'Not long ago, I think.',
            'boiler-hydronic' => 'I know of no filter.',
        ] as $name => $says) {
            $plan = TestRig::plan($name);
            $state = (new Bench(
                $plan,
                FaultSet::of($plan->model)->get('healthy'),
                new Memory(),
            ))->arrive('cold')->state;
            self::assertSame($says, $state->answers['filter']);
        }
    }
}
