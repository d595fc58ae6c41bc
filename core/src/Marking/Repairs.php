<?php

declare(strict_types=1);

namespace OddSpark\Marking;

use OddSpark\Acts\Act;
use OddSpark\Appliance\Plan;
use OddSpark\Bench\Bench;
use OddSpark\Faults\Fault;

/** What became of the fault, act by act, as the appliance stood: read off the candidate that is the truth. */
final class Repairs
{
    /** @var array<int, bool> by entry: whether it was faulty before it; last, how it was left */
    private array $faulty = [];

    /** @var array<int, true> entries that replace a part which the fault had taken along */
    private array $spoiled = [];

    public function __construct(private readonly Plan $plan, private readonly Fault $fault) {}

    /** @param array<string, array{Bench, array<string, mixed>}> $candidates that stand before an entry */
    public function before(int $entry, Act $act, array $candidates): void
    {
        [$bench, $state] = $candidates[$this->fault->id] ?? [null, []];
        $this->faulty[$entry] = $bench?->isFaulty($state) ?? true;
        if ($bench !== null && in_array($act->name, ['mend', 'spare', 'fuse'], true) && $this->hasGoneAlong($state, $act->get('part'))) {
            $this->spoiled[$entry] = true;
        }
    }

    /** @param array<string, array{Bench, array<string, mixed>}> $candidates that stand after the last entry */
    public function end(array $candidates): void
    {
        [$bench, $state] = $candidates[$this->fault->id] ?? [null, []];
        $this->faulty[] = $bench?->isFaulty($state) ?? true;
    }

    public function helped(int $entry): bool
    {
        return $this->faulty[$entry] && ! $this->faulty[$entry + 1];
    }

    public function wasSpoiled(int $entry): bool
    {
        return isset($this->spoiled[$entry]);
    }

    public function isLeft(): bool
    {
        return end($this->faulty) !== false;
    }

    /**
     * Whether a fuse of a part has blown or its thermal link opened: something that the fault did to a sound part.
     *
     * @param array<string, mixed> $state
     */
    private function hasGoneAlong(array $state, string $part): bool
    {
        foreach ($this->plan->primitives as $id => $entry) {
            if (str_starts_with((string) $id, "$part.") && (
                $entry['type'] === 'fuse' && ! $state['slots'][$id]['whole']
                || $entry['type'] === 'protector' && ! $state['slots'][$id]['closed']
            )) {
                return true;
            }
        }

        return false;
    }
}
