<?php

namespace App\Models;

use Illuminate\Database\Eloquent\Model as Row;
use OddSpark\Acts\Act;
use OddSpark\Acts\Catalogue;
use OddSpark\Appliance\Model;
use OddSpark\Bench\Outcome;
use OddSpark\Bench\Wording;
use OddSpark\Instruments\Bag;
use OddSpark\Words\Words;

/**
 * One line of the log: the act, and what it showed, kept as fact.
 *
 * @property int $id
 * @property string $client_id
 * @property int $tick
 * @property array<string, mixed> $act
 * @property array<string, mixed> $outcome
 * @property string $sentence
 */
class Entry extends Row
{
    public const UPDATED_AT = null;

    protected $table = 'entries'; // said, so that nobody works it out with every request

    protected $fillable = ['attempt_id', 'client_id', 'tick', 'act', 'outcome', 'sentence'];

    protected function casts(): array
    {
        return ['act' => 'array', 'outcome' => 'array'];
    }

    /** @return array{Act, Outcome} */
    public function done(): array
    {
        $o = $this->outcome;

        return [Catalogue::act($this->act), new Outcome(
            $o['seen'],
            $o['reading'] === null ? null : Bag::reading($o['reading']),
            null,
            $o['refused'],
            array_keys($o['dangers']),
        )];
    }

    /**
     * As the bench shows it, in the language that is spoken just now: it was kept in American English.
     *
     * @return array<string, mixed>
     */
    public function read(Model $model): array
    {
        if (Words::language() === Words::AMERICAN || isset($this->outcome['waits'])) {
            return $this->shown();
        }
        [$act, $outcome] = $this->done();

        return [
            'text' => (new Wording($model))->entry($act, $outcome),
            'seen' => (object) array_map(Words::again(...), $outcome->seen),
            'dangers' => (object) Words::each('acts.danger', $outcome->dangers),
            'refused' => $outcome->refused === null ? null : Words::again($outcome->refused),
        ] + $this->shown();
    }

    /** @return array<string, mixed> as the bench shows it */
    public function shown(): array
    {
        return [
            'id' => $this->client_id,
            'at_s' => $this->tick / 1000,
            'text' => $this->sentence,
            'act' => $this->act,
            'seen' => (object) ($this->outcome['seen'] ?? []),
            'dangers' => (object) ($this->outcome['dangers'] ?? []),
        ] + $this->outcome;
    }
}
