<?php

declare(strict_types=1);

namespace OddSpark\Tests\Bench;

use OddSpark\Appliance\Compiler;
use OddSpark\Appliance\Library;
use OddSpark\Bench\Attempt;
use OddSpark\Bench\Bench;
use OddSpark\Building\Edits;
use OddSpark\Faults\FaultSet;
use OddSpark\Run\Memory;
use OddSpark\Tests\Fixtures;
use OddSpark\Wiring\Checks;
use OddSpark\Wiring\Finding;
use PHPUnit\Framework\TestCase;

final class RatingPlateTest extends TestCase
{
    public function test_it_is_read_by_looking_at_the_part_that_it_is_on(): void
    {
        $plan = Compiler::compile((new Library())->model('furnace-80'));
        $entries = [
            ['at_s' => 1, 'act' => 'door', 'to' => 'open'],
            ['at_s' => 3, 'act' => 'look', 'part' => 'board'],
            ['at_s' => 6, 'act' => 'look', 'part' => 'valve'],
        ];
        $log = Fixtures::log($entries, 1);
        $seen = Attempt::run($plan, FaultSet::of($plan->model)->get('healthy'), $log, 'cold', new Memory());
        $looks = array_column($seen->observations->toArray()['entries'], 'seen');
        self::assertSame(
            'natural gas, input 80,000 Btu/h; 3.5 in. w.c. at the manifold; air rise 35 to 65 °F; '.
                'external static at most 0.5 in. w.c.; fuse or breaker at most 15 A; category I vent.',
            $looks[0]['rating plate'],
        );
        self::assertArrayNotHasKey('rating plate', $looks[1]);
    }

    public function test_what_is_not_as_on_the_plate_is_found_and_a_plate_goes_with_its_part(): void
    {
        $library = new Library();
        $edits = new Edits($library);
        $d = $library->document('furnace-80');
        $rules = fn (array $d): array => array_map(
            fn (Finding $f): string => $f->rule,
            Checks::of($library->draft($d)),
        );
        self::assertNotContains('not as on the plate', $rules($d));
        $d = $edits->apply($d, ['do' => 'set', 'path' => '/plate/input', 'value' => 60000]);
        self::assertContains('not as on the plate', $rules($d));
        self::assertArrayNotHasKey('plate', $edits->apply($d, ['do' => 'remove', 'parts' => ['board']]));
        $this->expectExceptionMessage('There is no part called "moon".');
        $edits->apply($d, ['do' => 'set', 'path' => '/plate/part', 'value' => 'moon']);
    }

    public function test_where_the_supply_is_european_plate_and_instruments_are_metric(): void
    {
        $plan = \OddSpark\Tests\TestRig::plan('boiler-simple-230');
        self::assertStringContainsString('8.7 mbar at the manifold', (string) $plan->model->plate()?->words());

        $bench = new Bench($plan, FaultSet::of($plan->model)->get('healthy'), new Memory());
        $state = $bench->resume($bench->arrive('running')->state);
        foreach (
            [[0, 'door', ['to' => 'open']], [1, 'set', ['part' => 'stat', 'lever' => 'set', 'to' => 28]],
                [2, 'gauge', ['tap' => 'manifold']], [3, 'probe', ['tap' => 'supply-pipe']],
                [4, 'water_gauge', ['tap' => 'water-pressure']]] as [$at, $act, $with]
        ) {
            [$state] = $bench->do($state, Fixtures::act($at, $act, $with));
        }
        $shown = [];
        for ($t = 10; $t < 600; $t += 10) { // it comes and goes as its water asks
            $state = $bench->advance($state, 1000 * $t);
            foreach (['gauge', 'probe', 'water_gauge'] as $of) {
                [$state, $outcome] = $bench->do($state, Fixtures::act($t, 'read', ['of' => $of]));
                $shown[$of][] = [$outcome->reading?->value, $outcome->reading?->text()];
            }
        }
        self::assertEqualsWithDelta(3.5 * 2.490889, max($shown['gauge'])[0], 0.2);
        self::assertStringEndsWith(' mbar', $shown['gauge'][0][1]);
        self::assertStringEndsWith(' °C', $shown['probe'][0][1]);
        self::assertStringEndsWith(' bar', $shown['water_gauge'][0][1]);
    }
}
