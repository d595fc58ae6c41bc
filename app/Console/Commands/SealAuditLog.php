<?php

namespace App\Console\Commands;

use App\Models\AuditEntry;
use Illuminate\Console\Command;

class SealAuditLog extends Command
{
    protected $signature = 'audit:seal';

    protected $description = 'Has the database refuse to change or delete what the audit log holds';

    public function handle(): int
    {
        AuditEntry::seal();

        return self::SUCCESS;
    }
}
