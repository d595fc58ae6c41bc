<?php

declare(strict_types=1);

namespace OddSpark\Building;

use OddSpark\Appliance\Library;

/** The kinds of parts there are, found by the trade's words for them and by what they do. */
final class Catalogue
{
    /** What else a family is called, and what it does; common practice, no source. */
    private const WORDS = [
        'airflow' => 'air duct filter register supply return', 'blower' => 'fan motor indoor moves air', 'burner motor' => 'oil gun fan', 'burners' => 'fire flame ports main burner',
        'control' => 'board module ignition sequence timer primary panel', 'draught' => 'vent chimney flue pressure air proving switch inducer prover', 'exchanger' => 'heat block boiler furnace water',
        'flame' => 'proving sensor rod cad cell sees flame rectification', 'fuse' => 'protects overcurrent blade cartridge', 'gas supply' => 'meter cock shut-off fuel', 'gas valve' => 'fuel solenoid coil opens gas',
        'ground' => 'bond earth chassis cabinet metal screw bar', 'igniter' => 'glow hot surface lights', 'ignition' => 'spark transformer electrode lights', 'inducer' => 'draft blower vent motor', 'limit' => 'high limit overheat opens on heat safety thermal aquastat fan switch',
        'oil supply' => 'tank filter nozzle fuel', 'oil valve' => 'solenoid coil delay fuel', 'pilot' => 'standing thermocouple thermopile millivolt lights holds', 'pump' => 'circulator moves water', 'relay' => 'coil contacts switches load contactor isolates',
        'rollout' => 'flame roll-out safety opens on heat manual reset', 'safety' => 'low water cut-off lwco stops', 'splices' => 'wire nut joint terminal strip connector plug wiring centre', 'supply' => 'panel breaker mains line neutral disconnect cord outlet spur power',
        'switches' => 'service switch toggle turns off', 'thermostat' => 'stat call for heat room programmer cylinder setpoint', 'transformer' => '24 volt secondary primary low voltage class 2', 'water' => 'radiator loop cylinder tank', 'zone valve' => 'motorised end switch water opens',
    ];

    /** What a part with such a primitive does. */
    private const DOES = [
        'contact' => 'opens closes switches', 'coil' => 'pulls in magnet', 'sensor' => 'senses feels', 'heater' => 'heats glows', 'motor' => 'turns runs', 'windings' => 'transforms voltage', 'control' => 'sequences decides times', 'lever' => 'set by hand',
        'flame-path' => 'proves flame', 'fuse' => 'blows protects', 'source' => 'feeds supplies', 'thermo-source' => 'makes millivolts', 'run-capacitor' => 'starts runs motor microfarad', 'actuator' => 'drives opens slowly', 'passage' => 'lets through', 'clock' => 'times of day',
    ];

    /**
     * Kinds by how well they answer to some words; all of them without any.
     *
     * @param array<string, array<string, mixed>> $own kinds of the school's, by name
     * @return list<array{kind: string, title: string, family: string, symbol: string, own: bool, size: array{int, int}, terminals: list<string>}>
     */
    public static function find(Library $library, string $words = '', array $own = []): array
    {
        $wanted = array_filter(preg_split('/[\s,]+/', mb_strtolower($words)) ?: []);
        $found = [];
        $kinds = array_combine($library->kindNames(), array_map(fn (string $name) => $library->kind($name), $library->kindNames()));
        foreach ($own + $kinds as $name => $kind) {
            $title = mb_strtolower($kind['title']);
            $more = "$title $name {$kind['family']} ".(self::WORDS[$kind['family']] ?? '').' '.implode(' ', array_intersect_key(self::DOES, array_flip(array_column($kind['primitives'], 'type'))));
            $score = 0;
            foreach ($wanted as $word) {
                $hit = str_contains($title, $word) ? 3 : (str_contains($more, $word) ? 1 : -100);
                $score += $hit + (preg_match('/\b'.preg_quote($word, '/').'/', $title) === 1 ? 2 : 0);
            }
            if ($score >= 0) {
                $found[] = [$score, ['kind' => (string) $name, 'title' => $kind['title'], 'family' => $kind['family'], 'symbol' => $kind['symbol'], 'own' => isset($own[$name]), 'size' => $kind['size'], 'terminals' => array_map('strval', array_keys($kind['terminals']))]];
            }
        }
        usort($found, fn (array $a, array $b) => [$b[0], $a[1]['family'], $a[1]['title']] <=> [$a[0], $b[1]['family'], $b[1]['title']]);

        return array_column($found, 1);
    }
}
