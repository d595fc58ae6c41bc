<?php

declare(strict_types=1);

namespace OddSpark\Tests\Sequence;

use OddSpark\Appliance\Kind;
use OddSpark\Faults\FaultSet;
use OddSpark\Parts\Ability\Decides;
use OddSpark\Run\Machine;
use OddSpark\Run\MachineState;
use OddSpark\Run\Memory;
use OddSpark\Tests\Models;
use OddSpark\Tests\TestRig;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What a lamp says is said long enough to be read: no code for a blink, whatever happens on the way. */
final class LampTest extends TestCase
{
    /** Within which a code cannot have been counted, ms; common practice, no source. */
    private const BLINK = 2400;

    /** @return iterable<string, array{string}> */
    public static function models(): iterable
    {
        foreach (Models::some(2) as [$name]) {
            foreach (TestRig::plan($name)->those(Decides::class) as $control) {
                $kinds = TestRig::plan($name)->model->kinds();
                $hasSupply = array_filter($kinds, fn (Kind $k): bool => $k->isSupply()) !== [];
                $flashes = str_contains((string) json_encode(TestRig::plan($name)->primitives[$control]), 'flash');
                if ($flashes && $hasSupply) { // what lives on a thermopile has no power to be cycled
                    yield "$name, $control" => [$name, $control];
                }
            }
        }
    }

    #[DataProvider('models')]
    public function test_no_code_is_shown_for_a_blink(string $name, string $control): void
    {
        $plan = TestRig::plan($name);
        $memory = new Memory();
        $codes = [];
        foreach (FaultSet::of($plan->model)->faults as $id => $fault) {
            $machine = new Machine($plan, $fault->set, $memory);
            $state = $machine->settle($machine->initial());
            $shown = [['', 0]];
            $see = function (MachineState $s) use ($machine, $control, &$shown): bool {
                $now = $machine->shows($s, $control);
                if ($now !== end($shown)[0]) {
                    $shown[] = [$now, $s->tick];
                }

                return false;
            };
            foreach ([260, 8, 150, 30] as $i => $seconds) { // a start, a power cycle within it, another start
                $state = $machine->advance($state, $state->tick + 1000 * $seconds, $see);
                $state = $machine->settle($state->withSlots($this->power($name, $i % 2 === 0 ? 'off' : 'on')));
                $see($state);
            }
            foreach ($shown as $i => [$lamp, $from]) {
                [$then, $to] = $shown[$i + 1] ?? [null, PHP_INT_MAX];
                if (str_contains($lamp, 'flash')) {
                    $codes[$lamp] = true;
                    self::assertTrue(
                        $to - $from >= self::BLINK || $then === 'off',
                        "$name, $id: \"$lamp\" for ".($to - $from).' ms before "'.$then.'"',
                    );
                }
            }
        }
        self::assertNotSame([], $codes, 'none was shown at all');
    }

    /** @return array<string, array{at: string}> */
    private function power(string $name, string $to): array
    {
        foreach (TestRig::plan($name)->model->parts() as $part) {
            foreach ($part->kind->isSupply() ? $part->kind->settings : [] as $lever => $setting) {
                if ($setting->takes($to)) {
                    return ["$part->id.$lever" => ['at' => $to]];
                }
            }
        }
        self::fail('It has no switch.');
    }
}
