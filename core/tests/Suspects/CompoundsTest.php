<?php

declare(strict_types=1);

namespace OddSpark\Tests\Suspects;

use OddSpark\Appliance\DocumentError;
use OddSpark\Appliance\Library;
use OddSpark\Appliance\Model;
use OddSpark\Faults\FaultSet;
use OddSpark\Tests\Fixtures;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Several faults at once that a model lists, and how faults are weighed against each other. */
final class CompoundsTest extends TestCase
{
    public function test_an_authored_compound_is_a_fault_of_its_own(): void
    {
        $compound = Fixtures::universe()->get('igniter:cracked+limit:bridged');
        self::assertSame('Igniter cracked, and a limit that was bridged on the last visit', $compound->title);
        self::assertSame(0.1, $compound->weight);
        self::assertSame('compound', $compound->family);
        self::assertSame(['igniter:cracked', 'limit:bridged'], array_column($compound->members, 'id'));
        self::assertSame([['limit.a', 'limit.b']], $compound->jumpers);
        self::assertSame('igniter:cracked', $compound->in('igniter')?->id);
        self::assertNull($compound->in('filter'));
    }

    public function test_it_goes_along_into_what_the_appliance_is_composed_into(): void
    {
        $faultSet = FaultSet::of((new Library())->model('furnace-80-limit-in-r'));
        self::assertArrayHasKey('furnace.igniter:cracked+furnace.limit:bridged', $faultSet->faults);
    }

    /** @return iterable<string, array{list<string>}> */
    public static function wrong(): iterable
    {
        yield 'no such fault' => [['igniter:cracked', 'igniter:gone']];
        yield 'the healthy one' => [['igniter:cracked', 'healthy']];
    }

    /** @param list<string> $faults */
    #[DataProvider('wrong')]
    public function test_one_of_faults_that_are_not_there_is_refused_with_its_place(array $faults): void
    {
        try {
            FaultSet::of(
                new Model(
                    ['compounds' => [['faults' => $faults, 'weight' => 1]]] + Fixtures::furnace()->model->document,
                ),
            );
            self::fail('Taken.');
        } catch (DocumentError $e) {
            self::assertSame('/compounds/0/faults', $e->pointer);
        }
    }

    public function test_wires_together_are_no_likelier_than_the_parts_unless_the_document_says_so(): void
    {
        $sums = function (array $weights): array {
            $document = (new Library())->model('zones-hydronic')->document;
            foreach ($document['universe']['wire_modes'] as $mode => $m) {
                $document['universe']['wire_modes'][$mode]['weight'] = 50; // far too likely
            }
            $sum = ['wires' => 0.0, 'parts' => 0.0];
            foreach (FaultSet::of(new Model(['weights' => $weights] + $document))->faults as $id => $fault) {
                $sum[$fault->family === 'wires' ? 'wires' : 'parts'] += $id === 'healthy' ? 0.0 : $fault->weight;
            }

            return $sum;
        };
        $bounded = $sums([]);
        self::assertEqualsWithDelta($bounded['parts'], $bounded['wires'], 1e-6);
        $said = $sums(['family wires' => 1.0]);
        self::assertGreaterThan(10 * $said['parts'], $said['wires']);
    }

    public function test_a_wire_can_touch_only_what_lies_beside_it(): void
    {
        $wires = [['panel.L', 'service.line', ['near' => 'service.load']]];
        $this->expectException(DocumentError::class);
        $this->expectExceptionMessage('does not lie beside');
        Fixtures::small(['panel' => 'supply', 'service' => 'service-switch'], $wires);
    }
}
