<?php

declare(strict_types=1);

namespace OddSpark\Tests\Sequence;

use OddSpark\Appliance\DocumentError;
use OddSpark\Appliance\Library;
use OddSpark\Sequence\Table;
use OddSpark\Sequence\TableError;
use OddSpark\Tests\TestRig;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Sequence tables by themselves: overridden, refused, remarked upon, and every state of every stock table met. */
final class TableTest extends TestCase
{
    /** @return array<string, mixed> */
    private static function sound(): array
    {
        return [
            'table' => 'small', 'version' => 1, 'title' => 'Small', 'supply' => 'power', 'start' => 'idle',
            'fuel' => ['outputs' => ['valve'], 'proofs' => ['air'], 'flame' => 'flame'],
            'times' => ['trial_s' => 5, 'lockout_s' => 3600],
            'states' => [
                'idle' => [
                    'title' => 'Waits',
                    'outputs' => [],
                    'lamp' => 'off',
                    'guards' => [['if' => ['call' => true], 'go' => 'trial']],
                ],
                'trial' => [
                    'title' => 'Trial',
                    'outputs' => ['valve'],
                    'lamp' => 'off',
                    'guards' => [
                        ['if' => ['air' => false], 'go' => 'idle'],
                        ['if' => ['flame' => true], 'go' => 'run'],
                        ['count' => ['tries' => 2], 'after' => 'trial_s', 'go' => 'locked'],
                        ['after' => 'trial_s', 'do' => ['tries' => '+1'], 'go' => 'idle'],
                    ],
                ],
                'run' => [
                    'title' => 'Burns',
                    'outputs' => ['valve'],
                    'lamp' => 'on',
                    'guards' => [
                        ['if' => ['air' => false], 'go' => 'idle'],
                        ['if' => ['flame' => false], 'go' => 'idle'],
                    ],
                ],
                'locked' => [
                    'title' => 'Locked',
                    'outputs' => [],
                    'lamp' => 'on',
                    'guards' => [['after' => 'lockout_s', 'go' => 'idle']],
                ],
            ],
        ];
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> lines changed, pointer, words */
    public static function unrunnable(): iterable
    {
        yield 'no such state' => [['states.idle.guards.0.go' => 'nowhere'], '/states/idle/guards/0/go', '"nowhere"'];
        yield 'no such input' => [
            ['states.idle.guards.0.if' => ['cal' => true]],
            '/states/idle/guards/0/if/cal',
            'no input called "cal"',
        ];
        yield 'no such time' => [['states.locked.guards.0.after' => 'long_s'], '/states/locked/guards/0', '"long_s"'];
        yield 'no start' => [['start' => 'begin'], '/start', 'one of the states'];
        yield 'time below zero' => [['times.trial_s' => -1], '/times/trial_s', 'zero or more'];
        yield 'time in words' => [['times.trial_s' => 'five'], '/times/trial_s', 'seconds'];
        yield 'no outputs' => [['states.run.outputs' => null], '/states/run/outputs', 'missing'];
        yield 'unknown key' => [['states.idle.guards.0.when' => 1], '/states/idle/guards/0/when', 'Not known'];
        yield 'always' => [['states.idle.guards.0.if' => null], '/states/idle/guards/0', 'Holds always'];
        yield 'neither on nor off' => [
            ['states.idle.guards.0.if.call' => 'yes'],
            '/states/idle/guards/0/if/call',
            'true or false',
        ];
        yield 'no such supply' => [['supply' => 'mains'], '/supply', '"mains"'];
    }

    /** @param array<string, mixed> $lines */
    #[DataProvider('unrunnable')]
    public function test_a_table_that_cannot_be_run_says_where_and_why(
        array $lines,
        string $pointer,
        string $words,
    ): void {
        try {
            (new Table(Table::with(self::sound(), $lines)))->check(['power', 'call', 'air', 'flame']);
            self::fail('it was taken');
        } catch (TableError $e) {
            self::assertSame($pointer, $e->pointer);
            self::assertStringContainsString($words, $e->sentence);
        }
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> */
    public static function odd(): iterable
    {
        yield 'unreachable' => [['states.trial.guards.2' => null], '/states/locked', 'never reached'];
        yield 'no way out' => [['states.locked.guards' => []], '/states/locked', 'no way out'];
        yield 'forestalled' => [
            ['states.trial.guards.3' => ['if' => ['air' => false, 'call' => true], 'go' => 'idle']],
            '/states/trial/guards/3',
            'never hold',
        ];
        yield 'counts nothing' => [
            ['states.trial.guards.3.do' => null],
            '/states/trial/guards/2/count/tries',
            'nothing counts',
        ];
        yield 'fuel without proof' => [
            ['states.run.guards.0' => null],
            '/states/run',
            'does not stop when "air" is gone',
        ];
        yield 'fuel without end' => [
            [
                'states.trial.guards.2' => null,
                'states.trial.guards.2.after' => null,
                'states.trial.guards.2.if' => ['call' => false],
            ],
            '/states/trial',
            'without flame and without end',
        ];
        yield 'fuel to fuel' => [
            ['states.trial.guards.0.go' => 'run'],
            '/states/trial',
            'does not stop when "air" is gone',
        ];
        yield 'unusual time' => [['times.trial_s' => 400], '/times/trial_s', 'out of the usual'];
    }

    /** @param array<string, mixed> $lines */
    #[DataProvider('odd')]
    public function test_a_table_that_is_odd_is_told_so(array $lines, string $pointer, string $words): void
    {
        $table = new Table(Table::with(self::sound(), $lines));
        $table->check(['power', 'call', 'air', 'flame']);
        $found = array_filter(
            $table->remarks(),
            fn (array $r) => $r['pointer'] === $pointer && str_contains($r['text'], $words),
        );
        self::assertNotSame([], $found, (string) json_encode($table->remarks()));
    }

    public function test_a_sound_table_gives_no_remark_and_neither_do_the_stock_tables(): void
    {
        self::assertSame([], (new Table(self::sound()))->remarks());
        $library = new Library();
        foreach ($library->tables() as $name) {
            self::assertSame([], (new Table($library->table($name)))->remarks(), $name);
        }
        self::assertGreaterThanOrEqual(5, count($library->tables()));
    }

    public function test_a_timed_state_that_leads_to_a_proving_state_is_not_fuel_without_end(): void
    {
        $warm = ['title' => 'Opens slowly', 'outputs' => ['valve'], 'lamp' => 'off', 'guards' => [
            ['if' => ['air' => false], 'go' => 'idle'],
            ['after' => 'trial_s', 'go' => 'trial'],
        ]];
        $table = self::sound();
        $table['states'] += ['opening' => $warm];
        $table['states']['idle']['guards'][0]['go'] = 'opening';
        self::assertSame([], (new Table($table))->remarks());

        $table['states']['trial']['guards'][2] = ['after' => 'trial_s', 'go' => 'opening']; // round and round
        unset($table['states']['trial']['guards'][3]);
        $without = array_filter(
            (new Table($table))->remarks(),
            fn (array $r) => str_contains($r['text'], 'without end'),
        );
        self::assertCount(2, $without);
    }

    public function test_a_line_that_is_not_there_cannot_be_overridden(): void
    {
        $this->expectException(TableError::class);
        $this->expectExceptionMessage('no "flue"');
        Table::with(self::sound(), ['states.flue.lamp' => 'off']);
    }

    public function test_a_model_that_overrides_into_nonsense_is_refused_at_its_part(): void
    {
        $document = TestRig::plan('oil-furnace')->model->document;
        $at = array_search('primary', array_column($document['parts'], 'id'), true);
        $document['parts'][$at]['params'] = ['control' => ['overrides' => ['states.idle.guards.1.go' => 'moon']]];
        try {
            (new Library())->resolve($document);
            self::fail('it was taken');
        } catch (DocumentError $e) {
            self::assertSame("/parts/$at/params/control/states/idle/guards/1/go", $e->pointer);
        }
    }
}
