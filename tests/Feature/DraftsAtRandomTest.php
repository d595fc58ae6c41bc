<?php

namespace Tests\Feature;

use App\Models\Draft;
use App\Models\DraftStep;
use Illuminate\Foundation\Testing\RefreshDatabase;
use OddSpark\Appliance\DocumentFile;
use OddSpark\Appliance\Library;
use OddSpark\Building\Document;
use OddSpark\Building\Edits;
use Tests\School;
use Tests\TestCase;

/** Drafts at random: damaged files, random edits, ways back. */
class DraftsAtRandomTest extends TestCase
{
    use EditsDrafts;
    use RefreshDatabase, School;

    public function test_hundreds_of_damaged_files_and_edits_cause_no_error_of_ours_and_leave_nothing_behind(): void
    {
        $random = new \Random\Randomizer(new \Random\Engine\Mt19937(11));
        $text = $this->draft->document;
        $good = (string) json_encode((new Library())->document('furnace-standing-pilot'));
        $taken = 0;
        for ($i = 0; $i < 150; $i++) {
            $at = $random->getInt(0, strlen($good) - 1);
            $bad = substr_replace(
                $good,
                $i % 2 === 0 ? chr($random->getInt(32, 126)) : '',
                $at,
                $random->getInt(1, 12),
            );
            $before = Draft::query()->count();
            $response = $this->post('/drafts', ['file' => $bad]);
            $this->assertSame(302, $response->status(), "file $i");
            $taken += Draft::query()->count() - $before;
            $this->assertSame(Draft::query()->count(), DraftStep::query()->where('number', 0)->count());
        }
        $this->assertLessThan(140, $taken, 'most are refused; what is sound after all is taken in whole');
        $junk = [null, -1, 1e300, '', 'moon', [], [[]], ['x' => 1], true, str_repeat('a', 5000)];
        foreach (array_keys(Edits::EDITS) as $name) {
            foreach ($junk as $value) {
                $edit = ['do' => $name] + array_fill_keys(array_keys(Edits::EDITS[$name]), $value);
                $response = $this->postJson("/drafts/{$this->draft->id}/edits", [
                    'upon' => $this->draft->refresh()->step,
                    'edits' => [$edit],
                ]);
                $this->assertContains(
                    $response->status(),
                    [200, 422],
                    "$name ".json_encode($value).$response->content(),
                );
            }
        }
        $this->assertSame($text, $this->draft->refresh()->document);
    }

    /**
     * Random edits through the site: what the database holds, what the file says, and what comes of taking that file in
     * again are one text.
     */
    public function test_random_edits_come_back_through_database_and_file_and_undo_ends_at_the_first_byte(): void
    {
        $first = $this->draft->document;
        $random = new \Random\Randomizer(new \Random\Engine\Mt19937(23));
        $kinds = ['supply', 'breaker', 'limit-switch', 'transformer-120-24', 'relay-24', 'circulator'];
        $made = 0;
        for ($i = 0; $i < 60; $i++) {
            $document = $this->draft->refresh()->content();
            $places = array_merge(
                [],
                ...array_map(
                    fn (array $p) => array_map(
                        fn (string $t) => "{$p['id']}.$t",
                        array_map('strval', array_keys((new Library())->kind($p['kind'])['terminals'])),
                    ),
                    $document['parts'],
                ),
            );
            $any = fn (array $list): mixed => $list[$random->getInt(0, count($list) - 1)];
            $edit = match ($places === [] ? 0 : $random->getInt(0, 5)) {
                0, 1 => [
                    'do' => 'place',
                    'kind' => $any($kinds),
                    'at' => [$random->getInt(0, 1100), $random->getInt(0, 700)],
                ],
                2, 3 => ['do' => 'wire', 'from' => $any($places), 'to' => $any($places)],
                4 => ['do' => 'move', 'parts' => [$any(array_column($document['parts'], 'id'))], 'by' => [14, -7]],
                default => ['do' => 'remove', 'parts' => [$any(array_column($document['parts'], 'id'))]],
            };
            $made += $this->edit($this->draft->step, $edit)->status() === 200 ? 1 : 0;
        }
        $this->assertGreaterThan(30, $made);
        $text = $this->draft->refresh()->document;
        $this->assertSame($text, Document::text($this->draft->content()));
        $file = (string) $this->get("/drafts/{$this->draft->id}/files/model.json")->content();
        $this->assertSame(
            json_decode($text, true) + ['about' => ['made_with' => DocumentFile::READS]],
            json_decode($file, true),
            'and what it needs to be read',
        );
        $this->post('/drafts', ['file' => $file])->assertRedirect();
        $again = Draft::query()->whereKeyNot($this->draft->id)->sole();
        $this->assertSame(
            str_replace('"name": "printing-shop-furnace"', '"name": "printing-shop-furnace-2"', $text),
            $again->document,
        );
        for ($steps = 0; $this->draft->refresh()->step > 0 && $steps < 80; $steps++) {
            $this->go($this->draft->step, 'undo')->assertOk();
        }
        $this->assertSame($first, $this->draft->document);
    }

    public function test_after_going_back_another_way_is_taken_and_the_first_is_still_kept(): void
    {
        $this->edit(0, ['do' => 'place', 'kind' => 'supply', 'at' => [40, 400], 'label' => 'Panel']);
        $this->go(1, 'undo');
        $this->edit(0, [
            'do' => 'place',
            'kind' => 'supply-240',
            'at' => [40, 400],
            'label' => 'Panel 240',
        ])->assertJsonPath('step', 2);
        $this->postJson("/drafts/{$this->draft->id}/label", ['number' => 1, 'label' => 'with one leg'])
            ->assertOk()
            ->assertJsonPath('1.label', 'with one leg');
        $this->getJson("/drafts/{$this->draft->id}/difference?from=1&to=2")
            ->assertOk()
            ->assertJson(['Panel 240 placed.', 'Panel taken off.']);
        $this->postJson("/drafts/{$this->draft->id}/restore", ['upon' => 2, 'number' => 1])
            ->assertOk()
            ->assertJsonPath('step', 3)
            ->assertJsonPath('told.parts.0.label', 'Panel');
        $this->assertSame(
            'As it was at step 1, "with one leg".',
            DraftStep::query()->where('number', 3)->sole()->words,
        );
        $this->getJson("/drafts/{$this->draft->id}/difference?from=1&to=9")->assertUnprocessable();
        $this->getJson("/drafts/{$this->draft->id}/history")->assertOk()->assertJsonPath('0.number', 3);
    }
}
