<?php

declare(strict_types=1);

namespace OddSpark\Tests\Appliance;

use OddSpark\Appliance\Compiler;
use OddSpark\Appliance\DocumentFile;
use OddSpark\Appliance\Library;
use OddSpark\Appliance\Model;
use OddSpark\Bench\Bench;
use OddSpark\Faults\FaultSet;
use OddSpark\Run\Memory;
use OddSpark\Tests\Fixtures;
use PHPUnit\Framework\TestCase;

/** Ids are hierarchical: an appliance within another keeps working under longer names. */
final class HierarchyTest extends TestCase
{
    public function test_the_furnace_under_longer_names_is_the_same_furnace(): void
    {
        $text = (string) file_get_contents(__DIR__.'/../../models/furnace-80.json');
        foreach (['limit', 'valve', 'w21'] as $id) {
            $text = (string) preg_replace('/"'.$id.'([.:][\w-]+)?"/', '"attic.'.$id.'$1"', $text);
        }
        $model = (new Library())->resolve(DocumentFile::parse($text));
        self::assertSame('Limit b', $model->placeName('attic.limit.b'));
        self::assertSame(['attic.limit', 'b'], Model::split('attic.limit.b'));
        $faultSet = FaultSet::of($model);
        $plan = Compiler::compile($model);
        $bench = new Bench($plan, $faultSet->get('attic.limit:stuck-open'), new Memory());
        $state = $bench->arrive('cold')->state;
        $state = $bench->resume($state);
        foreach (
            [
                [1, 'door', ['to' => 'open']],
                [2, 'hold', ['to' => 'held']],
                [20, 'leads', ['red' => 'attic.limit.a', 'black' => 'attic.limit.b']],
            ] as [$s, $act, $with]
        ) {
            [$state, $outcome] = $bench->do($state, Fixtures::act($s, $act, $with));
        }
        self::assertGreaterThan(20, $outcome->measured?->exact);
        [$state] = $bench->do($state, Fixtures::act(21, 'lift', ['end' => 'attic.w21.a']));
        self::assertFalse($state->slots['attic.w21.body']['a']);
        [$state] = $bench->do($state, Fixtures::act(22, 'land', ['end' => 'attic.w21.a']));
        [$state] = $bench->do($state, Fixtures::act(23, 'mend', ['part' => 'attic.limit', 'how' => 'replace']));
        [, $outcome] = $bench->do($state, Fixtures::act(90, 'read'));
        self::assertLessThan(0.1, $outcome->measured?->exact);
    }
}
