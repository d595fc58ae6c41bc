<?php

namespace App\Http\Controllers;

use App\Models\AuditEntry;
use App\Models\Course;
use App\Models\Share;
use App\People\Sharing;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;

/** What a maker lets others do with a model, a kind of part, a template of a job or house rules of his. */
class SharingController extends Controller
{
    public function __invoke(Request $request): RedirectResponse
    {
        $user = $request->user();
        [$of, $name] = [$this->text($request, 'of'), $this->text($request, 'name')];
        $course = $request->input('course') === null ? null : $request->integer('course');
        abort_unless(Sharing::maker($of, $name) === $user->id, 404);
        abort_unless($course === null || Course::query()->taughtBy($user)->whereKey($course)->exists(), 404);
        $may = $this->text($request, 'may');
        Share::settle($of, $name, $course, $may === 'nothing' ? null : $may);
        AuditEntry::note($user, 'share', $user, ['of' => $of, 'course' => $course ?? 'all', 'may' => $may]);

        return back();
    }
}
