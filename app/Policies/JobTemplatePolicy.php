<?php

namespace App\Policies;

use App\Models\JobTemplate;
use App\Models\User;

/** A template is its maker's, and of those to whom he gave it to change. */
class JobTemplatePolicy
{
    public function delete(User $user, JobTemplate $template): bool
    {
        return $template->isEditableBy($user);
    }
}
