<?php

namespace App\Building;

use App\Models\Draft;
use OddSpark\Appliance\Library;
use OddSpark\Appliance\Model;
use OddSpark\Appliance\Port;
use OddSpark\Appliance\Schema;
use OddSpark\Building\Parameters;
use OddSpark\Drawing\Board;
use OddSpark\Parts\Ability\ComesAndGoes;
use OddSpark\Parts\Ability\Decides;
use OddSpark\Sequence\Table;

/** What the builder's page shows of a draft: all of it, or what a step has changed. */
class DraftView
{
    public function __construct(private readonly Library $library) {}

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
                        array_map(fn (Port $p): string => $p->terminalLink ?? '', array_values($kind->ports)),
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
     * What a step has changed: of the board and of the document only the parts and wires that are otherwise.
     *
     * @param array<string, mixed> $was the document before
     * @param array<string, mixed> $old the same with what it includes
     * @param array<string, mixed> $document as it is now
     * @param array<string, mixed> $board drawn of it
     * @return array<string, mixed>
     */
    public function changed(
        Draft $draft,
        array $was,
        array $old,
        array $document,
        Model $model,
        Drawn $before,
        array $board,
        Drawn $drawn,
    ): array {
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
}
