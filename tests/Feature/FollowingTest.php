<?php

namespace Tests\Feature;

use App\Bench\ComputedFiles;
use App\Bench\Following;
use App\Models\Attempt;
use Illuminate\Foundation\Testing\RefreshDatabase;
use OddSpark\Run\Snapshot;
use Tests\School;
use Tests\TestCase;

/** Suspects are followed from where they were followed to before, and come out as if from the arrival. */
class FollowingTest extends TestCase
{
    use RefreshDatabase, School;

    private Attempt $attempt;

    private int $at = 0;

    protected function setUp(): void
    {
        parent::setUp();
        $this->withoutDefer();
        $this->withoutAnalyses();
        $this->openSchool();
        $this->attempt = $this->begin($this->give());
        @unlink($this->file());
    }

    private function file(): string
    {
        return ComputedFiles::named("following-{$this->attempt->id}");
    }

    private function goOn(): void
    {
        $acts = [
            ['look', ['part' => 'thermostat']],
            ['door', ['to' => 'open']],
            ['hold', ['to' => 'held']],
            ['hint', ['grade' => 'where']],
            ['leads', ['red' => 'board.R', 'black' => 'board.C']],
            ['leads', ['red' => 'igniter.1', 'black' => 'igniter.2']],
            ['look', ['part' => 'igniter']],
            ['leads', ['red' => 'valve.MV', 'black' => 'valve.MVC']],
        ];
        foreach ([0, 1] as $_) {
            [$name, $with] = $acts[$this->at % count($acts)];
            $this->act($this->attempt, $name, 5 + 9 * $this->at, $with)->assertOk();
            $this->at++;
        }
    }

    /** @return array{list<int>, string} how many were left after each, and the suspects with their weights */
    private function followed(): array
    {
        [$tracker, $left] = app(Following::class)->through($this->attempt->fresh(), null, fn () => null);

        return [$left, (string) json_encode($tracker->suspects(), JSON_PRESERVE_ZERO_FRACTION)];
    }

    public function test_in_pieces_it_comes_to_what_it_comes_to_at_once(): void
    {
        for ($piece = 0; $piece < 4; $piece++) {
            $this->goOn();
            $inPieces = $this->followed();
            $this->assertFileExists($this->file());
            $kept = file_get_contents($this->file());
            unlink($this->file());
            $this->assertSame($this->followed(), $inPieces, "piece $piece");
            file_put_contents($this->file(), $kept);
        }
        $this->assertCount(9, $inPieces[0]);
        $this->assertLessThan($inPieces[0][0], $inPieces[0][8]);
    }

    public function test_a_hint_sees_what_was_played_up_to_it_though_more_was_followed(): void
    {
        $this->goOn();
        $this->goOn();
        $this->followed(); // all four; what stood before the last is kept
        $stand = function (): array {
            $attempt = $this->attempt->fresh();
            [$tracker] = app(Following::class)->through($attempt, $attempt->entries->last(), fn () => null);

            return array_map(fn (array $c): int => $c[1]->now(), $tracker->candidates());
        };
        $followed = $stand();
        unlink($this->file());
        $this->assertSame($stand(), $followed);
        $this->assertSame([32_000], array_values(array_unique($followed)), 'the moment at which it was asked for');
    }

    public function test_what_was_kept_is_gone_on_from_and_nothing_else_is(): void
    {
        $this->goOn();
        $true = $this->followed();
        $kept = Snapshot::unpack(gzuncompress(file_get_contents($this->file())));
        $as = fn (array $otherwise) => file_put_contents(
            $this->file(),
            gzcompress(Snapshot::pack($otherwise + $kept)),
        );
        $as(['left' => [7777] + $kept['left']]);
        $this->assertSame(7777, $this->followed()[0][0], 'it was gone on from');

        $as(['of' => str_repeat('0', 64), 'left' => [7777] + $kept['left']]);
        $this->assertSame($true, $this->followed(), 'what is of other acts is not');
        foreach (['', 'x', substr(gzcompress(Snapshot::pack($kept)), 0, 900)] as $damaged) {
            file_put_contents($this->file(), $damaged);
            $this->assertSame($true, $this->followed(), 'what is damaged is not');
        }
    }
}
