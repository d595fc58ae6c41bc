<?php

namespace App\Bench;

use App\Models\Entry;
use Illuminate\Support\Collection;
use OddSpark\Acts\Act;
use OddSpark\Acts\Catalogue;
use OddSpark\Appliance\Model;
use OddSpark\Remote\Customer;

/** A customer at the telephone in an attempt: its entries have what he was asked; what he did follows from its seed. */
final class AtTelephone
{
    private readonly Customer $customer;

    public function __construct(Model $model, int $seed)
    {
        $this->customer = new Customer($model, $seed);
    }

    /** Why he cannot be asked that; null when he can. */
    public function refusal(Act $asked): ?string
    {
        return $this->customer->refusal($asked);
    }

    /** @param int $nth of the entries of the attempt, from 0 */
    public function does(Act $asked, int $nth): Act
    {
        return $this->customer->does($asked, $nth);
    }

    /**
     * What he was asked where he did something else.
     *
     * @param Collection<int, Entry> $entries
     * @return array<int, Act> by entry
     */
    public function slips(Collection $entries): array
    {
        $slips = [];
        foreach ($entries->values() as $nth => $entry) {
            $asked = Catalogue::act($entry->act);
            if ($entry->outcome['refused'] === null && $this->does($asked, $nth)->with !== $asked->with) {
                $slips[$nth] = $asked;
            }
        }

        return $slips;
    }

    /**
     * Where the trainee thinks that the leads are, and how the dial stands: as he asked, or as it was read out to him.
     *
     * @param Collection<int, Entry> $entries
     * @return array{red: string|null, black: string|null, mode: string}
     */
    public function believed(Collection $entries): array
    {
        $really = $believed = ['red' => null, 'black' => null, 'mode' => 'vac'];
        foreach ($entries->values() as $nth => $entry) {
            if ($entry->outcome['refused'] !== null) {
                continue;
            }
            $asked = Catalogue::act($entry->act);
            $all = $asked->name === 'leads' ? $asked->with + ['red' => null, 'black' => null] : $asked->with;
            $known = array_intersect_key($all, $believed);
            if (in_array($asked->name, ['leads', 'dial'], true)) {
                $believed = $known + $believed;
                $really = array_intersect_key($this->does($asked, $nth)->with, $really) + $known + $really;
            } elseif ($asked->name === 'read_out') {
                $believed = $really;
            }
        }

        return $believed;
    }
}
