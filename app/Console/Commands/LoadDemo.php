<?php

namespace App\Console\Commands;

use App\Models\Task;
use App\Models\User;
use App\Support\DemoData;
use Database\Seeders\DemoSeeder;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\Artisan;

class LoadDemo extends Command
{
    protected $signature = 'demo:load
        {--if-empty : leave the data alone when there is any}
        {--would-lose : load nothing; say what of the school\'s own would be lost, and fail if there is any}
        {--small : one class, and none of its weeks}
        {--has : load nothing; say whether there is demo data}';

    protected $description = 'Puts the demo data back: a made-up training centre with a class, jobs and attempts';

    public function handle(): int
    {
        if ($this->option('has')) {
            $this->line(DemoData::isLoaded() ? 'yes' : 'no');

            return self::SUCCESS;
        }
        if ($this->option('would-lose')) {
            $others = DemoData::others();
            if ($others !== []) {
                $this->error('There is more here than demo data: '.implode(', ', $others).'.');
            }

            return $others === [] ? self::SUCCESS : self::FAILURE;
        }
        if ($this->option('if-empty') && User::query()->exists()) {
            $this->info('There is data already.');

            return self::SUCCESS;
        }
        Artisan::call('migrate:fresh', ['--force' => true]);
        $this->laravel->make(DemoSeeder::class)->run();
        DemoData::remember();
        if (! $this->option('small')) { // the rest is made beside the site, which can be looked at meanwhile
            Task::want(User::query()->where('email', 'edda@demo.example')->sole(), 'demo', 'demo');
        }
        $this->info('Loaded.');

        return self::SUCCESS;
    }
}
