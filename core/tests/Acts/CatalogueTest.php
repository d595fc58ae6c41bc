<?php

declare(strict_types=1);

namespace OddSpark\Tests\Acts;

use OddSpark\Acts\Act;
use OddSpark\Acts\ActError;
use OddSpark\Acts\Catalogue;
use OddSpark\Acts\Field;
use OddSpark\Acts\Names;
use OddSpark\Acts\Quality;
use OddSpark\Acts\References;
use OddSpark\Acts\Situation;
use OddSpark\Bench\Wording;
use OddSpark\Run\BenchState;
use OddSpark\Tests\Fixtures;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\RunInSeparateProcess;
use PHPUnit\Framework\TestCase;

/** What can be done: as the schema has it, to what is there, and one more is one class. */
final class CatalogueTest extends TestCase
{
    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function wrong(): iterable
    {
        yield 'no such act' => [['act' => 'dance', 'at_s' => 1], '/act'];
        yield 'no moment' => [['act' => 'smell'], '/at_s'];
        yield 'before the arrival' => [['act' => 'smell', 'at_s' => -1], '/at_s'];
        yield 'no part' => [['act' => 'look', 'at_s' => 1], '/part'];
        yield 'a part without a name' => [['act' => 'look', 'at_s' => 1, 'part' => ''], '/part'];
        yield 'a name as long as a page' => [['act' => 'look', 'at_s' => 1, 'part' => str_repeat('x', 300)], '/part'];
        yield 'another position' => [['act' => 'door', 'at_s' => 1, 'to' => 'ajar'], '/to'];
        yield 'no turns' => [['act' => 'clamp', 'at_s' => 1, 'wires' => [], 'turns' => 0], '/turns'];
        yield 'thirteen wires' => [['act' => 'clamp', 'at_s' => 1, 'wires' => array_fill(0, 13, 'w01')], '/wires'];
        yield 'a map for a list' => [['act' => 'clamp', 'at_s' => 1, 'wires' => ['a' => 'w01']], '/wires'];
        yield 'amps in words' => [['act' => 'fuse', 'at_s' => 1, 'part' => 'fuse', 'amps' => 'three'], '/amps'];
        yield 'nothing said' => [['act' => 'todo', 'at_s' => 1, 'item' => '   ', 'state' => 'open'], '/item'];
        yield 'something more' => [['act' => 'smell', 'at_s' => 1, 'nose' => 'long'], '/nose'];
    }

    /** @param array<string, mixed> $json */
    #[DataProvider('wrong')]
    public function test_what_is_wrong_is_said_where(array $json, string $pointer): void
    {
        try {
            Catalogue::act($json, '/entries/3');
            self::fail('It was taken.');
        } catch (ActError $e) {
            self::assertSame("/entries/3$pointer", $e->pointer);
        }
    }

    /** Whatever stands in a field, the sentence is made: some name units with a percent sign. */
    public function test_every_field_of_every_act_says_what_it_takes(): void
    {
        foreach (Catalogue::all() as $name => $class) {
            foreach (array_keys($class::fields()) as $field) {
                try {
                    $others = array_map(fn (Field $f): mixed => $f->schema['enum'][0] ?? 'x', $class::fields());
                    Catalogue::act(['act' => $name, 'at_s' => 1, $field => ['a' => [1]]] + $others);
                    self::fail("$name took a map for $field");
                } catch (ActError $e) {
                    self::assertNotSame('', $e->getMessage());
                }
            }
        }
    }

    public function test_what_is_named_must_be_there(): void
    {
        $model = Fixtures::furnace()->model;
        foreach (
            [
                ['look', ['part' => 'moon'], 'part'],
                ['leads', ['red' => 'moon.a', 'black' => null], 'place'],
                ['lift', ['end' => 'w01.c'], 'wire end'],
                ['gauge', ['tap' => 'moon'], 'tap'],
                ['clamp', ['wires' => ['w01', 'moon']], 'wire'],
            ] as [$name, $with, $what]
        ) {
            try {
                References::check(Fixtures::act(1, $name, $with), $model);
                self::fail("$name was taken.");
            } catch (ActError $e) {
                self::assertStringContainsString("There is no $what called", $e->getMessage());
            }
        }
        References::check(Fixtures::act(1, 'leads', ['red' => 'limit.a', 'black' => null]), $model);
    }

    /** A class and its registration: what a log, a schema and a judge need of it comes by itself. */
    #[RunInSeparateProcess]
    public function test_one_more_act_is_one_class(): void
    {
        Catalogue::register(Shake::class);
        [$bench, $state] = Fixtures::bench();
        $act = Catalogue::act(['at_s' => 2, 'act' => 'shake', 'part' => 'cock', 'times' => 2]);
        [$after, $outcome] = $bench->do($state, $act);
        self::assertSame(['rattle' => '2 times'], $outcome->seen);
        self::assertSame(0.7, $after->labour);
        self::assertSame('Shook Gas cock', (new Wording(Fixtures::furnace()->model))->act($act));
        self::assertContains('shake', Catalogue::that(Quality::Asks));
        self::assertSame(
            'There is no part called "moon" here.',
            $bench->do($state, Catalogue::make(3000, 'shake', ['part' => 'moon']))[1]->refused,
        );
        $consts = array_map(fn (array $s): string => $s['properties']['act']['const'], Catalogue::schema()['oneOf']);
        self::assertContains('shake', $consts);
    }
}

/** Made up for this test. */
final readonly class Shake extends Act
{
    public const NAME = 'shake';

    public const MINUTES = 0.7;

    public const QUALITIES = [Quality::Asks];

    public static function fields(): array
    {
        return ['part' => Field::part(), 'times' => Field::whole(1, 9)->optional()];
    }

    public function refusal(Situation $now): ?string
    {
        return $now->reach->part($now->state, $this->part());
    }

    public function apply(Situation $now): BenchState
    {
        return $now->state->with(eyes: $this->part());
    }

    public function shows(Situation $now): array
    {
        return ['rattle' => ($this->get('times') ?? 1).' times'];
    }

    public function said(Names $names): string
    {
        return "Shook {$names->part($this->part())}";
    }
}
