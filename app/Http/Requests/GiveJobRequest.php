<?php

namespace App\Http\Requests;

use App\Bench\Pools;
use App\Models\Appliance;
use App\Models\Assignment;
use App\Models\AssignmentKind;
use App\Models\AssignmentWork;
use App\Models\Course;
use App\Models\RuleSet;
use App\Work\Asked;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Validator;
use OddSpark\Faults\Fault;
use OddSpark\Faults\FaultSet;

class GiveJobRequest extends FormRequest
{
    private const MOST_OF_BAND = 12;

    public function authorize(): bool
    {
        return $this->user()?->can('create', Assignment::class) ?? false;
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'appliance' => [
                'required',
                'integer',
                Rule::in(Appliance::query()->readableBy($this->user())->pluck('id')),
            ],
            'course' => [
                'required',
                'integer',
                Rule::in(Course::query()->taughtBy($this->user())->pluck('id')),
            ],
            'trainees' => ['present', 'array', 'max:600'],
            'trainees.*' => [
                'integer',
                Rule::exists('course_user', 'user_id')->where('course_id', $this->integer('course')),
            ],
            'title' => ['required', 'string', 'max:120'],
            'fault' => ['required', 'string', 'max:120'],
            'visit' => ['required', 'string', 'max:40'],
            'kind' => ['required', Rule::enum(AssignmentKind::class)->only(AssignmentKind::given())],
            'pool' => ['nullable', 'array', 'max:12'],
            'band' => ['nullable', 'array', 'size:2'],
            'after' => [
                'nullable',
                'integer',
                Rule::exists('assignments', 'id')->where('course_id', $this->integer('course')),
            ],
            'after_mark' => ['nullable', 'integer', 'between:0,100'],
            'rules' => ['nullable', 'integer', Rule::in(RuleSet::query()->readableBy($this->user())->pluck('id'))],
            'opens_at' => ['nullable', 'date'],
            'closes_at' => ['nullable', 'date', 'after:opens_at'],
            'minutes' => ['nullable', 'integer', 'min:1', 'max:600'],
            'complaint' => ['required', 'string', 'max:1000'],
            ...Asked::rules(),
        ];
    }

    /** @var list<string>|null faults of the band */
    private ?array $banded = null;

    /** @return non-empty-list<string> the fault, or those of which one is drawn for each */
    public function faults(): array
    {
        return $this->banded ?? array_values(array_unique([
            $this->string('fault')->value(), ...array_map(strval(...), (array) $this->input('pool', [])),
        ]));
    }

    private function drawFromBand(Validator $validator, string $hash): void
    {
        $band = $this->input('band');
        if (! is_array($band)) {
            return;
        }
        $faults = Pools::within($hash, $this->string('visit')->value(), (int) $band[0], (int) $band[1]);
        if ($faults === null) {
            $validator->errors()->add(
                'band',
                'The faults of this model are not analyzed for this visit yet. Have it analyzed first.',
            );
        } elseif ($faults === []) {
            $validator->errors()->add('band', 'No fault of this model is of such a grade at this visit.');
        } else {
            // of many a dozen, spread over the band
            $step = max(1, count($faults) / self::MOST_OF_BAND);
            $this->banded = array_map(
                fn (int $i) => $faults[(int) ($i * $step)],
                range(0, min(self::MOST_OF_BAND, count($faults)) - 1),
            );
        }
    }

    /** @return list<callable> */
    public function after(): array
    {
        return [function (Validator $validator): void {
            if ($validator->errors()->isNotEmpty()) {
                return;
            }
            $model = Appliance::query()->findOrFail($this->integer('appliance'))->model();
            if (! isset(FaultSet::of($model)->faults[$this->string('fault')->value()])) {
                $validator->errors()->add('fault', 'This model has no such fault. Pick one from its list.');
            }
            foreach ((array) $this->input('pool', []) as $fault) {
                if (! isset(FaultSet::of($model)->faults[$fault])) {
                    $validator->errors()->add('pool', "This model has no fault \"$fault\".");
                }
            }
            $asked = Asked::by($this);
            if ($asked->error() !== null) {
                $validator->errors()->add('many', $asked->error());
            }
            $isWiring = in_array($asked->work, [AssignmentWork::Wire, AssignmentWork::Swap], true);
            if ($isWiring && ($this->faults() !== [Fault::HEALTHY] || $this->filled('band'))) {
                $validator->errors()->add('fault', 'What is to be wired has no fault: pick “Healthy”, and no pool.');
            }
            if ($isWiring && $model->wires() === []) {
                $validator->errors()->add('work', 'This model has no wires.');
            }
            $this->drawFromBand($validator, $model->hash());
            if (! in_array($this->string('visit')->value(), $model->visits(), true)) {
                $validator->errors()->add('visit', 'This model has no such visit.');
            }
        }];
    }
}
