<?php

namespace App\Http\Controllers;

use App\Models\Assignment;
use App\Models\Attempt;
use App\Models\RuleSet;
use App\Models\Share;
use App\Models\Task;
use App\People\Sharing;
use App\Tasks\PreviewRules;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use Inertia\Inertia;
use Inertia\Response;
use OddSpark\Acts\Catalogue;
use OddSpark\Acts\Danger;
use OddSpark\Marking\Rules;
use OddSpark\Marking\RulesError;
use OddSpark\Marking\Schools;
use OddSpark\Words\Words;

/** House rules: read, and saved as the next version. */
class RuleSetController extends Controller
{
    public function index(Request $request): Response
    {
        return Inertia::render('Rules', [
            'sets' => RuleSet::newest($request->user())->map(
                fn (RuleSet $r) => [
                    'id' => $r->id,
                    'document' => $r->document,
                    'shipped' => $r->isShipped(),
                    'mine' => $r->user_id === $request->user()->id,
                    'shares' => $r->user_id === $request->user()->id ? Share::shown('rules', $r->name) : [],
                    'versions' => RuleSet::query()
                        ->where('name', $r->name)
                        ->orderByDesc('version')
                        ->get(['id', 'version', 'created_at'])
                        ->map(fn (RuleSet $v) => ['version' => $v->version, 'at' => $v->created_at?->toDateString()]),
                ],
            ),
            'courses' => Sharing::courses($request->user()),
            'chosen' => $this->text($request, 'set'),
            'lines' => Words::each('marking.line', Rules::LINES),
            'other_work' => Rules::otherWork(),
            'caps' => Words::each('marking.cap', Rules::CAPS),
            'dangers' => Danger::stoppable(),
            'barrable' => Catalogue::barrable(),
            'schools' => Schools::choices(),
            'questions' => Schools::questions(),
        ]);
    }

    /** What rules that are not saved would make of the last attempts: asked for, or how far it is. */
    public function preview(Request $request): JsonResponse
    {
        $document = $request->input('document');
        $rules = $this->rules(['name' => 'preview', 'version' => 1] + $document);
        // marks made since are in the next preview
        $last = array_map(fn (Attempt $a): array => [$a->id, $a->mark], PreviewRules::last($request->user()));
        $of = hash('sha256', json_encode([$rules->toArray(), $last, Assignment::ENGINE], JSON_THROW_ON_ERROR));
        $task = Task::want($request->user(), 'preview', "{$request->user()->id}:$of", [
            'document' => $rules->toArray(),
        ]);

        return $this->previewed($task);
    }

    public function previewed(Task $task): JsonResponse
    {
        return response()->json($task->shown() + ['rows' => $task->result['rows'] ?? null]);
    }

    /** Saves a set as its next version; under another title, as a new set. */
    public function store(Request $request): RedirectResponse
    {
        $document = $request->input('document');
        $saved = Cache::lock('rule-sets', 20)->block(
            20,
            fn () => DB::transaction(function () use ($request, $document): RuleSet {
                $of = RuleSet::query()
                    ->where('name', $document['name'] ?? '')
                    ->orderByDesc('version')
                    ->lockForUpdate()
                    ->first();
                $title = is_string($document['title'] ?? null) ? trim($document['title']) : '';
                if ($title === '') {
                    throw ValidationException::withMessages(['title' => 'Give it a title.']);
                }
                // a shipped set is not written over: what comes of it has a name of its own
                $name =
                    $of === null || ($of->isShipped() && $title !== $of->title) || $of->title !== $title
                        ? Str::limit(Str::slug($title), 40, '')
                        : $of->name;
                if (in_array($name, RuleSet::SHIPPED, true)) {
                    throw ValidationException::withMessages([
                        'title' => 'That is a shipped set. Give yours a title of its own.',
                    ]);
                }
                $first = RuleSet::query()->where('name', $name)->orderBy('version')->first();
                if ($first !== null && ! $first->isEditableBy($request->user())) {
                    throw ValidationException::withMessages([
                        'title' => 'A colleague has rules of this name. Give yours another, or ask for a share of them.',
                    ]);
                }
                $version = 1 + (int) RuleSet::query()->where('name', $name)->max('version');
                $rules = $this->rules(['name' => $name, 'version' => $version, 'title' => $title] + $document);

                return RuleSet::query()->create([
                    'user_id' => $first === null ? $request->user()->id : $first->user_id, // a set stays its maker's
                    'name' => $name,
                    'version' => $version,
                    'title' => $title,
                    'document' => $rules->toArray(),
                ]);
            }),
        );

        return redirect("/rules?set=$saved->name");
    }

    /**
     * @param array<string, mixed> $document
     *
     * @throws ValidationException with the field that is wrong
     */
    private function rules(array $document): Rules
    {
        try {
            return Rules::of(['odd_spark_rules' => 1] + $document);
        } catch (RulesError $e) {
            throw ValidationException::withMessages([
                trim(str_replace('/', '.', $e->pointer), '.') => Str::after($e->getMessage(), ': '),
            ]);
        }
    }
}
