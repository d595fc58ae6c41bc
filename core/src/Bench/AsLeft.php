<?php

declare(strict_types=1);

namespace OddSpark\Bench;

use OddSpark\Acts\Repairs\StandIns;
use OddSpark\Appliance\Model;
use OddSpark\Appliance\Plan;
use OddSpark\Faults\Fault;
use OddSpark\Parts\Primitive;
use OddSpark\Run\BenchState;

/**
 * How an appliance is left after work on it: whether its fault is still in it or something wrong was put in, and what
 * hands have spoilt.
 *
 * A spare that stands in for the part, as the trade has it, is neither: whether it does the work shows in the run.
 *
 * @phpstan-import-type Changes from Primitive
 */
final readonly class AsLeft
{
    public function __construct(private Plan $plan, private Fault $fault) {}

    public function isFaulty(BenchState $state): bool
    {
        foreach ($this->fault->left($state->mended) as $path => $value) {
            $isOut = StandIns::has($this->plan->model, $state, Model::split(Model::split($path)[0])[0]);
            if (! $isOut && ! isset($state->fitted[$path]) && $this->isOtherwise($state, $path, $value)) {
                return true;
            }
        }
        foreach ($state->fitted as $path => $value) {
            $spares = $this->sparesWith($path, $value);
            $isWrong = str_ends_with($path, '.amps') || $spares !== [] && ! in_array(true, $spares, true);
            if ($isWrong && $this->isOtherwise($state, $path, $value)) {
                return true;
            }
        }
        foreach ($this->fault->jumpers as $jumper) {
            if (in_array($jumper, [...$state->jumpers, ...$state->earlier], true)) {
                return true;
            }
        }

        return false;
    }

    /** @return list<string> parts that the work has spoilt, and that were not replaced */
    public function spoilt(BenchState $state): array
    {
        $parts = [];
        foreach ($state->fitted as $path => $value) {
            $isHarm = $this->sparesWith($path, $value) === [] && ! str_ends_with($path, '.amps');
            if ($isHarm && $this->isOtherwise($state, $path, $value)) {
                $parts[Model::split(Model::split($path)[0])[0]] = true;
            }
        }

        return array_map('strval', array_keys($parts));
    }

    private function isOtherwise(BenchState $state, string $path, mixed $value): bool
    {
        $now = str_ends_with($path, '.at') ? $state->at(substr($path, 0, -3)) : $value;
        $given = $this->plan->given($path);

        // nothing given is not nought
        return is_numeric($now) && is_numeric($given) ? $now != $given : $now !== $given;
    }

    /** @return list<bool> for each spare that has such a figure, whether it stands in for the part */
    private function sparesWith(string $path, mixed $value): array
    {
        [$id, $figure] = Model::split($path);
        [$part, $name] = Model::split($id);
        $kind = $this->plan->model->kindOf($part);
        $stand = [];
        foreach ($kind->spares ?? [] as $spare => $set) {
            if (($set["$name.$figure"] ?? null) === $value) {
                $stand[] = in_array($spare, $kind->standsIn, true);
            }
        }

        return $stand;
    }
}
