<?php

namespace App\Http\Requests;

use App\Models\Appliance;
use App\Models\Assignment;
use App\Models\AssignmentKind;
use App\Models\Course;
use App\Models\RuleSet;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Validator;
use OddSpark\Faults\FaultSet;

class GiveJobRequest extends FormRequest
{
    public function authorize(): bool
    {
        return $this->user()?->can('create', Assignment::class) ?? false;
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'appliance' => ['required', 'integer', Rule::in(Appliance::query()->readableBy($this->user())->pluck('id'))],
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
            'kind' => ['required', Rule::enum(AssignmentKind::class)->except([AssignmentKind::WarmUp])],
            'rules' => ['nullable', 'integer', Rule::in(RuleSet::query()->readableBy($this->user())->pluck('id'))],
            'opens_at' => ['nullable', 'date'],
            'closes_at' => ['nullable', 'date', 'after:opens_at'],
            'minutes' => ['nullable', 'integer', 'min:1', 'max:600'],
            'complaint' => ['required', 'string', 'max:1000'],
        ];
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
            if (! in_array($this->string('visit')->value(), $model->visits(), true)) {
                $validator->errors()->add('visit', 'This model has no such visit.');
            }
        }];
    }
}
