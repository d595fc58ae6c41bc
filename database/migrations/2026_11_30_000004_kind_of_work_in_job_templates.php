<?php

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Templates say what is done by its name and how much of it, whatever the kind of work. */
return new class() extends Migration {
    public function up(): void
    {
        foreach (DB::table('job_templates')->get(['id', 'job']) as $template) {
            $job = json_decode($template->job, true);
            if (isset($job['work'])) {
                continue;
            }
            [$work, $many] = match (true) {
                ($job['predictions'] ?? 0) > 0 => ['predict', $job['predictions']],
                ($job['explanations'] ?? 0) > 0 => ['explain', $job['explanations']],
                isset($job['wires']) => ['wire', 0],
                default => ['trace', 0],
            };
            $kept = array_diff_key($job, ['predictions' => 0, 'explanations' => 0]);
            $said = [
                'work' => $work, 'many' => $many,
                'wires' => $job['wires'] ?? 'all', 'shown' => $job['shown'] ?? 'drawing',
            ];
            DB::table('job_templates')->where('id', $template->id)->update(['job' => json_encode($said + $kept)]);
        }
    }
};
