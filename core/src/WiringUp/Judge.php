<?php

declare(strict_types=1);

namespace OddSpark\WiringUp;

use OddSpark\Appliance\Compiler;
use OddSpark\Appliance\Model;
use OddSpark\Appliance\Plan;
use OddSpark\Run\BenchState;
use OddSpark\Senses\Record;
use OddSpark\Suspects\Trial;
use OddSpark\Wiring\Checks;
use OddSpark\Wiring\Finding;

/**
 * A wiring judged by what it does: every load through a long visit, and after whatever is thrown, opened, closed or put
 * out, beside the same parts wired as their maker drew them. Which wire goes where is never compared.
 */
final class Judge
{
    private readonly Rehearsal $sound;

    private readonly Trial $trial;

    private readonly Program $program;

    /** @var list<array{Track, array<string, float|string>}> what follows with the sound one, and how it stood before */
    private array $follows = [];

    public function __construct(Plan $sound, private readonly string $visit)
    {
        $this->trial = new Trial($sound->model);
        $this->sound = new Rehearsal($sound, Loads::of($sound), $this->trial, $visit);
        $this->program = new Program($this->sound, $this->trial);
        $states = [];
        foreach ($this->program->tryings() as $i => $trying) {
            $state = $this->state($trying->station, $this->sound, $states);
            $track = $state === null ? null : $trying->with($this->sound, $state);
            if ($track !== null && $state !== null) {
                $this->follows[$i] = [$track, $this->sound->at($state)];
            }
        }
    }

    /** Tick at which the long visit ends. */
    public function end(): int
    {
        return $this->trial->end();
    }

    /** @return list<string> the sequence in sentences: what comes on when, and what each safety stops */
    public function described(): array
    {
        $described = new Described($this->sound->loads, $this->trial);
        $stops = [];
        foreach ($this->program->tryings() as $i => $trying) {
            if ($trying->stop !== MustStop::Nothing && isset($this->follows[$i]) && ! isset($stops[$trying->what])) {
                [$track, $before] = $this->follows[$i];
                $stops[$trying->what] = $described->stopped($trying->title, $before, $track);
            }
        }

        return [...$described->steps($this->sound->visit), ...array_values(array_filter($stops))];
    }

    public function of(Model $wired): Verdict
    {
        $record = new Record();
        $run = new Rehearsal(Compiler::compile($wired), $this->sound->loads, $this->trial, $this->visit, $record);
        $states = $tried = [];
        foreach ($this->program->tryings() as $i => $trying) {
            $state = $this->state($trying->station, $run, $states);
            if (isset($this->follows[$i])) {
                $tried[] = $this->tried($trying, $run, $state, ...$this->follows[$i]);
            }
        }

        $known = array_map(self::what(...), Checks::ofTheMaking($this->sound->plan->model));
        $against = array_values(array_filter(
            Checks::ofTheMaking($wired),
            fn (Finding $f): bool => ! in_array(self::what($f), $known, true),
        ));

        return new Verdict($wired, $run, $this->visited($run), $tried, $against);
    }

    /** What is found, whichever wire it is: those that somebody ran have names of their own. */
    private static function what(Finding $finding): string
    {
        return "$finding->rule: $finding->text";
    }

    /** @return list<Tried> each load, through the whole visit */
    private function visited(Rehearsal $run): array
    {
        $visited = [];
        foreach ($this->sound->loads->ids() as $id) {
            $first = $this->sound->visit->firstOn($id);
            $parts = $this->sound->visit->parts($run->visit, $id);
            $otherwise = $parts === null ? [] : [$this->otherwise($id, ...$parts)];
            $at = $parts[0] ?? $first ?? 0;
            $visited[] = new Tried(null, $this->sound->loads->title($id), $first !== null, $otherwise, false, $at);
        }

        return $visited;
    }

    /**
     * @param Track $track what follows with the sound one
     * @param array<string, float|string> $before how that stood
     */
    private function tried(Trying $trying, Rehearsal $run, ?BenchState $state, Track $track, array $before): Tried
    {
        $here = $state === null ? null : $trying->with($run, $state);
        $stood = $state === null ? [] : $run->at($state);
        $unsafe = $after = $already = [];
        $counts = false;
        foreach ($before as $id => $how) {
            $moves = array_filter($track->of($id), fn (array $s): bool => ! Loads::areAlike($s[2], $how)) !== [];
            $counts = $counts || $moves;
            $wasRight = isset($stood[$id]) && Loads::areAlike($stood[$id], $how);
            if ($moves && ! $wasRight) { // nothing is shown by what was so before
                $already[] = $this->otherwise($id, 0, $how, $stood[$id] ?? $how);
            } elseif ($wasRight && $here !== null) {
                $parts = $track->parts($here, $id);
                if ($parts !== null) {
                    $stops = $trying->stop === MustStop::All ||
                        $trying->stop === MustStop::Fuel && $this->sound->loads->isOfFuel($id);
                    if ($stops && $moves && Loads::isOn($parts[2])) {
                        $unsafe[] = $this->otherwise($id, ...$parts);
                    } else {
                        $after[] = $this->otherwise($id, ...$parts);
                    }
                }
            }
        }

        // what is unsafe is told first
        return new Tried($trying, $trying->title, $counts, [...$unsafe, ...$after, ...$already], $unsafe !== []);
    }

    /** @return array{load: string, title: string, fire: bool, at: int, sound: float|string, here: float|string} */
    private function otherwise(string $id, int $at, float|string $sound, float|string $here): array
    {
        $loads = $this->sound->loads;

        return [
            'load' => $id, 'title' => $loads->title($id), 'fire' => $loads->isFire($id), 'at' => $at,
            'sound' => $sound, 'here' => $here,
        ];
    }

    /** @param array<string, BenchState|null> $states of this wiring, those that were come to already */
    private function state(Station $station, Rehearsal $run, array &$states): ?BenchState
    {
        if (! array_key_exists($station->title, $states)) {
            $states[$station->title] = $station->of($run, Program::THROWN);
        }

        return $states[$station->title];
    }
}
