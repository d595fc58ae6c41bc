<?php

declare(strict_types=1);

namespace OddSpark\Tests\Meter;

use OddSpark\Appliance\Compiler;
use OddSpark\Appliance\Library;
use OddSpark\Appliance\Plan;
use OddSpark\Bench\Bench;
use OddSpark\Faults\Universe;
use OddSpark\Meter\Reading;
use OddSpark\Run\Memory;
use OddSpark\Tests\Fixtures;
use PHPUnit\Framework\TestCase;

/** A reading depends on the appliance, never on what its parts are called or in which order they stand. */
final class NamesTest extends TestCase
{
    public function test_every_reading_is_the_same_under_other_names_and_in_another_order(): void
    {
        mt_srand(11);
        $document = Library::parse((string) file_get_contents(__DIR__.'/../../models/furnace-80.json'));
        $ids = array_values(array_unique([...array_column($document['parts'], 'id'), ...array_column($document['wires'], 'id'), ...array_keys($document['process'])]));
        $other = array_map(fn (int $i) => 'x'.chr(97 + $i % 26).$i, array_keys($ids));
        shuffle($other);
        $rename = array_combine($ids, $other);
        $as = fn (string $id): string => preg_replace_callback('/^[a-z0-9-]+/', fn (array $m) => $rename[$m[0]] ?? $m[0], $id) ?? $id;
        $d = self::renamed($document, $as);
        foreach (['process', 'weights'] as $keyed) {
            $d[$keyed] = array_combine(array_map($as, array_keys($d[$keyed] ?? [])), $d[$keyed] ?? []);
        }
        $d['visits']['hot']['arrives']['unlike'] = [$as('board.lamp') => 'steady'];
        foreach (['heat', 'cycle', 'air', 'smell', 'hum'] as $what) {
            $d['household'][$what] = array_combine(array_map($as, array_keys($document['household'][$what])), $document['household'][$what]);
        }
        ksort($d['process']);
        shuffle($d['parts']);
        $cable = array_filter($d['wires'], fn (array $w) => isset($w['cable'])); // how the conductors lie in a cable is their order
        shuffle($d['wires']);
        foreach ($d['wires'] as $i => $w) {
            $d['wires'][$i] = isset($w['cable']) ? array_shift($cable) : $w;
        }
        $theirs = (new Library())->resolve($d);
        $plan = Compiler::compile($theirs);

        $places = array_keys(Fixtures::furnace()->places);
        foreach (['healthy', 'limit:stuck-open', 'w38:open', 'rod:dirty'] as $fault) {
            $acts = [['at_s' => 1, 'act' => 'door', 'to' => 'open'], ['at_s' => 2, 'act' => 'hold', 'to' => 'held']];
            for ($i = 0; $i < 40; $i++) {
                $acts[] = ['at_s' => 3 + 4 * $i, 'act' => 'dial', 'mode' => ['vac', 'vdc', 'vlz', 'ohm', 'uf', 'ua'][mt_rand(0, 5)]];
                $acts[] = ['at_s' => 4 + 4 * $i, 'act' => 'leads', 'red' => $places[mt_rand(0, count($places) - 1)], 'black' => $places[mt_rand(0, count($places) - 1)]];
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
                $where = json_encode(array_slice($acts, max(0, $i - 1), 2)).", $fault: {$one?->text()} and {$other?->text()}";
                self::assertSame([$one?->mode, $one?->live], [$other?->mode, $other?->live], $where);
                if ($one !== null && is_finite($one->value)) {
                    self::assertEqualsWithDelta($one->value, $other?->value, 1.01 * $one->step, $where); // rounding may fall either way
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
        $bench = new Bench($plan, Universe::of($plan->model)->get($fault), new Memory());
        $state = $bench->arrive('cold')->state;
        $bench->resume($state);
        $exact = [];
        foreach (Fixtures::log($acts)->acts as $act) {
            [$state, $outcome] = $bench->do($state, $act);
            $exact[] = $outcome->reading;
        }

        return $exact;
    }

    /**
     * Ids within the values of a document, renamed where they stand for parts, wires and processes.
     *
     * @param array<array-key, mixed> $value
     * @param callable(string): string $as
     * @return array<array-key, mixed>
     */
    private static function renamed(array $value, callable $as): array
    {
        foreach ($value as $key => $v) {
            if (is_array($v) && $key !== 'cables') {
                $value[$key] = self::renamed($v, $as);
            } elseif (is_string($v) && ! in_array($key, ['kind', 'type', 'cable', 'name', 'title', 'label', 'colour', 'instrument', 'thing', 'sense', 'lever'], true)) {
                $value[$key] = $as($v);
            }
        }

        return $value;
    }
}
