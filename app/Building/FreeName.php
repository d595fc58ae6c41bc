<?php

namespace App\Building;

use App\Models\Appliance;
use App\Models\Draft;
use Illuminate\Support\Str;
use OddSpark\Appliance\Library;

/** Names of models that are still to be had. */
final class FreeName
{
    /** A name that neither a shipped model nor another draft has. */
    public static function for(string $wanted, Library $library): string
    {
        $taken = fn (string $name): bool => in_array($name, $library->names(), true) ||
            Draft::query()->where('name', $name)->exists() ||
            Appliance::query()->where('name', $name)->exists();
        $wanted = Str::limit(Str::slug($wanted) ?: 'model', 50, '');
        for ($i = 2, $name = $wanted; $taken($name); $i++) {
            $name = "$wanted-$i";
        }

        return $name;
    }
}
