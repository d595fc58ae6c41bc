<?php

declare(strict_types=1);

namespace OddSpark\Ordering;

use OddSpark\Appliance\Part;
use OddSpark\Faults\Fault;
use OddSpark\Faults\FaultSet;
use OddSpark\Parts\Ability\Decides;
use OddSpark\Parts\Ability\Proves;

/** Where each fault of an appliance stops its sequence, and what that tells of its parts. */
final class Stops
{
    private readonly FaultSet $universe;

    /** @var array<int, list<string>>|null ids of parts that prove, by step */
    private ?array $proofs = null;

    public function __construct(private readonly Course $course)
    {
        $this->universe = FaultSet::of($course->plan->model);
    }

    /** The last step that came as it should; −1: none; null: all did. */
    public function after(Fault $fault): ?int
    {
        return $this->course->stopsAfter($this->course->of($fault));
    }

    /** Whether a fault of a part stops the sequence on its way, so that its run can be shown. */
    public function isStopping(Fault $fault): bool
    {
        $last = $this->part($fault->part) === null ? null : $this->after($fault);

        return $last !== null && ! $this->course->isOver($last + 1);
    }

    /** The nth fault that stops the sequence once it has begun, each after another step. */
    public function stopping(int $n, Choices $by): ?Fault
    {
        $after = [];
        foreach ($by->some($this->universe->faults) as $fault) {
            $last = $this->isStopping($fault) ? $this->after($fault) : null;
            if ($last !== null && $last >= 0 && ! isset($after[$last])) {
                if (count($after) === $n) {
                    return $fault;
                }
                $after[$last] = true;
            }
        }

        return null;
    }

    /** @return array<int, list<string>> parts whose contacts, rods and eyes stop the sequence right after a step */
    public function proofs(): array
    {
        if ($this->proofs !== null) {
            return $this->proofs;
        }
        $this->proofs = [];
        foreach ($this->universe->faults as $fault) {
            $part = $this->part($fault->part);
            if ($part === null || ! self::canProve($part) || ! self::isOfProof($part, $fault)) {
                continue;
            }
            $last = $this->after($fault);
            if ($last !== null && ! in_array($part->id, $this->proofs[$last] ?? [], true)) {
                $this->proofs[$last][] = $part->id;
            }
        }

        return $this->proofs;
    }

    /** @return array<string, string> labels of parts that could prove something, by id */
    public function proving(): array
    {
        $proving = [];
        foreach ($this->course->plan->model->parts() as $part) {
            if (self::canProve($part)) {
                $proving[$part->id] = $part->label;
            }
        }

        return $proving;
    }

    /** @return array<string, string> labels of parts that can fail, by id */
    public function failing(): array
    {
        $failing = [];
        foreach ($this->universe->faults as $fault) {
            $part = $this->part($fault->part);
            if ($part !== null) {
                $failing[$part->id] = $part->label;
            }
        }

        return $failing;
    }

    /** Whether a part can fail so that the record is the same as with a fault. */
    public function canBe(string $part, Fault $fault): bool
    {
        foreach ($this->universe->faults as $other) {
            if ($other->part === $part && $this->areAlike($fault, $other)) {
                return true;
            }
        }

        return false;
    }

    private function areAlike(Fault $one, Fault $other): bool
    {
        return $this->after($one) === $this->after($other) &&
            $this->course->areAlike($this->course->of($one), $this->course->of($other));
    }

    /** Whether a fault is one of what tells that something has come about, and of nothing else. */
    private static function isOfProof(Part $part, Fault $fault): bool
    {
        $proving = array_map(
            fn (string $name): string => "$part->id.$name.",
            array_keys($part->kind->those(Proves::class)),
        );
        foreach (array_keys($fault->set) as $path) {
            if (array_filter($proving, fn (string $id): bool => str_starts_with($path, $id)) === []) {
                return false;
            }
        }

        return $fault->set !== [];
    }

    private static function canProve(Part $part): bool
    {
        return $part->kind->those(Proves::class) !== [] && $part->kind->those(Decides::class) === [];
    }

    private function part(string $id): ?Part
    {
        return $this->course->plan->model->part($id);
    }
}
