<?php

declare(strict_types=1);

namespace OddSpark\Tests\Appliance;

use OddSpark\Appliance\Compiler;
use OddSpark\Appliance\DocumentError;
use OddSpark\Appliance\KnownKeys;
use OddSpark\Appliance\Library;
use OddSpark\Appliance\Primitives;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * What is misspelt, missing or named in vain in a model is an error with its place: no silence, and no warning of
 * PHP.
 */
final class KeyCheckTest extends TestCase
{
    /**
     * @return iterable<string, array{callable, string, string}> what is changed in a kind of one's own; pointer;
     *     words
     */
    public static function kinds(): iterable
    {
        yield 'misspelt key of a primitive' => [
            fn (array $k) => array_replace_recursive($k, ['primitives' => ['disc' => ['opnes_at' => 200]]]),
            '/kinds/my-limit/primitives/disc/opnes_at',
            'Is "opens_at" meant?',
        ];
        yield 'missing key of a primitive' => [
            function (array $k): array {
                unset($k['primitives']['disc']['opens_at']);

                return $k;
            },
            '/kinds/my-limit/primitives/disc',
            'needs "opens_at"',
        ];
        yield 'misspelt primitive in a mode' => [
            fn (array $k) => self::mode($k, ['contcat.stuck' => 'open']),
            '/kinds/my-limit/modes/stuck-open/set/contcat.stuck',
            'Is "contact" meant?',
        ];
        yield 'misspelt key in a mode' => [
            fn (array $k) => self::mode($k, ['contact.stukc' => 'open']),
            '/kinds/my-limit/modes/stuck-open/set/contact.stukc',
            'Is "stuck" meant?',
        ];
        yield 'follows what is not there' => [
            fn (array $k) => array_replace_recursive($k, ['primitives' => ['contact' => ['follows' => 'dics']]]),
            '/kinds/my-limit/primitives/contact/follows',
            'Is "disc" meant?',
        ];
        yield 'percept of what is not there' => [
            fn (array $k) => ['percepts' => ['click' => [
                'of' => 'nope', 'sense' => 'hearing', 'from' => 'open', 'thing' => 'limit', 'say' => ['' => 'quiet'],
            ]]] + $k,
            '/kinds/my-limit/percepts/click',
            'called "nope"',
        ];
        yield 'port of what is not there' => [
            fn (array $k) => array_replace_recursive($k, ['ports' => ['seat' => ['of' => 'nope']]]),
            '/kinds/my-limit/ports/seat',
            'called "nope"',
        ];
    }

    #[DataProvider('kinds')]
    public function test_a_kind_says_what_its_primitives_know(callable $change, string $pointer, string $words): void
    {
        $library = new Library();
        $document = $library->document('furnace-80');
        $document['kinds']['my-limit'] = $change(['kind' => 'my-limit'] + $library->kind('limit-switch'));
        foreach ($document['parts'] as $i => $part) {
            if ($part['id'] === 'limit') {
                $document['parts'][$i]['kind'] = 'my-limit';
            }
        }
        $this->refused($document, $pointer, $words);
        self::assertContains($pointer, array_map(
            fn (DocumentError $e): string => $e->pointer,
            $library->lacks($document),
        ), 'the builder tells it too');
    }

    /** @return iterable<string, array{callable, string, string}> */
    public static function documents(): iterable
    {
        $part = fn (array $d, string $id): int => (int) array_search($id, array_column($d['parts'], 'id'), true);
        yield 'parameter of what is not there' => [
            fn (array $d) => array_replace_recursive($d, ['parts' => [0 => ['params' => ['nothing' => ['ohm' => 3]]]]]),
            '/parts/0/params/nothing', 'not made of anything called "nothing"',
        ];
        yield 'misspelt parameter' => [
            fn (array $d) => array_replace_recursive($d, ['parts' => [
                $part($d, 'transformer') => ['params' => ['windings' => ['turns_rtaio' => 3]]],
            ]]),
            '/parts/9/params/windings/turns_rtaio', 'Is "turns_ratio" meant?',
        ];
        yield 'output that nothing follows' => [
            fn (array $d) => array_replace_recursive($d, ['parts' => [
                $part($d, 'board') => [
                    'params' => ['control' => ['overrides' => ['states.idle.outputs' => ['disco']]]],
                ],
            ]]),
            '/table/states/idle/outputs', 'follows the output "disco"',
        ];
        yield 'what a visit waits for' => [
            fn (array $d) => array_replace_recursive(
                $d,
                ['visits' => ['hot' => ['arrives' => ['unlike' => ['x.y' => 'on']]]]],
            ),
            '/visits/hot/arrives/unlike', '"x.y"',
        ];
        yield 'a lane of the tape' => [
            fn (array $d) => ['tape' => [['channel' => 'x.y', 'name' => 'X', 'tone' => 'lamp']]] + $d, '/tape', '"x.y"',
        ];
        yield 'what a household notices' => [
            fn (array $d) => ['household' => ['rooms' => [], 'heat' => ['x.y' => ['lit']], 'cycle' => []]] + $d,
            '/household/heat', '"x.y"',
        ];
        yield 'a lever set to what it has not' => [
            fn (array $d) => array_replace_recursive(
                $d,
                ['visits' => ['cold' => ['household' => [0 => ['to' => 'up']]]]],
            ),
            '/visits/cold/household/0/to', 'heat, off, cool',
        ];
        yield 'nothing at all' => [
            fn (array $d) => [
                'parts' => [],
                'wires' => [],
                'pipes' => [],
                'doors' => [],
            ] + $d, '/parts', 'nothing here yet',
        ];
    }

    #[DataProvider('documents')]
    public function test_a_model_names_what_is_there(callable $change, string $pointer, string $words): void
    {
        $this->refused($change((new Library())->document('furnace-80')), $pointer, $words);
    }

    public function test_every_figure_that_the_builder_offers_is_one_that_is_read(): void
    {
        $library = new Library();
        foreach ($library->kindNames() as $name) {
            foreach ($library->kind($name)['primitives'] as $primitive) {
                foreach (Primitives::TYPES[$primitive['type']]::figures($primitive) as $figure) {
                    self::assertContains(
                        explode('.', $figure->key)[0],
                        KnownKeys::OF[$primitive['type']]['keys'],
                        "$name, {$primitive['type']}",
                    );
                }
            }
        }
    }

    public function test_a_store_whose_only_way_out_can_be_shut_is_refused(): void
    {
        $library = new Library();
        $document = $library->document(__DIR__.'/version-1/boiler-hydronic.json');
        foreach ([[], [['per_degree' => 560, 'to' => 'room', 'ways' => ['circulator.flow']]]] as $loses) {
            $document['process']['water']['loses'] = $loses;
            $this->refused($document, '/process/water/loses', 'open always');
        }
    }

    public function test_a_kind_of_ones_own_that_names_a_stock_table_runs_by_it(): void
    {
        $library = new Library();
        $document = $library->document('package-direct-spark');
        $kind = json_decode((string) file_get_contents(__DIR__.'/../../kinds/direct-spark-module.json'), true);
        $document['kinds']['my-module'] = ['kind' => 'my-module'] + $kind;
        foreach ($document['parts'] as $i => $part) {
            if ($part['id'] === 'module') {
                $document['parts'][$i]['kind'] = 'my-module';
            }
        }
        $rig = \OddSpark\Tests\TestRig::ofModel($library->resolve($document))->set('thermostat.set', 85);
        self::assertNotNull($rig->until(fn ($s) => $s->isLit(), 400));

        $document['kinds']['my-module']['primitives']['control']['table'] = 'direct-sprak';
        $this->refused($document, '/kinds/my-module/primitives/control/table', '"direct-sprak"');
    }

    public function test_a_document_of_includes_alone_is_a_model(): void
    {
        $model = (new Library())->resolve([
            'odd_spark_model' => 2,
            'name' => 'two-of-a-kind',
            'title' => 'Nothing but what it includes',
            'supply' => ['hertz' => 60, 'volts' => 120, 'region' => 'NA'],
            'includes' => [['id' => 'furnace', 'model' => 'furnace-80']],
        ]);
        self::assertArrayHasKey('furnace.board', $model->parts());
        self::assertNotSame([], Compiler::compile($model)->primitives);
    }

    /** @param array<string, mixed> $document */
    private function refused(array $document, string $pointer, string $words): void
    {
        try {
            (new Library())->resolve($document);
            self::fail('It was taken.');
        } catch (DocumentError $e) {
            self::assertStringContainsString($pointer, $e->pointer);
            self::assertStringContainsString($words, $e->sentence);
        }
    }

    /**
     * @param array<string, mixed> $kind
     * @param array<string, mixed> $set
     * @return array<string, mixed>
     */
    private static function mode(array $kind, array $set): array
    {
        $kind['modes']['stuck-open']['set'] = $set;

        return $kind;
    }
}
