<?php

declare(strict_types=1);

namespace OddSpark\Tests\Building;

use OddSpark\Appliance\Compiler;
use OddSpark\Appliance\DocumentError;
use OddSpark\Appliance\Library;
use OddSpark\Building\EditError;
use OddSpark\Building\Edits;
use OddSpark\Building\ExpectedReadings;
use PHPUnit\Framework\TestCase;

/** Readings that an instructor expects of his model, run with the model as it is. */
final class ExpectedReadingsTest extends TestCase
{
    private const VALVE = [
        'visit' => 'cold',
        'at_s' => 60,
        'mode' => 'vac',
        'red' => 'valve.MV',
        'black' => 'valve.MVC',
    ];

    public function test_what_is_right_holds_and_what_is_not_says_what_it_shows(): void
    {
        [$right, $wrong, $unsaid] = self::outcomes([
            self::VALVE + ['least' => 22, 'most' => 29],
            self::VALVE + ['most' => 1],
            self::VALVE,
        ]);
        self::assertSame([true, null], [$right['holds'], $right['says']]);
        self::assertEqualsWithDelta(25, $right['value'], 3, 'the gas valve is fed a minute after the call');
        self::assertFalse($wrong['holds']);
        self::assertSame("It shows {$wrong['shows']}; right is at most 1.", $wrong['says']);
        self::assertSame([$right['shows'], null], [$unsaid['shows'], $unsaid['holds']]);
    }

    public function test_each_is_taken_in_its_own_run_at_its_own_moment_in_any_order(): void
    {
        $rows = [
            self::VALVE + ['fault' => 'limit:stuck-open'],
            self::VALVE,
            ['at_s' => 1] + self::VALVE,
            ['visit' => 'cold', 'at_s' => 60, 'tap' => 'manifold'],
            ['visit' => 'cold', 'at_s' => 60, 'tap' => 'manifold', 'fault' => 'valve:coil-open'],
        ];
        $values = fn (array $rows): array => array_column(self::outcomes($rows), 'value');
        [$open, $fed, $early, $pressure, $none] = $values($rows);
        self::assertLessThan(1, $open);
        self::assertGreaterThan(20, $fed);
        self::assertLessThan(1, $early, 'the inducer has only begun');
        self::assertEqualsWithDelta(3.5, $pressure, 0.2);
        self::assertEqualsWithDelta(0.0, $none, 0.05);
        self::assertSame(array_reverse($values($rows)), $values(array_reverse($rows)));
    }

    public function test_an_edit_that_changes_what_is_read_is_told_and_so_is_what_has_gone(): void
    {
        $edits = new Edits(new Library());
        $document = (new Library())->document('furnace-80');
        foreach ([
            self::VALVE + ['least' => 22],
            ['red' => 'limit.a', 'black' => 'limit.b', 'most' => 1] + self::VALVE,
        ] as $row) {
            $document = $edits->apply($document, ['do' => 'set', 'path' => '/readings/-', 'value' => $row]);
        }
        self::assertSame([true, true], array_column(self::of($document), 'holds'));
        $weak = $edits->apply($document, [
            'do' => 'param', 'part' => 'transformer', 'primitive' => 'windings', 'key' => 'turns_ratio', 'value' => 6.5,
        ]);
        self::assertSame([false, true], array_column(self::of($weak), 'holds'));
        $document['readings'][1]['red'] = 'lost.a';
        $document['readings'][0]['fault'] = 'valve:haunted';
        self::assertSame([
            '"valve:haunted" is no fault of this model any more.',
            'There is no place "lost.a" for the red lead any more.',
        ], array_column(self::of($document), 'says'));
    }

    public function test_what_is_no_reading_is_refused_where_it_is_wrong(): void
    {
        $edits = new Edits(new Library());
        $document = (new Library())->document('furnace-80');
        foreach ([
            ['mode' => 'ohm'] + self::VALVE,
            ['at_s' => -1] + self::VALVE,
            ['tap' => 'manifold'] + self::VALVE,
            ['visit' => 'cold', 'at_s' => 3],
        ] as $row) {
            try {
                $edits->apply($document, ['do' => 'set', 'path' => '/readings/-', 'value' => $row]);
                self::fail(json_encode($row).' was taken');
            } catch (EditError|DocumentError $e) {
                self::assertStringContainsString('readings', $e->pointer.$e->getMessage());
            }
        }
    }

    /**
     * @param list<array<string, mixed>> $rows
     * @return list<array<string, mixed>>
     */
    private static function outcomes(array $rows): array
    {
        return self::of(['readings' => $rows] + (new Library())->document('furnace-80'));
    }

    /**
     * @param array<string, mixed> $document
     * @return list<array<string, mixed>>
     */
    private static function of(array $document): array
    {
        return (new ExpectedReadings(Compiler::compile((new Library())->resolve($document))))->outcomes();
    }
}
