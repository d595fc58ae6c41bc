<?php

namespace App\Policies;

use App\Models\JobTemplate;
use App\Models\User;

/** A template is its maker's alone. */
class JobTemplatePolicy
{
    public function delete(User $user, JobTemplate $template): bool
    {
        return $template->user_id === $user->id;
    }
}
