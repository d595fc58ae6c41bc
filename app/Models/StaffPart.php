<?php

namespace App\Models;

/** What somebody does in a class that another leads. */
enum StaffPart: string
{
    case Teaches = 'teaches';
    case Marks = 'marks';
}
