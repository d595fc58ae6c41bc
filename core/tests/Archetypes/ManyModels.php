<?php

declare(strict_types=1);

namespace OddSpark\Tests\Archetypes;

use OddSpark\Faults\FaultSet;
use OddSpark\Tests\TestRig;

/** Models and their faults, met one after another. */
trait ManyModels
{
    /** @return array<string, mixed> what several faults change together */
    private function faults(string $model, string ...$ids): array
    {
        $faultSet = FaultSet::of(TestRig::plan($model)->model);

        return array_merge(...array_map(fn (string $id): array => $faultSet->get($id)->set, $ids));
    }
}
