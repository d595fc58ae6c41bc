<?php

declare(strict_types=1);

namespace OddSpark\Tests\Instruments;

use OddSpark\Acts\Catalogue;
use OddSpark\Appliance\Compiler;
use OddSpark\Appliance\Library;
use OddSpark\Appliance\Model;
use OddSpark\Bench\Bench;
use OddSpark\Bench\Wording;
use OddSpark\Faults\Fault;
use OddSpark\Instruments\AtTap;
use OddSpark\Instruments\Bag;
use OddSpark\Meter\Meter;
use OddSpark\Meter\Mode;
use OddSpark\Meter\Specification;
use OddSpark\Run\Memory;
use PHPUnit\Framework\Attributes\RunInSeparateProcess;
use PHPUnit\Framework\TestCase;

/** What is in the bag, and that one more is one class. */
final class BagTest extends TestCase
{
    public function test_a_model_names_the_instruments_that_there_are(): void
    {
        $schema = json_decode((string) file_get_contents(__DIR__.'/../../schema/model.json'), true);
        $named = $schema['$defs']['tap']['properties']['instrument']['enum'];
        self::assertEqualsCanonicalizing(array_keys(Bag::atTaps()), $named);
    }

    public function test_what_was_read_is_read_again_from_a_log(): void
    {
        $metric = array_map(fn (string $key): AtTap => Bag::atTap($key, true), array_keys(Bag::atTaps()));
        foreach ([...Mode::cases(), Bag::all()['clamp'], ...Bag::atTaps(), ...$metric] as $scale) {
            $reading = Meter::show($scale, 1.25, 3);
            self::assertEquals($reading, Bag::reading(json_decode((string) json_encode($reading->toArray()), true)));
        }
        $kept = Meter::show(Bag::atTap('gauge', true), 8.7)->toArray();
        self::assertStringContainsString('mbar', Bag::reading($kept)->text(), 'in the unit that it was read in');
        $this->expectException(\OutOfBoundsException::class);
        Bag::scale('spirit-level');
    }

    /**
     * A class and its registration: its act, its words, its place among what house rules can bar come by themselves.
     */
    #[RunInSeparateProcess]
    public function test_one_more_instrument_is_one_class(): void
    {
        Bag::register(SlopeGauge::class);
        $document = (new Library())->model('furnace-80')->document;
        $document['taps']['hose-tee']['instrument'] = SlopeGauge::KEY;
        $plan = Compiler::compile(new Model($document));
        $bench = new Bench($plan, Fault::none(), new Memory(), 7);
        $state = $bench->arrive('cold')->state;
        $state = $bench->resume($state);
        foreach ([['door', ['to' => 'open']], ['hold', ['to' => 'held']]] as [$name, $with]) {
            [$state] = $bench->do($state, Catalogue::make(1000, $name, $with));
        }
        $act = Catalogue::act(['at_s' => 30, 'act' => 'slope', 'tap' => 'hose-tee']);
        [$state, $outcome] = $bench->do($state, $act);
        self::assertNull($outcome->refused);
        self::assertEqualsWithDelta(31.7, $outcome->reading?->value, 3.0, '1.25 in. w.c. is 311 Pa; this one shows mm');
        self::assertSame('hose-tee', $state->taps['slope']);
        self::assertSame(3.0, $act->minutes());
        self::assertStringStartsWith('Slope gauge at the ', (new Wording($plan->model))->act($act));
        self::assertArrayHasKey('slope', Catalogue::barrable());
        [, $again] = $bench->do($state, Catalogue::act(['at_s' => 40, 'act' => 'read', 'of' => 'slope']));
        self::assertNotNull($again->reading);
    }
}

/** Suction in millimetres of water: made up for this test. */
final readonly class SlopeGauge extends AtTap
{
    public const KEY = 'slope';

    public static function title(): string
    {
        return 'Slope gauge';
    }

    public const MINUTES = 3.0;

    protected function made(bool $metric): Specification
    {
        return new Specification('mm w.c.', 600, 600, 0.01, 1, 0.02, 0.1, 900);
    }

    public function at(\OddSpark\Instruments\Site $site, string $tap): \OddSpark\Instruments\Measured
    {
        $exact = 25.4 * $site->state->value($site->plan->model->taps()[$tap]->of);

        return new \OddSpark\Instruments\Measured($exact, Meter::show($this, $exact, $site->noise()));
    }
}
