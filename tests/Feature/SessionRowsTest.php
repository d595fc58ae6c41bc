<?php

namespace Tests\Feature;

use App\Auth\SessionRows;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/** A session's row is written when something in it has changed, and once a minute. */
class SessionRowsTest extends TestCase
{
    use RefreshDatabase;

    private function rows(): SessionRows
    {
        return new SessionRows(DB::connection(), 'sessions', 600, $this->app);
    }

    private function active(string $id): int
    {
        return (int) DB::table('sessions')->where('id', $id)->value('last_activity');
    }

    public function test_what_has_not_changed_is_written_once_a_minute(): void
    {
        $this->freezeSecond(); // what goes by is said, and not measured
        $id = str_repeat('a', 40);
        $this->rows()->write($id, 'first');
        $begun = $this->active($id);

        $this->travel(30)->seconds();
        $rows = $this->rows();
        $this->assertSame('first', $rows->read($id));
        $rows->write($id, 'first');
        $this->assertSame($begun, $this->active($id));

        $this->travel(31)->seconds();
        $rows = $this->rows();
        $rows->read($id);
        $rows->write($id, 'first');
        $this->assertSame($begun + 61, $this->active($id));
    }

    public function test_what_has_changed_is_written_at_once(): void
    {
        $id = str_repeat('b', 40);
        $this->rows()->write($id, 'first');
        $rows = $this->rows();
        $rows->read($id);
        $rows->write($id, 'second');
        $this->assertSame('second', $this->rows()->read($id));
    }

    public function test_one_that_was_ended_elsewhere_does_not_come_back(): void
    {
        $id = str_repeat('c', 40);
        $this->rows()->write($id, 'first');
        $rows = $this->rows();
        $rows->read($id);
        DB::table('sessions')->where('id', $id)->delete();
        $rows->write($id, 'changed meanwhile');
        $this->assertSame('', $this->rows()->read($id));
    }

    public function test_one_that_has_run_out_is_empty(): void
    {
        $id = str_repeat('d', 40);
        $this->rows()->write($id, 'first');
        $this->travel(601)->minutes();
        $this->assertSame('', $this->rows()->read($id));
    }
}
