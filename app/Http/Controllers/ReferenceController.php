<?php

namespace App\Http\Controllers;

use App\Http\Reader;
use App\Support\JudgingDoc;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Inertia\Response;
use OddSpark\Trade\ReferenceCard;
use OddSpark\Trade\Sums;
use OddSpark\Words\Words;

/** The reference card and the bench sums: for whoever is signed in. */
class ReferenceController extends Controller
{
    public function show(Request $request): Response
    {
        return Words::in(Reader::language($request), fn () => Inertia::render('Reference', [
            'groups' => ReferenceCard::groups(), 'sums' => Sums::all(),
        ]));
    }

    /** How each kind of job is judged. */
    public function judging(): Response
    {
        return Inertia::render('Judging', ['sections' => JudgingDoc::sections()]);
    }

    public function sum(Request $request, string $sum): JsonResponse
    {
        $with = array_map(floatval(...), $request->json('with'));
        try {
            return response()->json(Words::in(Reader::language($request), fn () => Sums::of($sum, $with)));
        } catch (\DomainException $e) {
            return response()->json(['message' => $e->getMessage()], 422);
        }
    }
}
