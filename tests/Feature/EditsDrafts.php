<?php

namespace Tests\Feature;

use App\Models\Draft;
use Illuminate\Testing\TestResponse;
use OddSpark\Building\Document;

/** Drafts, and what is done to them over HTTP. */
trait EditsDrafts
{
    private Draft $draft;

    protected function setUp(): void
    {
        parent::setUp();
        $this->openSchool();
        $this->withoutAnalyses();
        $this->actingAs($this->instructor);
        $this->post('/drafts', ['title' => 'Printing shop furnace', 'region' => 'NA'])->assertRedirect();
        $this->draft = Draft::query()->sole();
    }

    /** @param array<string, mixed> ...$edits */
    private function edit(int $upon, array ...$edits): TestResponse
    {
        return $this->postJson("/drafts/{$this->draft->id}/edits", ['upon' => $upon, 'edits' => $edits]);
    }

    private function go(int $upon, string $way): TestResponse
    {
        return $this->postJson("/drafts/{$this->draft->id}/go", ['upon' => $upon, 'way' => $way]);
    }

    /**
     * @param array<string, mixed> $document
     * @param list<string|int> $path
     */
    private static function with(array $document, array $path, mixed $value): string
    {
        $at = &$document;
        foreach ($path as $key) {
            $at = &$at[$key];
        }
        $at = $value;
        unset($at);

        return Document::text($document);
    }
}
