<?php

declare(strict_types=1);

namespace OddSpark\Tests\Verbs;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The verbs as a program: what they print, and how they fail. */
final class VerbsTest extends TestCase
{
    public function test_models_and_faults_are_listed(): void
    {
        self::assertContains('furnace-80', array_column($this->json('models')['models'], 'name'));
        self::assertContains('limit:stuck-open', array_column($this->json('faults furnace-80')['faults'], 'id'));
    }

    public function test_a_run_shows_what_was_read_and_the_sequence(): void
    {
        $run = $this->json('run furnace-80 --until 120');
        self::assertSame(1, $run['verbs']);
        self::assertContains('heat', array_column($run['sequence'], 'state'));
        self::assertArrayHasKey('inducer.sound', $run['observations']['perceived']);
    }

    public function test_a_chart_is_svg_with_a_lane_for_each_thing_and_the_controls_states(): void
    {
        $svg = $this->json('chart furnace-80 --until 200')['svg'];
        $xml = simplexml_load_string($svg);
        self::assertNotFalse($xml);
        foreach (
            ['Lamp', 'Inducer', 'Igniter', 'Flame', 'Blower', 'Furnace control', 'Prepurge', 'Heating'] as $words
        ) {
            self::assertStringContainsString($words, $svg);
        }
        self::assertNotSame($svg, $this->json('chart furnace-80 --until 200 --fault igniter:cracked')['svg']);
        self::assertStringContainsString('Pilot', $this->json('chart furnace-standing-pilot --until 60')['svg']);
    }

    public function test_tables_are_told_in_words(): void
    {
        $controls = $this->json('table oil-furnace')['controls'];
        self::assertSame(['primary.control'], array_column($controls, 'control'));
        self::assertSame([], $controls[0]['remarks']);
        self::assertSame([], $this->json('table furnace-standing-pilot')['controls']);
    }

    public function test_solve_gives_every_place(): void
    {
        $solved = $this->json('solve furnace-80 --at 100');
        self::assertSame(1, $solved['seed'], 'it says that parts scatter, and by which seed');
        self::assertEqualsWithDelta(121, $solved['places']['panel.L']['ac_v'], 2);
        self::assertLessThan(-5, $solved['places']['rod.rod']['dc_v'], 'the flame pulls the rod negative');
    }

    public function test_suspects_and_mark_from_a_file(): void
    {
        $file = $this->file(['odd_spark_actions' => 1, 'entries' => \OddSpark\Tests\Fixtures::limitTrace()]);
        $steps = $this->json("suspects furnace-80 --fault limit:stuck-open --actions $file")['steps'];
        self::assertSame(['limit:stuck-open'], array_keys(end($steps)['suspects']));
        self::assertSame(
            'none',
            $this->json("mark furnace-80 --fault limit:stuck-open --actions $file")['mark']['verdict'],
        );
    }

    /** @return iterable<array{string, int, string}> */
    public static function mistakes(): iterable
    {
        yield ['', 2, 'Say what to do'];
        yield ['dance', 2, 'no verb'];
        yield ['run', 2, 'needs a model'];
        yield ['run furnace-80 --sideways 1', 2, '"--sideways" option does not exist'];
        yield ['solve furnace-80 --at never', 2, 'takes seconds'];
        yield ['run furnace-81', 1, 'no model "furnace-81"'];
        yield ['run furnace-80 --fault limit:melted', 1, '"limit" has limit:stuck-open'];
        yield ['run furnace-80 --visit midnight', 1, 'no visit'];
    }

    #[DataProvider('mistakes')]
    public function test_mistakes_are_told_in_a_sentence(string $words, int $code, string $sentence): void
    {
        [$out, $err, $exit] = $this->call($words);
        self::assertSame($code, $exit, $err);
        self::assertSame('', $out);
        self::assertStringContainsString($sentence, $err);
    }

    public function test_a_damaged_document_is_refused_with_a_pointer(): void
    {
        $model = json_decode((string) file_get_contents(__DIR__.'/../../models/furnace-80.json'), true);
        $model['wires'][3]['to'] = 'limit.z';
        [, $err, $exit] = $this->call('faults '.$this->file($model));
        self::assertSame(1, $exit);
        self::assertStringStartsWith('/wires/3/to: "limit" has no terminal "z"', $err);
        unset($model['parts']);
        [, $err] = $this->call('faults '.$this->file($model));
        self::assertStringContainsString('Missing: parts', $err);
    }

    /** @return array<string, mixed> */
    private function json(string $words): array
    {
        [$out, $err, $exit] = $this->call("$words --json");
        self::assertSame(0, $exit, $err);

        return json_decode($out, true, 64, JSON_THROW_ON_ERROR);
    }

    /** @return array{string, string, int} */
    private function call(string $words): array
    {
        $process = proc_open(
            PHP_BINARY.' '.__DIR__.'/../../bin/verbs.php '.$words,
            [1 => ['pipe', 'w'], 2 => ['pipe', 'w']],
            $pipes,
        );
        self::assertIsResource($process);
        $out = (string) stream_get_contents($pipes[1]);
        $err = (string) stream_get_contents($pipes[2]);

        return [$out, $err, proc_close($process)];
    }

    /** @param array<string, mixed> $json */
    private function file(array $json): string
    {
        $file = tempnam(sys_get_temp_dir(), 'spark');
        file_put_contents((string) $file, json_encode($json));

        return (string) $file;
    }
}
