<?php

namespace Tests\Feature;

use App\Models\Appliance;
use App\Models\Draft;
use App\Models\LabReading;
use App\Models\User;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;

/** The lab book of a model: real readings noted, beside what the model gives, and the model fitted to a unit. */
class LabTest extends TestCase
{
    use RefreshDatabase;

    private const IGNITER = [
        'unit' => 'bay 4', 'date' => '2026-11-02', 'by' => 'second group', 'meter' => 'shop meter 3', 'visit' => 'cold',
        'at_s' => 1, 'mode' => 'ohm', 'red' => 'igniter.1', 'black' => 'igniter.2', 'value' => 82, 'fault' => '', 'tap' => '',
        'note' => '',
    ];

    private User $instructor;

    private Appliance $furnace;

    protected function setUp(): void
    {
        parent::setUp();
        $this->instructor = User::factory()->instructor()->create();
        $this->furnace = Appliance::ship('furnace-80');
    }

    public function test_a_reading_is_noted_compared_and_taken_out_by_whoever_noted_it(): void
    {
        $this->actingAs($this->instructor)->post($this->book(), self::IGNITER)->assertRedirect($this->book());
        $reading = LabReading::query()->sole();
        $this->get($this->book())->assertInertia(fn ($page) => $page->component('Lab')
            ->where('readings.0.value', 82)->where('readings.0.is_in', 'Ω')->where('readings.0.mine', true)->etc());
        $compared = $this->getJson($this->book().'/compared')->assertOk()->json('rows.0');
        $this->assertSame($reading->id, $compared['id']);
        $this->assertEqualsWithDelta(58, $compared['model'], 0.1);
        $this->assertFalse($compared['agrees']);
        $this->actingAs(User::factory()->instructor()->create());
        $this->get($this->book())->assertOk();
        $this->delete($this->book()."/$reading->id")->assertNotFound();
        $this->actingAs($this->instructor)->delete($this->book()."/$reading->id")->assertRedirect($this->book());
        $this->assertSame(0, LabReading::query()->count());
    }

    public function test_what_is_wrong_with_a_reading_is_said_and_nothing_is_noted(): void
    {
        foreach ([
            [
                'date' => '2026-02-30',
            ], ['visit' => 'noon'], ['mode' => 'psi'], ['red' => 'igniter.7'], ['fault' => 'moon:gone'],
            ['value' => 'much'], ['at_s' => -1], ['tap' => 'moon'], ['mode' => 'ua'], ['unit' => ''], [
                'value' => '1e999',
            ],
        ] as $wrong) {
            $answer = $this->actingAs($this->instructor)->post($this->book(), $wrong + self::IGNITER);
            $answer->assertSessionHasErrors();
        }
        $this->assertSame(0, LabReading::query()->count());
    }

    public function test_a_list_comes_in_whole_or_not_at_all_and_goes_out_as_it_came(): void
    {
        $head = "unit,date,visit,at_s,tap,value,by\n";
        $good = "bay 4,2026-11-02,cold,120,manifold,3.2,Group B\nbay 4,2026-11-02,cold,120,supply-duct,\"98,5\",Group B\n";
        $answer = $this->actingAs($this->instructor)->post(
            $this->book().'/file',
            ['csv' => $head.$good."bay 4,2026-11-02,cold,120,chimney,1,x\n"],
        );
        $this->assertStringStartsWith('Line 4: There is no tap "chimney"', $this->said($answer, 'tap'));
        $this->assertSame(0, LabReading::query()->count());
        $this->post($this->book().'/file', ['csv' => $head.$good])->assertRedirect($this->book());
        $this->assertSame([3.2, 98.5], LabReading::query()->orderBy('id')->pluck('value')->all());
        $out = $this->get($this->book().'/book.csv')->assertOk()->getContent();
        LabReading::query()->delete();
        $this->post($this->book().'/file', ['csv' => (string) $out])->assertRedirect($this->book());
        $this->assertSame(2, LabReading::query()->where('by', 'Group B')->count());
    }

    public function test_a_model_is_fitted_to_a_unit_and_kept_as_ones_own(): void
    {
        $this->actingAs($this->instructor);
        foreach ([
            self::IGNITER,
            ['tap' => 'manifold', 'at_s' => 120, 'value' => 3.15] + self::IGNITER,
            ['unit' => 'bay 5', 'value' => 58] + self::IGNITER,
        ] as $reading) {
            $this->post($this->book(), $reading)->assertRedirect($this->book());
        }
        $fit = $this->postJson($this->book().'/fit', ['unit' => 'bay 4'])->assertOk()->json();
        $this->assertEqualsCanonicalizing(['igniter', 'valve'], array_column($fit['changes'], 'part'));
        $this->assertSame([true, true], array_column($fit['after'], 'agrees'));
        $this->post($this->book().'/keep', ['unit' => 'bay 4'])->assertRedirect();
        $draft = Draft::query()->sole();
        $this->assertStringEndsWith(', as bay 4', $draft->title);
        $parts = array_column($draft->content()['parts'], null, 'id');
        $this->assertEqualsWithDelta(82, $parts['igniter']['params']['element']['cold_ohm'], 1);
        $this->post($this->book().'/keep', ['unit' => 'bay 5'])->assertSessionHasErrors('unit');
    }

    private function book(): string
    {
        return "/models/{$this->furnace->id}/lab";
    }

    /** @param TestResponse<\Symfony\Component\HttpFoundation\Response> $answer */
    private function said(TestResponse $answer, string $field): string
    {
        return (string) $answer->getSession()?->get('errors')?->first($field);
    }
}
