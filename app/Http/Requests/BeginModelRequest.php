<?php

namespace App\Http\Requests;

use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;
use OddSpark\Appliance\Library;

/** From nothing, from a shipped model, or from a file: each needs something else. */
class BeginModelRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(Library $library): array
    {
        return [
            'title' => ['nullable', 'string', 'required_without:file'],
            'region' => ['required_without_all:model,file', 'in:NA,EU'],
            'model' => ['nullable', Rule::in($library->names())],
            'file' => ['nullable', 'string'],
        ];
    }
}
