<?php

declare(strict_types=1);

namespace OddSpark\Tests\Building;

use OddSpark\Appliance\Compiler;
use OddSpark\Appliance\Library;
use OddSpark\Appliance\Model;
use OddSpark\Bench\Preview;
use OddSpark\Building\Document;
use OddSpark\Building\EditError;
use OddSpark\Building\Edits;
use OddSpark\Building\HealthyRun;
use OddSpark\Faults\Fault;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ProcessTransferTest extends TestCase
{
    /** @return iterable<string, array{string}> those that are not composed of others */
    public static function models(): iterable
    {
        $library = new Library();
        foreach ($library->names() as $name) {
            if (! isset($library->document($name)['includes'])) {
                yield $name => [$name];
            }
        }
    }

    /**
     * Its parts placed one by one under other names, wired by the builder's own colours, its physics taken over: it
     * runs as the first does.
     */
    #[DataProvider('models')]
    public function test_an_appliance_built_anew_from_nothing_runs_as_the_shipped_one(string $name): void
    {
        $library = new Library();
        $edits = new Edits($library);
        $source = $library->document($name);
        $d = Document::blank('anew', 'Anew', $source['supply']['region']);
        foreach ($source['parts'] as $i => $part) {
            $d = $edits->apply($d, [
                'do' => 'place',
                'kind' => $part['kind'],
                'at' => $part['at'],
                'label' => $part['label'],
                'id' => "p$i",
            ]);
            foreach ($part['params'] ?? [] as $primitive => $params) {
                foreach ($params as $key => $value) {
                    $d =
                        $key === 'overrides'
                            ? array_reduce(
                                array_keys($value),
                                fn (array $d, string $line) => $edits->apply($d, [
                                    'do' => 'sequence',
                                    'part' => "p$i",
                                    'primitive' => $primitive,
                                    'line' => $line,
                                    'value' => $value[$line],
                                ]),
                                $d,
                            )
                            : $edits->apply($d, [
                                'do' => 'param',
                                'part' => "p$i",
                                'primitive' => $primitive,
                                'key' => $key,
                                'value' => $value,
                            ]);
                }
            }
        }
        $ids = array_combine(array_column($source['parts'], 'id'), array_column($d['parts'], 'id'));
        $place = fn (string $at): string => $ids[Model::split($at)[0]].'.'.Model::split($at)[1];
        foreach ($source['wires'] as $wire) {
            $d = $edits->apply($d, ['do' => 'wire', 'from' => $place($wire['from']), 'to' => $place($wire['to'])]);
        }
        foreach ($source['joined'] ?? [] as $group) {
            $d = $edits->apply($d, ['do' => 'set', 'path' => '/joined/-', 'value' => array_map($place, $group)]);
        }
        $d = $edits->apply($d, ['do' => 'like', 'model' => $name]);
        self::assertSame([], array_map(fn ($e) => $e->getMessage(), $library->lacks($d)));
        $visit = (string) array_key_first($source['visits']);
        $spoken = fn (string $channel): string => isset($ids[Model::split($channel)[0]]) ? $place($channel) : $channel;
        $tape = function (Model $model, callable $names) use ($visit): array {
            $lanes = [];
            foreach (
                Preview::of(
                    Compiler::compile($model),
                    Fault::none(),
                    $visit,
                    600_000,
                )->perceived as $channel => $stretches
            ) {
                $lanes[$names($channel)] = array_map(fn (array $s) => [$s[0] / 1000, $s[2]], $stretches);
            }
            ksort($lanes);

            return $lanes;
        };
        // wires are of other lengths: to half a second
        self::assertEqualsWithDelta(
            $tape($library->model($name), $spoken),
            $tape($library->resolve($d), fn (string $c) => $c),
            0.5,
        );
    }

    public function test_a_zone_on_an_included_boiler_takes_its_heat_from_the_boilers_water(): void
    {
        $library = new Library();
        $edits = new Edits($library);
        $d = array_reduce(
            [
                ['do' => 'include', 'model' => 'boiler-hydronic', 'id' => 'boiler'],
                ['do' => 'place', 'kind' => 'transformer-120-24', 'at' => [400, 900], 'id' => 'tr'],
                ['do' => 'place', 'kind' => 'thermostat-mechanical', 'at' => [700, 900], 'id' => 'stat'],
                ['do' => 'place', 'kind' => 'zone-valve', 'at' => [900, 900], 'id' => 'zv'],
                ['do' => 'wire', 'from' => 'boiler.L', 'to' => 'tr.H1'],
                ['do' => 'wire', 'from' => 'boiler.N', 'to' => 'tr.H2'],
                ['do' => 'wire', 'from' => 'tr.X1', 'to' => 'stat.R'],
                ['do' => 'wire', 'from' => 'stat.W', 'to' => 'zv.M1'],
                ['do' => 'wire', 'from' => 'zv.M2', 'to' => 'tr.X2'],
                ['do' => 'wire', 'from' => 'zv.E1', 'to' => 'boiler.TT-1'],
                ['do' => 'wire', 'from' => 'zv.E2', 'to' => 'boiler.TT-2'],
                ['do' => 'place', 'kind' => 'radiators', 'at' => [1100, 900], 'id' => 'iron'],
                ['do' => 'place', 'kind' => 'heated-room', 'at' => [1100, 1000], 'id' => 'room'],
                ['do' => 'like', 'model' => 'zones-hydronic'],
            ],
            $edits->apply(...),
            Document::blank('zone', 'Zone', 'NA'),
        );
        self::assertSame([], $library->lacks($d));
        self::assertCount(5, $d['pipes'], 'from the boiler through the valve and the radiators, and back');
        $plan = Compiler::compile($library->resolve($d));
        self::assertContains('stat.snap', array_column(array_column($plan->model->household()->rooms, 'calls'), 'by'));
        $start = (new HealthyRun($plan, 'cold', 0))->value('room.air');
        $later = (new HealthyRun($plan, 'cold', 1_800_000))->value('room.air');
        self::assertGreaterThan($start, $later, 'it warms');
        $shut = Compiler::compile(
            $library->resolve($edits->apply($d, ['do' => 'remove', 'wires' => [$d['wires'][3]['id']]])),
        );
        self::assertLessThan(
            $later,
            (new HealthyRun($shut, 'cold', 1_800_000))->value('room.air'),
            'and not when its valve is not fed',
        );
    }

    public function test_what_is_here_already_stays_and_an_include_is_edited_as_a_whole(): void
    {
        $library = new Library();
        $edits = new Edits($library);
        $d = $library->document('furnace-standing-pilot');
        $pipes = $d['pipes'];
        self::assertSame($pipes, $edits->apply($d, ['do' => 'like', 'model' => 'furnace-standing-pilot'])['pipes']);
        $d = $edits->apply(Document::blank('own', 'Own', 'NA'), [
            'do' => 'include',
            'model' => 'boiler-hydronic',
            'id' => 'boiler',
        ]);
        self::assertSame(
            [140, 14],
            $edits->apply($d, ['do' => 'move', 'parts' => ['boiler.valve'], 'by' => [140, 14]])['includes'][0]['by'],
        );
        $this->expectException(EditError::class);
        $this->expectExceptionMessage('belongs to "boiler"');
        $edits->apply($d, ['do' => 'remove', 'parts' => ['boiler.valve']]);
    }
}
