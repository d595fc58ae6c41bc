<?php

declare(strict_types=1);

namespace OddSpark\Commissioning;

use OddSpark\Words\Words;

/** What became of one row of a sheet: a figure, or a safety. */
final readonly class RowJudged
{
    /**
     * @param Row|null $row null: a safety
     * @param string $title how it is called
     * @param float|null $found the figure as the appliance was found, and as it was left; null where no fire burned,
     *     and for a safety
     * @param float $share 0 to 1
     * @param bool|null $isOut as it was left; of a safety whether the fuel went on; null where nobody knows
     * @param int|null $entry where it was written down
     */
    public function __construct(
        public ?Row $row,
        public string $id,
        public string $title,
        public ?float $found,
        public ?float $left,
        public float $share,
        public ?bool $isOut,
        public string $why,
        public ?int $entry,
    ) {}

    public function isRight(): bool
    {
        return $this->share >= 1.0;
    }

    /**
     * @param float $is what the appliance has
     * @param array{float|null, string, int|null}|null $written figure, how it was found, entry; null: nothing was
     */
    public static function figure(
        Row $row,
        ?float $found,
        ?float $left,
        float $is,
        ?array $written,
        bool $isRead,
    ): self {
        [$said, $as, $entry] = $written ?? [null, null, null];
        $isOut = ! $row->isInRange($is);
        $isNear = $said !== null && $row->isNear($said, $is);
        $isAs = $as === ($isOut ? 'out_of_order' : 'in_order') || $row->isDoubtful($is);
        $with = [
            'title' => $row->title, 'said' => $said === null ? '' : self::shown($said)." $row->unit",
            'is' => self::shown($is)." $row->unit", 'range' => $row->range(),
        ];
        [$share, $why] = match (true) {
            $as === null || $said === null => [0.0, Words::say('commissioning.judged.not_written', $with)],
            ! $isRead => [0.0, Words::say('commissioning.judged.not_read', $with)],
            ! $isNear => [0.0, Words::say('commissioning.judged.not_so', $with)],
            ! $isAs && $isOut => [0.5, Words::say('commissioning.judged.is_out', $with)],
            ! $isAs => [0.5, Words::say('commissioning.judged.is_in', $with)],
            default => [1.0, Words::say('commissioning.judged.right', $with)],
        };

        return new self($row, $row->id, $row->title, $found, $left, $share, $isOut, $why, $entry);
    }

    /** @param bool|null $stopped whether the fuel stopped when it was made to act; null: it was not */
    public static function safety(string $id, string $title, ?bool $stopped, ?string $as, ?int $entry): self
    {
        $with = ['title' => $title];
        $isAs = $as === ($stopped === false ? 'out_of_order' : 'in_order');
        [$share, $why] = match (true) {
            $stopped === null => [0.0, Words::say('commissioning.judged.not_made_to_act', $with)],
            $as === null => [0.5, Words::say('commissioning.judged.acted_not_written', $with)],
            ! $isAs => [0.0, Words::say('commissioning.judged.acted_otherwise', $with)],
            default => [1.0, Words::say('commissioning.judged.acted', $with)],
        };

        $isOut = $stopped === null ? null : ! $stopped;

        return new self(null, "safety $id", $title, null, null, $share, $isOut, $why, $entry);
    }

    private static function shown(float $figure): string
    {
        return (string) round($figure, abs($figure) < 10 ? 2 : (abs($figure) < 1000 ? 1 : 0));
    }
}
