<?php

namespace App\Policies;

use App\Models\AssignmentKind;
use App\Models\Attempt;
use App\Models\User;

class AttemptPolicy
{
    public function work(User $user, Attempt $attempt): bool
    {
        return $attempt->user_id === $user->id;
    }

    /**
     * To speak to whom is at the bench, look over his shoulder, give him a hint, end his call: those who teach there.
     */
    public function supervise(User $user, Attempt $attempt): bool
    {
        return $attempt->isOpen() && self::isShared($attempt) && $attempt->assignment->course->isTaughtBy($user);
    }

    /** To say something there, and read what was said: who is at it, and those who teach there. */
    public function talk(User $user, Attempt $attempt): bool
    {
        return $this->work($user, $attempt) || $this->supervise($user, $attempt);
    }

    /** To set a line of its mark otherwise: those who teach or mark in its class. */
    public function judge(User $user, Attempt $attempt): bool
    {
        return ! $attempt->isOpen() && $attempt->user_id !== $user->id && self::isRead($user, $attempt);
    }

    /** To contest its mark: whose it is, where marks count. */
    public function contest(User $user, Attempt $attempt): bool
    {
        return ! $attempt->isOpen() && $attempt->user_id === $user->id && $attempt->assignment->kind->counts();
    }

    /**
     * The debrief shows the fault: to the trainee once the appliance is handed back, to those who teach or mark too.
     */
    public function debrief(User $user, Attempt $attempt): bool
    {
        return ! $attempt->isOpen() &&
            ($attempt->user_id === $user->id ||
                self::isRead($user, $attempt));
    }

    /** What is practised at will is for one's own eyes. */
    private static function isShared(Attempt $attempt): bool
    {
        return $attempt->assignment->kind !== AssignmentKind::Free;
    }

    private static function isRead(User $user, Attempt $attempt): bool
    {
        return self::isShared($attempt) && $attempt->assignment->course->isReadBy($user);
    }
}
