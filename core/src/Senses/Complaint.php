<?php

declare(strict_types=1);

namespace OddSpark\Senses;

use OddSpark\Appliance\Household;
use OddSpark\Words\Words;

/**
 * What the customer says: statements that are true of what happened before the visit.
 *
 * Each is decided from the record of the household's own time, never from the fault; a layman's
 * words for what he could notice from the rooms. What there is to notice, the model's household says.
 *
 * @phpstan-import-type RoomKnown from Lived
 */
final class Complaint
{
    use ComplainsOfAir;

    /** Degrees by which a room has to miss what is wanted before anybody says so. */
    private const COLD = 1.5;

    private const WARM = 2.5;

    /** Share of the wanted heat from which on somebody speaks of hot water. Common practice, no source. */
    private const SCALDS = 1.15;

    /** Ticks for which warm water lets a boiler rest. */
    private const LATELY = 2_400_000;

    /** A burner that goes out within these has tried; one that goes on longer has run. Ticks. */
    private const TRIED = 30_000;

    /** A fan or a burner that goes on so long with nobody calling is noticed, ticks: beyond any run-on. */
    private const UNCALLED = 900_000;

    /** A burner that comes on for less, again and again, is noticed. Ticks. */
    private const SHORT = 420_000;

    /** How long a room is let warm up before anybody says that it does not, ticks. */
    private const PATIENCE = 1_800_000;

    /** Of two things that happen so close together nobody says which was first, ticks. */
    private const A_MOMENT = 5_000;

    /** The longest that a fan waits for its exchanger, ticks. */
    private const FAN_WAITS = 240_000;

    /** What goes out of every burner before it lights is not smelt, ticks. */
    private const A_WHIFF = 2_500;

    /** Of a smell of fumes nobody says a word before so long, ticks. */
    public const FUMES = 60_000;

    /** What hums for less than that nobody has noticed, ticks. */
    public const HUM = 3_000;

    /** @var list<array{id: string, text: string}> */
    private array $said = [];

    private function __construct(private readonly Household $household, private readonly Lived $lived) {}

    /** @return list<array{id: string, text: string}> */
    public static function of(Household $household, Lived $lived): array
    {
        $complaint = new self($household, $lived);
        $complaint->displays();
        $complaint->heat();
        $complaint->cooling();
        $complaint->eachRoom();
        $complaint->water();
        if ($household->air !== null) {
            $complaint->air($household->air);
        }
        $complaint->senses();
        // nobody says that it works and that something is wrong with it in one breath
        $amiss = array_filter($complaint->said, fn (array $s): bool => $s['id'] !== 'works');

        return $amiss === [] ? $complaint->said : array_values($amiss);
    }

    private function say(string $id, string $text): void
    {
        $this->said[] = ['id' => $id, 'text' => $text];
    }

    private function displays(): void
    {
        $several = count($this->lived->rooms) > 1;
        foreach ($this->lived->rooms as $room) {
            if ($room['blank']) {
                $this->say(
                    'blank'.($several ? ":{$room['name']}" : ''),
                    $several ? Words::say('senses.complaint.the_thermostat_is_blank', [
                        'name' => $room['name'],
                    ]) : Words::say('senses.complaint.the_thermostat_is_blank_2'),
                );
            }
        }
    }

    private function heat(): void
    {
        [$household, $rooms] = [$this->household, $this->lived->rooms];
        if ($household->heat === [] || $rooms === []) {
            return; // it heats no rooms: nobody there has anything to say of them
        }
        $burns = $this->lived->stretches($household->heat);
        $burned = $this->lived->total($household->heat);
        [$cold, $warm] = [$this->cold(), $this->warm()];
        // of a boiler that comes and goes as its water asks, nobody in the rooms takes notice
        $comesAndGoes = $household->comesAndGoes;
        $several = count($rooms) > 1;
        $waits = array_filter($rooms, fn (array $r): bool => $r['calling'] || $r['blank']) !== [];
        $isShort = count($burns) >= 3 && $burned / count($burns) < self::SHORT && ($cold !== [] || ! $several);
        $rests = ! $this->lived->lastly($household->heat, $comesAndGoes ? self::LATELY : 0);
        [$id, $text] = match (true) {
            $burned === 0 => ['no-heat', Words::say('senses.complaint.we_have_no_heat_at')],
            $this->onlyTries($burns) => ['tries', Words::say('senses.complaint.it_lights_and_goes_out')],
            ! $comesAndGoes && $isShort => ['short', Words::say('senses.complaint.it_comes_on_runs_a')],
            $waits && $rests => ['quit', Words::say('senses.complaint.it_was_heating_then_the')],
            count($cold) === count($rooms) && ($rests || $this->lived->waited() >= self::PATIENCE) => [
                'too-cold', Words::say('senses.complaint.it_heated_for_a_while'),
            ],
            count($warm) === count($rooms) => ['too-warm', Words::say('senses.complaint.it_does_not_stop_heating')],
            $this->heatsUncalled() => ['uncalled', Words::say('senses.complaint.heats_uncalled')],
            ! $several || $cold === [] && $warm === [] => ['works', Words::say('senses.complaint.works_just_now')],
            default => [null, ''],
        };
        if ($id !== null) {
            $this->say($id, $text);
        }
    }

    private function cooling(): void
    {
        $cool = $this->household->cool;
        if ($cool === [] || $this->lived->rooms === []) {
            return;
        }
        $rests = ! $this->lived->lastly($cool, 0);
        $waits = array_filter($this->lived->rooms, fn (array $r): bool => $r['calling'] || $r['blank']) !== [];
        [$id, $text] = match (true) {
            $this->lived->total($cool) === 0 => ['no-cooling', Words::say('senses.complaint.it_does_not_cool_at')],
            $waits && $rests => ['quit-cooling', Words::say('senses.complaint.it_was_cooling_then_it')],
            $this->warm() !== [] => ['not-cool', Words::say('senses.complaint.it_runs_but_it_does')],
            $this->cold() !== [] => ['too-cool', Words::say('senses.complaint.it_does_not_stop_cooling')],
            $this->lived->uncalled($cool) > self::UNCALLED => [
                'cools-uncalled',
                Words::say('senses.complaint.it_cools_even_when_we'),
            ],
            default => ['works', Words::say('senses.complaint.works_just_now')],
        };
        $this->say($id, $text);
    }

    /**
     * Whether the burner did no more of late than light and go out.
     *
     * @param list<array{int, int}> $burns
     */
    private function onlyTries(array $burns): bool
    {
        $last = array_slice($burns, -2);
        $end = $this->lived->end($this->household->heat);

        return array_filter($last, fn (array $b): bool => $b[1] - $b[0] >= self::TRIED || $b[1] >= $end) === [] &&
            (count($last) > 1 || count($burns) === 1);
    }

    /** Hot water may call where no room does: where nobody knows when it does, nobody says so. */
    private function heatsUncalled(): bool
    {
        return ($this->household->hotWater === null || $this->household->hotWater['calls'] !== null) &&
            $this->lived->uncalled($this->household->heat) > self::UNCALLED;
    }

    private function eachRoom(): void
    {
        $rooms = $this->lived->rooms;
        if (count($rooms) < 2 || $this->lived->total($this->household->heat) === 0) {
            return;
        }
        [$cold, $warm] = [$this->cold(), $this->warm()];
        foreach (count($cold) < count($rooms) ? $cold : [] as $room) {
            $this->say("cold:{$room['name']}", Words::say('senses.complaint.it_stays_cold', [
                'name' => $room['name'],
            ]));
        }
        foreach (count($warm) < count($rooms) ? $warm : [] as $room) {
            $this->say("warm:{$room['name']}", Words::say('senses.complaint.it_gets_too_warm', [
                'name' => $room['name'],
            ]));
        }
    }

    private function water(): void
    {
        $hotWater = $this->lived->hotWater;
        $isPool = ($this->household->hotWater['what'] ?? null) === 'pool';
        if ($hotWater !== null && $hotWater['now'] < $hotWater['wants'] * 0.8) {
            $this->say(
                ...($isPool ? ['cold-pool', Words::say('senses.complaint.the_pool_is_cold')] : [
                    'no-hot-water',
                    Words::say('senses.complaint.there_is_no_hot_water'),
                ]),
            );
        } elseif ($hotWater !== null && $hotWater['now'] > $hotWater['wants'] * self::SCALDS) {
            $this->say('scalding', Words::say('senses.complaint.the_hot_water_is_far'));
        } elseif ($hotWater !== null && $this->lived->rooms === []) {
            $this->say('works', Words::say('senses.complaint.works_just_now'));
        }
        $water = $this->lived->water;
        if ($water !== null && $water['radiators'] !== [] && $this->cold() !== []) {
            $hand = $this->household->hand;
            $isFired = $this->lived->lastly($this->household->heat, self::LATELY);
            if ($isFired && $water['boiler'] > $hand['hot'] && max($water['radiators']) < $hand['cold']) {
                $this->say('cold-radiators', Words::say('senses.complaint.the_boiler_is_hot_but'));
            }
        }
    }

    private function senses(): void
    {
        if ($this->lived->longest($this->household->smell) > self::A_WHIFF) {
            $this->say('smell', Words::say('senses.complaint.there_was_a_smell_of', [
                'fuel' => $this->household->fuel,
            ]));
        }
        if ($this->lived->total($this->household->fumes) > self::FUMES) {
            $this->say('fumes', Words::say('senses.complaint.there_is_a_smell_of'));
        }
        if ($this->lived->total($this->household->hum) > self::HUM) {
            $this->say('hum', Words::say('senses.complaint.something_hums_down_there'));
        }
    }

    /** @param RoomKnown $room */
    public static function isCold(array $room): bool
    {
        return $room['now'] < $room['wants'] - self::COLD;
    }

    /** @param RoomKnown $room */
    public static function isWarm(array $room): bool
    {
        return $room['now'] > $room['wants'] + self::WARM;
    }

    /** @return list<RoomKnown> */
    private function cold(): array
    {
        return array_values(array_filter($this->lived->rooms, self::isCold(...)));
    }

    /** @return list<RoomKnown> */
    private function warm(): array
    {
        return array_values(array_filter($this->lived->rooms, self::isWarm(...)));
    }
}
