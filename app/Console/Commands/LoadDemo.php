<?php

namespace App\Console\Commands;

use App\Models\RuleSet;
use App\Models\User;
use Database\Seeders\DemoSeeder;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Schema;

class LoadDemo extends Command
{
    protected $signature = 'demo:load {--if-empty : leave the data alone when there is any}';

    protected $description = 'Puts the demo data back: a made-up training centre with a class, jobs and attempts';

    public function handle(): int
    {
        if (Schema::hasTable('rule_sets')) {
            RuleSet::ship(); // also those that came with a newer version of the program
        }
        if ($this->option('if-empty') && User::query()->exists()) {
            $this->info('There is data already.');

            return self::SUCCESS;
        }
        Artisan::call('migrate:fresh', ['--force' => true]);
        $this->laravel->make(DemoSeeder::class)->run();
        $this->info('Loaded.');

        return self::SUCCESS;
    }
}
