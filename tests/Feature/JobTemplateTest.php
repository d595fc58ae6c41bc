<?php

namespace Tests\Feature;

use App\Models\Appliance;
use App\Models\JobTemplate;
use App\Models\RuleSet;
use App\Models\User;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Tests\TestCase;

class JobTemplateTest extends TestCase
{
    use RefreshDatabase;

    private User $instructor;

    private Appliance $furnace;

    protected function setUp(): void
    {
        parent::setUp();
        RuleSet::ship();
        $this->instructor = User::factory()->instructor()->create();
        $this->furnace = Appliance::ship('furnace-80');
    }

    public function test_a_job_is_kept_found_with_its_model_written_over_by_its_title_and_taken_out(): void
    {
        $this->actingAs($this->instructor)->post($this->kept(), $this->job())->assertRedirect(
            "/models/{$this->furnace->id}",
        );
        $this->post($this->kept(), ['minutes' => 30] + $this->job())->assertRedirect();
        $template = JobTemplate::query()->sole();
        $this->get("/models/{$this->furnace->id}")->assertInertia(fn ($page) => $page
            ->where('templates.0.title', 'Second week')->where('templates.0.job.fault', 'limit:stuck-open')
            ->where('templates.0.job.rules', RuleSet::query()->where('name', 'journeyman')->value('id'))
            ->where('templates.0.job.minutes', 30)->etc());
        $this->actingAs(User::factory()->instructor()->create())->get("/models/{$this->furnace->id}")
            ->assertInertia(fn ($page) => $page->where('templates', [])->etc());
        $this->delete($this->kept()."/$template->id")->assertNotFound();
        $this->actingAs($this->instructor)->delete($this->kept()."/$template->id")->assertRedirect();
        $this->assertSame(0, JobTemplate::query()->count());
    }

    public function test_one_is_shared_to_be_used_or_to_be_taken_out_too(): void
    {
        $this->actingAs($this->instructor)->post($this->kept(), $this->job());
        $template = JobTemplate::query()->sole();
        $other = User::factory()->instructor()->create();
        $share = fn (string $may) => $this->actingAs($this->instructor)->post('/shares', [
            'of' => 'template', 'name' => $template->name, 'course' => null, 'may' => $may,
        ])->assertRedirect();
        $share('read');
        $this->actingAs($other)->get("/models/{$this->furnace->id}")->assertInertia(fn ($page) => $page
            ->where('templates.0.by', $this->instructor->name)->where('templates.0.may_change', false)->where('templates.0.shares', [])->etc());
        $this->delete($this->kept()."/$template->id")->assertNotFound();
        $this->post(
            '/shares',
            ['of' => 'template', 'name' => $template->name, 'course' => null, 'may' => 'edit'],
        )->assertNotFound();
        $share('edit');
        $this->actingAs($other)->delete($this->kept()."/$template->id")->assertRedirect();
        $this->assertSame(0, JobTemplate::query()->count());
    }

    public function test_what_is_wrong_with_it_is_said_and_nothing_is_kept(): void
    {
        foreach ([
            'fault' => 'limit:melted', 'visit' => 'noon', 'kind' => 'free', 'title' => '', 'rules' => 999_999,
            'minutes' => 0, 'pool' => ['limit:melted'], 'complaint' => '',
        ] as $field => $wrong) {
            $this->actingAs($this->instructor)->post(
                $this->kept(),
                [$field => $wrong] + $this->job(),
            )->assertSessionHasErrors();
        }
        $this->assertSame(0, JobTemplate::query()->count());
    }

    public function test_one_whose_fault_the_model_has_no_more_is_not_offered(): void
    {
        $this->actingAs($this->instructor)->post($this->kept(), $this->job());
        $template = JobTemplate::query()->sole();
        $template->update(['job' => ['fault' => 'limit:melted'] + $template->job]);
        $this->get("/models/{$this->furnace->id}")->assertInertia(fn ($page) => $page->where('templates', [])->etc());
    }

    private function kept(): string
    {
        return "/models/{$this->furnace->id}/templates";
    }

    /** @return array<string, mixed> */
    private function job(): array
    {
        return [
            'title' => 'Second week', 'fault' => 'limit:stuck-open', 'pool' => [
                'igniter:cracked',
            ], 'visit' => 'cold', 'kind' => 'practice',
            'complaint' => 'It blows cold air all day.', 'low_battery' => false, 'worn_leads' => true, 'stops' => false,
            'rules' => RuleSet::query()->where('name', 'journeyman')->value('id'),
        ];
    }
}
