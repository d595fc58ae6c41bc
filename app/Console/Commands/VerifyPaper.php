<?php

namespace App\Console\Commands;

use App\Records\ExamPaper;
use Illuminate\Console\Command;

class VerifyPaper extends Command
{
    protected $signature = 'paper:verify {--key= : the public key that it must be signed with; else that of this installation}';

    protected $description = 'Says whether a paper, read from the standard input, is as it was signed';

    public function handle(): int
    {
        $file = (string) file_get_contents('php://stdin');
        $fault = ExamPaper::fault($file, $this->option('key') ?: null);
        if ($fault !== null) {
            $this->error($fault);

            return self::FAILURE;
        }
        $paper = json_decode($file, true)['paper'];
        $this->info(sprintf(
            'It is as it was signed on %s: %s, “%s”, %d entries, %s.',
            $paper['made'],
            $paper['trainee']['name'],
            $paper['job']['title'],
            count($paper['entries']),
            $paper['stands'] === null
                ? 'not marked'
                : sprintf(
                    '%.1f, %s',
                    $paper['stands']['total'],
                    $paper['stands']['passed'] ? 'passed' : 'not passed',
                ),
        ));

        return self::SUCCESS;
    }
}
