<?php

declare(strict_types=1);

namespace OddSpark\Wiring\Rules;

use OddSpark\Appliance\Wire;
use OddSpark\Parts\Ability\HoldsCharge;
use OddSpark\Wiring\Finding;
use OddSpark\Wiring\Rule;
use OddSpark\Words\Words;

/**
 * Colours of line-voltage conductors against what the supply's region keeps for them: NFPA 70, 200.6, 200.7 and
 * 250.119 in North America, IEC 60446 in Europe (both from memory).
 */
final class Colours extends Rule
{
    private const NEUTRAL = ['NA' => ['white', 'grey'], 'EU' => ['blue']];

    private const GROUND = ['NA' => ['green', 'bare', 'green-yellow'], 'EU' => ['green-yellow', 'bare']];

    public function find(): array
    {
        $region = $this->model()->region();
        $grounds = array_map(fn (array $g) => $this->nets->root($g['place']), $this->grounds());
        $returns = $live = [];
        foreach ($this->lines() as $supply) {
            $split = count(array_filter($this->lines(), fn (array $s) => $s['part'] === $supply['part'])) > 1;
            if (! $split || $supply['volts'] < 200) {
                $returns[] = $this->nets->root($supply['return']);
            }
            $live = [
                ...$live,
                ...array_map(
                    'strval',
                    array_keys(
                        $this->nets->reached($this->nets->root($supply['hot']), [$this->nets->root($supply['return'])]),
                    ),
                ),
            ];
        }
        $found = [];
        $common = array_map(
            fn (array $s) => $this->nets->root($s['return']),
            array_filter($this->nets->supplies(), fn (array $s) => $s['class'] === 'control'),
        );
        foreach ($this->model()->wires() as $wire) {
            $net = $this->nets->root($wire->from);
            if (in_array($net, $common, true) && in_array($net, $grounds, true) || $this->isOfCapacitor($wire)) {
                continue; // a common that is grounded keeps its colour; a capacitor's leads have their own
            }
            [$role, $wanted] = match (true) {
                in_array($net, $grounds, true) => ['ground', self::GROUND[$region]],
                in_array($net, $returns, true) => ['neutral', self::NEUTRAL[$region]],
                in_array($net, $live, true) => ['live', null],
                default => [null, null],
            };
            $bad = match ($role) {
                'live' => in_array($wire->colour, [...self::NEUTRAL[$region], ...self::GROUND[$region]], true),
                null => false,
                default => ! in_array($wire->colour, $wanted, true),
            };
            if (! $bad) {
                continue;
            }
            $colour = $wanted[0] ?? ($region === 'EU' ? 'brown' : 'black');
            $found[] = new Finding(
                Words::plain('wiring.colours.colour_against_the_convention'),
                Finding::ODD,
                [],
                [$wire->id],
                Words::say('wiring.colours.is', ['wire_name' => ucfirst($this->wireName($wire)), 'role' => $role]),
                Words::say('wiring.colours.whoever_reads_it_by_its'),
                Words::say('wiring.colours.make_it_or_mark_it', ['colour' => $colour]),
                [['do' => 'rewire', 'wire' => $wire->id, 'colour' => $colour]],
                Words::say('wiring.colours.makes', ['wire_name' => $this->wireName($wire), 'colour' => $colour]),
            );
        }

        return $found;
    }

    private function isOfCapacitor(Wire $wire): bool
    {
        foreach ($wire->parts() as $part) {
            if ($this->model()->kindOf($part)?->those(HoldsCharge::class) !== []) {
                return true;
            }
        }

        return false;
    }
}
