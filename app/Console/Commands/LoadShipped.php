<?php

namespace App\Console\Commands;

use App\Models\Appliance;
use App\Models\RuleSet;
use Illuminate\Console\Command;
use OddSpark\Appliance\Library;

class LoadShipped extends Command
{
    protected $signature = 'shipped:load';

    protected $description = 'Brings the models and house rules that come with the program up to date';

    public function handle(): int
    {
        RuleSet::ship();
        foreach ((new Library())->names() as $name) {
            Appliance::ship($name);
        }

        return self::SUCCESS;
    }
}
