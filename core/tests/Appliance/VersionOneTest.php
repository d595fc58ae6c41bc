<?php

declare(strict_types=1);

namespace OddSpark\Tests\Appliance;

use OddSpark\Appliance\Library;
use OddSpark\Building\Document;
use OddSpark\Faults\FaultSet;
use OddSpark\Tests\TestRig;
use OddSpark\Wiring\Checks;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Models as the first version of the format has them: read, and run by the process that is written out in them. */
final class VersionOneTest extends TestCase
{
    #[DataProvider('models')]
    public function test_it_burns_and_warms_as_it_did(string $name, string $fire, string $warms): void
    {
        $model = (new Library())->model(__DIR__."/version-1/$name.json");
        self::assertSame(2, $model->document['odd_spark_model']);
        self::assertSame([], $model->pipes());
        $s = TestRig::ofModel($model);
        self::assertNotNull($s->until(fn (TestRig $s) => $s->isLit($fire), 300));
        $before = $s->value('room');
        self::assertGreaterThan($before + 1, $s->run(3600)->value('room'));
        self::assertGreaterThan(100, $s->value($warms));
        self::assertNotContains(
            'open port',
            array_column(array_map(fn ($f) => $f->toArray(), Checks::of($model)), 'rule'),
        );
        self::assertArrayNotHasKey('burners.flame', $s->plan->percepts, 'what has no pipes shows nothing of them');
    }

    #[DataProvider('models')]
    public function test_every_fault_can_be_set_in_it_and_it_is_read_back_as_written(string $name): void
    {
        $library = new Library();
        $model = $library->model(__DIR__."/version-1/$name.json");
        foreach (FaultSet::of($model)->faults as $fault) {
            self::assertGreaterThan(0, TestRig::ofModel($model, $fault->set)->run(5)->state->tick);
        }
        $text = (string) file_get_contents(__DIR__."/version-1/$name.json");
        $read = Document::read($text, $library);
        self::assertEquals($read, Document::read(Document::text($read), $library));
    }

    /** @return iterable<string, array{string, string, string}> */
    public static function models(): iterable
    {
        yield 'furnace' => ['furnace-80', 'fire', 'plenum'];
        yield 'boiler' => ['boiler-hydronic', 'fire', 'water'];
        yield 'oil furnace' => ['oil-furnace', 'fire', 'plenum'];
    }
}
