<?php

declare(strict_types=1);

namespace OddSpark\Tests\Commissioning;

use OddSpark\Acts\ActionLog;
use OddSpark\Acts\Catalogue;
use OddSpark\Appliance\Compiler;
use OddSpark\Appliance\Library;
use OddSpark\Bench\Attempt;
use OddSpark\Commissioning\Advice;
use OddSpark\Commissioning\Judge;
use OddSpark\Commissioning\Rows;
use OddSpark\Commissioning\Sheet;
use OddSpark\Faults\FaultSet;
use OddSpark\Marking\Rules;
use OddSpark\Run\Memory;
use PHPUnit\Framework\TestCase;

/** Whole attempts at commissioning a furnace: by a good hand, by one who copies the plate, by one who gives up. */
final class AttemptTest extends TestCase
{
    private const OPEN = [['door', ['to' => 'open']], ['hold', ['to' => 'held']]];

    /** What a good hand reads once it has burned for some minutes, and writes down. */
    private const READ = [
        ['gauge', ['tap' => 'gas-inlet']], ['fill_in', ['row' => 'gas-inlet', 'figure' => 6.9]],
        ['gauge', ['tap' => 'manifold']], ['fill_in', ['row' => 'manifold', 'figure' => 3.5]],
        ['gauge', ['tap' => 'supply-static']], ['gauge', ['tap' => 'return-static']],
        ['fill_in', ['row' => 'static', 'figure' => 0.28]],
        ['analyser', ['tap' => 'flue-gas']], ['fill_in', ['row' => 'flue-gas', 'figure' => 8.3]],
        ['analyser_co', ['tap' => 'flue-co']], ['fill_in', ['row' => 'flue-co', 'figure' => 15]],
        ['probe', ['tap' => 'supply-duct']], ['probe', ['tap' => 'return-duct']],
        ['fill_in', ['row' => 'rise', 'figure' => 47]],
        ['clock', ['part' => 'meter']], ['fill_in', ['row' => 'input', 'figure' => 79800]],
        ['clamp', ['wires' => ['w34']]], ['fill_in', ['row' => 'amps inducer.motor', 'figure' => 1.3]],
        ['clamp', ['wires' => ['w38']]], ['fill_in', ['row' => 'amps blower.motor', 'figure' => 4.1]],
    ];

    /**
     * @param list<array{0: string, 1: array<string, mixed>, 2?: int}> $acts name, with, seconds later
     */
    private function sheet(string $fault, array $acts): Sheet
    {
        $plan = Compiler::compile((new Library())->model('furnace-80'));
        $is = FaultSet::of($plan->model)->get($fault);
        $at = 0;
        $log = [];
        foreach ($acts as $act) {
            $at += $act[2] ?? 20;
            $with = $act[1] + ($act[0] === 'fill_in' ? ['found' => 'in_order'] : []);
            $log[] = Catalogue::act(['at_s' => $at, 'act' => $act[0]] + $with);
        }
        $attempt = Attempt::run($plan, $is, new ActionLog($log, 'cold'), 'cold', new Memory());
        foreach ($attempt->observations->entries as [$act, $outcome]) {
            self::assertNull($outcome->refused, "$act->name: $outcome->refused");
        }

        return (new Judge($plan, $is, (new Rows($plan))->all()))->of($attempt->observations, $attempt->state);
    }

    private function rules(): Rules
    {
        return Rules::of((new Library())->rules('first-year'));
    }

    /** @return array<string, float> share by row */
    private function shares(Sheet $sheet): array
    {
        return array_column(array_map(fn ($r): array => ['id' => $r->id, 'share' => $r->share], $sheet->judged), 'share', 'id');
    }

    public function test_what_was_out_is_put_right_read_again_and_signed(): void
    {
        $sheet = $this->sheet('valve:set-high@some', [
            ...self::OPEN,
            ['gauge', ['tap' => 'manifold'], 300],
            ['fill_in', ['row' => 'manifold', 'figure' => 4.6, 'found' => 'out_of_order']],
            ['mend', ['part' => 'valve', 'how' => 'set']],
            ['read', ['of' => 'gauge'], 300],
            ...self::READ,
            ['sign', ['as' => 'in_service']],
            ['hold', ['to' => 'released']], ['door', ['to' => 'shut']],
        ]);
        $shares = $this->shares($sheet);
        $wrong = array_keys(array_filter($shares, fn (float $share): bool => $share < 1));
        self::assertSame(['flame rod.flame', 'safety limit.disc', 'safety pressure.diaphragm', 'safety flame'], $wrong);
        $mark = $sheet->mark($this->rules());
        self::assertFalse($sheet->isSignedWrong());
        self::assertGreaterThan(0.8, $mark->line('put_right')->share);
        self::assertStringContainsString('flame current', Advice::of('where', $sheet));
    }

    public function test_a_safety_counts_when_it_was_made_to_act_with_the_fire_lit_and_written_as_it_did(): void
    {
        $shut = ['set', ['part' => 'cock', 'lever' => 'handle', 'to' => 'shut'], 300];
        $open = ['set', ['part' => 'cock', 'lever' => 'handle', 'to' => 'open'], 30];
        $off = ['set', ['part' => 'hose', 'lever' => 'end', 'to' => 'off'], 300];
        $on = ['set', ['part' => 'hose', 'lever' => 'end', 'to' => 'on'], 30];
        $written = [['fill_in', ['row' => 'safety flame']], ['fill_in', ['row' => 'safety pressure.diaphragm']]];
        $shares = $this->shares($this->sheet('healthy', [...self::OPEN, $shut, $open, $off, $on, ...$written]));
        self::assertSame([1.0, 1.0, 0.0], [
            $shares['safety flame'], $shares['safety pressure.diaphragm'], $shares['safety limit.disc'],
        ]);
        $unlit = ['set', ['part' => 'cock', 'lever' => 'handle', 'to' => 'shut'], 1];
        $shares = $this->shares($this->sheet('healthy', [...self::OPEN, $unlit, $open, ...$written]));
        self::assertSame(0.0, $shares['safety flame'], 'nothing burned yet');
    }

    public function test_who_copies_the_plate_gets_nothing_for_it(): void
    {
        $copied = array_filter(self::READ, fn (array $act): bool => $act[0] === 'fill_in');
        $sheet = $this->sheet('healthy', [...self::OPEN, ...array_values($copied), ['sign', ['as' => 'in_service']]]);
        self::assertSame(0.0, array_sum($this->shares($sheet)));
        self::assertLessThan(15.0, $sheet->mark($this->rules())->total());
    }

    public function test_a_gauge_that_was_put_on_while_nothing_burned_proves_no_figure(): void
    {
        $cold = array_map(fn (array $act): array => [$act[0], $act[1], 1], self::READ);
        $sheet = $this->sheet('healthy', [...self::OPEN, ...$cold, ['sign', ['as' => 'in_service']]]);
        $shares = $this->shares($sheet);
        foreach (['manifold', 'rise', 'input', 'flue-gas'] as $row) {
            self::assertSame(0.0, $shares[$row], $row);
        }
    }

    public function test_signed_as_it_was_found_out_of_order_passes_under_no_rules(): void
    {
        $sheet = $this->sheet('valve:set-high@some', [...self::OPEN, ['sign', ['as' => 'in_service']]]);
        self::assertTrue($sheet->isSignedWrong());
        $mark = $sheet->mark($this->rules());
        self::assertSame('signed_wrong', $mark->verdict);
        self::assertFalse($mark->passed());
    }

    public function test_what_nobody_may_run_is_not_signed_into_service_whatever_its_figures(): void
    {
        $sheet = $this->sheet('exchanger:cracked', [...self::OPEN, ['sign', ['as' => 'in_service']]]);
        self::assertTrue($sheet->mustNotRun);
        self::assertTrue($sheet->isSignedWrong());
    }

    public function test_who_tags_out_what_he_could_have_mended_does_not_pass(): void
    {
        $rules = $this->rules();
        $tagged = fn (bool $mustNotRun): Sheet => new Sheet([], 'out_of_service', false, false, true, $mustNotRun);
        self::assertFalse($tagged(false)->mark($rules)->passed(), 'to make it burn was the work');
        self::assertTrue($tagged(true)->mark($rules)->passed(), 'nobody may run it');
    }

    public function test_a_sound_one_that_is_signed_out_of_service_is_not_rightly_so(): void
    {
        $mark = $this->sheet('healthy', [...self::OPEN, ['sign', ['as' => 'out_of_service']]])->mark($this->rules());
        self::assertSame(0.0, $mark->line('put_right')->share);
        self::assertSame('unsigned', $mark->verdict);
    }
}
