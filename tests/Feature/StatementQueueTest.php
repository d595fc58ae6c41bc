<?php

namespace Tests\Feature;

use App\Records\StatementQueue;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Http;
use Symfony\Component\Process\Process;
use Tests\School;
use Tests\TestCase;

/** What is marked goes to a record store, however long that is away, and each statement once. */
class StatementQueueTest extends TestCase
{
    use RefreshDatabase, School;

    protected function setUp(): void
    {
        parent::setUp();
        $this->withoutAnalyses();
        $this->openSchool();
    }

    private function work(): int
    {
        $attempt = $this->begin($this->give());
        $this->act($attempt, 'look', 0, ['part' => 'thermostat'])->assertOk();
        $this->act($attempt, 'hand_back', 0)->assertOk();

        return DB::table('statement_queue')->count();
    }

    public function test_without_a_store_nothing_is_kept_for_one(): void
    {
        $this->assertSame(0, $this->work());
    }

    public function test_a_real_store_takes_each_once(): void
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'store');
        $port = $this->freePort();
        $store = new Process(
            [PHP_BINARY, '-S', "127.0.0.1:$port", base_path('ops/record-store.php')],
            env: ['SPARK_STORE_FILE' => $file],
        );
        $store->start();
        try {
            config(['spark.lrs' => ['url' => "http://127.0.0.1:$port", 'key' => 'try', 'secret' => 'try']]);
            $many = $this->work();
            $this->assertSame(4, $many, 'begun, two entries, the result');
            $this->waitFor($port);
            $this->assertSame($many, StatementQueue::send());
            $this->assertSame(0, DB::table('statement_queue')->count());
            StatementQueue::add($this->trainee->attempts()->sole());
            $this->assertSame($many, StatementQueue::send(), 'sent again, and taken once');
            $this->assertCount($many, file($file) ?: []);
            $last = json_decode((string) array_slice(file($file) ?: [], -1)[0], true);
            $this->assertStringEndsWith('failed', $last['verb']['id']);
        } finally {
            $store->stop();
            unlink($file);
        }
    }

    public function test_a_store_that_is_away_gets_it_later_and_is_asked_ever_less_often(): void
    {
        config(['spark.lrs' => ['url' => 'http://store.example', 'key' => 'a', 'secret' => 'b']]);
        $many = $this->work();
        $this->freezeSecond();
        Http::fake(
            ['store.example/*' => Http::sequence()->push('', 503)->push('', 503)->pushStatus(401)->push('[]', 200)],
        );
        $waits = [];
        for ($i = 0; $i < 3; $i++) {
            $this->assertSame(0, StatementQueue::send());
            $waits[] = now()->diffInSeconds(DB::table('statement_queue')->min('next_at'));
            $this->assertSame(0, StatementQueue::send(), 'not before its time');
            $this->travel(2)->hours();
        }
        $this->assertSame([5.0, 10.0, 20.0], array_map(round(...), $waits));
        Http::assertSentCount(3);
        $this->assertSame($many, StatementQueue::send());
        $this->assertSame(0, DB::table('statement_queue')->count());
    }

    public function test_one_that_is_refused_is_kept_with_the_reason_and_holds_up_no_other(): void
    {
        config(['spark.lrs' => ['url' => 'http://store.example', 'key' => 'a', 'secret' => 'b']]);
        $many = $this->work();
        $bad = DB::table('statement_queue')->skip(1)->value('statement_id');
        Http::fake(
            fn ($request) => str_contains($request->body(), $bad)
                ? Http::response('{"error":"no"}', 400)
                : Http::response('[]', 200),
        );
        $this->assertSame($many - 1, StatementQueue::send());
        $this->assertSame(
            [$bad => '{"error":"no"}'],
            DB::table('statement_queue')->pluck('refused', 'statement_id')->all(),
        );
        $this->assertSame(0, StatementQueue::send());
    }

    private function freePort(): int
    {
        $socket = stream_socket_server('tcp://127.0.0.1:0');
        $port = (int) substr((string) strrchr((string) stream_socket_get_name($socket, false), ':'), 1);
        fclose($socket);

        return $port;
    }

    private function waitFor(int $port): void
    {
        for ($i = 0; $i < 600; $i++) {
            $socket = @fsockopen('127.0.0.1', $port, timeout: 1);
            if ($socket !== false) {
                fclose($socket);

                return;
            }
            usleep(100_000);
        }
        $this->fail('The store did not start.');
    }
}
