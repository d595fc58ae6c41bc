<?php

declare(strict_types=1);

namespace OddSpark\Bench;

use OddSpark\Acts\Act;
use OddSpark\Acts\ActError;
use OddSpark\Acts\Catalogue;
use OddSpark\Instruments\Bag;
use OddSpark\Words\Words;

/**
 * What a person did and what he was shown for it, up to a tick: all that suspects are computed from.
 *
 * Nothing here knows the fault.
 */
final readonly class Observations
{
    /**
     * @param list<array{Act, Outcome}> $entries
     * @param array<string, list<array{int, int, mixed}>> $perceived stretches by channel,
     *     see {@see \OddSpark\Senses\Record}
     * @param list<string> $complaint ids of what the customer said
     */
    public function __construct(
        public string $visit,
        public array $entries,
        public array $perceived,
        public int $until,
        public array $complaint,
    ) {}

    /** @return array<string, mixed> the observations document */
    public function toArray(): array
    {
        $entries = [];
        foreach ($this->entries as [$act, $outcome]) {
            $entries[] = $act->toArray() + array_filter([
                'seen' => $outcome->seen,
                'reading' => $outcome->reading?->toArray(),
                'refused' => $outcome->refused,
                'dangers' => $outcome->dangers,
            ], fn ($v) => $v !== [] && $v !== null);
        }

        return [
            'odd_spark_observations' => 1,
            'visit' => $this->visit,
            'complaint' => $this->complaint,
            'until_s' => $this->until / 1000,
            'entries' => $entries,
            'perceived' => $this->perceived,
        ];
    }

    /**
     * @param array<string, mixed> $json
     *
     * @throws ActError
     */
    public static function fromArray(array $json): self
    {
        if (($json['odd_spark_observations'] ?? null) !== 1) {
            throw new ActError('/odd_spark_observations', Words::say('bench.observations.must_be_1_the_version'));
        }
        foreach (
            [
                'visit' => 'is_string',
                'entries' => 'is_array',
                'perceived' => 'is_array',
                'complaint' => 'is_array',
                'until_s' => 'is_numeric',
            ] as $key => $is
        ) {
            if (! isset($json[$key]) || ! $is($json[$key])) {
                throw new ActError("/$key", Words::say('bench.observations.is_missing_or_of_the'));
            }
        }
        $entries = [];
        foreach ($json['entries'] as $i => $e) {
            if (! is_array($e)) {
                throw new ActError("/entries/$i", Words::say('bench.observations.must_be_an_act_with'));
            }
            $act = Catalogue::act(
                array_diff_key($e, ['seen' => 1, 'reading' => 1, 'refused' => 1, 'dangers' => 1]),
                "/entries/$i",
            );
            $reading = $e['reading'] ?? null;
            try {
                $entries[] = [
                    $act,
                    new Outcome(
                        $e['seen'] ?? [],
                        $reading === null ? null : Bag::reading($reading),
                        null,
                        $e['refused'] ?? null,
                        $e['dangers'] ?? [],
                    ),
                ];
            } catch (\Throwable) {
                throw new ActError(
                    "/entries/$i/reading",
                    Words::say('bench.observations.is_no_reading_mode_value'),
                );
            }
        }
        foreach ($json['perceived'] as $channel => $stretches) {
            foreach ((array) $stretches as $i => $s) {
                if (! is_array($s) || count($s) !== 3 || ! is_int($s[0] ?? null) || ! is_int($s[1] ?? null)) {
                    throw new ActError("/perceived/$channel/$i", Words::say('bench.observations.must_be_from_ms_to'));
                }
            }
        }

        return new self(
            $json['visit'],
            $entries,
            $json['perceived'],
            (int) round($json['until_s'] * 1000),
            array_values($json['complaint']),
        );
    }
}
