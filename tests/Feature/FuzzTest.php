<?php

namespace Tests\Feature;

use App\Building\DraftEditor;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\Route;
use OddSpark\Appliance\Library;
use Tests\Fuzz\Requests;
use Tests\School;
use Tests\TestCase;

/**
 * Whatever is sent, it is no error of ours: a thousand requests over all endpoints, by those who may and those who may
 * not.
 */
class FuzzTest extends TestCase
{
    use RefreshDatabase, School;

    public function test_a_thousand_requests_that_are_nearly_right_cause_no_error_of_ours(): void
    {
        $this->openSchool();
        $this->withoutAnalyses();
        $furnace = $this->furnace();
        $open = $this->begin($this->give());
        $done = $this->begin($this->give());
        $this->act($done, 'hand_back', 1)->assertOk();
        $draft = app(DraftEditor::class)->begin(
            $this->instructor,
            (new Library())->document('furnace-standing-pilot'),
            'Begun.',
        );
        $model = $furnace->model();
        $requests = new Requests(
            (int) (getenv('SPARK_FUZZ_SEED') ?: 7),
            [
                'appliance' => [(string) $furnace->id],
                'assignment' => [(string) $open->assignment_id, (string) $done->assignment_id],
                'attempt' => [(string) $open->id, (string) $done->id],
                'course' => [(string) $this->course->id],
                'draft' => [(string) $draft->id],
                'task' => ['1'],
                'what' => ['model.json', 'wires.csv', 'netlist.cir', 'board.svg', 'x'],
                'sum' => ['capacitor', 'rise', 'x'],
            ],
            [...array_keys($model->wires()), 'limit.a', 'limit.b', 'board.C', 'board.R', 'w01.a', 'w02.b'],
            array_keys($model->parts()),
            self::routes(),
        );
        $statuses = $failures = [];
        for ($i = 0; $i < (int) (getenv('SPARK_FUZZ') ?: 1000); $i++) {
            [$method, $path, $body] = $requests->next();
            if (preg_match('#^/drafts/\d+$#', $path) === 1 && $method === 'DELETE') {
                continue; // it is needed for the others
            }
            $this->actingAs([$this->trainee, $this->instructor, $this->instructor, $this->classmate][$i % 4]);
            $response = $this->json($method, $path, $body ?? []);
            $statuses[$response->status()] = ($statuses[$response->status()] ?? 0) + 1;
            if ($response->status() >= 500) {
                $e = $response->exception;
                $failures[($e?->getFile() ?? '').':'.($e?->getLine() ?? '')] ??=
                    "request $i: $method $path ".
                    substr((string) json_encode($body, JSON_PARTIAL_OUTPUT_ON_ERROR), 0, 600).
                    ' '.
                    ($e?->getMessage() ?? '');
            }
        }
        $this->assertSame([], $failures);
        $this->assertGreaterThan(100, $statuses[200] ?? 0, 'some of them are right after all: '.json_encode($statuses));
        $this->assertGreaterThan(100, $statuses[422] ?? 0, json_encode($statuses));
    }

    /** @return list<array{string, string}> */
    private static function routes(): array
    {
        $routes = [];
        foreach (Route::getRoutes() as $route) {
            // acts and edits have the most to take in
            $times = str_ends_with($route->uri(), '/acts') || str_ends_with($route->uri(), '/edits') ? 12 : 1;
            for ($i = 0; $i < $times; $i++) {
                $routes[] = [$route->methods()[0], $route->uri()];
            }
        }

        return $routes;
    }
}
