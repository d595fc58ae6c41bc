<?php

declare(strict_types=1);

namespace OddSpark\Tests\Bench;

use OddSpark\Appliance\Library;
use OddSpark\Tests\AtTheBench;
use OddSpark\Tests\TestRig;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Whatever part somebody turns to, with his eyes, ears or hands, he gets an answer. */
final class EverywhereTest extends TestCase
{
    use AtTheBench;

    private const TRIED = ['look', 'listen', 'feel', 'tap', 'turn'];

    /** @return iterable<string, array{string}> */
    public static function models(): iterable
    {
        foreach ((new Library())->names() as $name) {
            yield $name => [$name];
        }
    }

    #[DataProvider('models')]
    public function test_every_part_can_be_looked_at_listened_to_felt_tapped_and_turned(string $name): void
    {
        $model = TestRig::plan($name)->model;
        $this->arrive($name, visit: $model->visits()[0]);
        $this->do('door', ['to' => 'open']);
        foreach ($model->parts() as $part) {
            foreach (self::TRIED as $act) {
                $outcome = $this->do($act, ['part' => $part->id]);
                self::assertNull($outcome->reading, "$act {$part->id}");
                if (in_array($act, ['look', 'feel'], true)) {
                    self::assertTrue($outcome->seen !== [] || $outcome->refused !== null, "$act {$part->id}");
                }
            }
        }
    }

    /** A level and a flow are felt by what sits there, and are no warmth. */
    public function test_warmth_is_felt_only_where_something_is_warm(): void
    {
        $this->arrive('boiler-hydronic');
        $this->do('door', ['to' => 'open']);
        self::assertArrayNotHasKey('warmth', $this->do('feel', ['part' => 'cut-off'])->seen);
        self::assertArrayHasKey('warmth', $this->do('feel', ['part' => 'high'])->seen);
        $this->arrive('combi-230');
        self::assertArrayNotHasKey(
            'warmth',
            $this->do('feel', ['part' => 'plate-hx'])->seen + $this->do('feel', ['part' => 'tap'])->seen,
        );
    }
}
