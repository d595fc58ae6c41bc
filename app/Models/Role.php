<?php

namespace App\Models;

/** What somebody is at the school. */
enum Role: string
{
    case Instructor = 'instructor';
    case Trainee = 'trainee';
}
