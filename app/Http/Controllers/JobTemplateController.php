<?php

namespace App\Http\Controllers;

use App\Models\Appliance;
use App\Models\AssignmentKind;
use App\Models\JobTemplate;
use App\Models\RuleSet;
use App\Work\Asked;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Str;
use Illuminate\Validation\Rule;
use OddSpark\Faults\FaultSet;

/** Jobs kept to be given again. */
class JobTemplateController extends Controller
{
    private const MOST = 100;

    /** One of the same title takes the place of the one before. */
    public function store(Request $request, Appliance $appliance): RedirectResponse
    {
        $model = $appliance->model();
        $faults = array_map(strval(...), array_keys(FaultSet::of($model)->faults));
        $sets = RuleSet::newest($request->user());
        $with = $request->validate([
            'title' => ['required', 'string', 'max:120'],
            'fault' => ['required', 'string', Rule::in($faults)],
            'pool' => ['present', 'array', 'max:12'],
            'pool.*' => ['string', Rule::in($faults)],
            'visit' => ['required', 'string', Rule::in($model->visits())],
            'kind' => ['required', Rule::enum(AssignmentKind::class)->only(AssignmentKind::given())],
            'complaint' => ['required', 'string', 'max:1000'],
            'low_battery' => ['required', 'boolean'],
            'worn_leads' => ['required', 'boolean'],
            'stops' => ['required', 'boolean'],
            'rules' => ['required', 'integer', Rule::in($sets->pluck('id'))],
            'minutes' => ['nullable', 'integer', 'min:1', 'max:600'],
            ...Asked::rules(),
        ], [
            'fault.in' => 'This model has no such fault. Pick one from its list.',
            'pool.*.in' => 'This model has no fault ":input".',
            'visit.in' => 'This model has no such visit.',
        ]);
        $title = ['user_id' => $request->user()->id, 'appliance_id' => $appliance->id, 'title' => $with['title']];
        $kept = JobTemplate::query()->where(array_diff_key($title, ['title' => 0]))->count();
        if ($kept >= self::MOST && JobTemplate::query()->where($title)->doesntExist()) {
            return back()->withErrors([
                'title' => 'You keep '.self::MOST.' templates of this model. Take one out first.',
            ]);
        }
        $job = ['rules' => $sets->firstOrFail('id', $with['rules'])->name, ...Asked::by($request)->toArray()] + $with +
            ['minutes' => null];
        $template = JobTemplate::query()->firstOrNew($title, ['name' => (string) Str::uuid()]);
        $template->fill(['job' => array_diff_key($job, ['title' => 0])])->save();

        return redirect("/models/$appliance->id");
    }

    public function destroy(Appliance $appliance, JobTemplate $template): RedirectResponse
    {
        abort_unless($template->appliance_id === $appliance->id, 404);
        $template->delete();

        return redirect("/models/$appliance->id");
    }
}
