<?php

declare(strict_types=1);

namespace OddSpark\Tests\Building;

use OddSpark\Appliance\Library;
use OddSpark\Building\EditError;
use OddSpark\Building\Edits;

/** Documents changed by edits. */
trait EditedModels
{
    private Library $library;

    private Edits $edits;

    protected function setUp(): void
    {
        $this->library = new Library();
        $this->edits = new Edits($this->library);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function refused(): iterable
    {
        yield 'no such edit' => [['do' => 'paint'], 'There is no such edit'];
        yield 'a field missing' => [['do' => 'place', 'kind' => 'breaker'], '"place" needs at as two numbers'];
        yield 'a field too many' => [
            ['do' => 'label', 'part' => 'valve', 'label' => 'x', 'colour' => 'red'],
            '"label" takes no "colour"',
        ];
        yield 'no such kind' => [['do' => 'place', 'kind' => '../../etc', 'at' => [1, 1]], 'There is no kind of part'];
        yield 'no such part' => [
            ['do' => 'move', 'parts' => ['moon'], 'by' => [1, 1]],
            'There is no part called "moon"',
        ];
        yield 'no such place' => [
            ['do' => 'wire', 'from' => 'valve.TH', 'to' => 'valve.moon'],
            '"valve" has no terminal "moon"',
        ];
        yield 'from a place to itself' => [
            ['do' => 'wire', 'from' => 'valve.TH', 'to' => 'valve.TH'],
            'goes from one place to another',
        ];
        yield 'twice the same wire' => [
            ['do' => 'wire', 'from' => 'valve.TR', 'to' => 'transformer.X2'],
            'There is a wire between these already',
        ];
        yield 'no such wire' => [
            ['do' => 'rewire', 'wire' => 'w99', 'colour' => 'red'],
            'There is no wire called "w99"',
        ];
        yield 'no such gauge' => [['do' => 'rewire', 'wire' => 'w01', 'awg' => 13], 'no copper conductor of 13 AWG'];
        yield 'a word for a figure' => [
            ['do' => 'param', 'part' => 'fan-limit', 'primitive' => 'bulb', 'key' => 'opens_at', 'value' => 'hot'],
            '"opens_at" is a number',
        ];
        yield 'far out of range' => [
            ['do' => 'param', 'part' => 'fan-limit', 'primitive' => 'bulb', 'key' => 'opens_at', 'value' => 90000],
            'Bulb: opens at: from 20 to 2000 °F; usual is 200',
        ];
        yield 'no such contact' => [
            ['do' => 'flaw', 'part' => 'fan-limit', 'contact' => 'bulb', 'by' => 'taps', 'count' => 1],
            'it has limit, fan, fan_manual',
        ];
        yield 'how a kind is made' => [
            ['do' => 'param', 'part' => 'fan-limit', 'primitive' => 'bulb', 'key' => 'type', 'value' => 'coil'],
            'is not changed for one part',
        ];
        yield 'a section that is not one' => [
            ['do' => 'set', 'path' => '/name', 'value' => 'x'],
            'Must begin with one of',
        ];
        yield 'a section against the format' => [
            ['do' => 'set', 'path' => '/doors/0/covers', 'value' => 'all'],
            '/doors/0/covers',
        ];
        yield 'a model that is not there' => [
            ['do' => 'like', 'model' => 'warehouse'],
            'There is no model "warehouse"',
        ];
        yield 'a group of one' => [['do' => 'group', 'parts' => ['valve']], 'two parts or more'];
    }

    /**
     * @param array<string, mixed> $d
     * @param array<string, mixed>|string ...$edits the last of them refused, when that is said
     * @return array<string, mixed>
     */
    private function done(array $d, array|string ...$edits): array
    {
        $refused = $edits['refused'] ?? null;
        unset($edits['refused']);
        foreach (array_values($edits) as $i => $edit) {
            if ($refused !== null && $i === count($edits) - 1) {
                try {
                    $this->edits->apply($d, $edit);
                    self::fail('it was done');
                } catch (EditError $e) {
                    self::assertStringContainsString($refused, $e->getMessage());
                }
            } else {
                $d = $this->edits->apply($d, $edit);
            }
        }

        return $d;
    }
}
