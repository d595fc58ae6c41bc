<?php

namespace Tests\Feature;

use App\Bench\Attempts;
use App\Http\Middleware\HandleInertiaRequests;
use App\Models\Attempt;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\Cache;
use OddSpark\Acts\Catalogue;
use OddSpark\Bench\Observations;
use OddSpark\Run\Snapshot;
use OddSpark\Senses\Record;
use Tests\School;
use Tests\TestCase;

/**
 * For any two faults that agree on all observations so far, complete responses are the same to the byte.
 *
 * What was observed is computed beside the web, from the core; the responses are those that a
 * trainee's browser gets, with all headers but the date and the encrypted cookies.
 */
class SecrecyTest extends TestCase
{
    use RefreshDatabase, School;

    /** Those that look alike for a while, and then are told apart. */
    private const FAULTS = [
        'igniter:cracked',
        'w30:open',
        'board:igniter-relay-dead',
        'valve:coil-open',
        'w27:open',
        'board:valve-relay-dead',
        'cock:shut',
        'inducer:open',
        'healthy',
        'limit:stuck-closed',
        'w36:elsewhere',
    ];

    /** More of them, with SPARK_ALL_FAULTS. */
    private const MORE = [
        'w31:open',
        'igniter:aged',
        'valve:stuck-shut',
        'w28:open',
        'meter:no-gas',
        'w33:open',
        'board:inducer-relay-dead',
        'limit:bridged',
    ];

    public function test_responses_are_equal_to_the_byte_until_something_tells_two_faults_apart(): void
    {
        $this->openSchool();
        $attempt = $this->begin($this->give());
        $replies = [];
        $faults = getenv('SPARK_ALL_FAULTS') ? [...self::FAULTS, ...self::MORE] : self::FAULTS;
        foreach ($faults as $fault) {
            $replies[$fault] = $this->work($attempt, $fault);
        }
        $pairs = $steps = 0;
        foreach ($faults as $i => $a) {
            foreach (array_slice($faults, $i + 1) as $b) {
                $same = 0;
                foreach ($replies[$a] as $n => [$seen, $response]) {
                    if ($seen !== $replies[$b][$n][0]) {
                        break;
                    }
                    $this->assertSame($response, $replies[$b][$n][1], "$a and $b, step $n");
                    $same++;
                }
                $pairs += $same > 2 && $same < count($replies[$a]) ? 1 : 0;
                $steps += $same;
            }
        }
        // of 11 faults there are 55 pairs, of 19 there are 171
        $this->assertGreaterThanOrEqual(
            getenv('SPARK_ALL_FAULTS') ? 20 : 7,
            $pairs,
            'pairs that agree for a while and are then told apart',
        );
        $this->assertGreaterThan(100, $steps);
    }

    /**
     * The same work with each fault, in the same attempt.
     *
     * @return list<array{string, string}> what was observed, and the response
     */
    private function work(Attempt $attempt, string $fault): array
    {
        Cache::flush(); // the count of requests is part of the headers
        $attempts = app(Attempts::class);
        $attempt->entries()->delete();
        $attempt->assignment->update(['fault' => $fault]);
        $assignment = $attempt->assignment->fresh();
        $bench = $attempts->bench($assignment, $attempt->seed);
        $state = $bench->arrive('cold')->state;
        $state = $bench->resume($state);
        Attempt::query()
            ->whereKey($attempt->id)
            ->update([
                'state' => Snapshot::pack($state->toArray()),
                'record' => Snapshot::pack($bench->record->kept()),
            ]);

        $rows = [];
        $entries = [];
        $note = function (string $uri, array $body) use (&$rows, &$entries, &$state, $bench): void {
            $response =
                $body === []
                    ? $this->get($uri, [
                        'X-Inertia' => 'true',
                        'X-Inertia-Version' => (string) app(HandleInertiaRequests::class)->version(request()),
                    ])
                    : $this->postJson($uri, $body);
            $this->assertSame(200, $response->status(), $uri);
            $headers = $response->headers->all();
            unset($headers['date'], $headers['set-cookie']);
            if (isset($body['act'])) {
                [$state, $outcome] = $bench->do($state, $act = Catalogue::act($body));
                $entries[] = [$act, $outcome];
            } elseif (isset($body['to_s'])) {
                $state = $bench->advance($state, $body['to_s'] * 1000);
            }
            $until = $state->now() + 10_000;
            $past = $bench->record->kept();
            $bench->advance($state, $until); // what the reply looks ahead to
            $seen = new Observations('cold', $entries, $bench->record->until($until), $until, []);
            $bench->record = Record::resumed($past);
            $rows[] = [
                json_encode($seen->toArray()),
                $response->status()."\n".json_encode($headers)."\n".$response->getContent(),
            ];
        };
        $url = "/attempts/$attempt->id";
        $note($url, []);
        foreach ($this->script() as $i => $step) {
            isset($step['act']) ? $note("$url/acts", ['id' => "s$i"] + $step) : $note("$url/play", $step);
        }
        $note($url, []);

        return $rows;
    }

    /** @return list<array<string, mixed>> */
    private function script(): array
    {
        $script = [
            ['act' => 'look', 'at_s' => 1, 'part' => 'thermostat'],
            ['act' => 'look', 'at_s' => 2, 'part' => 'breaker'],
            ['act' => 'door', 'at_s' => 3, 'to' => 'open'],
            ['act' => 'hold', 'at_s' => 4, 'to' => 'held'],
            ['act' => 'leads', 'at_s' => 5, 'red' => 'board.R', 'black' => 'board.C'],
            ['act' => 'hint', 'at_s' => 6, 'grade' => 'where'],
        ];
        foreach ([14, 23, 32, 41, 50] as $t) {
            $script[] = ['to_s' => $t];
        }

        return [
            ...$script,
            ['act' => 'leads', 'at_s' => 54, 'red' => 'igniter.1', 'black' => 'igniter.2'],
            ['act' => 'leads', 'at_s' => 55, 'red' => 'valve.MV', 'black' => 'valve.MVC'],
            ['act' => 'hint', 'at_s' => 56, 'grade' => 'circuit'],
            ['act' => 'hint', 'at_s' => 56, 'grade' => 'reading'],
            ['act' => 'hold', 'at_s' => 57, 'to' => 'released'],
            ['act' => 'dial', 'at_s' => 58, 'mode' => 'ohm'],
            ['act' => 'leads', 'at_s' => 60, 'red' => 'igniter.1', 'black' => 'igniter.2'],
            ['act' => 'leads', 'at_s' => 61, 'red' => 'valve.MV', 'black' => 'valve.MVC'],
            ['act' => 'look', 'at_s' => 62, 'part' => 'cock'],
        ];
    }
}
