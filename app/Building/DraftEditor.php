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
use OddSpark\Appliance\Model;
use OddSpark\Appliance\Port;
use OddSpark\Appliance\Schema;
use OddSpark\Building\Difference;
use OddSpark\Building\Document;
use OddSpark\Building\EditError;
use OddSpark\Building\Edits;
use OddSpark\Building\Parameters;
use OddSpark\Drawing\Board;
use OddSpark\Parts\Ability\ComesAndGoes;
use OddSpark\Parts\Ability\Decides;
use OddSpark\Sequence\Table;

/**
 * Models between requests: an edit is made upon the step that its maker saw, kept as the next one, and nothing is ever
 * written over.
 */
class DraftEditor
{
    private const PRESENT_S = 25;

    /** What routing may cost while somebody waits for an edit, see Router: a second or so. */
    private const MOST_STEPS = 1_000_000;

    /** Seconds within which the same wish for a new draft is the same draft. */
    private const TWICE_S = 5;

    /** Steps that a history shows, the newest first. */
    private const SHOWN = 200;

    public function __construct(private readonly Library $library) {}

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
                $begun =
                    $clientId === null
                        ? null
                        : DraftStep::query()
                            ->where(['number' => 0, 'client_id' => $clientId])
                            ->first();
                if ($begun !== null) {
                    return Draft::query()->findOrFail($begun->draft_id);
                }
                // a button that was pressed twice: the same person's, the same in all but its name, and nothing done to
                // it
                // yet
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
                $document['name'] = $this->freeName($document['name']);
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
        return $this->at($draft, $user, $upon, function (Draft $draft) use ($edits): array {
            $before = $document = $draft->content();
            $editor = new Edits($this->library);
            foreach ($edits as $edit) {
                $document = $editor->apply($document, $this->withKind($document, $edit));
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
     * What differs between two steps.
     *
     * @return list<string>
     */
    public function difference(Draft $draft, int $from, int $to): array
    {
        $texts = $draft->steps()->whereIn('number', [$from, $to])->get()->keyBy('number');
        foreach ([$from, $to] as $number) {
            $texts->has($number) || throw new EditError('/number', "There is no step $number.");
        }

        return Difference::words(json_decode($texts[$from]->text(), true), json_decode($texts[$to]->text(), true));
    }

    /** @return list<array<string, mixed>> the newest first */
    public function history(Draft $draft): array
    {
        return $draft
            ->steps()
            ->with('user:id,name')
            ->reorder('number', 'desc')
            ->limit(self::SHOWN)
            ->get(['id', 'draft_id', 'number', 'parent', 'user_id', 'words', 'label', 'created_at'])
            ->map(
                fn (DraftStep $s) => [
                    'number' => $s->number,
                    'words' => $s->words,
                    'label' => $s->label,
                    'by' => $s->user?->name,
                    'at' => $s->created_at?->format('j M H:i'),
                ],
            )
            ->all();
    }

    /**
     * Says that someone is here, and who else is.
     *
     * @return array{step: int, others: list<string>, by: string|null}
     */
    public function look(Draft $draft, User $user): array
    {
        DB::table('draft_visitors')->upsert(
            [['draft_id' => $draft->id, 'user_id' => $user->id, 'seen_at' => now()]],
            ['draft_id', 'user_id'],
            ['seen_at'],
        );
        $others = $draft
            ->visitors()
            ->wherePivot('seen_at', '>', now()->subSeconds(self::PRESENT_S))
            ->whereKeyNot($user->id)
            ->pluck('name')
            ->all();
        $last = $draft
            ->steps()
            ->with('user:id,name')
            ->where('number', $draft->step)
            ->first(['id', 'draft_id', 'number', 'user_id']);

        return ['step' => $draft->step, 'others' => $others, 'by' => $last?->user?->name];
    }

    /**
     * Puts it among the school's models, to give jobs of.
     *
     * @throws DocumentError what it lacks
     */
    public function publish(Draft $draft): Appliance
    {
        $appliance = Appliance::keep($this->library->resolve($draft->content()), Drawn::read($draft->drawn)->board());
        $draft->update(['appliance_id' => $appliance->id]);

        return $appliance;
    }

    /**
     * All that the builder's page shows of a draft.
     *
     * @return array<string, mixed>
     */
    public function shown(Draft $draft): array
    {
        $document = $draft->content();
        $model = $this->library->draft($document);

        return $this->told($draft, $document) + [
            'board' => Board::of($model, Drawn::read($draft->drawn)->board()),
            'settings' => (object) $this->settings($model),
        ];
    }

    /**
     * @param array<string, mixed> $document
     * @return array<string, mixed>
     */
    private function told(Draft $draft, array $document): array
    {
        $here = $draft->steps()->where('number', $draft->step)->first(['id', 'draft_id', 'number', 'parent']);

        return [
            'step' => $draft->step,
            'title' => $draft->title,
            // what follows from the parts is not said; the page shows what is, and may add to it
            'document' => Schema::withObjects(
                array_diff_key($document, ['kinds' => 1]) + ['process' => [], 'tape' => [], 'visits' => []],
            ),
            'undo' => $here?->parent !== null,
            'redo' => $draft->steps()->where('parent', $draft->step)->exists(),
            'published' => $draft->appliance_id,
        ];
    }

    /**
     * Figures, links and tables of each part, by part.
     *
     * @param array<string, array<string, mixed>>|null $but parts as they were: of those that are the same still nothing
     *     is said
     * @return array<string, array<string, mixed>>
     */
    private function settings(Model $model, ?array $but = null): array
    {
        $settings = [];
        foreach ($model->document['parts'] as $part) {
            if (
                isset($but[$part['id']]) &&
                array_diff_key($but[$part['id']], ['at' => 1, 'label' => 1]) ==
                    array_diff_key($part, ['at' => 1, 'label' => 1])
            ) {
                continue;
            }
            $kind = $model->kinds()[$part['kind']];
            $tables = [];
            foreach ($kind->those(Decides::class) as $name => $spec) {
                $lines = $part['params'][$name]['overrides'] ?? [];
                $table = Table::with($spec->get('table'), $lines);
                $tables[$name] = [
                    'table' => $table,
                    'inputs' => array_map('strval', array_keys($spec->get('inputs'))),
                    'changed' => array_map('strval', array_keys($lines)),
                    'words' => (new Table($table))->words(),
                    'remarks' => (new Table($table))->remarks(),
                ];
            }
            $settings[$part['id']] = [
                'kind' => $part['kind'],
                'plungers' => $kind->plungers(),
                'resets' => $kind->resets,
                'contacts' => array_keys($kind->those(ComesAndGoes::class)),
                // what a port answers is joined on the board
                'links' => array_values(
                    array_diff(
                        $kind->asks(),
                        array_map(fn (Port $p): string => $p->link ?? '', array_values($kind->ports)),
                        array_map(fn (Port $p): string => $p->frameLink ?? '', array_values($kind->ports)),
                    ),
                ),
                'linked' => (object) ($part['links'] ?? []),
                'params' => Parameters::of($kind, $part['params'] ?? [], $model->region()),
                'tables' => (object) $tables,
            ];
        }

        return $settings;
    }

    /**
     * One of the school's own kinds comes with its document, so that the model needs nothing from outside.
     *
     * @param array<string, mixed> $document
     * @param array<string, mixed> $edit
     * @return array<string, mixed>
     */
    private function withKind(array $document, array $edit): array
    {
        unset($edit['own']);
        if (
            ($edit['do'] ?? '') === 'place' &&
            is_string($edit['kind'] ?? null) &&
            ! isset($document['kinds'][$edit['kind']])
        ) {
            $own = PartKind::query()->where('name', $edit['kind'])->first();
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
                return ['whole' => true] + $this->shown($draft->refresh());
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
        $parts = array_column($old['parts'], null, 'id');
        $shown = $this->told($draft, $document) + ['settings' => (object) $this->settings($model, $parts)];
        // of the board only what has changed
        $new = [
            'parts' => array_column($model->document['parts'], null, 'id'),
            'wires' => array_column($model->document['wires'], null, 'id'),
        ];
        foreach (['parts' => $parts, 'wires' => array_column($old['wires'], null, 'id')] as $list => $stood) {
            $shown['changed'][$list] = array_values(
                array_filter(
                    $board[$list],
                    fn (array $x) => ! $drawn->isAs($before, $list, $x['id']) ||
                        ($stood[$x['id']] ?? null) != $new[$list][$x['id']],
                ),
            );
            $shown['gone'][$list] = array_values(array_map('strval', array_keys(array_diff_key($stood, $new[$list]))));
        }
        $shown['board'] = array_diff_key($board, ['parts' => 1, 'wires' => 1]);
        // and of the document's own parts and wires likewise; their order is the list of their names
        foreach (['parts', 'wires'] as $list) {
            $said = array_column($was[$list], null, 'id');
            $shown['told'][$list] = array_values(
                array_filter($document[$list], fn (array $x) => ($said[$x['id']] ?? null) != $x),
            );
            $shown['order'][$list] = array_column($document[$list], 'id');
            unset($shown['document'][$list]);
        }

        return $shown;
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

    /** A name that neither a shipped model nor another draft has. */
    private function freeName(string $wanted): string
    {
        $taken = fn (string $name): bool => in_array($name, $this->library->names(), true) ||
            Draft::query()->where('name', $name)->exists() ||
            Appliance::query()->where('name', $name)->exists();
        $wanted = Str::limit(Str::slug($wanted) ?: 'model', 50, '');
        for ($i = 2, $name = $wanted; $taken($name); $i++) {
            $name = "$wanted-$i";
        }

        return $name;
    }
}
