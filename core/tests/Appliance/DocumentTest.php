<?php

declare(strict_types=1);

namespace OddSpark\Tests\Appliance;

use OddSpark\Acts\ActionLog;
use OddSpark\Appliance\Compiler;
use OddSpark\Appliance\Composition;
use OddSpark\Appliance\DocumentError;
use OddSpark\Appliance\DocumentFile;
use OddSpark\Appliance\Library;
use OddSpark\Appliance\Plan;
use OddSpark\Appliance\Schema;
use OddSpark\Run\Machine;
use OddSpark\Run\Memory;
use OddSpark\Tests\Fixtures;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Documents in and out, and what is said of bad ones. */
final class DocumentTest extends TestCase
{
    public function test_a_resolved_model_is_whole_and_keeps_its_hash(): void
    {
        $library = new Library();
        $model = $library->model('furnace-80');
        self::assertSame($model->hash(), $library->resolve($model->document)->hash());
        $kept = DocumentFile::parse((string) json_encode($model->document, JSON_PRESERVE_ZERO_FRACTION));
        self::assertSame($model->hash(), $library->resolve($kept)->hash());
        self::assertGreaterThanOrEqual(28, count($model->parts()));
        self::assertGreaterThanOrEqual(40, count($model->wires()));
    }

    public function test_every_kind_can_be_made_and_every_fault_set(): void
    {
        $plan = Fixtures::furnace();
        foreach (Fixtures::universe()->faults as $id => $fault) {
            $machine = new Machine($plan, $fault->set, new Memory());
            self::assertNotSame([], $machine->settle($machine->initial())->slots, $id);
        }
    }

    public function test_a_plan_survives_being_kept(): void
    {
        $plan = Fixtures::furnace();
        $kept = Plan::fromArray(eval('return '.var_export($plan->toArray(), true).';'));
        $a = new Machine($plan, [], new Memory());
        $b = new Machine($kept, [], new Memory());
        self::assertEquals(
            $a->advance($a->settle($a->initial()), 100_000),
            $b->advance($b->settle($b->initial()), 100_000),
        );
    }

    /** @return iterable<string, array{callable, string, string}> */
    public static function damage(): iterable
    {
        yield 'process without a parameter' => [
            fn ($d) => self::at($d, ['process', 'draught'], ['type' => 'draught']),
            '/process/draught/inducer',
            'needs it',
        ];
        yield 'process of nothing' => [
            fn ($d) => self::at($d, ['process', 'draught', 'inducer'], 'fan.motor'),
            '/process/draught/inducer',
            'called "fan.motor"',
        ];
        yield 'time constant of zero' => [
            fn ($d) => self::at($d, ['process', 'plenum', 'tau_s'], 0),
            '/process/plenum/tau_s',
            'above zero',
        ];
        yield 'process in words' => [
            fn ($d) => self::at($d, ['process', 'room', 'outdoor_f'], 'cold'),
            '/process/room/outdoor_f',
            'number',
        ];
        yield 'process too many' => [
            fn ($d) => self::at($d, ['process', 'room', 'colour'], 'red'),
            '/process/room/colour',
            'knows no such thing',
        ];
        yield 'include of nothing' => [
            fn ($d) => self::at($d, ['includes'], [['id' => 'x', 'model' => 'moon']]),
            '',
            'no model "moon"',
        ];
        yield 'include of what is kept and is none' => [
            fn ($d) => self::at(
                $d,
                ['includes'],
                [['id' => 'x', 'model' => 'oil-furnace', 'document' => ['parts' => 4]]],
            ),
            '/includes/0/document',
            '',
        ];
        yield 'include without what is not there' => [
            fn ($d) => self::at($d, ['includes'], [['id' => 'x', 'model' => 'oil-furnace', 'without' => ['moon']]]),
            '/includes/0/without/0',
            'called "moon"',
        ];
        yield 'no such cable' => [
            fn ($d) => self::at($d, ['wires', 2, 'cable'], 'attic'),
            '/wires/2/cable',
            'no cable called',
        ];
        yield 'two gauges' => [
            fn ($d) => self::at(self::at($d, ['wires', 2, 'mm2'], 1.5), ['wires', 2, 'metres'], 2),
            '/wires/2',
            'awg and feet, or mm2 and meters',
        ];
        yield 'unknown colour' => [
            fn ($d) => self::at($d, ['wires', 2, 'colour'], 'pink'),
            '/wires/2/colour',
            'one of the values',
        ];
        yield 'unknown key' => [fn ($d) => self::at($d, ['parts', 4, 'foo'], 1), '/parts/4', 'Not known here: foo'];
        yield 'negative length' => [fn ($d) => self::at($d, ['wires', 2, 'feet'], -3), '/wires/2/feet', 'too small'];
        yield 'text for a number' => [
            fn ($d) => self::at($d, ['supply', 'volts'], 'many'),
            '/supply/volts',
            'Must be number',
        ];
        yield 'no such kind' => [
            fn ($d) => self::at($d, ['parts', 3, 'kind'], 'flux-capacitor'),
            '/parts/3/kind',
            'no kind of part',
        ];
        yield 'two of one name' => [fn ($d) => self::at($d, ['parts', 3, 'id'], 'panel'), '/parts/3/id', 'Two parts'];
        yield 'wire to nowhere' => [
            fn ($d) => self::at($d, ['wires', 0, 'from'], 'nowhere.L'),
            '/wires/0/from',
            'no part called "nowhere"',
        ];
        yield 'odd gauge' => [fn ($d) => self::at($d, ['wires', 0, 'awg'], 13), '/wires/0/awg', '13 AWG'];
        yield 'unknown process' => [
            fn ($d) => self::at($d, ['process', 'fire', 'type'], 'magic'),
            '/process/fire/type',
            'no process',
        ];
        yield 'wire fault without a mode' => [
            fn ($d) => self::at($d, ['wires', 0, 'modes'], ['melts']),
            '/wires/0/modes/0',
            'no wire fault',
        ];
        yield 'later version' => [fn ($d) => self::at($d, ['odd_spark_model'], 3), '/odd_spark_model', ''];
    }

    #[DataProvider('damage')]
    public function test_damage_is_told_with_its_place(callable $damage, string $pointer, string $sentence): void
    {
        // as the first version has it, with a process that is written out
        $document = DocumentFile::parse((string) file_get_contents(__DIR__.'/version-1/furnace-80.json'));
        try {
            (new Library())->resolve($damage($document));
            self::fail('it was taken');
        } catch (DocumentError $e) {
            self::assertSame($pointer, $e->pointer);
            self::assertStringContainsString($sentence, $e->getMessage());
        }
    }

    public function test_a_part_without_its_link_is_named(): void
    {
        $document = DocumentFile::parse((string) file_get_contents(__DIR__.'/../../models/furnace-80.json'));
        $document['pipes'] = array_values(
            array_filter($document['pipes'], fn (array $pipe): bool => $pipe['to'] !== 'limit.seat'),
        );
        $this->expectExceptionMessage('Limit: its disc sits nowhere yet');
        Compiler::compile((new Library())->resolve($document));
    }

    public function test_what_is_no_json_or_too_deep_is_refused(): void
    {
        foreach (['{"a":', '[1]', 'null', str_repeat('{"a":', 60).'1'.str_repeat('}', 60)] as $text) {
            try {
                DocumentFile::parse($text);
                self::fail("taken: $text");
            } catch (DocumentError $e) {
                self::assertNotSame('', $e->getMessage());
            }
        }
    }

    public function test_random_damage_never_crashes(): void
    {
        $text = (string) file_get_contents(__DIR__.'/../../models/furnace-80.json');
        mt_srand(3);
        $refused = 0;
        for ($n = 0; $n < 120; $n++) {
            $damaged = $text;
            for ($i = 0; $i < 3; $i++) {
                $at = mt_rand(0, strlen($damaged) - 8);
                $damaged = substr_replace(
                    $damaged,
                    ['', '0', '"', '}', 'x', '-1', 'null'][mt_rand(0, 6)],
                    $at,
                    mt_rand(0, 6),
                );
            }
            try {
                Compiler::compile((new Library())->resolve(DocumentFile::parse($damaged)));
            } catch (DocumentError) {
                $refused++;
            }
        }
        self::assertGreaterThan(60, $refused);
    }

    /** @return iterable<string, array{string}> */
    public static function wholes(): iterable
    {
        yield 'by itself' => ['furnace-80'];
        yield 'kept within another' => ['zones-hydronic'];
    }

    /** JSON that is whole and says nonsense somewhere, deep within too. */
    #[DataProvider('wholes')]
    public function test_nonsense_in_a_whole_document_never_crashes(string $model): void
    {
        $library = new Library();
        $whole = $library->document($model);
        foreach ($whole['includes'] ?? [] as $i => $include) {
            $whole['includes'][$i]['document'] = Composition::kept($library, $include['model']);
        }
        mt_srand(7);
        $refused = 0;
        for ($n = 0; $n < 150; $n++) {
            $damaged = $whole;
            $at = &$damaged;
            while (is_array($at) && $at !== [] && mt_rand(0, 5) > 0) {
                $at = &$at[array_rand($at)];
            }
            $at = [null, [], 'x', -1, 1e308, true, ['x' => 'y'], [[]]][mt_rand(0, 7)];
            unset($at);
            try {
                Compiler::compile($library->resolve((array) $damaged));
            } catch (DocumentError $e) {
                self::assertNotSame('', $e->getMessage());
                $refused++;
            }
        }
        self::assertGreaterThan(60, $refused);
    }

    public function test_the_schema_of_actions_and_the_catalogue_name_the_same_acts(): void
    {
        Schema::check('actions', ['odd_spark_actions' => 1, 'entries' => Fixtures::limitTrace()]);
        $schema = json_decode((string) file_get_contents(__DIR__.'/../../schema/actions.json'), true);
        self::assertEquals(
            json_decode((string) json_encode(ActionLog::schema()), true),
            $schema,
            'write it anew: php core/bin/schemas.php',
        );
    }

    /**
     * @param array<string, mixed> $document
     * @param list<string|int> $path
     * @return array<string, mixed>
     */
    private static function at(array $document, array $path, mixed $value): array
    {
        $at = &$document;
        foreach ($path as $key) {
            $at = &$at[$key];
        }
        $at = $value;

        return $document;
    }
}
