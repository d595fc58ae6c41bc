<?php

namespace App\Http\Controllers;

use App\Building\DraftEditor;
use App\Building\DraftHistory;
use App\Building\DraftView;
use App\Http\Requests\BeginModelRequest;
use App\Models\Draft;
use App\Models\PartKind;
use App\Models\Share;
use App\Models\Task;
use App\People\Sharing;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;
use Inertia\Inertia;
use Inertia\Response;
use OddSpark\Appliance\DocumentError;
use OddSpark\Appliance\Library;
use OddSpark\Building\Catalogue;
use OddSpark\Building\Document;

/** Models that are being made: begun, opened, edited, gone back over, put among the school's models. */
class DraftController extends Controller
{
    /** Parts and wires from which on a board is laid out beside the site. */
    private const LARGE = 150;

    public function __construct(
        private readonly DraftEditor $drafting,
        private readonly DraftView $view,
        private readonly DraftHistory $history,
        private readonly Library $library,
    ) {}

    public function index(Request $request): Response
    {
        return Inertia::render('Drafts', [
            'courses' => Sharing::courses($request->user()),
            'drafts' => Draft::query()
                ->readableBy($request->user())
                ->with('user:id,name')
                ->orderByDesc('updated_at')
                ->get(['id', 'user_id', 'title', 'name', 'step', 'appliance_id', 'updated_at'])
                ->map(
                    fn (Draft $d) => [
                        'id' => $d->id,
                        'mine' => $d->user_id === $request->user()->id,
                        'name' => $d->name,
                        'shares' => $d->user_id === $request->user()->id ? Share::shown('model', $d->name) : [],
                        'title' => $d->title,
                        'by' => $d->user?->name,
                        'steps' => $d->step,
                        'published' => $d->appliance_id !== null,
                        'at' => $d->updated_at?->format('j M H:i'),
                    ],
                ),
            'models' => $this->models(),
        ]);
    }

    /** Begun from nothing, from a shipped model, or from a file. */
    public function store(BeginModelRequest $request): RedirectResponse
    {
        $said = $request->validated();
        try {
            $document = match (true) {
                isset($said['file']) => $this->taken(Document::read($said['file'], $this->library)),
                isset($said['model']) => Document::read(
                    Document::text($this->library->document($said['model'])),
                    $this->library,
                ),
                default => Document::blank(Str::slug($said['title']) ?: 'model', $said['title'], $said['region']),
            };
        } catch (DocumentError $e) {
            throw ValidationException::withMessages(['file' => 'Nothing was imported. '.$e->getMessage()]);
        }
        if (isset($said['title'])) {
            $document['title'] = $said['title'];
            $document['name'] = Str::limit(Str::slug($said['title']), 50, '') ?: $document['name'];
        }
        $words = isset($said['model'])
            ? 'Begun from "'.$said['model'].'".'
            : (isset($said['file'])
                ? 'Imported from a file.'
                : 'Begun from a blank board.');
        if (count($document['parts']) + count($document['wires']) > self::LARGE) {
            // its board takes a while
            $task = Task::want($request->user(), 'import', (string) Str::uuid(), [
                'document' => Document::text($document),
                'words' => $words,
                'title' => "Importing “{$document['title']}”",
                'back' => '/drafts',
            ]);

            return redirect("/tasks/$task->id");
        }

        return redirect('/drafts/'.$this->drafting->begin($request->user(), $document, $words)->id);
    }

    /**
     * As it is kept here: what it needs to be read was asked at the door.
     *
     * @param array<string, mixed> $document
     * @return array<string, mixed>
     */
    private function taken(array $document): array
    {
        unset($document['about']['made_with']);
        if (($document['about'] ?? []) === []) {
            unset($document['about']);
        }

        return $document;
    }

    public function show(Request $request, Draft $draft): Response
    {
        return Inertia::render('Builder', [
            'draft' => $draft->id,
            'start' => $this->view->shown($draft),
            'presence' => $this->history->look($draft, $request->user()),
            'models' => $this->models(),
            'catalogue' => Catalogue::all($this->library, PartKind::catalogue($request->user())),
            'may_edit' => $request->user()->can('edit', $draft),
            'by' => $draft->user->name,
        ]);
    }

    /** Kinds as they are now: the school may have made one meanwhile. */
    public function kinds(Request $request, Draft $draft): JsonResponse
    {
        return response()->json(Catalogue::all($this->library, PartKind::catalogue($request->user())));
    }

    public function edit(Request $request, Draft $draft): JsonResponse
    {
        $said = $request->json()->all();

        // as they came: an empty object is one, and a text is not trimmed
        return response()->json(
            $this->drafting->edit(
                $draft,
                $request->user(),
                $said['upon'],
                $request->json()->all()['edits'],
                $said['id'] ?? null,
            ),
        );
    }

    public function go(Request $request, Draft $draft): JsonResponse
    {
        $said = $request->json()->all();

        return response()->json(
            $said['way'] === 'tidy'
                ? $this->drafting->tidy($draft, $request->user(), $said['upon'])
                : $this->drafting->go($draft, $request->user(), $said['upon'], $said['way']),
        );
    }

    /** Every step. */
    public function history(Draft $draft): JsonResponse
    {
        return response()->json($this->history->history($draft));
    }

    public function difference(Request $request, Draft $draft): JsonResponse
    {
        return response()->json(
            $this->history->difference($draft, $request->integer('from'), $request->integer('to')),
        );
    }

    public function restore(Request $request, Draft $draft): JsonResponse
    {
        $said = $request->json()->all();

        return response()->json($this->drafting->restore($draft, $request->user(), $said['upon'], $said['number']));
    }

    /** Gives a step a name. */
    public function label(Request $request, Draft $draft): JsonResponse
    {
        $said = $request->json()->all();
        $draft->steps()->where('number', $said['number'])->firstOrFail()->update(['label' => $said['label']]);

        return response()->json($this->history->history($draft));
    }

    public function presence(Request $request, Draft $draft): JsonResponse
    {
        return response()->json($this->history->look($draft, $request->user()));
    }

    public function publish(Draft $draft): JsonResponse
    {
        try {
            $appliance = $this->drafting->publish($draft);
        } catch (DocumentError $e) {
            return response()->json(
                ['message' => 'It cannot run yet. '.$e->getMessage(), 'pointer' => $e->pointer],
                422,
            );
        }

        return response()->json(['appliance' => $appliance->id]);
    }

    public function destroy(Draft $draft): RedirectResponse
    {
        $draft->delete();

        return redirect('/drafts');
    }

    /** @return list<array{name: string, title: string, ports: list<string>}> */
    private function models(): array
    {
        return array_map(function (string $name): array {
            $document = $this->library->document($name);

            return [
                'name' => $name,
                'title' => $document['title'],
                'ports' => array_map('strval', array_keys($document['ports'] ?? [])),
            ];
        }, $this->library->names());
    }
}
