<?php

namespace App\Work;

use App\Models\AssignmentWork;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;
use OddSpark\WiringUp\Task;

/** What is to be done in a job: the kind of work, how much of it, and how. */
final readonly class Asked
{
    /** Of anything more is asked in no job. */
    private const MOST = 24;

    /**
     * @param int $many of a sheet how many items
     * @param string $wires which are to be run, of {@see Task::PORTIONS}
     * @param string $shown what there is to wire by, of {@see Task::SHOWN}
     */
    public function __construct(
        public AssignmentWork $work = AssignmentWork::Trace,
        public int $many = 0,
        public string $wires = 'all',
        public string $shown = 'drawing',
    ) {}

    /** @return array<string, list<mixed>> rules of the fields that say it */
    public static function rules(): array
    {
        return [
            'work' => ['nullable', Rule::enum(AssignmentWork::class)],
            'many' => ['nullable', 'integer', 'min:0', 'max:'.self::MOST],
            'wires' => ['nullable', Rule::in(Task::PORTIONS)],
            'shown' => ['nullable', Rule::in(Task::SHOWN)],
        ];
    }

    public static function by(Request $request): self
    {
        return self::of([
            'work' => $request->input('work'), 'many' => $request->integer('many'),
            'wires' => $request->input('wires'), 'shown' => $request->input('shown'),
        ]);
    }

    /** @param array{work?: string|null, many?: int|null, wires?: string|null, shown?: string|null, ...} $array */
    public static function of(array $array): self
    {
        return new self(
            AssignmentWork::from($array['work'] ?? AssignmentWork::Trace->value),
            $array['many'] ?? 0,
            $array['wires'] ?? 'all',
            $array['shown'] ?? 'drawing',
        );
    }

    /** What is wrong with it; null: nothing. */
    public function error(): ?string
    {
        $kind = $this->work->kind();
        if (! $kind instanceof OnSheet || $this->many >= 1 && $this->many <= $kind->most()) {
            return null;
        }

        return "Of that 1 to {$kind->most()} can be asked.";
    }

    /** @return array{work: string, many: int, wires: string, shown: string} for {@see of} */
    public function toArray(): array
    {
        return [
            'work' => $this->work->value, 'many' => $this->many, 'wires' => $this->wires, 'shown' => $this->shown,
        ];
    }
}
