<?php

namespace App\Building;

use App\Models\Appliance;
use App\Models\Draft;
use App\Models\DraftStep;
use App\Models\PartKind;
use App\Models\User;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use OddSpark\Appliance\DocumentError;
use OddSpark\Appliance\Library;
use OddSpark\Building\Difference;
use OddSpark\Building\Document;
use OddSpark\Building\EditError;
use OddSpark\Building\Edits;
use OddSpark\Drawing\Board;

/**
 * Models between requests: an edit is made upon the step that its maker saw, kept as the next one, and nothing is ever
 * written over.
 */
class DraftEditor
{
    /** What routing may cost while somebody waits for an edit, see Router: a second or so. */
    private const MOST_STEPS = 1_000_000;

    /** Seconds within which the same wish for a new draft is the same draft. */
    private const TWICE_S = 5;

    public function __construct(private readonly Library $library, private readonly DraftView $view) {}

    /**
     * @param array<string, mixed> $document
     * @param string|null $clientId of what asked for it: asked twice it is begun once
     */
    public function begin(User $user, array $document, string $words, ?string $clientId = null): Draft
    {
        $board = Drawn::of(Board::of($this->library->draft($document)))->text();

        // names are given one at a time
        return Cache::lock('draft-names', 20)->block(
            20,
            fn () => DB::transaction(function () use ($user, $document, $words, $clientId, $board): Draft {
                $begun = $clientId === null
                    ? null
                    : DraftStep::query()->where(['number' => 0, 'client_id' => $clientId])->first();
                if ($begun !== null) {
                    return Draft::query()->findOrFail($begun->draft_id);
                }
                // a button that was pressed twice: the same in all but its name, and nothing done to it yet
                foreach (
                    Draft::query()
                        ->where(['user_id' => $user->id, 'title' => $document['title'], 'step' => 0])
                        ->where('created_at', '>', now()->subSeconds(self::TWICE_S))
                        ->get() as $twin
                ) {
                    if (Document::text(array_replace($document, ['name' => $twin->name])) === $twin->document) {
                        return $twin;
                    }
                }
                $document['name'] = FreeName::for($document['name'], $this->library);
                $text = Document::text($document);
                $draft = Draft::query()->create([
                    'user_id' => $user->id,
                    'name' => $document['name'],
                    'title' => $document['title'],
                    'step' => 0,
                    'document' => $text,
                    'drawn' => $board,
                ]);
                $this->keep($draft, 0, null, $user, $words, $text, $clientId);

                return $draft;
            }));
    }

    /**
     * Makes an edit, or several as one step.
     *
     * @param list<array<string, mixed>> $edits
     *
     * @param string|null $clientId another for each step: one that is sent twice is made once
     * @return array<string, mixed> the reply
     *
     * @throws EditError when one of them cannot be made: then none is
     * @throws StaleDraft when somebody else was faster
     */
    public function edit(Draft $draft, User $user, int $upon, array $edits, ?string $clientId = null): array
    {
        return $this->at($draft, $user, $upon, function (Draft $draft) use ($edits, $user): array {
            $before = $document = $draft->content();
            $editor = new Edits($this->library);
            foreach ($edits as $edit) {
                $document = $editor->apply($document, $this->withKind($user, $document, $edit));
            }

            return [$document, implode(' ', array_slice(Difference::words($before, $document), 0, 6))];
        }, clientId: $clientId);
    }

    /**
     * The wires laid out anew, all of them.
     *
     * @return array<string, mixed>
     */
    public function tidy(Draft $draft, User $user, int $upon): array
    {
        return $this->at($draft, $user, $upon, fn (Draft $draft): array => [$draft->content(), ''], fresh: true);
    }

    /**
     * Back to the step before, or on again to the one after.
     *
     * @return array<string, mixed>
     */
    public function go(Draft $draft, User $user, int $upon, string $way): array
    {
        return DB::transaction(function () use ($draft, $user, $upon, $way): array {
            $draft = $this->locked($draft, $upon, $user);
            $here = $draft->steps()->where('number', $draft->step)->firstOrFail();
            $to = $way === 'undo'
                ? ($here->parent === null ? null : $draft->steps()->where('number', $here->parent)->first())
                : $draft->steps()->where('parent', $here->number)->reorder('number', 'desc')->first();
            if ($to === null) {
                throw new EditError(
                    '/do',
                    $way === 'undo' ? 'There is nothing before this.' : 'There is nothing after this.',
                );
            }

            return $this->stand($draft, $to->number, $to->text());
        });
    }

    /**
     * As it was at some step: that becomes the newest.
     *
     * @return array<string, mixed>
     */
    public function restore(Draft $draft, User $user, int $upon, int $number): array
    {
        $step =
            $draft->steps()->where('number', $number)->first() ??
            throw new EditError('/number', "There is no step $number.");

        return $this->at(
            $draft,
            $user,
            $upon,
            fn (): array => [
                json_decode($step->text(), true),
                'As it was at step '.$number.($step->label === null ? '' : ", \"$step->label\"").'.',
            ],
        );
    }

    /**
     * Puts it among the school's models, to give jobs of.
     *
     * @throws DocumentError what it lacks
     */
    public function publish(Draft $draft): Appliance
    {
        $appliance = Appliance::keep(
            $this->library->resolve($draft->content()),
            Drawn::read($draft->drawn)->board(),
            $draft->user_id,
        );
        $draft->update(['appliance_id' => $appliance->id]);

        return $appliance;
    }

    /**
     * A kind of one's own, or one that is shared, comes with its document, so that the model needs nothing from
     * outside.
     *
     * @param array<string, mixed> $document
     * @param array<string, mixed> $edit
     * @return array<string, mixed>
     */
    private function withKind(User $user, array $document, array $edit): array
    {
        unset($edit['own']);
        if (
            ($edit['do'] ?? '') === 'place' &&
            is_string($edit['kind'] ?? null) &&
            ! isset($document['kinds'][$edit['kind']])
        ) {
            $own = PartKind::query()->readableBy($user)->where('name', $edit['kind'])->first();
            if ($own !== null) {
                $edit['own'] = $own->document;
            }
        }

        return $edit;
    }

    /**
     * @param callable(Draft): array{array<string, mixed>, string} $do the document after, and what was done
     * @return array<string, mixed>
     */
    private function at(
        Draft $draft,
        User $user,
        int $upon,
        callable $do,
        bool $fresh = false,
        ?string $clientId = null,
    ): array {
        return DB::transaction(function () use ($draft, $user, $upon, $do, $fresh, $clientId): array {
            if ($clientId !== null && $draft->steps()->where('client_id', $clientId)->exists()) {
                return ['whole' => true] + $this->view->shown($draft->refresh());
            }
            $draft = $this->locked($draft, $upon, $user);
            [$document, $words] = $do($draft);
            $text = Document::text($document);
            if ($text === $draft->document) {
                return $this->stand($draft, $draft->step, $text, $fresh);
            }
            $number = 1 + (int) $draft->steps()->max('number');
            $this->keep($draft, $number, $draft->step, $user, $words === '' ? 'Changed.' : $words, $text, $clientId);

            return $this->stand($draft, $number, $text, $fresh);
        });
    }

    /** @throws StaleDraft */
    private function locked(Draft $draft, int $upon, User $user): Draft
    {
        $draft = Draft::query()->lockForUpdate()->findOrFail($draft->id);
        if ($draft->step !== $upon) {
            $since = $draft
                ->steps()
                ->with('user:id,name')
                ->where('number', '>', $upon)
                ->where('user_id', '!=', $user->id)
                ->limit(5)
                ->get(['id', 'draft_id', 'number', 'user_id', 'words']);
            throw new StaleDraft(
                $since->isEmpty()
                    ? ['it was changed in another window.']
                    : $since->map(fn (DraftStep $s) => "{$s->user?->name}: $s->words")->all(),
            );
        }

        return $draft;
    }

    /** @return array<string, mixed> */
    private function stand(Draft $draft, int $number, string $text, bool $fresh = false): array
    {
        $document = json_decode($text, true, 64, JSON_THROW_ON_ERROR);
        $was = $draft->content();
        $old = isset($was['includes']) ? $this->library->draft($was)->document : $was;
        $before = Drawn::read($draft->drawn);
        $model = $this->library->draft($document);
        $board = Board::of($model, $fresh ? null : $before->board(), self::MOST_STEPS);
        $drawn = Drawn::of($board);
        $draft->update([
            'step' => $number,
            'title' => $document['title'],
            'document' => $text,
            'drawn' => $drawn->text(),
        ]);

        return $this->view->changed($draft, $was, $old, $document, $model, $before, $board, $drawn);
    }

    private function keep(
        Draft $draft,
        int $number,
        ?int $parent,
        User $user,
        string $words,
        string $text,
        ?string $clientId = null,
    ): void {
        $draft
            ->steps()
            ->create([
                'client_id' => $clientId,
                'number' => $number,
                'parent' => $parent,
                'user_id' => $user->id,
                'words' => Str::limit($words, 2000),
                'document' => DraftStep::packed($text),
            ]);
    }
}
