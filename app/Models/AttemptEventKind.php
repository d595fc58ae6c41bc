<?php

namespace App\Models;

/** What can happen round an attempt. */
enum AttemptEventKind: string
{
    case Said = 'said';
    /** A hint that the instructor gave: it costs nothing. */
    case Hint = 'hint';
    case HandUp = 'hand up';
    case HandDown = 'hand down';
    case Stopped = 'stopped';
    case WentOn = 'went on';
    /** The page of an examination was left for another. */
    case LeftPage = 'left page';
    case LostConnection = 'lost connection';
    case Ended = 'ended';
}
