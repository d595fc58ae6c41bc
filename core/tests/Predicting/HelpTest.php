<?php

declare(strict_types=1);

namespace OddSpark\Tests\Predicting;

use OddSpark\Appliance\Compiler;
use OddSpark\Appliance\Library;
use OddSpark\Faults\Fault;
use OddSpark\Meter\Mode;
use OddSpark\Predicting\AskedReading;
use OddSpark\Predicting\Judge;
use PHPUnit\Framework\TestCase;

/** Hints at a reading: each tells more, and none of the first two what is read. */
final class HelpTest extends TestCase
{
    public function test_what_lies_between_how_it_stands_and_whether_there_is_anything(): void
    {
        $plan = Compiler::compile((new Library())->model('furnace-80'));
        $judge = new Judge($plan, Fault::none(), 'cold');
        $of = fn (int $tick, string $red, string $black): array => $judge
            ->answer(new AskedReading($tick, Mode::VoltsAc, $red, $black))
            ->hints;

        self::assertSame([
            'where' => 'Between the leads is a switch: Limit.',
            'circuit' => 'Closed now: Limit.',
            'reading' => 'There is nothing to read.',
        ], $of(300_000, 'limit.a', 'limit.b'));
        self::assertSame([
            'where' => 'Between the leads is a load: Gas valve.',
            'circuit' => 'Every switch between it and the supply is closed.',
            'reading' => 'There is something to read.',
        ], $of(300_000, 'valve.MV', 'valve.MVC'));
        $off = $of(930_000, 'valve.MV', 'valve.MVC');
        self::assertStringStartsWith('Open between it and the supply: ', $off['circuit']);
        self::assertSame('There is nothing to read.', $off['reading']);
        self::assertStringStartsWith('No single part is between the leads', $of(300_000, 'inducer.L', 'limit.a')['where']);
    }
}
