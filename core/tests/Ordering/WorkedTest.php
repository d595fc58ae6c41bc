<?php

declare(strict_types=1);

namespace OddSpark\Tests\Ordering;

use OddSpark\Appliance\Compiler;
use OddSpark\Appliance\Library;
use OddSpark\Faults\FaultSet;
use OddSpark\Ordering\Asking;
use OddSpark\Ordering\Course;
use OddSpark\Ordering\Item;
use OddSpark\Ordering\Lanes;
use OddSpark\Ordering\Step;
use OddSpark\Ordering\Stops;
use PHPUnit\Framework\TestCase;

/** Answers about sequences judged by hand before there was a judge: common practice, no source. */
final class WorkedTest extends TestCase
{
    /** @var array<string, Course> by model */
    private array $courses = [];

    public function test_what_was_judged_by_hand_is_judged_the_same(): void
    {
        $apart = [];
        foreach (json_decode((string) file_get_contents(__DIR__.'/worked.json'), true) as $i => $e) {
            $right = ($e['computed'] ?? $e)['right']; // where the hand was wrong, it says why
            if ($this->isRight($e) !== $right) {
                $apart[] = "$i {$e['model']} {$e['ask']} ".json_encode($e['said'] ?? $e['last'] ?? $e['off']);
            }
        }
        self::assertSame([], $apart);
    }

    /** @param array<string, mixed> $e */
    private function isRight(array $e): bool
    {
        $plan = Compiler::compile((new Library())->model($e['model']));
        $visit = $plan->model->visits()[0];
        $course = $this->courses[$e['model']] ??= new Course($plan, $visit);
        $asking = new Asking($course, $visit, 1);
        if ($e['ask'] === 'if') {
            foreach ($asking->openings() as $opening) {
                if (str_starts_with($opening->what, $e['what'].'.')) {
                    return $this->meets($e['off'], $opening->off) && $this->meets($e['on'], $opening->on);
                }
            }

            return false;
        }
        $fault = FaultSet::of($plan->model)->get($e['fault'] ?? 'healthy');
        if ($e['ask'] === 'why') { // what is offered is drawn by a seed, what can be is not
            return (new Stops($course))->canBe($e['said'], $fault);
        }
        $item = match ($e['ask']) {
            'order' => $asking->order(),
            'proof' => $asking->proof($this->step($course, $e['step'])),
            'next' => $asking->next($this->step($course, $e['step'])),
            'chart' => $asking->chart($this->lane($course, $e['lane'])),
            default => $asking->stopped($fault),
        };
        $keys = match ($e['ask']) {
            'order' => array_map(fn (string $s): int => $this->step($course, $s), $e['said']),
            'next' => [$this->step($course, $e['said'])],
            'stopped' => [$this->step($course, $e['last'])],
            'chart' => [$this->lane($course, $e['said'])],
            default => [$e['said']],
        };

        return $item !== null && $item->judge($this->ids($item, $keys))->isRight();
    }

    /**
     * @param array<int|string> $keys
     * @return list<string>
     */
    private function ids(Item $item, array $keys): array
    {
        $ids = array_column($item->choices, 'id', 'key');

        return array_map(fn (int|string $key): string => $ids[(string) $key] ?? 'not offered', $keys);
    }

    /** "+igniter" is the first step in which something of the igniter comes on, "-igniter" in which it goes off. */
    private function step(Course $course, string $name): int
    {
        foreach ($course->steps as $k => $step) {
            if ($this->meets([substr($name, 1)], $name[0] === '+' ? $step->on : $step->off)) {
                return $k;
            }
        }
        self::fail("no step $name: ".implode('; ', array_map(fn (Step $s): string => $s->title, $course->steps)));
    }

    private function lane(Course $course, string $part): string
    {
        foreach (Lanes::of($course, $course->sound) as $lane) {
            if ($this->meets([$part], [$lane['id']])) {
                return $lane['id'];
            }
        }
        self::fail("no lane $part");
    }

    /**
     * @param list<string> $parts
     * @param list<string> $ids
     */
    private function meets(array $parts, array $ids): bool
    {
        foreach ($parts as $part) {
            $of = array_filter($ids, fn (string $id): bool => $id === $part || str_starts_with($id, "$part."));
            if ($of === []) {
                return false;
            }
        }

        return true;
    }
}
