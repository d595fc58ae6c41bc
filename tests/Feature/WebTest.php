<?php

namespace Tests\Feature;

use App\Building\DraftEditor;
use App\Jobs\RunTask;
use App\Models\Attempt;
use App\Models\Draft;
use App\Models\Task;
use App\Support\ShortLines;
use Illuminate\Database\QueryException;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Route;
use Inertia\Testing\AssertableInertia;
use Monolog\Level;
use Monolog\LogRecord;
use OddSpark\Appliance\Library;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\School;
use Tests\TestCase;

/** What the site says to browsers, to whoever sends too much, and when something is wrong with it. */
class WebTest extends TestCase
{
    use RefreshDatabase, School;

    protected function setUp(): void
    {
        parent::setUp();
        $this->openSchool();
    }

    public function test_pages_run_our_scripts_only_and_are_framed_by_nobody(): void
    {
        foreach (['/login', '/nothing-here', '/up'] as $path) {
            $response = $this->get($path);
            $policy = (string) $response->headers->get('Content-Security-Policy');
            $this->assertStringContainsString("script-src 'self';", $policy, $path);
            $this->assertStringContainsString("frame-ancestors 'none'", $policy, $path);
            $response
                ->assertHeader('X-Content-Type-Options', 'nosniff')
                ->assertHeader('Referrer-Policy', 'same-origin')
                ->assertHeaderMissing('Strict-Transport-Security');
            $this->assertNotNull($response->headers->get('Permissions-Policy'));
            $this->assertDoesNotMatchRegularExpression(
                '/https?:\/\/(?!127\.0\.0\.1|localhost)/',
                $response->getContent(),
                "$path loads nothing from elsewhere",
            );
            preg_match_all(
                '/<script(?![^>]*\bsrc=)(?![^>]*application\/json)[^>]*>/',
                $response->getContent(),
                $inline,
            );
            $this->assertSame([], $inline[0], $path);
        }
        $this->get('https://127.0.0.1/login')->assertHeader('Strict-Transport-Security');
    }

    public function test_no_file_of_storage_is_served(): void
    {
        $this->assertSame(
            [],
            collect(Route::getRoutes()->getRoutes())
                ->map->uri()
                ->filter(fn (string $uri) => str_starts_with($uri, 'storage'))
                ->all(),
        );
    }

    public function test_what_one_may_not_see_is_as_what_is_not_there(): void
    {
        $attempt = $this->begin($this->give());
        $this->actingAs($this->classmate);
        $there = $this->getJson("/attempts/$attempt->id")->assertNotFound();
        $none = $this->getJson('/attempts/987654')->assertNotFound();
        $this->assertSame($none->getContent(), $there->getContent());
        $this->assertSame(
            $this->get('/attempts/987654')->getContent(),
            $this->get("/attempts/$attempt->id")
                ->assertNotFound()
                ->getContent(),
        );
        $this->getJson('/attempts/1abc')->assertNotFound();
        $this->getJson('/attempts/99999999999999999999999')->assertNotFound();
    }

    /** @return iterable<string, array{string, string, int}> */
    public static function tooMuch(): iterable
    {
        yield 'large' => ['/attempts/1/play', '{"to_s":"'.str_repeat('9', 250_000).'"}', 413];
        yield 'deep' => ['/attempts/1/acts', str_repeat('[', 60).str_repeat(']', 60), 422];
        yield 'no JSON' => ['/attempts/1/acts', '{"act":', 422];
        yield 'no object' => ['/attempts/1/acts', '5', 422];
        yield 'no UTF-8' => ['/attempts/1/acts', "{\"act\":\"\xff\xfe\"}", 422];
    }

    #[DataProvider('tooMuch')]
    public function test_what_is_too_much_gets_a_sentence(string $path, string $body, int $status): void
    {
        $response = $this->actingAs($this->trainee)->call(
            'POST',
            $path,
            [],
            [],
            [],
            ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'],
            $body,
        );
        $this->assertSame($status, $response->status());
        $this->assertMatchesRegularExpression('/^[A-Z].*\.$/', $response->json('message'));
    }

    public function test_a_database_that_is_away_or_a_full_disk_is_said_plainly(): void
    {
        $fail = function (string $message, int $code): \Illuminate\Testing\TestResponse {
            Route::get('/fail', function () use ($message, $code): void {
                $e = new \PDOException($message);
                $e->errorInfo = ['HY000', $code, $message];
                throw new QueryException('mariadb', 'insert into `entries` values (?)', ['secret'], $e);
            });

            return $this->getJson('/fail');
        };
        $fail('Connection refused', 2002)
            ->assertStatus(503)
            ->assertHeader('Retry-After')
            ->assertJsonPath(
                'message',
                'The database is not responding right now. Nothing is lost; try again in a few seconds.',
            );
        $fail('The table \'entries\' is full', 1114)
            ->assertStatus(507)
            ->assertJsonPath(
                'message',
                'The server\'s disk is full. Nothing was changed. Tell whoever runs this site.',
            );
        $other = $fail('Unknown column', 1054)->assertStatus(500);
        $this->assertStringNotContainsString('entries', $other->getContent());
        $this->assertStringNotContainsString('secret', $other->getContent());
    }

    public function test_a_line_of_the_log_is_short_whatever_was_sent(): void
    {
        $line = (new ShortLines())->format(
            new LogRecord(
                new \DateTimeImmutable(),
                'site',
                Level::Error,
                str_repeat('x', 4_000_000)."\nforged line",
                [
                    'exception' => new \RuntimeException(str_repeat('y', 4_000_000)),
                    'more' => str_repeat('z', 4_000_000),
                ],
            ),
        );
        $this->assertLessThan(4000, strlen($line));
        $this->assertSame(1, substr_count($line, "\n"));
    }

    public function test_an_attempt_has_a_thousand_entries_at_most_and_is_then_handed_back(): void
    {
        $attempt = $this->begin($this->give());
        Attempt::query()
            ->whereKey($attempt->id)
            ->update(['entries_count' => 1000]);
        $this->act($attempt, 'look', 1, ['part' => 'thermostat'])
            ->assertUnprocessable()
            ->assertJsonPath(
                'message',
                '/act: This attempt has 1000 entries, the most allowed. Close the call.',
            );
        $this->act($attempt, 'hand_back', 1)->assertOk();
    }

    public function test_handing_back_again_gets_the_same_answer(): void
    {
        $attempt = $this->begin($this->give());
        $first = $this->act($attempt, 'hand_back', 1, [], 'one')->assertOk()->json();
        foreach (['one', 'two'] as $id) {
            $again = $this->act($attempt, 'hand_back', 1, [], $id)->assertOk()->json();
            $this->assertSame($first['entry'], $again['entry']);
            $this->assertTrue($again['handed_back']);
        }
        $this->assertSame(1, $attempt->entries()->count());
        $this->assertSame(1, $attempt->marks()->count());
        $this->act($attempt, 'look', 2, ['part' => 'thermostat'])->assertConflict();
    }

    public function test_an_edit_that_is_sent_twice_is_made_once(): void
    {
        $draft = app(DraftEditor::class)->begin(
            $this->instructor,
            (new Library())->document('furnace-standing-pilot'),
            'Begun.',
        );
        $edit = ['id' => 'one', 'upon' => 0, 'edits' => [['do' => 'label', 'part' => 'blower', 'label' => 'Fan']]];
        $this->actingAs($this->instructor)
            ->postJson("/drafts/$draft->id/edits", $edit)
            ->assertOk()
            ->assertJsonPath('step', 1);
        $this->postJson("/drafts/$draft->id/edits", $edit)
            ->assertOk()
            ->assertJsonPath('step', 1)
            ->assertJsonPath('whole', true)
            ->assertJsonPath('document.parts.0.id', $draft->content()['parts'][0]['id']);
        $this->assertSame(2, $draft->steps()->count());
        $this->postJson("/drafts/$draft->id/edits", ['id' => 'two'] + $edit)->assertConflict();
    }

    public function test_a_colour_that_cannot_be_drawn_is_refused(): void
    {
        $draft = app(DraftEditor::class)->begin(
            $this->instructor,
            (new Library())->document('furnace-standing-pilot'),
            'Begun.',
        );
        $edit = fn (array $edit) => $this->actingAs($this->instructor)->postJson("/drafts/$draft->id/edits", [
            'upon' => $draft->refresh()->step,
            'edits' => [$edit],
        ]);
        $edit(['do' => 'rewire', 'wire' => 'w14', 'colour' => 'moonlight'])
            ->assertUnprocessable()
            ->assertJsonPath('pointer', fn (string $p) => preg_match('#^/wires/\d+/colour$#', $p) === 1);
        $edit(['do' => 'set', 'path' => '/title', 'value' => str_repeat('x', 121)])->assertUnprocessable();
        $this->get("/drafts/$draft->id/files/board.svg")->assertOk();
    }

    public function test_a_large_model_is_taken_in_beside_the_site(): void
    {
        $document = [
            'odd_spark_model' => 1,
            'name' => 'large',
            'title' => 'Large',
            'notes' => '',
            'supply' => ['hertz' => 60, 'volts' => 120, 'region' => 'NA'],
            'parts' => [],
            'joined' => [],
            'wires' => [],
            'cables' => [],
            'percepts' => new \stdClass(),
            'tape' => [],
            'doors' => [],
        ];
        for ($i = 0; $i < 160; $i++) {
            $document['parts'][] = [
                'id' => "p$i",
                'kind' => 'limit-switch',
                'label' => "Part $i",
                'at' => [40 + ($i % 16) * 190, 60 + intdiv($i, 16) * 170],
            ];
        }
        $task = $this->actingAs($this->instructor)
            ->post('/drafts', ['file' => json_encode($document)])
            ->assertRedirect()
            ->headers->get('Location');
        $this->assertMatchesRegularExpression('#/tasks/\d+$#', (string) $task);
        $this->get((string) $task)->assertRedirect('/drafts/'.Draft::query()->sole()->id);
    }

    public function test_a_paper_is_waited_for_and_then_fetched(): void
    {
        $draft = app(DraftEditor::class)->begin(
            $this->instructor,
            (new Library())->document('furnace-standing-pilot'),
            'Begun.',
        );
        Queue::fake();
        $url = "/drafts/$draft->id/files/ladder.pdf";
        $this->actingAs($this->instructor)->getJson($url)->assertStatus(202)->assertJsonPath('state', 'queued');
        $this->get($url)
            ->assertStatus(202)
            ->assertInertia(
                fn (AssertableInertia $page) => $page->component('Working')->where('goes', $url)->where('isFile', true),
            );
        (new RunTask(Task::query()->sole()->id))->handle();
        $this->assertStringStartsWith(
            '%PDF',
            $this->get($url)->assertOk()->assertHeader('Content-Type', 'application/pdf')->getContent(),
        );
    }
}
