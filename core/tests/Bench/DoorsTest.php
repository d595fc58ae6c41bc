<?php

declare(strict_types=1);

namespace OddSpark\Tests\Bench;

use OddSpark\Appliance\Compiler;
use OddSpark\Appliance\DocumentError;
use OddSpark\Appliance\Door;
use OddSpark\Appliance\Doors;
use OddSpark\Appliance\Library;
use OddSpark\Bench\Bench;
use OddSpark\Bench\Outcome;
use OddSpark\Faults\FaultSet;
use OddSpark\Run\BenchState;
use OddSpark\Run\Memory;
use OddSpark\Tests\Fixtures;
use PHPUnit\Framework\TestCase;

/** Several doors on one appliance, each by itself; and what people do with doors and resets before a visit. */
final class DoorsTest extends TestCase
{
    private Bench $bench;

    private BenchState $state;

    /** A furnace with a burner door, and a blower door that holds the switch. */
    protected function setUp(): void
    {
        $this->arrive();
    }

    /** @param array<string, mixed> $more of the document */
    private function arrive(array $more = [], string $visit = 'cold', string $fault = 'healthy'): void
    {
        $library = new Library();
        $document = $more + $library->document('furnace-80');
        $blower = ['blower', 'capacitor', 'door-switch', 'board'];
        $document['doors'] = [
            [
                'id' => 'burner-door',
                'label' => 'Burner door',
                'covers' => array_values(array_diff($document['doors'][0]['covers'], $blower)),
                'through' => ['valve.knob'],
            ],
            [
                'id' => 'blower-door',
                'label' => 'Blower door',
                'covers' => $blower,
                'interlock' => 'door-switch.plunger',
            ],
        ];
        $plan = Compiler::compile($library->resolve($document));
        $this->bench = new Bench($plan, FaultSet::of($plan->model)->get($fault), new Memory());
        $this->state = $this->bench->resume($this->bench->arrive($visit)->state);
    }

    /** @param array<string, mixed> $with */
    private function do(float $seconds, string $act, array $with = []): Outcome
    {
        $this->state = $this->bench->advance($this->state, (int) ($seconds * 1000));
        [$this->state, $outcome] = $this->bench->do($this->state, Fixtures::act($seconds, $act, $with));

        return $outcome;
    }

    public function test_one_door_off_lets_get_at_what_lies_behind_it_and_at_nothing_else(): void
    {
        $this->do(1, 'door', ['to' => 'open', 'door' => 'burner-door']);

        self::assertNull($this->do(2, 'look', ['part' => 'igniter'])->refused);
        self::assertNull($this->do(3, 'leads', ['red' => 'limit.a', 'black' => 'limit.b'])->refused);
        self::assertSame('That is behind "Blower door".', $this->do(4, 'look', ['part' => 'capacitor'])->refused);
        self::assertStringContainsString(
            'behind "Blower door"',
            (string) $this->do(5, 'leads', ['red' => 'board.R', 'black' => 'board.C'])->refused,
        );
    }

    public function test_a_switch_is_let_out_by_its_own_door_only(): void
    {
        $this->do(1, 'door', ['to' => 'open', 'door' => 'burner-door']);
        self::assertSame('pressed', $this->state->at('door-switch.plunger'));
        self::assertSame(
            'The door itself holds the switch in.',
            $this->do(2, 'hold', ['to' => 'held', 'door' => 'blower-door'])->refused,
        );
        self::assertSame(
            '"Burner door" has no switch.',
            $this->do(3, 'hold', ['to' => 'held', 'door' => 'burner-door'])->refused,
        );

        $this->do(4, 'door', ['to' => 'open', 'door' => 'blower-door']);
        self::assertSame('out', $this->state->at('door-switch.plunger'));

        $this->do(5, 'hold', ['to' => 'held', 'door' => 'blower-door']);
        self::assertSame('pressed', $this->state->at('door-switch.plunger'));

        $this->do(6, 'door', ['to' => 'shut', 'door' => 'burner-door']);
        self::assertSame(['blower-door'], $this->state->held, 'the other door lets nothing go');
        self::assertEqualsCanonicalizing(
            ['door-switch-held', 'door-open'],
            $this->do(7, 'hand_back')->dangers,
        );
    }

    public function test_a_door_that_is_not_there_is_named(): void
    {
        self::assertSame(
            'There is no door called "cellar-door".',
            $this->do(1, 'door', ['to' => 'open', 'door' => 'cellar-door'])->refused,
        );
    }

    public function test_no_door_named_means_all_of_them(): void
    {
        $this->do(1, 'door', ['to' => 'open']);
        self::assertSame(['burner-door', 'blower-door'], $this->state->open);
        self::assertNull($this->do(2, 'look', ['part' => 'capacitor'])->refused);
        self::assertNull($this->do(3, 'hold', ['to' => 'held'])->refused);
        $this->do(4, 'door', ['to' => 'shut']);
        self::assertSame([], [...$this->state->open, ...$this->state->held]);
    }

    public function test_what_sticks_out_of_a_door_is_set_with_it_shut(): void
    {
        self::assertNull($this->do(1, 'set', ['part' => 'valve', 'lever' => 'knob', 'to' => 'off'])->refused);
        self::assertSame('That is behind "Burner door".', $this->do(2, 'look', ['part' => 'valve'])->refused);
    }

    public function test_what_sticks_out_of_one_door_is_still_behind_another(): void
    {
        $inner = new Door('inner', 'Inner door', ['valve'], null, ['valve.knob']);
        $outer = new Door('outer', 'Outer door', ['valve']);
        $doors = new Doors([$inner, $outer]);
        self::assertSame($outer, $doors->beforeLever([], 'valve', 'knob'));
        self::assertNull($doors->beforeLever(['outer'], 'valve', 'knob'));
        self::assertSame($inner, $doors->before(['outer'], 'valve'));
    }

    public function test_the_reset_button_of_the_oil_primary_sticks_out_of_its_panel(): void
    {
        $plan = Compiler::compile((new Library())->model('oil-furnace'));
        $bench = new Bench($plan, FaultSet::of($plan->model)->get('cell:open'), new Memory());
        $state = $bench->resume($bench->arrive('cold')->state);

        [, $outcome] = $bench->do($state, Fixtures::act(1, 'reset', ['part' => 'primary']));

        self::assertNull($outcome->refused);
        self::assertSame([], $state->open);
    }

    public function test_what_is_seen_and_heard_behind_a_door_is_seen_and_heard_when_that_one_is_off(): void
    {
        $behind = array_keys(array_filter(
            $this->bench->plan->percepts,
            fn (array $p): bool => $p['from'] === 'open' && $p['part'] === 'igniter',
        ));
        self::assertNotSame([], $behind);
        $seen = fn (): array => array_intersect($behind, array_keys($this->bench->now($this->state)));

        $this->do(1, 'door', ['to' => 'open', 'door' => 'blower-door']);
        $this->do(2, 'look', ['part' => 'capacitor']);
        self::assertSame([], $seen());
        $this->do(3, 'door', ['to' => 'open', 'door' => 'burner-door']);
        $this->do(4, 'look', ['part' => 'igniter']);
        self::assertNotSame([], $seen());
    }

    public function test_a_door_that_was_left_ajar_takes_the_power_until_it_is_put_on(): void
    {
        $this->arrive(['visits' => ['ajar' => self::visit(['door' => 'blower-door', 'to' => 'open'])]], 'ajar');

        self::assertSame(['blower-door'], $this->state->open);
        self::assertSame('dark', $this->bench->now($this->state)['board.lamp'] ?? 'dark');
        self::assertSame('out', $this->state->at('door-switch.plunger'));

        $this->do(1, 'door', ['to' => 'shut', 'door' => 'blower-door']);
        self::assertSame('pressed', $this->state->at('door-switch.plunger'));
    }

    public function test_a_reset_that_was_pressed_before_the_visit_lets_go_on_what_had_tripped(): void
    {
        $tripped = fn (array $visit): bool => (function () use ($visit): bool {
            $plan = Compiler::compile((new Library())->resolve(
                ['visits' => ['pressed' => $visit]] + (new Library())->document('oil-furnace'),
            ));
            $bench = new Bench($plan, FaultSet::of($plan->model)->get('cell:open'), new Memory());

            return $bench->arrive('pressed')->state->slots['primary.control']['latched'];
        })();
        $story = self::visit(['reset' => 'primary']);

        self::assertTrue($tripped(['household' => []] + $story));
        self::assertFalse($tripped($story));
    }

    public function test_a_state_of_one_door_for_all_is_read_as_every_door(): void
    {
        $old = array_diff_key($this->state->toArray(), ['open' => 1]);
        $read = BenchState::fromArray(['door' => 'open', 'held' => true] + $old);

        self::assertSame([Doors::ALL, Doors::ALL], [$read->open, $read->held]);
        self::assertSame([], BenchState::fromArray(['door' => 'shut', 'held' => false] + $old)->open);
        [$state, $outcome] = $this->bench->do(
            $this->bench->resume($read),
            Fixtures::act(1, 'door', ['to' => 'shut', 'door' => 'burner-door']),
        );
        self::assertNull($outcome->refused);
        self::assertSame(['blower-door'], $state->open);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function wrong(): iterable
    {
        $door = ['id' => 'd', 'label' => 'Door', 'covers' => ['valve']];
        yield 'two of one name' => [['doors' => [$door, $door]], '/doors/1/id'];
        yield 'covers what is not there' => [['doors' => [['covers' => ['no-part']] + $door]], '/doors/0/covers/0'];
        yield 'holds what is not there' => [['doors' => [$door + ['interlock' => 'valve.no']]], '/doors/0/interlock'];
        yield 'lets through what is not there' => [
            ['doors' => [$door + ['through' => ['no.no']]]],
            '/doors/0/through/0',
        ];
        $visits = fn (array $doing): array => ['visits' => ['v' => self::visit($doing)]];
        yield 'a door that is not there' => [$visits(['door' => 'no', 'to' => 'open']), '/visits/v/household/0'];
        yield 'a reset of what has none' => [$visits(['reset' => 'valve']), '/visits/v/household/0'];
        yield 'a lever that is not there' => [
            $visits(['part' => 'valve', 'lever' => 'no', 'to' => 'on']),
            '/visits/v/household/0',
        ];
        yield 'a door half open' => [$visits(['door' => 'panel-door', 'to' => 'half']), '/visits/v/household/0'];
        yield 'two things at once' => [
            $visits(['reset' => 'rollout-l', 'door' => 'panel-door', 'to' => 'open']),
            '/visits/v/household/0',
        ];
    }

    /**
     * @param array<string, mixed> $more
     */
    #[\PHPUnit\Framework\Attributes\DataProvider('wrong')]
    public function test_what_names_nothing_is_refused_with_its_place(array $more, string $pointer): void
    {
        $library = new Library();
        try {
            $library->resolve($more + $library->document('furnace-80'));
            self::fail('It was taken.');
        } catch (DocumentError $e) {
            self::assertStringStartsWith($pointer, $e->pointer);
        }
    }

    /**
     * @param array<string, mixed> $doing
     * @return array<string, mixed>
     */
    private static function visit(array $doing): array
    {
        return [
            'title' => 'Found so',
            'notices_s' => 2400,
            'household' => [['at_s' => 3000] + $doing],
            'arrives' => ['after_s' => 20],
        ];
    }
}
