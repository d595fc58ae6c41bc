<?php

declare(strict_types=1);

namespace OddSpark\Tests\Building;

use Eris\Generators;
use Eris\TestTrait;
use OddSpark\Appliance\DocumentError;
use OddSpark\Appliance\Library;
use OddSpark\Building\Document;
use OddSpark\Building\EditError;
use OddSpark\Building\Edits;
use OddSpark\Building\Included;
use PHPUnit\Framework\TestCase;

/** Random models and damaged documents: the same comes back, or it is refused. */
final class EditsAtRandomTest extends TestCase
{
    use EditedModels;
    use TestTrait;

    /** Whatever is done, in whatever order: what comes out can be drawn, written, and read back the same. */
    public function test_random_models_by_the_same_edits_come_back_the_same_from_their_text(): void
    {
        $this->limitTo(getenv('SPARK_ALL_FAULTS') ? 60 : 25)
            ->forAll(Generators::seq(Generators::choose(0, 1_000_000)))
            ->then(function (array $dice): void {
                $d = Document::blank('random', 'Random', $dice !== [] && $dice[0] % 2 === 1 ? 'EU' : 'NA');
                $done = 0;
                foreach ($dice as $die) {
                    try {
                        $d = $this->edits->apply($d, $this->random($d, $die));
                        $done++;
                    } catch (EditError) {
                        // refused: nothing has changed
                    }
                    $text = Document::text($d);
                    self::assertSame($text, Document::text(Document::read($text, $this->library)));
                }
                self::assertTrue($dice === [] || $done > 0);
            });
    }

    /**
     * Texts of documents, damaged at random: each is refused with what and where, or is a document after all.
     * Ten thousand of them: SPARK_ALL_FAULTS=1, as ./spark check does.
     */
    public function test_thousands_of_damaged_documents_crash_nothing(): void
    {
        $most = getenv('SPARK_ALL_FAULTS') ? 10_000 : 2_000;
        $d = $this->done(
            Document::blank('small', 'Small', 'NA'),
            ['do' => 'place', 'kind' => 'supply', 'at' => [40, 400], 'id' => 'panel'],
            ['do' => 'place', 'kind' => 'breaker', 'at' => [40, 300], 'id' => 'breaker'],
            ['do' => 'place', 'kind' => 'circulator', 'at' => [300, 300], 'id' => 'pump'],
            ['do' => 'wire', 'from' => 'panel.L', 'to' => 'breaker.line'],
            ['do' => 'wire', 'from' => 'breaker.load', 'to' => 'pump.L'],
            ['do' => 'wire', 'from' => 'panel.N', 'to' => 'pump.N'],
            ['do' => 'set', 'path' => '/process/level', 'value' => ['type' => 'still', 'value' => 1.0]],
        );
        $text = (string) json_encode(json_decode(Document::text($d), true));
        $random = new \Random\Randomizer(new \Random\Engine\Mt19937(7));
        $refused = $read = 0;
        for ($i = 0; $i < $most; $i++) {
            try {
                Document::read($i % 2 === 0 ? self::torn($text, $random) : self::twisted($d, $random), $this->library);
                $read++;
            } catch (DocumentError $e) {
                self::assertNotSame('', $e->getMessage());
                $refused++;
            }
        }
        self::assertSame($most, $refused + $read);
        self::assertGreaterThan($most / 2, $refused);
    }

    /**
     * @param array<string, mixed> $d
     * @return array<string, mixed>
     */
    private function random(array $d, int $die): array
    {
        $kinds = [
            'breaker',
            'limit-switch',
            'splice',
            'transformer-120-24',
            'thermostat-mechanical',
            'zone-valve',
            'circulator',
            'supply',
            'relay-24',
        ];
        $places = [];
        foreach ($d['parts'] as $part) {
            foreach (array_keys($this->library->kind($part['kind'])['terminals']) as $terminal) {
                $places[] = "{$part['id']}.$terminal";
            }
        }
        $part = $d['parts'] === [] ? 'none' : $d['parts'][intdiv($die, 10) % count($d['parts'])]['id'];
        $wire = $d['wires'] === [] ? 'none' : $d['wires'][intdiv($die, 10) % count($d['wires'])]['id'];
        $place = fn (int $by): string => $places === [] ? 'none.x' : $places[intdiv($die, $by) % count($places)];

        return match ($d['parts'] === [] ? 0 : $die % 10) {
            0, 1, 2 => [
                'do' => 'place',
                'kind' => $kinds[intdiv($die, 10) % count($kinds)],
                'at' => [$die % 1100, intdiv($die, 7) % 700],
            ],
            3, 4, 5 => ['do' => 'wire', 'from' => $place(10), 'to' => $place(1000)],
            6 => ['do' => 'move', 'parts' => [$part], 'by' => [$die % 50, -($die % 30)]],
            7 => ['do' => 'remove'] + ($die % 3 === 0 ? ['parts' => [$part]] : ['wires' => [$wire]]),
            8 => ['do' => 'copy', 'parts' => [$part]],
            default => ['do' => 'rewire', 'wire' => $wire, 'colour' => 'violet', 'tag' => "T$die"],
        };
    }

    private static function torn(string $text, \Random\Randomizer $random): string
    {
        for ($i = $random->getInt(1, 4); $i > 0; $i--) {
            $at = $random->getInt(0, strlen($text) - 1);
            $text = match ($random->getInt(0, 3)) {
                0 => substr_replace($text, chr($random->getInt(0, 255)), $at, 1),
                1 => substr($text, 0, $at).substr($text, min(strlen($text), $at + $random->getInt(1, 40))),
                2 => substr_replace($text, substr($text, $random->getInt(0, $at), $random->getInt(1, 30)), $at, 0),
                default => substr($text, 0, $at),
            };
            $text = $text === '' ? '{' : $text;
        }

        return $text;
    }

    /** @param array<string, mixed> $d */
    private static function twisted(array $d, \Random\Randomizer $random): string
    {
        $at = &$d;
        while (is_array($at) && $at !== [] && $random->getInt(0, 4) > 0) {
            $at = &$at[array_keys($at)[$random->getInt(0, count($at) - 1)]];
        }
        $at = [null, -1, 1e308, '', 'moon', [], [[]], ['x' => 1], true, str_repeat('a', 5000)][$random->getInt(0, 9)];
        unset($at);

        return (string) json_encode($d);
    }

    /** What is included is kept as it was; that it has changed is told, and taken when somebody wants it. */
    public function test_a_change_of_an_included_appliance_is_offered_and_never_forced(): void
    {
        $library = new Library();
        $edits = new Edits($library);
        $d = $edits->apply(
            Document::blank('outer', 'Outer', 'NA'),
            ['do' => 'include', 'model' => 'zones-hydronic', 'id' => 'zones', 'keep' => true],
        );
        self::assertSame([], Included::newer($d, $library));
        self::assertSame(
            $library->resolve($library->document('zones-hydronic'))->part('boiler.high')?->label,
            $library->resolve($d)->part('zones.boiler.high')?->label,
        );
        // what was shipped then was called otherwise, and had a wire less
        $then = $d;
        $at = array_search('boiler.high', array_column($then['includes'][0]['document']['parts'], 'id'), true);
        $then['includes'][0]['document']['parts'][$at]['label'] = 'Old high limit';
        self::assertSame('Old high limit', $library->resolve($then)->part('zones.boiler.high')?->label, 'as it was');
        $offered = Included::newer($then, $library);
        self::assertCount(1, $offered);
        self::assertStringContainsString('High limit', $offered[0]->why);
        self::assertSame($d, $edits->apply($then, $offered[0]->edits[0]), 'and taken when it is wanted');
        $this->expectExceptionMessage('Nothing that is included is called "boiler".');
        $edits->apply($then, ['do' => 'renew', 'id' => 'boiler']);
    }

    /** A wire can touch a conductor of its cable where that ends; when that goes, nothing is left to touch. */
    public function test_what_a_wire_lies_against_is_said_and_goes_with_what_it_was(): void
    {
        $edits = new Edits(new Library());
        $d = $edits->apply(
            (new Library())->document('unit-heater'),
            ['do' => 'rewire', 'wire' => 'w08', 'near' => 'thermostat.W', 'modes' => ['open', 'gnawed']],
        );
        $near = fn (array $d): ?string => array_column($d['wires'], 'near', 'id')['w08'] ?? null;
        self::assertSame('thermostat.W', $near($d));
        self::assertNull($near($edits->apply($d, ['do' => 'rewire', 'wire' => 'w08', 'near' => 'nothing'])));
        self::assertNull($near($edits->apply($d, ['do' => 'remove', 'wires' => ['w09']])));
        self::assertNull($near($edits->apply($d, ['do' => 'cable', 'id' => 'other', 'wires' => ['w09']])));
        self::assertNull($near($edits->apply($d, ['do' => 'land', 'wire' => 'w09', 'end' => 'a', 'on' => 'limit.b'])));
        $this->expectExceptionMessage('does not lie beside');
        $edits->apply($d, ['do' => 'rewire', 'wire' => 'w08', 'near' => 'limit.b']);
    }
}
