<?php

declare(strict_types=1);

namespace OddSpark\Tests\Building;

use OddSpark\Appliance\DocumentFile;
use OddSpark\Appliance\Library;
use OddSpark\Building\Build;
use OddSpark\Building\Difference;
use OddSpark\Building\Document;
use OddSpark\Building\Edits;
use OddSpark\Tests\Models;
use OddSpark\Tests\TestRig;
use OddSpark\Wiring\Checks;
use OddSpark\Wiring\Finding;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * Appliances built from an empty board, one part or one connection at a time, with nothing taken over: the acts are
 * those that the browser test does with the mouse.
 */
final class BuildsTest extends TestCase
{
    /** One act adds one part, makes one connection, or sets one figure. */
    private const MOST = 140;

    /** @return array<string, mixed> the document */
    private static function built(string $name): array
    {
        $build = DocumentFile::parse((string) file_get_contents(__DIR__."/builds/$name.json"));
        self::assertLessThanOrEqual(self::MOST, count($build['acts']));

        return array_reduce(
            $build['acts'],
            (new Edits(new Library()))->apply(...),
            Document::blank($name, $build['title'], $build['region']),
        );
    }

    public function test_a_two_zone_boiler_from_an_empty_board_heats_both_rooms(): void
    {
        $library = new Library();
        $d = self::built('two-zone-boiler');
        self::assertSame([], array_map(fn ($e) => $e->getMessage(), $library->lacks($d)));
        $model = $library->resolve($d);
        $wrong = array_filter(Checks::of($model), fn (Finding $f): bool => $f->grade === Finding::WRONG);
        self::assertSame([], array_map(fn (Finding $f): string => $f->text, $wrong));

        $s = TestRig::ofModel($model);
        $before = [$s->value('room1.air'), $s->value('room2.air')];
        self::assertNotNull($s->until(fn (TestRig $s) => $s->isLit(), 300));
        $s->run(7200);
        self::assertGreaterThan($before[0] + 1, $s->value('room1.air'));
        self::assertGreaterThan($before[1] + 1, $s->value('room2.air'));
        self::assertSame(
            ['in Room with radiators', 'in Room with radiators 2'],
            array_column($model->household()->rooms, 'name'),
        );
        self::assertNotSame([], $model->tape(), 'a tape follows from what is on the board');

        $cold = TestRig::ofModel($model, ['zv1.motor.open' => true])->run(7200);
        self::assertLessThan($before[0], $cold->value('room1.air'), 'and the one whose valve stays shut gets cold');
        self::assertGreaterThan($before[1], $cold->value('room2.air'));
    }

    public function test_a_condensing_furnace_with_trap_and_drain(): void
    {
        $library = new Library();
        $model = $library->resolve(self::built('condensing-furnace'));
        $s = TestRig::ofModel($model);
        self::assertNotNull($s->until(fn (TestRig $s) => $s->isLit(), 300));
        $s->run(600);
        // 1.2 to 1.6 times the switch's set point when running, from memory
        self::assertEqualsWithDelta(1.4, $s->value('hose-tee') / 1.4, 0.2);
        self::assertLessThan(180, $s->value('stack'), 'what leaves a condensing furnace can go into plastic pipe');
        self::assertTrue($s->isLit());

        foreach (['trap.clear.free', 'drain.bore.free'] as $blocked) {
            $s = TestRig::ofModel($model, [$blocked => 0.0]);
            self::assertNotNull($s->until(fn (TestRig $s) => $s->isLit(), 300), 'it begins');
            self::assertNotNull(
                $s->until(fn (TestRig $s) => ! $s->slot('pressure.diaphragm', 'made'), 3600),
                "$blocked: the collector box fills, and the pressure switch opens",
            );
            self::assertNotNull($s->until(fn (TestRig $s) => ! $s->isLit(), 30));
        }
    }

    /** @return iterable<string, array{string}> */
    public static function shipped(): iterable
    {
        $builds = array_flip((new Library())->builds());
        foreach (Models::some(4) as $name => $with) {
            if (isset($builds[$name])) {
                yield $name => $with;
            }
        }
    }

    /** What is kept of a model is what made it: done again, it comes to the same. */
    #[DataProvider('shipped')]
    public function test_a_shipped_model_is_what_its_edits_come_to(string $name): void
    {
        $library = new Library();
        self::assertSame(
            (string) file_get_contents(__DIR__."/../../models/$name.json"),
            Document::text(Build::of($name, $library->build($name))->document($library)),
            "write it anew: php core/bin/models.php $name",
        );
    }

    public function test_a_condensing_furnace_is_made_in_150_acts_and_two_zones_on_a_boiler_in_40(): void
    {
        $library = new Library();
        $acts = fn (string $name): int => Build::of($name, $library->build($name))->size();
        self::assertLessThanOrEqual(150, $acts('furnace-condensing'));
        self::assertLessThanOrEqual(40, $acts('zones-circulators'));
    }

    public function test_pipes_are_known_to_undo_difference_copies_and_removal(): void
    {
        $edits = new Edits(new Library());
        $d = self::built('two-zone-boiler');
        $without = $edits->apply($d, ['do' => 'remove', 'parts' => ['loop2']]);
        self::assertCount(count($d['pipes']) - 3, $without['pipes'], 'pipes go with their part');
        self::assertContains('Pipe from Zone valve 2 out to Radiators 2 in removed.', Difference::words($d, $without));
        $copied = $edits->apply($d, ['do' => 'copy', 'parts' => ['zv2', 'loop2'], 'by' => [0, 200]]);
        self::assertCount(count($d['pipes']) + 1, $copied['pipes'], 'the pipe between two that are copied is copied');
        $read = Document::read(Document::text($d), new Library());
        self::assertSame($d['pipes'], $read['pipes'], 'out and in again');
    }

    public function test_a_board_of_a_switch_a_relay_and_a_lamp_serves_nobody_and_runs(): void
    {
        $d = array_reduce(
            [
                ['do' => 'place', 'kind' => 'supply', 'at' => [40, 40], 'id' => 'panel'],
                ['do' => 'place', 'kind' => 'transformer-120-24', 'at' => [240, 40], 'id' => 'transformer'],
                ['do' => 'place', 'kind' => 'service-switch', 'at' => [440, 40], 'id' => 'switch'],
                ['do' => 'place', 'kind' => 'relay-24', 'at' => [640, 40], 'id' => 'relay'],
                ['do' => 'wire', 'from' => 'panel.L', 'to' => 'transformer.H1'],
                ['do' => 'wire', 'from' => 'panel.N', 'to' => 'transformer.H2'],
                ['do' => 'wire', 'from' => 'transformer.X1', 'to' => 'switch.line'],
                ['do' => 'wire', 'from' => 'switch.load', 'to' => 'relay.A'],
                ['do' => 'wire', 'from' => 'relay.B', 'to' => 'transformer.X2'],
            ],
            (new Edits(new Library()))->apply(...),
            Document::blank('relay-board', 'Relay board', 'NA'),
        );
        self::assertSame([], (new Library())->lacks($d));
        $model = (new Library())->resolve($d);
        self::assertSame([], $model->household()->rooms);
        self::assertTrue(TestRig::ofModel($model)->run(1)->slot('relay.coil', 'on'));
    }

    public function test_what_cannot_be_joined_is_refused_with_where(): void
    {
        $edits = new Edits(new Library());
        $d = self::built('two-zone-boiler');
        foreach ([
            [['from' => 'meter.out', 'to' => 'block.return'], 'takes a gas pipe'],
            [['from' => 'meter.out', 'to' => 'meter.out'], 'from one port to another'],
            [['from' => 'cock.in', 'to' => 'meter.out'], 'joined already'],
            [['from' => 'meter.in', 'to' => 'cock.in'], 'has no port "in"'],
            [['from' => 'panel.L', 'to' => 'cock.in'], 'has no ports'],
            [['from' => 'nowhere.in', 'to' => 'cock.in'], 'no part called "nowhere"'],
        ] as [$ends, $why]) {
            try {
                $edits->apply($d, ['do' => 'pipe'] + $ends);
                self::fail("taken: $why");
            } catch (\DomainException $e) {
                self::assertStringContainsString($why, $e->getMessage());
            }
        }
    }
}
