<?php

declare(strict_types=1);

namespace OddSpark\Acts\Repairs;

use OddSpark\Acts\Act;
use OddSpark\Acts\Situation;
use OddSpark\Appliance\Model;
use OddSpark\Parts\Primitive;
use OddSpark\Run\BenchState;

/**
 * A part is replaced, cleaned, cleared or set right; the fault is gone if that was what it needed.
 *
 * @phpstan-import-type Slot from Primitive
 */
abstract readonly class Repair extends Act
{
    protected function mended(Situation $now, string $how): BenchState
    {
        $part = $this->part();
        $state = $now->state->with(resets: []);
        $fault = $now->fault->in($part) ?? ($now->fault->members === [] ? $now->fault : null);
        if ($fault?->yieldsTo($how)) {
            $earlier = array_filter(
                $state->earlier,
                fn (array $j): bool => ! in_array($j, $fault->jumpers, true) || $fault->part !== $part,
            );
            $levers = [];
            foreach (array_keys($fault->set) as $path) {
                if (str_starts_with($path, "$part.") && str_ends_with($path, '.at')) {
                    $levers[substr($path, 0, -3)] = ['at' => $now->plan->given($path)];
                }
            }
            // two wires that were swapped are set right together
            $with =
                $fault->part === $part
                    ? array_map(fn (array $j): string => Model::split($j[0])[0], $fault->jumpers)
                    : [];
            $mended = array_values(array_unique([...$state->mended, $part, ...$with]));
            $state = $state->with(earlier: array_values($earlier), mended: $mended)->withSlots($levers);
        }
        if ($how !== 'replace') {
            return $state;
        }
        $state = $now->reach->putBack($state, $part); // the new one is in its place
        $state = $state->with(heads: array_diff_key($state->heads, [$part => 1]));
        $fitted = array_filter(
            $state->fitted,
            fn (string $path): bool => ! str_starts_with($path, "$part."),
            ARRAY_FILTER_USE_KEY,
        );

        return $state->with(fitted: $fitted, slots: array_replace($state->slots, $this->asNew($now, $part)));
    }

    /**
     * Slots as they are in a part that was never run; what is set on it is set as it was.
     *
     * @return array<string, Slot>
     */
    private function asNew(Situation $now, string $part): array
    {
        return array_filter(
            $now->machine->initial()->slots,
            fn (array $slot, string $id): bool => str_starts_with($id, "$part.") && array_keys($slot) !== ['at'],
            ARRAY_FILTER_USE_BOTH,
        );
    }
}
