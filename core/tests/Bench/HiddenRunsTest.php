<?php

declare(strict_types=1);

namespace OddSpark\Tests\Bench;

use OddSpark\Appliance\Compiler;
use OddSpark\Appliance\Library;
use OddSpark\Bench\Bench;
use OddSpark\Faults\FaultSet;
use OddSpark\Run\BenchState;
use OddSpark\Run\Memory;
use OddSpark\Tests\Fixtures;
use PHPUnit\Framework\TestCase;

/** Wires in looms and cables: which is which is told by a pull and by the meter, and not by looking. */
final class HiddenRunsTest extends TestCase
{
    private Bench $bench;

    private BenchState $state;

    private int $clock = 0;

    /** The furnace with the two wires of its gas valve in a loom, and what else is said of it. */
    private function arrive(array $more = [], string $fault = 'healthy'): void
    {
        $library = new Library();
        $document = $library->document('furnace-80');
        $document['cables'][] = [
            'id' => 'loom',
            'feet' => 4,
            'pf_per_ft' => 25,
            'leak_megohm' => 2000,
            'hidden' => true,
        ];
        foreach ($document['wires'] as &$wire) {
            if (in_array($wire['id'], ['w27', 'w28'], true)) {
                $wire['cable'] = 'loom';
            }
        }
        $document['universe']['wire_modes']['rubs']['seen'] = 'Its insulation is worn through.';
        $document['universe']['wire_modes']['open']['felt'] = 'It gives like rubber.';
        $model = $library->resolve($more + $document);
        $this->bench = new Bench(Compiler::compile($model), FaultSet::of($model)->get($fault), new Memory());
        $this->state = $this->bench->resume($this->bench->arrive('cold')->state);
        $this->do('door', ['to' => 'open']);
    }

    /** @return array<string, string> */
    private function do(string $act, array $with): array
    {
        [$this->state, $outcome] = $this->bench->do($this->state, Fixtures::act(++$this->clock, $act, $with));

        return $outcome->refused !== null ? ['refused' => $outcome->refused] : $outcome->seen;
    }

    public function test_a_pull_tells_which_end_moves(): void
    {
        $this->arrive();
        self::assertSame(['other end' => 'the brown wire at Gas valve MV moves'], $this->do('tug', ['end' => 'w27.a']));
        $this->do('lift', ['end' => 'w27.b']);
        self::assertSame(
            ['other end' => 'a loose brown wire moves near Gas valve MV'],
            $this->do('tug', ['end' => 'w27.a']),
        );
    }

    public function test_it_goes_by_what_was_built_and_not_by_the_drawing(): void
    {
        $this->arrive(
            ['as_built' => [['end' => 'w27.b', 'on' => 'valve.MVC'], ['end' => 'w28.b', 'on' => 'valve.MV']]],
        );
        self::assertSame(
            ['other end' => 'the brown wire at Gas valve MVC moves'],
            $this->do('tug', ['end' => 'w27.a']),
        );
    }

    public function test_nobody_sees_an_end_far_away_or_behind_a_door(): void
    {
        $this->arrive();
        self::assertSame(['other end' => 'is too far away to see it move'], $this->do('tug', ['end' => 'w17.a']));
        $this->do('door', ['to' => 'shut']);
        self::assertArrayHasKey('refused', $this->do('tug', ['end' => 'w27.a']));
        self::assertSame(['other end' => 'is behind a door that is closed'], $this->do('tug', ['end' => 'w17.b']));
    }

    public function test_a_conductor_broken_inside_moves_and_is_felt_where_its_way_of_failing_says_so(): void
    {
        $this->arrive([], 'w27:open');
        self::assertSame(
            ['other end' => 'the brown wire at Gas valve MV moves', 'touch' => 'It gives like rubber.'],
            $this->do('tug', ['end' => 'w27.a']),
        );
    }

    public function test_what_is_worn_inside_a_loom_is_not_seen(): void
    {
        $this->arrive([], 'w27:rubs');
        self::assertSame(
            'Both ends tight; between them it runs hidden with others.',
            $this->do('look', ['part' => 'w27'])['condition'],
        );
        $this->arrive([], 'w20:rubs');
        self::assertSame('Its insulation is worn through.', $this->do('look', ['part' => 'w20'])['condition']);
    }
}
