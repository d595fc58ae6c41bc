<?php

declare(strict_types=1);

namespace OddSpark\Tests\Meter;

use OddSpark\Appliance\Plan;
use OddSpark\Bench\Bench;
use OddSpark\Faults\FaultSet;
use OddSpark\Meter\Reading;
use OddSpark\Run\Memory;
use OddSpark\Tests\Fixtures;
use OddSpark\Tests\OtherNames;
use PHPUnit\Framework\TestCase;

/** A reading depends on the appliance, never on what its parts are called or in which order they stand. */
final class NamesTest extends TestCase
{
    public function test_every_reading_is_the_same_under_other_names_and_in_another_order(): void
    {
        [$plan, $as] = OtherNames::furnace(11);

        $places = array_keys(Fixtures::furnace()->places);
        foreach (['healthy', 'limit:stuck-open', 'w38:open', 'rod:dirty'] as $fault) {
            $acts = [['at_s' => 1, 'act' => 'door', 'to' => 'open'], ['at_s' => 2, 'act' => 'hold', 'to' => 'held']];
            for ($i = 0; $i < 40; $i++) {
                $acts[] = [
                    'at_s' => 3 + 4 * $i,
                    'act' => 'dial',
                    'mode' => ['vac', 'vdc', 'vlz', 'ohm', 'uf', 'ua'][mt_rand(0, 5)],
                ];
                $acts[] = [
                    'at_s' => 4 + 4 * $i,
                    'act' => 'leads',
                    'red' => $places[mt_rand(0, count($places) - 1)],
                    'black' => $places[mt_rand(0, count($places) - 1)],
                ];
            }
            $ours = self::readings(Fixtures::furnace(), $fault, $acts);
            foreach ($acts as $i => $act) {
                foreach (['red', 'black'] as $lead) {
                    if (isset($act[$lead])) {
                        $acts[$i][$lead] = $as($act[$lead]);
                    }
                }
            }
            $again = self::readings($plan, $as($fault), $acts);
            foreach ($ours as $i => $one) {
                $other = $again[$i];
                $where =
                    json_encode(array_slice($acts, max(0, $i - 1), 2)).
                    ", $fault: {$one?->text()} and {$other?->text()}";
                self::assertSame([$one?->mode, $one?->live], [$other?->mode, $other?->live], $where);
                if ($one !== null && is_finite($one->value)) {
                    // rounding may fall either way
                    self::assertEqualsWithDelta($one->value, $other?->value, 1.01 * $one->step, $where);
                } else {
                    self::assertSame($one?->text(), $other?->text(), $where);
                }
            }
        }
    }

    /**
     * Displays, act by act: without a seed, which goes by names.
     *
     * @param list<array<string, mixed>> $acts
     * @return list<Reading|null>
     */
    private static function readings(Plan $plan, string $fault, array $acts): array
    {
        $bench = new Bench($plan, FaultSet::of($plan->model)->get($fault), new Memory());
        $state = $bench->arrive('cold')->state;
        $state = $bench->resume($state);
        $exact = [];
        foreach (Fixtures::log($acts)->acts as $act) {
            [$state, $outcome] = $bench->do($state, $act);
            $exact[] = $outcome->reading;
        }

        return $exact;
    }
}
