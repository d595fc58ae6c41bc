<?php

declare(strict_types=1);

namespace OddSpark\Tests\Bench;

use OddSpark\Appliance\Compiler;
use OddSpark\Appliance\Library;
use OddSpark\Appliance\Model;
use OddSpark\Bench\Bench;
use OddSpark\Bench\Kit;
use OddSpark\Building\EditError;
use OddSpark\Building\Edits;
use OddSpark\Faults\FaultSet;
use OddSpark\Run\BenchState;
use OddSpark\Run\Memory;
use OddSpark\Tests\AtTheBench;
use PHPUnit\Framework\TestCase;

/** What was not there is fitted: a part from the van, a wire beside the old one. */
final class FittedTest extends TestCase
{
    use AtTheBench;

    /** The furnace, and in the van a flame rod of another make whose bracket fits, and a rollout switch. */
    private static function model(): Model
    {
        $library = new Library();
        $document = $library->document('furnace-80');
        $document['parts'][] = [
            'id' => 'rod-2',
            'kind' => 'flame-rod',
            'label' => 'Universal rod',
            'at' => [900, 60],
            'van' => true,
        ];
        $document['parts'][] = [
            'id' => 'limit-2', 'kind' => 'limit-switch', 'label' => 'Universal limit', 'at' => [1060, 60], 'van' => true,
        ];
        $document['pipes'][] = ['id' => 'p-rod-2', 'from' => 'burners.last', 'to' => 'rod-2.tip'];
        $document['pipes'][] = ['id' => 'p-limit-2', 'from' => 'exchanger.plenum', 'to' => 'limit-2.seat'];

        return $library->resolve($document);
    }

    private function arriveWith(string $fault): void
    {
        $model = self::model();
        $this->bench = new Bench(
            Compiler::compile($model),
            FaultSet::of($model)->get($fault),
            new Memory(),
            null,
            new Kit(),
        );
        $this->state = $this->bench->resume($this->bench->arrive('cold')->state);
        $this->clock = 0.0;
        $this->do('door', ['to' => 'open']);
    }

    private function runsThrough(): bool
    {
        $this->do('set', ['part' => 'service', 'lever' => 'lever', 'to' => 'off']);
        $this->do('set', ['part' => 'service', 'lever' => 'lever', 'to' => 'on']);
        $this->do('hold', ['to' => 'held']);
        $this->wait(150);

        return $this->state->slots['burners.fire']['lit'] === true;
    }

    public function test_what_is_in_the_van_is_not_on_the_appliance(): void
    {
        $model = self::model();
        self::assertSame(
            array_keys(FaultSet::of((new Library())->model('furnace-80'))->faults),
            array_keys(FaultSet::of($model)->faults),
            'it is new, and has no fault',
        );
        $this->arriveWith('healthy');
        self::assertSame('That is in the van: fit it first.', $this->do('look', ['part' => 'rod-2'])->refused);
        self::assertNotNull($this->do('leads', ['red' => 'rod-2.rod', 'black' => 'board.C'])->refused);
        self::assertSame('That part does not come from the van.', $this->do('install', ['part' => 'rod'])->refused);
        self::assertNull($this->do('install', ['part' => 'rod-2'])->refused);
        self::assertSame('It is fitted already.', $this->do('install', ['part' => 'rod-2'])->refused);
        self::assertNull($this->do('look', ['part' => 'rod-2'])->refused);
        self::assertSame([], $this->bench->spoilt($this->state));
        self::assertTrue($this->runsThrough(), 'without a wire on it, it changes nothing');
    }

    public function test_a_part_of_another_make_stands_in_for_the_bad_one_once_it_is_wired(): void
    {
        $this->arriveWith('rod:broken');
        self::assertFalse($this->runsThrough());
        $this->do('set', ['part' => 'service', 'lever' => 'lever', 'to' => 'off']);
        $this->do('install', ['part' => 'rod-2']);
        $this->do('run_wire', ['from' => 'board.FS', 'to' => 'rod-2.rod']);
        self::assertTrue($this->bench->isFaulty($this->state), 'the broken one is in its place still');
        $this->do('take', ['part' => 'rod', 'to' => 'off']);
        self::assertFalse($this->bench->isFaulty($this->state));
        self::assertTrue($this->runsThrough());
        $this->do('hold', ['to' => 'released']);
        $this->do('door', ['to' => 'shut']);
        $left = $this->do('hand_back')->dangers;
        self::assertSame([], array_intersect(['part-off', 'wire-lifted', 'jumper-left'], $left));
    }

    public function test_a_new_wire_stands_in_for_the_broken_one_once_that_is_off(): void
    {
        $this->arriveWith('w27:open');
        $this->do('run_wire', ['from' => 'board.MV', 'to' => 'valve.MV']);
        self::assertTrue($this->runsThrough());
        self::assertTrue($this->bench->isFaulty($this->state));
        $this->do('lift', ['end' => 'w27.a']);
        $this->do('lift', ['end' => 'w27.b']);
        self::assertFalse($this->bench->isFaulty($this->state));
        self::assertEquals($this->state->wired, BenchState::fromArray($this->state->toArray())->wired);
        $this->do('unjump', ['from' => 'valve.MV', 'to' => 'board.MV']);
        self::assertSame([], $this->state->wired);
        self::assertTrue($this->bench->isFaulty($this->state), 'and is missing when it is taken out again');
    }

    public function test_a_wire_round_a_safety_is_what_a_jumper_is(): void
    {
        $this->arriveWith('healthy');
        self::assertContains(
            'safety-jumpered',
            $this->do('run_wire', ['from' => 'limit.a', 'to' => 'limit.b'])->dangers,
        );
        $this->do('unjump', ['from' => 'limit.a', 'to' => 'limit.b']);
        $round = ['from' => 'board.LIM-OUT', 'to' => 'board.LIM-IN'];
        self::assertContains('safety-jumpered', $this->do('run_wire', $round)->dangers);
    }

    /** @return list<string> dangers of wiring another limit in, with the old one in its place or off */
    private function anotherLimit(bool $isOff): array
    {
        $this->arriveWith('healthy');
        $this->do('set', ['part' => 'service', 'lever' => 'lever', 'to' => 'off']);
        $this->do('install', ['part' => 'limit-2']);
        if ($isOff) {
            $this->do('take', ['part' => 'limit', 'to' => 'off']);
        }
        $in = $this->do('run_wire', ['from' => 'board.LIM-OUT', 'to' => 'limit-2.a']);
        $out = $this->do('run_wire', ['from' => 'limit-2.b', 'to' => 'board.LIM-IN']);

        return [...$in->dangers, ...$out->dangers];
    }

    public function test_a_wire_by_way_of_another_safety_is_a_danger_only_beside_the_old_one(): void
    {
        self::assertContains('safety-jumpered', $this->anotherLimit(false), 'either keeps the burner going');
        self::assertSame([], $this->anotherLimit(true));
        $this->do('set', ['part' => 'service', 'lever' => 'lever', 'to' => 'on']);
        self::assertTrue($this->runsThrough());
    }

    public function test_a_safety_in_the_hand_is_bridged_all_the_same(): void
    {
        $this->arriveWith('healthy');
        $this->do('take', ['part' => 'limit', 'to' => 'off']);
        $round = ['from' => 'board.LIM-OUT', 'to' => 'board.LIM-IN'];
        self::assertContains('safety-jumpered', $this->do('run_wire', $round)->dangers);
        $this->do('unjump', $round);
        self::assertContains('safety-jumpered', $this->do('jump', $round)->dangers);
    }

    public function test_the_drawing_has_no_wire_and_no_pipe_to_the_van(): void
    {
        $edits = new Edits($library = new Library());
        $document = $library->document('furnace-80');
        $edit = ['do' => 'stock', 'part' => 'capacitor', 'in' => 'van'];
        try {
            $edits->apply($document, $edit);
            self::fail('it has wires on it');
        } catch (EditError $e) {
            self::assertStringContainsString('is in the van: no wire of the drawing goes to it.', $e->getMessage());
        }
        $document = $edits->apply(
            $document,
            ['do' => 'place', 'kind' => 'capacitor', 'label' => 'Spare', 'at' => [1060, 60]],
        );
        $document = $edits->apply($document, ['do' => 'stock', 'part' => 'spare', 'in' => 'van']);
        self::assertTrue(array_column($document['parts'], null, 'id')['spare']['van']);
        $document = $edits->apply($document, ['do' => 'stock', 'part' => 'spare', 'in' => 'appliance']);
        self::assertArrayNotHasKey('van', array_column($document['parts'], null, 'id')['spare']);
    }
}
