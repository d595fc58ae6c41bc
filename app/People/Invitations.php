<?php

namespace App\People;

use App\Mail\AccessMail;
use App\Mail\ChangeMail;
use App\Models\AccessLink;
use App\Models\User;
use Illuminate\Support\Facades\Mail;

/** Links by which somebody sets a password: shown once to whoever made them, and mailed where mail is configured. */
class Invitations
{
    /** Whether the installation can send mail: MAIL_MAILER and what belongs to it, see docs/running.md. */
    public static function areMailed(): bool
    {
        return config('spark.mail') === true;
    }

    /** Tells somebody that the way into his account was changed, where mail is configured. */
    public static function tell(User $user, string $what): void
    {
        if (self::areMailed() && str_contains($user->email, '@')) {
            Mail::to($user->email)->queue(new ChangeMail($user->name, $what));
        }
    }

    /** A new link for somebody, in place of any before. */
    public static function link(User $user, User $by, ?string $batch = null): string
    {
        $link = url('/link/'.AccessLink::for($user, $by, $batch));
        if (self::areMailed() && str_contains($user->email, '@')) {
            Mail::to($user->email)->queue(new AccessMail($user->name, $user->email, $link));
        }

        return $link;
    }
}
