<?php

declare(strict_types=1);

namespace OddSpark\Appliance;

/** What each primitive reads, and what it cannot do without. Written by core/bin/schemas.php. */
final class KnownKeys
{
    /** @var array<string, array{keys: list<string>, needs: list<string>}> by type */
    public const OF = [
        'actuator' => [
            'keys' => [
                'between', 'headless', 'ohm', 'open', 'reactance_ohm', 'run_v', 'seized', 'start', 'travel_s',
                'type',
            ],
            'needs' => ['between', 'ohm', 'reactance_ohm', 'run_v', 'travel_s'],
        ],
        'basin' => [
            'keys' => ['empties_s', 'fills_s', 'fire', 'made_while', 'type', 'ways'],
            'needs' => ['empties_s', 'fills_s'],
        ],
        'burner' => [
            'keys' => [
                'air', 'carries_by', 'carries_in_s', 'igniter', 'input_btu_h', 'least', 'lights_at_f',
                'lights_in_s', 'lit_by', 'orifice', 'smelt_from', 'type', 'ways',
            ],
            'needs' => ['least', 'lights_in_s'],
        ],
        'capacitor' => [
            'keys' => ['between', 'leak_ohm', 'microfarad', 'type'],
            'needs' => ['between', 'microfarad'],
        ],
        'clock' => [
            'keys' => ['begins_at_h', 'hours', 'lever', 'type'],
            'needs' => ['begins_at_h', 'hours', 'lever'],
        ],
        'coil' => [
            'keys' => [
                'between', 'dc', 'drop_out_ms', 'drop_out_v', 'ohm', 'open', 'pull_in_ms', 'pull_in_v',
                'reactance_ohm', 'seats', 'shorted_ohm', 'type',
            ],
            'needs' => ['between', 'drop_out_ms', 'drop_out_v', 'ohm', 'pull_in_ms', 'pull_in_v', 'reactance_ohm'],
        ],
        'combustion-efficiency' => [
            'keys' => ['around', 'gas', 'metric', 'stack', 'tau_s', 'type'],
            'needs' => ['around', 'gas', 'stack'],
        ],
        'conduit' => [
            'keys' => [
                'at', 'beside', 'drop', 'flow', 'free', 'from', 'held_by', 'index', 'leaks', 'network', 'one_way',
                'opens_by', 'passes', 'stands', 'to', 'turned', 'type', 'ua', 'ways',
            ],
            'needs' => ['drop'],
        ],
        'contact' => [
            'keys' => ['between', 'flaw', 'follows', 'key', 'ohm', 'stuck', 'type', 'when'],
            'needs' => ['between', 'follows'],
        ],
        'control' => [
            'keys' => ['heat_shy', 'inputs', 'lamp_dead', 'set_by', 'table', 'times', 'type'],
            'needs' => [],
        ],
        'dc-source' => [
            'keys' => ['between', 'ohm', 'open', 'type', 'volts'],
            'needs' => ['between', 'ohm', 'volts'],
        ],
        'diode' => [
            'keys' => ['forward_ohm', 'from', 'open', 'reverse_ohm', 'shorted', 'to', 'type', 'weak'],
            'needs' => ['from', 'to'],
        ],
        'electronic-motor' => [
            'keys' => [
                'common', 'dead', 'drag', 'line', 'open', 'run', 'run_v', 'seized', 'signal', 'signal_v', 'slips',
                'tap_common', 'tap_v', 'taps', 'tau_s', 'type',
            ],
            'needs' => ['line', 'run', 'run_v', 'tau_s'],
        ],
        'flame-path' => [
            'keys' => [
                'bracket_ohm', 'burner', 'film_ohm', 'forward_ohm', 'lit_by', 'reverse_ohm', 'rod', 'type',
            ],
            'needs' => ['burner', 'forward_ohm', 'lit_by', 'reverse_ohm', 'rod'],
        ],
        'flue-gas' => [
            'keys' => ['air', 'fire', 'measures', 'metric', 'orifice', 'smallest', 'tau_s', 'type'],
            'needs' => ['air', 'fire', 'orifice'],
        ],
        'fuse' => [
            'keys' => ['amps', 'between', 'lever', 'melt_s', 'ohm', 'open', 'out', 'type'],
            'needs' => ['amps', 'between'],
        ],
        'heat-store' => [
            'keys' => [
                'boils', 'fired_by', 'flame', 'holds', 'loss', 'networks', 'outdoors', 'own', 'pulled', 'rated',
                'share', 'start', 'stores', 'streams', 'type',
            ],
            'needs' => ['holds', 'outdoors', 'start'],
        ],
        'heater' => [
            'keys' => [
                'between', 'cold_ohm', 'glows_at_f', 'hot_ohm', 'open', 'rated_v', 'rise_f', 'room_f', 'tau_s',
                'type',
            ],
            'needs' => ['between', 'cold_ohm', 'glows_at_f', 'hot_ohm', 'rated_v', 'rise_f', 'room_f', 'tau_s'],
        ],
        'lever' => [
            'keys' => ['at', 'positions', 'range', 'type'],
            'needs' => ['at'],
        ],
        'light-resistor' => [
            'keys' => ['between', 'dark_ohm', 'lit_ohm', 'of', 'open', 'shorted_ohm', 'stray', 'type'],
            'needs' => ['between', 'dark_ohm', 'lit_ohm', 'of'],
        ],
        'meter-dial' => [
            'keys' => ['metric', 'of', 'type'],
            'needs' => ['of'],
        ],
        'mid-position' => [
            'keys' => [
                'grey', 'headless', 'neutral', 'ohm', 'open', 'run_v', 'seized', 'switch_dead', 'travel_s', 'type',
                'white',
            ],
            'needs' => ['grey', 'neutral', 'ohm', 'run_v', 'travel_s', 'white'],
        ],
        'modulator' => [
            'keys' => ['between', 'full_v', 'ohm', 'open', 'stuck', 'type', 'zero_v'],
            'needs' => ['between', 'full_v', 'ohm', 'zero_v'],
        ],
        'motor' => [
            'keys' => [
                'common', 'drag', 'full_amps', 'full_v', 'line', 'locked', 'low_tap', 'open', 'overload_cools_s',
                'overload_s', 'run', 'run_v', 'seized', 'slips', 'slow_amps', 'start', 'start_ohms', 'start_open',
                'tap', 'tap_open', 'tau_s', 'type',
            ],
            'needs' => ['common', 'line', 'locked', 'overload_cools_s', 'overload_s', 'run', 'run_v', 'tau_s'],
        ],
        'mover' => [
            'keys' => [
                'drop', 'flow', 'free', 'from', 'head', 'index', 'motor', 'network', 'one_way', 'passes', 'to',
                'type', 'ways', 'worn',
            ],
            'needs' => ['drop', 'head', 'motor'],
        ],
        'orifice' => [
            'keys' => [
                'at', 'drop', 'flow', 'free', 'from', 'fuel', 'index', 'input', 'network', 'passes', 'supply',
                'type', 'ways',
            ],
            'needs' => ['at', 'input'],
        ],
        'passage' => [
            'keys' => ['clear_when', 'follows', 'free', 'key', 'stuck', 'type', 'when'],
            'needs' => [],
        ],
        'protector' => [
            'keys' => [
                'between', 'closes_at_f', 'ohm', 'open', 'opens_at_f', 'rated_amps', 'rise_f', 'room_f', 'tau_s',
                'type',
            ],
            'needs' => ['between', 'ohm', 'opens_at_f', 'rated_amps', 'rise_f', 'room_f', 'tau_s'],
        ],
        'regulator' => [
            'keys' => [
                'drop', 'flow', 'free', 'from', 'index', 'network', 'passes', 'set', 'stage', 'to', 'type', 'ways',
                'wide_open',
            ],
            'needs' => ['drop', 'set'],
        ],
        'resistor' => [
            'keys' => ['between', 'ohm', 'open', 'type'],
            'needs' => ['between', 'ohm'],
        ],
        'room-thermostat' => [
            'keys' => [
                'between', 'blank', 'dc', 'fan', 'makes_v', 'mode', 'needs_v', 'room', 'set', 'shift_f', 'type',
            ],
            'needs' => ['between', 'needs_v', 'room'],
        ],
        'run-capacitor' => [
            'keys' => ['between', 'leak_ohm', 'microfarad', 'type'],
            'needs' => ['between', 'leak_ohm', 'microfarad'],
        ],
        'sensor' => [
            'keys' => ['closes_at', 'manual_reset', 'of', 'opens_at', 'torn', 'type'],
            'needs' => ['closes_at', 'of', 'opens_at'],
        ],
        'set-switch' => [
            'keys' => ['differential', 'of', 'on', 'set', 'shift', 'type'],
            'needs' => ['differential', 'of', 'set'],
        ],
        'signal' => [
            'keys' => ['between', 'dead', 'follows', 'key', 'ohm', 'type', 'volts', 'zero_v'],
            'needs' => ['between', 'follows', 'key', 'ohm', 'volts'],
        ],
        'source' => [
            'keys' => [
                'degrees', 'ground', 'ground_ohm', 'hot', 'legs', 'main', 'neutral', 'neutral_ohm', 'neutral_open',
                'off', 'ohm', 'rated', 'swapped', 'type', 'volts',
            ],
            'needs' => ['ground_ohm', 'neutral', 'neutral_ohm', 'ohm'],
        ],
        'source-pipe' => [
            'keys' => [
                'drop', 'flow', 'free', 'fuel', 'index', 'network', 'passes', 'pressure', 'to', 'type', 'ways',
            ],
            'needs' => ['drop', 'pressure'],
        ],
        'spark-gap' => [
            'keys' => ['by', 'electrode', 'from', 'tip', 'type'],
            'needs' => ['by', 'electrode'],
        ],
        'spot' => [
            'keys' => ['hot', 'hotter', 'if', 'if_hotter', 'shows', 'start', 'tau_s', 'type'],
            'needs' => ['hot', 'if', 'start', 'tau_s'],
        ],
        'stack' => [
            'keys' => [
                'drop', 'flow', 'free', 'from', 'height', 'index', 'metric', 'network', 'outdoors', 'passes', 'to',
                'type', 'warmed_by', 'ways',
            ],
            'needs' => ['drop', 'height', 'warmed_by'],
        ],
        'stack-heat' => [
            'keys' => ['air', 'around', 'fire', 'flame', 'passes', 'sees', 'type', 'usual'],
            'needs' => ['air', 'around', 'fire', 'flame', 'passes', 'sees', 'usual'],
        ],
        'still' => [
            'keys' => ['type', 'value'],
            'needs' => ['value'],
        ],
        'stray' => [
            'keys' => ['leak_ohm', 'picofarads', 'places', 'type'],
            'needs' => ['leak_ohm', 'picofarads', 'places'],
        ],
        'stream-heat' => [
            'keys' => [
                'around', 'at', 'cools_s', 'joint', 'network', 'sees', 'still_view', 'stores', 'tau_s', 'type',
                'view',
            ],
            'needs' => ['around', 'cools_s', 'tau_s'],
        ],
        'thermo-source' => [
            'keys' => ['between', 'cold_f', 'hot_f', 'millivolts', 'of', 'ohm', 'open', 'opens_above_f', 'type'],
            'needs' => ['between', 'cold_f', 'hot_f', 'millivolts', 'of', 'ohm'],
        ],
        'way' => [
            'keys' => ['all', 'any', 'passes', 'share', 'stuck', 'type'],
            'needs' => [],
        ],
        'windings' => [
            'keys' => [
                'leakage_ohm', 'loss_ohm', 'magnetising_ohm', 'primary', 'primary_ohm', 'primary_open', 'rated_va',
                'secondary', 'secondary_ohm', 'secondary_open', 'shorted_turns_ohm', 'turns_ratio', 'type',
            ],
            'needs' => [
                'leakage_ohm', 'loss_ohm', 'magnetising_ohm', 'primary', 'primary_ohm', 'secondary',
                'secondary_ohm', 'turns_ratio',
            ],
        ],
        'wire' => [
            'keys' => ['elsewhere', 'extra_ohm', 'from', 'ohm', 'open', 'rubs', 'rubs_ohm', 'to', 'type'],
            'needs' => ['from', 'ohm', 'to'],
        ],
    ];

    /** @var array<string, list<string>> outputs of each stock table */
    public const OUTPUTS = [
        'air-zones' => ['fan', 'heat', 'shut_1', 'shut_2'],
        'boiler-230' => ['fan', 'pump', 'spark', 'valve'],
        'combi' => ['diverter', 'fan', 'pump', 'spark', 'valve'],
        'constant-pilot' => ['main', 'pilot', 'spark'],
        'direct-spark' => ['spark', 'valve'],
        'furnace-hot-surface' => ['cool', 'heat', 'igniter', 'inducer', 'valve'],
        'furnace-letters' => ['cool', 'heat', 'igniter', 'inducer', 'valve'],
        'furnace-two-stage' => ['cool', 'heat', 'igniter', 'inducer_high', 'inducer_low', 'second', 'valve'],
        'intermittent-pilot' => ['main', 'pilot', 'spark'],
        'oil-primary' => ['ignition', 'motor', 'valve'],
        'pool-heater' => ['blower', 'igniter', 'valve'],
        'surface-module' => ['igniter', 'valve'],
        'thermopile-control' => ['main', 'pilot'],
        'tube-heater' => ['igniter', 'valve'],
        'valve-ignition' => ['igniter', 'inducer', 'main', 'pilot'],
    ];
}
