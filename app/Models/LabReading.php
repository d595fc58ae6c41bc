<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use OddSpark\Building\LabList;

/**
 * A reading that was taken on a real unit: when, by whom and with what, where and in which state, and its figure in
 * the unit
 * of its mode.
 *
 * @property int $id
 * @property int $appliance_id
 * @property int|null $user_id who noted it
 * @property string $unit
 * @property string $date
 * @property float $at_s
 * @property float $value
 *
 * @phpstan-import-type LabRow from LabList
 */
class LabReading extends Model
{
    protected $guarded = [];

    protected $casts = ['at_s' => 'float', 'value' => 'float', 'date' => 'date:Y-m-d'];

    /** @return BelongsTo<Appliance, $this> */
    public function appliance(): BelongsTo
    {
        return $this->belongsTo(Appliance::class);
    }

    /** @return LabRow */
    public function row(): array
    {
        return array_intersect_key($this->toArray(), array_flip(LabList::COLUMNS));
    }

    /** @return array<string, string|float> where and in which state it was taken, as a run asks for it */
    public function moment(): array
    {
        $said = ['visit', 'at_s', 'fault', 'mode', 'red', 'black', 'tap'];

        return array_filter(array_intersect_key($this->row(), array_flip($said)), fn ($v) => $v !== '');
    }
}
