<?php

namespace App\Http\Controllers;

use App\Http\Paper;
use App\Models\Draft;
use Illuminate\Http\Request;
use OddSpark\Building\WireList;
use Symfony\Component\HttpFoundation\Response;

/** A model that is being made, as a file: its document, its wires, its netlist, its drawings. */
class DraftFileController extends Controller
{
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
            return Paper::file($draft->document, $name);
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
}
