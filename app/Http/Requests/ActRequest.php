<?php

namespace App\Http\Requests;

use App\Models\Attempt;
use Illuminate\Foundation\Http\FormRequest;

class ActRequest extends FormRequest
{
    public function authorize(): bool
    {
        $attempt = $this->route('attempt');

        return $attempt instanceof Attempt && ($this->user()?->can('work', $attempt) ?? false);
    }

    /**
     * What the act itself must have is said by the core's catalogue of acts.
     *
     * @return array<string, list<string>>
     */
    public function rules(): array
    {
        return ['id' => ['required', 'string', 'max:40'], 'act' => ['required', 'string'], 'at_s' => ['required', 'numeric', 'min:0']];
    }
}
