<?php

namespace Tests\Feature;

use App\Http\Contract;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\Route;
use Tests\School;
use Tests\TestCase;

/** What browser and server say to each other is as contract/ has it; replies are held against it in every test. */
class ContractTest extends TestCase
{
    use RefreshDatabase, School;

    public function test_it_speaks_of_routes_and_schemas_that_there_are(): void
    {
        $routes = [];
        foreach (Route::getRoutes() as $route) {
            foreach ($route->methods() as $method) {
                $routes[] = "$method {$route->uri()}";
            }
        }
        $said = json_decode((string) file_get_contents(base_path('contract/requests.json')), true)['$defs'];
        $told = json_decode((string) file_get_contents(base_path('contract/replies.json')), true)['$defs'];
        foreach (Contract::routes() as $name => $types) {
            $this->assertContains($name, $routes);
            $this->assertArrayHasKey($types['request'] ?? array_key_first($said), $said, $name);
            $this->assertArrayHasKey($types['reply'] ?? array_key_first($told), $told, $name);
        }
    }

    public function test_every_text_of_a_request_has_a_length_and_every_list_too(): void
    {
        $requests = json_decode((string) file_get_contents(base_path('contract/requests.json')), true)['$defs'];
        foreach ($requests as $type => $schema) {
            $this->assertBounded($schema, $type);
        }
    }

    public function test_a_request_that_is_otherwise_is_refused_with_the_field_and_a_sentence(): void
    {
        $this->openSchool();
        $url = '/attempts/'.$this->begin($this->give())->id.'/play';
        foreach ([
            [['to_s' => '12'], 'to_s', 'to_s: must be number, not string.'],
            [['to_s' => 1e9], 'to_s', 'to_s: is too large: at most 10000000.'],
            [[], 'to_s', '"to_s" is missing.'],
            [['to_s' => 1, 'fault' => 'limit:open'], 'request', 'Not known here: fault.'],
        ] as [$body, $field, $sentence]) {
            $this->postJson($url, $body)->assertUnprocessable()->assertJsonPath("errors.$field.0", $sentence);
        }
        $this->postJson($url, ['to_s' => 1])->assertOk();
    }

    /** @param array<string, mixed> $schema */
    private function assertBounded(array $schema, string $at): void
    {
        $types = (array) ($schema['type'] ?? []);
        if (in_array('string', $types, true) && ! isset($schema['enum'])) {
            $this->assertArrayHasKey('maxLength', $schema, $at);
        }
        if (in_array('array', $types, true)) {
            $this->assertArrayHasKey('maxItems', $schema, $at);
        }
        foreach ($schema['properties'] ?? [] as $key => $of) {
            $this->assertBounded($of, "$at.$key");
        }
        if (isset($schema['items'])) {
            $this->assertBounded($schema['items'], "$at.*");
        }
    }
}
