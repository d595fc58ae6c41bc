<?php

declare(strict_types=1);

namespace OddSpark\Tests\Commissioning;

use OddSpark\Appliance\Compiler;
use OddSpark\Appliance\Library;
use OddSpark\Bench\Bench;
use OddSpark\Commissioning\Figures;
use OddSpark\Commissioning\RowJudged;
use OddSpark\Commissioning\Rows;
use OddSpark\Faults\Fault;
use OddSpark\Faults\FaultSet;
use OddSpark\Run\Memory;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Rows of commissioning sheets judged by hand: common practice, no source; figures by {@see docs/marking.md}. */
final class WorkedTest extends TestCase
{
    public function test_what_was_judged_by_hand_is_judged_the_same(): void
    {
        $apart = $had = [];
        foreach (json_decode((string) file_get_contents(__DIR__.'/worked.json'), true) as $i => $e) {
            [$rows, $figures] = $had[$e['model'].$e['fault']] ??= self::figures($e['model'], $e['fault']);
            $row = $rows[$e['row']];
            $is = $figures[$e['row']];
            $judged = RowJudged::figure($row, $is, $is, $is, [$e['said'], $e['as'], null], $e['read'] ?? true);
            if ($judged->isRight() !== $e['right']) {
                $apart[] = "$i {$e['model']} {$e['row']} {$e['said']}: $judged->why";
            }
        }
        self::assertSame([], $apart);
    }

    /** @return iterable<string, array{string}> */
    public static function models(): iterable
    {
        foreach ((new Library())->names() as $name) {
            yield $name => [$name];
        }
    }

    #[DataProvider('models')]
    public function test_every_sound_model_is_in_order_once_it_burns(string $name): void
    {
        [$rows, $figures] = self::figures($name, Fault::HEALTHY);
        self::assertGreaterThanOrEqual(4, count($rows), 'there is something to measure');
        if ($figures === null) {
            self::assertSame('water-heater-thermopile', $name, 'no other stays without a fire when all calls');

            return;
        }
        foreach ($rows as $id => $row) {
            self::assertTrue($row->isInRange($figures[$id]), "$row->title: $figures[$id] $row->unit");
        }
    }

    /** @return array{array<string, \OddSpark\Commissioning\Row>, array<string, float>|null} rows by id, figures */
    private static function figures(string $model, string $fault): array
    {
        $plan = Compiler::compile((new Library())->model($model));
        $rows = array_column((new Rows($plan))->all(), null, 'id');
        $is = FaultSet::of($plan->model)->get($fault);
        $memory = new Memory();
        $found = (new Bench($plan, $is, $memory))->arrive($plan->model->visits()[0])->state;

        return [$rows, (new Figures($plan, $is, $memory))->of($found, array_values($rows))];
    }
}
