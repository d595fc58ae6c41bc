<?php

declare(strict_types=1);

namespace OddSpark\Tests\Bench;

use OddSpark\Tests\AtTheBench;
use PHPUnit\Framework\TestCase;

/** Leads are a metre long: what stands further apart needs an extension, which takes its time. */
final class LeadsTest extends TestCase
{
    use AtTheBench;

    public function test_an_extension_is_laid_out_between_places_that_nobody_spans(): void
    {
        $this->arrive('furnace-80');
        $this->do('door', ['to' => 'open']);
        $minutes = function (string $red, string $black): float {
            $before = $this->state->labour;
            self::assertNull($this->do('leads', ['red' => $red, 'black' => $black])->refused);

            return $this->state->labour - $before;
        };
        $near = $minutes('limit.a', 'board.C');
        self::assertEqualsWithDelta($near, $minutes('burners.metal', 'screw.screw'), 1e-9);
        self::assertGreaterThan($near + 2, $minutes('thermostat.W', 'board.C'), 'forty feet of cable lie between them');
        self::assertGreaterThan($near + 2, $minutes('panel.L', 'burners.metal'));
        self::assertEqualsWithDelta($near, $minutes('panel.L', 'breaker.line'), 1e-9);
        self::assertEqualsWithDelta($near, $minutes('thermostat.R', 'thermostat.W'), 1e-9);
        self::assertGreaterThan(
            $near + 2,
            $minutes('w15.b', 'board.C'),
            'the end of the wire that is at the thermostat',
        );
        self::assertEqualsWithDelta($near, $minutes('w15.a', 'board.C'), 1e-9);
    }
}
