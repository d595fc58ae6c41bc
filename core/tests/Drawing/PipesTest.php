<?php

declare(strict_types=1);

namespace OddSpark\Tests\Drawing;

use OddSpark\Appliance\Kind;
use OddSpark\Appliance\Library;
use OddSpark\Drawing\Board;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class PipesTest extends TestCase
{
    /** A finger that means a port must not land on a terminal, or on another port; units of the board. */
    private const APART = 24.0;

    public function test_ports_lie_apart_from_terminals_and_from_each_other_on_every_kind(): void
    {
        $library = new Library();
        $close = [];
        foreach ($library->kindNames() as $name) {
            $kind = Kind::of($name, $library->kind($name));
            $points = $kind->terminals;
            foreach ($kind->ports as $port) {
                foreach ($points as $other => $at) {
                    if (hypot($at[0] - $port->at[0], $at[1] - $port->at[1]) < self::APART) {
                        $close[] = "$name: {$port->name} and $other";
                    }
                }
                self::assertLessThanOrEqual($kind->size[0], $port->at[0], $name);
                self::assertLessThanOrEqual($kind->size[1], $port->at[1], $name);
                $points["port {$port->name}"] = $port->at;
            }
        }
        self::assertSame([], $close);
    }

    #[DataProvider('models')]
    public function test_every_pipe_runs_from_its_port_to_its_port(string $name): void
    {
        $model = (new Library())->model($name);
        $board = Boards::of($name);
        $ports = array_column(array_merge(...array_column($board['parts'], 'ports')), null, 'place');
        self::assertCount(count($model->pipes()), $board['pipes']);
        foreach ($board['pipes'] as $pipe) {
            foreach (['from' => $pipe['points'][0], 'to' => end($pipe['points'])] as $end => $point) {
                self::assertSame([$ports[$pipe[$end]]['x'], $ports[$pipe[$end]]['y']], $point, "$name {$pipe['id']}");
            }
            foreach (array_slice($pipe['points'], 1) as $i => [$x, $y]) {
                [$px, $py] = $pipe['points'][$i];
                self::assertTrue($x === $px || $y === $py, "$name {$pipe['id']} runs squarely");
            }
        }
    }

    /** @return iterable<string, array{string}> */
    public static function models(): iterable
    {
        foreach ((new Library())->names() as $name) {
            yield $name => [$name];
        }
    }
}
