<?php

namespace App\Http\Controllers;

use App\Models\Course;
use App\Records\Gradebook;
use Illuminate\Http\Request;
use Inertia\Inertia;
use Inertia\Response;

/** What has been shown: by a class, and by oneself. */
class RecordController extends Controller
{
    public function course(Course $course): Response
    {
        return Inertia::render('Gradebook', Gradebook::of($course));
    }

    public function own(Request $request): Response
    {
        return Inertia::render('Progress', Gradebook::ofPerson($request->user()));
    }
}
