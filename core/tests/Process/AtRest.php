<?php

declare(strict_types=1);

namespace OddSpark\Tests\Process;

use OddSpark\Parts\Surroundings;
use OddSpark\Tests\TestRig;

/** An appliance run until nothing changes any more. */
trait AtRest
{
    /** @param array<string, mixed> $set */
    private static function burning(array $set = [], float $seconds = 900, string $model = 'furnace-80'): TestRig
    {
        return TestRig::of($model, $set)->run($seconds);
    }

    private static function at(TestRig $s, string $id, string $key): float
    {
        return (float) (new Surroundings($s->state->tick, $s->state->slots))->follow($id, $key);
    }
}
