<?php

namespace App\Http\Controllers;

use App\Http\Paper;
use App\Models\Assignment;
use App\Models\AssignmentKind;
use App\Models\Course;
use App\Models\Draft;
use Illuminate\Http\Request;
use OddSpark\Appliance\DocumentFile;
use OddSpark\Building\Document;
use OddSpark\Building\WireList;
use Symfony\Component\HttpFoundation\Response;

/** A model that is being made, as a file: its document, its wires, its netlist, its drawings. */
class DraftFileController extends Controller
{
    /** As many as a document may have. */
    private const JOBS = 40;

    private const MADE = [
        'netlist.cir',
        'board.svg',
        'board.pdf',
        'ladder.svg',
        'ladder.pdf',
        'sequence.svg',
        'sequence.pdf',
    ];

    public function __invoke(Request $request, Draft $draft, string $what): Response
    {
        $name = "$draft->name-$what";
        if ($what === 'model.json') {
            return Paper::file(Document::text($this->toShare($request, $draft)), $name);
        }
        if ($what === 'wires.csv') {
            return Paper::file("\u{FEFF}".WireList::csv($draft->content()), $name);
        }
        abort_unless(in_array($what, self::MADE, true), 404);

        return Paper::answer(
            $request,
            "draft:$draft->id:$draft->step:$what",
            ['what' => $what, 'draft' => $draft->id],
            $name,
            "/drafts/$draft->id",
        );
    }

    /**
     * The document as it goes to another school: with what it needs to be read there, and with the jobs that were given
     * on it in the classes of whoever takes it out.
     *
     * @return array<string, mixed>
     */
    private function toShare(Request $request, Draft $draft): array
    {
        $document = $draft->content();
        $document['about'] = ['made_with' => DocumentFile::READS] + ($document['about'] ?? []);
        $given = $draft->appliance_id === null ? [] : Assignment::query()
            ->where('appliance_id', $draft->appliance_id)
            ->whereIn('course_id', Course::query()->taughtBy($request->user())->select('id'))
            ->whereIn('kind', [AssignmentKind::Practice, AssignmentKind::Exam])
            ->oldest('id')->limit(self::JOBS)->get()
            ->map(fn (Assignment $a): array => [
                'title' => $a->title, 'fault' => $a->fault, 'visit' => $a->visit, 'kind' => $a->kind->value,
                'complaint' => $a->complaint,
            ])->all();
        $jobs = array_slice([...$document['jobs'] ?? [], ...$given], 0, self::JOBS);
        $document['jobs'] = array_values(array_column($jobs, null, 'title'));

        return array_filter(
            $document,
            fn (mixed $v, string $k): bool => $k !== 'jobs' || $v !== [],
            ARRAY_FILTER_USE_BOTH,
        );
    }
}
