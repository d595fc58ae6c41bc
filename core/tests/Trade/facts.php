<?php

declare(strict_types=1);

/*
 * Facts: words; what is measured (vac, vdc: volts; ohm; ua: flame current; tap: what an instrument's tap has, in the
 * figures of the run; lit; shows); where; from and to; source, where it is not "common practice, no source".
 *
 * By title of a state: model, fault, steps that lead to it, facts.
 */

$heat = [['set', 'thermostat.set', 80]];
$hot = [...$heat, ['until', 'burners.fire', 120], ['run', 600]];
$zone = [['set', 'boiler.operating.set', 180]];

return [
    'at rest' => ['furnace-80', 'healthy', [['set', 'thermostat.mode', 'off'], ['run', 60]], [
        ['120 V at the panel', 'vac', ['panel.L', 'panel.N'], 114, 126],
        ['hot to ground is as hot to neutral', 'vac', ['panel.L', 'panel.G'], 114, 126],
        ['neutral to ground at the control with large loads off', 'vac', ['board.N', 'screw.screw'], 0, 0.1],
        ['line volts at the transformer', 'vac', ['transformer.H1', 'transformer.H2'], 114, 126],
        ['24 V between R and C, high twenties when lightly loaded', 'vac', ['board.R', 'board.C'], 24, 28.5],
        ['nothing between R and R', 'vac', ['board.R', 'thermostat.R'], 0, 0.1],
        ['no call, nothing on W', 'vac', ['board.W', 'board.C'], 0, 1],
        ['no volts across a closed limit', 'vac', ['limit.a', 'limit.b'], 0, 0.05],
        ['the rod has volts whenever the control is powered', 'vac', ['rod.rod', 'screw.screw'], 50, 180],
        ['nothing at the valve', 'vac', ['board.MV', 'board.MVC'], 0, 0.5],
        ['nothing at the inducer', 'vac', ['inducer.L', 'inducer.N'], 0, 1],
        ['no flame current without flame', 'ua', [], 0, 0.05],
        ['gas at the inlet', 'tap', ['gas-inlet'], 5, 10.5],
        ['nothing at the manifold', 'tap', ['manifold'], 0, 0.05],
        ['no suction at the hose', 'tap', ['hose-tee'], -0.05, 0.05],
        ['the flue is air: oxygen near 20.9', 'tap', ['flue-gas'], 20, 21],
    ]],
    'running' => ['furnace-80', 'healthy', $hot, [
        ['24 V on W with a call', 'vac', ['board.W', 'board.C'], 23, 28.5],
        ['24 V at the valve in the run', 'vac', ['valve.MV', 'valve.MVC'], 22, 28.5],
        ['line volts at the inducer', 'vac', ['inducer.L', 'inducer.N'], 112, 126],
        ['no igniter in the run', 'vac', ['igniter.1', 'igniter.2'], 0, 2],
        ['flame current 2 to 10 µA', 'ua', [], 2, 10],
        ['the rod stands negative against ground', 'vdc', ['rod.rod', 'screw.screw'], -60, -3],
        ['3.5 in. w.c. at the manifold', 'tap', ['manifold'], 3.3, 3.8],
        ['inlet holds under load', 'tap', ['gas-inlet'], 5, 10.5],
        ['suction three to four times what the switch asks (0.35)', 'tap', ['hose-tee'], 0.9, 1.6],
        ['oxygen 4 to 9 %', 'tap', ['flue-gas'], 4, 9],
        ['carbon dioxide 7 to 9.5 %', 'tap', ['flue-co2'], 6.8, 9.6],
        ['carbon monoxide below 100 ppm', 'tap', ['flue-co'], 0, 100],
        ['efficiency of an 80 % furnace', 'tap', ['efficiency'], 77, 83],
        ['stack 300 to 450 °F over the room', 'tap', ['stack'], 330, 540],
        ['external static near half an inch: return side', 'tap', ['return-static'], -0.5, -0.05],
        ['external static near half an inch: supply side', 'tap', ['supply-static'], 0.05, 0.5],
        ['the lamp is steady', 'shows', ['board.control'], 'steady'],
        ['volts across a closed pressure switch', 'vac', ['pressure.C', 'pressure.NO'], 0, 0.05],
    ]],
    'igniter warms' => ['furnace-80', 'healthy', [...$heat, ['run', 26]], [
        ['line volts at the igniter while it warms', 'vac', ['igniter.1', 'igniter.2'], 110, 126],
    ]],
    'power off' => ['furnace-80', 'healthy', [['set', 'service.lever', 'off'], ['run', 60]], [
        ['a carbide igniter cold, 40 to 90 Ω', 'ohm', ['igniter.1', 'igniter.2'], 40, 90],
        ['a closed limit', 'ohm', ['limit.a', 'limit.b'], 0, 0.6],
        ['a closed rollout', 'ohm', ['rollout-l.a', 'rollout-l.b'], 0, 0.6],
        ['a sound rod from its terminal to its tip', 'ohm', ['rod.rod', 'rod.end'], 0, 1],
        ['and clear of its bracket', 'ohm', ['rod.end', 'burners.metal'], 1e6, INF],
        ['nothing past an open switch', 'vac', ['board.L1', 'board.N'], 0, 1],
        ['volts before an open switch', 'vac', ['service.line', 'panel.N'], 114, 126],
    ]],
    'door off' => ['furnace-80', 'healthy', [...$heat, ['set', 'door-switch.plunger', 'out'], ['run', 20]], [
        ['the door takes the power', 'vac', ['transformer.H1', 'transformer.H2'], 0, 1],
        ['line volts across an open door switch', 'vac', ['door-switch.line', 'door-switch.load'], 100, 126],
    ]],
    'open limit' => ['furnace-80', 'limit:stuck-open', [...$heat, ['run', 60]], [
        ['24 V across an open limit', 'vac', ['limit.a', 'limit.b'], 20, 28.5],
        ['four flashes for an open limit', 'shows', ['board.control'], '4 flashes'],
        ['no fire on an open limit', 'lit', ['burners.fire'], false],
    ]],
    'open rollout' => ['furnace-80', 'rollout-l:stuck-open', [...$heat, ['run', 60]], [
        ['24 V across an open rollout', 'vac', ['rollout-l.a', 'rollout-l.b'], 20, 28.5],
    ]],
    'dead valve' => ['furnace-80', 'valve:coil-open', [...$heat, ['run', 51]], [
        ['24 V at a dead coil, in the trial alone', 'vac', ['valve.MV', 'valve.MVC'], 20, 28.5],
        ['no manifold pressure with a dead coil', 'tap', ['manifold'], 0, 0.05],
    ]],
    'blown fuse' => ['furnace-80', 'fuse:blown', [...$heat, ['run', 30]], [
        ['a blown fuse blanks the thermostat', 'shows', ['thermostat.logic'], 'blank'],
        ['24 V before the fuse', 'vac', ['transformer.X1', 'transformer.X2'], 24, 29],
        ['none behind it', 'vac', ['board.R', 'board.C'], 0, 1.5],
    ]],
    'dirty rod' => ['furnace-80', 'rod:dirty', [...$heat, ['until', 'burners.fire', 120], ['run', 3]], [
        ['a coated rod gives less than 1.8 µA', 'ua', [], 0, 1.8],
    ]],
    'low manifold' => ['furnace-80', 'valve:set-low', $hot, [
        ['a regulator set low shows at the manifold', 'tap', ['manifold'], 0.8, 2.9],
    ]],
    'blocked filter' => ['furnace-80', 'filter:blocked@half', [...$heat, ['until', 'burners.fire', 120], ['run', 100]], [
        ['a blocked filter pulls the return side down', 'tap', ['return-static'], -1.5, -0.3],
    ]],
    'hydronic, at rest' => ['boiler-hydronic', 'healthy', [['set', 'thermostat.set', 50], ['run', 60]], [
        ['line volts at the relay', 'vac', ['relay.L', 'relay.N'], 114, 126],
        ['24 V across an open thermostat', 'vac', ['relay.T1', 'relay.T2'], 22, 29],
        ['no volts at a circulator that rests', 'vac', ['circulator.L', 'circulator.N'], 0, 2],
        ['water pressure of a closed loop, psi', 'tap', ['water-pressure'], 10, 22],
    ]],
    'hydronic, running' => ['boiler-hydronic', 'healthy', [['set', 'thermostat.set', 85], ['until', 'burners.fire', 300], ['run', 240]], [
        ['nothing across a closed thermostat', 'vac', ['relay.T1', 'relay.T2'], 0, 1],
        ['line volts at a circulator that runs', 'vac', ['circulator.L', 'circulator.N'], 112, 126],
        ['24 V at pilot and main in the run: pilot', 'vac', ['module.PV', 'module.COM'], 22, 28.5],
        ['24 V at pilot and main in the run: main', 'vac', ['module.MV', 'module.COM'], 22, 28.5],
        ['pilot flame current 1 to 3 µA', 'ua', [], 0.9, 3],
        ['supply pipe hotter than return', 'tap', ['supply-pipe'], 120, 230],
        ['a chimney that draws: below nought in the breech', 'tap', ['breech'], -0.1, -0.004],
        ['manifold of the boiler', 'tap', ['manifold'], 3.3, 3.8],
        ['natural-draught boiler, oxygen', 'tap', ['flue-gas'], 4, 10],
    ]],
    'low water' => ['boiler-hydronic', 'cut-off:tripped-dirty', [['set', 'thermostat.set', 85], ['run', 120]], [
        ['line volts across a tripped cut-off', 'vac', ['cut-off.a', 'cut-off.b'], 20, 126],
        ['no fire past a tripped cut-off', 'lit', ['burners.fire'], false],
    ]],
    'no spark' => ['boiler-hydronic', 'pilot:gap', [['set', 'thermostat.set', 85], ['run', 60]], [
        ['with a cracked porcelain it snaps beside the pilot', 'shows', ['module.gap'], 'beside'],
        ['24 V on the pilot valve while it tries', 'vac', ['module.PV', 'module.COM'], 22, 28.5],
    ]],
    'standing pilot, lit' => ['furnace-standing-pilot', 'healthy', [
        ['set', 'valve.knob', 'pilot'], ['set', 'pilot-burner.match', 'held to it'], ['set', 'valve.button', 'pushed'],
        ['run', 60], ['set', 'pilot-burner.match', 'away'], ['set', 'valve.button', 'out'], ['set', 'valve.knob', 'on'],
        ['set', 'thermostat.set', 50], ['run', 60],
    ], [
        ['a thermocouple on its magnet coil, about half of 30 mV', 'vdc', ['thermocouple.core', 'thermocouple.sheath'], 0.008, 0.02],
        ['the pilot holds by itself', 'lit', ['pilot-burner.fire'], true],
        ['no main fire without a call', 'lit', ['burners.fire'], false],
        ['24 V across an open wall thermostat', 'vac', ['thermostat.R', 'thermostat.W'], 22, 29],
    ]],
    'thermocouple off' => ['furnace-standing-pilot', 'healthy', [
        ['set', 'valve.knob', 'pilot'], ['set', 'pilot-burner.match', 'held to it'], ['set', 'valve.button', 'pushed'],
        ['run', 70],
    ], [
        ['fuel to the pilot while the button is pushed', 'lit', ['pilot-burner.fire'], true],
    ]],
    '230 V, at rest' => ['boiler-simple-230', 'healthy', [['set', 'stat.set', 5], ['run', 60]], [
        ['230 V, an everyday 240', 'vac', ['board.L', 'board.N'], 216, 253, 'EN 50160, from memory'],
        ['live to earth as to neutral', 'vac', ['board.L', 'board.PE'], 216, 253],
        ['neutral to earth', 'vac', ['board.N', 'board.PE'], 0, 1],
        ['no switched live without a call', 'vac', ['board.SL', 'board.N'], 0, 30],
        ['no pump', 'vac', ['pump.L', 'pump.N'], 0, 5],
        ['the lamp is green', 'shows', ['board.control'], 'green'],
        ['water pressure of a sealed system, bar', 'tap', ['water-pressure'], 0.8, 2],
    ]],
    '230 V, running' => ['boiler-simple-230', 'healthy', [['set', 'stat.set', 28], ['until', 'burners.fire', 200], ['run', 60]], [
        ['switched live', 'vac', ['board.SL', 'board.N'], 216, 253],
        ['fan fed', 'vac', ['fan.L', 'fan.N'], 210, 253],
        ['pump fed', 'vac', ['pump.L', 'pump.N'], 210, 253],
        ['gas valve fed', 'vac', ['valve.L', 'valve.N'], 210, 253],
        ['ionisation current, µA', 'ua', [], 1, 10],
        ['3.5 in. w.c., 8.7 mbar at the burner', 'tap', ['manifold'], 3.3, 3.8],
        ['supply pipe warm, °C', 'tap', ['supply-pipe'], 30, 85],
    ]],
    '230 V, limit' => ['boiler-simple-230', 'limit:stuck-open', [['set', 'stat.set', 28], ['run', 60]], [
        ['red flashing for an open limit', 'shows', ['board.control'], 'red flashing'],
        ['mains across an open limit', 'vac', ['limit.a', 'limit.b'], 100, 253],
        ['an open limit feeds no valve', 'vac', ['valve.L', 'valve.N'], 0, 30],
    ]],
    'oil, running' => ['oil-furnace', 'healthy', [['set', 'thermostat.set', 80], ['until', 'nozzle.fire', 120], ['run', 300]], [
        ['pump pressure 100 psi', 'tap', ['pump-port'], 95, 145],
        ['oil: oxygen', 'tap', ['flue-gas'], 3, 8],
        ['oil: carbon dioxide 10 to 13 %', 'tap', ['flue-co2'], 9.5, 13],
        ['smoke 0 to 1', 'tap', ['flue-smoke'], 0, 1],
        ['draught in the breech, oil', 'tap', ['breech'], -0.12, -0.01],
        ['oil stack 400 to 700 °F', 'tap', ['stack'], 350, 720],
        ['line volts at the motor', 'vac', ['motor.L', 'motor.N'], 112, 126],
        ['line volts at the oil valve', 'vac', ['oil-valve.L', 'oil-valve.N'], 112, 126],
    ]],
    'oil, at rest' => ['oil-furnace', 'healthy', [['set', 'thermostat.mode', 'off'], ['run', 30]], [
        ['a cad cell in the dark, many thousand ohms', 'ohm', ['cell.1', 'cell.2'], 2000, 1e9],
        ['no volts at a burner that rests', 'vac', ['primary.M', 'primary.N'], 0, 5],
        ['24 V across the thermostat terminals', 'vac', ['primary.T1', 'primary.T2'], 18, 30],
    ]],
    'package, at rest' => ['package-direct-spark', 'healthy', [['set', 'thermostat.mode', 'off'], ['run', 60]], [
        ['240 V between two legs', 'vac', ['panel.L1', 'panel.L2'], 228, 252],
        ['120 V from a leg to neutral', 'vac', ['panel.L1', 'panel.N'], 114, 126],
        ['no volts from a leg to itself past a closed disconnect', 'vac', ['disconnect.L1-in', 'disconnect.L1'], 0, 0.2],
        ['240 V at the transformer', 'vac', ['transformer.H1', 'transformer.H2'], 225, 252],
        ['24 V of the package unit', 'vac', ['thermostat.R', 'thermostat.C'], 24, 29],
    ]],
    'package, one leg open' => ['package-direct-spark', 'disconnect:one-open', [...$heat, ['run', 30]], [
        ['one leg lost: both poles read the same leg', 'vac', ['disconnect.L1', 'disconnect.L2'], 0, 60],
        ['one leg lost: the thermostat is blank', 'shows', ['thermostat.logic'], 'blank'],
    ]],
    'package, running' => ['package-direct-spark', 'healthy', [...$heat, ['until', 'burners.fire', 120], ['run', 400]], [
        ['240 V at the inducer of the package unit', 'vac', ['inducer.L', 'inducer.N'], 225, 252],
        ['24 V at its gas valve', 'vac', ['valve.MV', 'valve.MVC'], 21, 29],
        ['flame current of the package unit', 'ua', [], 1.8, 10],
        ['its manifold', 'tap', ['manifold'], 3.3, 3.8],
        ['its oxygen', 'tap', ['flue-gas'], 4, 9.5],
    ]],
    'zones, second calls' => ['zones-hydronic', 'healthy', [
        ['set', 'thermostat-1.set', 50], ['set', 'thermostat-3.set', 50], ['set', 'thermostat-2.set', 80], ['run', 400],
    ], [
        ['24 V at the motor of the zone that calls', 'vac', ['zv2.M1', 'zv2.M2'], 21, 29],
        ['none at one that does not', 'vac', ['zv1.M1', 'zv1.M2'], 0, 2],
        ['nothing across a made end switch', 'vac', ['zv2.E1', 'zv2.E2'], 0, 1],
        ['the boiler fires for one zone', 'lit', ['boiler.burners.fire'], true],
        ['pipe behind the open zone valve is warm', 'tap', ['behind-zv2'], 100, 230],
        ['pipe behind a shut one is not', 'tap', ['behind'], 55, 100],
    ]],
    'mid-position, hot water' => ['mid-position-230', 'healthy', [
        ['set', 'stat.set', 5], ['set', 'cylinder-stat.set', 75], ['run', 120],
    ], [
        ['hot water alone: nothing on white', 'vac', ['three-port.WH', 'three-port.BU'], 0, 40],
        ['hot water alone: nothing on grey', 'vac', ['three-port.GY', 'three-port.BU'], 0, 40],
        ['its marker rests at hot water', 'shows', ['three-port.head'], 'hot water'],
        ['the boiler is fed by the cylinder thermostat', 'vac', ['boiler.board.SL', 'boiler.board.N'], 216, 253],
    ]],
    'mid-position, heating' => ['mid-position-230', 'healthy', [
        ['set', 'cylinder-stat.set', 40], ['set', 'programmer.hw', 'off'], ['set', 'stat.set', 28], ['run', 120],
    ], [
        ['heating alone: mains on white', 'vac', ['three-port.WH', 'three-port.BU'], 216, 253],
        ['heating alone: mains on grey', 'vac', ['three-port.GY', 'three-port.BU'], 216, 253],
        ['at heating its switch feeds orange', 'vac', ['three-port.OG', 'three-port.BU'], 216, 253],
        ['its marker stands at heating', 'shows', ['three-port.head'], 'heating'],
    ]],
    'breaker off' => ['furnace-80', 'healthy', [['set', 'breaker.handle', 'off'], ['run', 20]], [
        ['line volts across an open breaker', 'vac', ['breaker.line', 'breaker.load'], 100, 126],
        ['before an open breaker to ground', 'vac', ['breaker.line', 'panel.G'], 114, 126],
        ['nothing behind an open breaker', 'vac', ['breaker.load', 'panel.N'], 0, 1],
    ]],
    'cracked igniter, off' => ['furnace-80', 'igniter:cracked', [['set', 'service.lever', 'off'], ['run', 20]], [
        ['a cracked igniter is open', 'ohm', ['igniter.1', 'igniter.2'], 1e6, INF],
    ]],
    'rod broken inside, off' => ['furnace-80', 'rod:broken', [['set', 'service.lever', 'off'], ['run', 20]], [
        ['a rod broken in its porcelain is open end to end', 'ohm', ['rod.rod', 'rod.end'], 1e6, INF],
    ]],
    'rod broken inside, fed' => ['furnace-80', 'rod:broken', [...$heat, ['until', 'burners.fire', 120], ['run', 3]], [
        ['and the flame pulls nothing negative at its terminal', 'vdc', ['rod.rod', 'screw.screw'], -1, 1],
    ]],
    'cracked igniter, fed' => ['furnace-80', 'igniter:cracked', [...$heat, ['run', 26]], [
        ['line volts at a cracked igniter', 'vac', ['igniter.1', 'igniter.2'], 110, 126],
        ['a cracked igniter does not glow', 'shows', ['igniter.element'], ''],
        ['and nothing lights', 'lit', ['burners.fire'], false],
    ]],
    'hose off' => ['furnace-80', 'hose:off', [...$heat, ['run', 100]], [
        ['no fire with a hose off', 'lit', ['burners.fire'], false],
        ['a hose that is off gives no suction', 'tap', ['hose-tee'], -0.05, 0.05],
        ['24 V across a pressure switch that has not made', 'vac', ['pressure.C', 'pressure.NO'], 20, 28.5],
        ['the inducer runs all the same', 'vac', ['inducer.L', 'inducer.N'], 112, 126],
        ['three flashes for a pressure switch that stays open', 'shows', ['board.control'], '3 flashes'],
    ]],
    'swapped line and neutral' => ['furnace-80', 'panel:swapped', [['set', 'thermostat.mode', 'off'], ['run', 20]], [
        ['swapped: the hot terminal reads nothing to ground', 'vac', ['panel.L', 'panel.G'], 0, 1],
        ['swapped: the neutral reads line volts to ground', 'vac', ['panel.N', 'panel.G'], 114, 126],
        ['swapped: hot to neutral reads as ever', 'vac', ['panel.L', 'panel.N'], 114, 126],
    ]],
    'secondary open' => ['furnace-80', 'transformer:secondary-open', [['run', 20]], [
        ['line volts on the primary of a dead transformer', 'vac', ['transformer.H1', 'transformer.H2'], 114, 126],
        ['nothing on its secondary', 'vac', ['transformer.X1', 'transformer.X2'], 0, 1.5],
    ]],
    'low line' => ['furnace-80', 'panel:low@94', [['run', 20]], [
        ['low line volts at the panel', 'vac', ['panel.L', 'panel.N'], 90, 98],
        ['and in proportion on 24 V', 'vac', ['transformer.X1', 'transformer.X2'], 18, 23.5],
    ]],
    'contact of the thermostat' => ['furnace-80', 'thermostat:heat-contact-open', [...$heat, ['run', 20]], [
        ['24 V across a contact that does not make', 'vac', ['thermostat.R', 'thermostat.W'], 20, 28.5],
        ['the display calls all the same', 'shows', ['thermostat.logic'], 'heat on'],
    ]],
    'W broken' => ['furnace-80', 'w17:open', [...$heat, ['run', 20]], [
        ['24 V leave the thermostat', 'vac', ['thermostat.W', 'thermostat.C'], 22, 28.5],
        ['no 24 V come to the control', 'vac', ['board.W', 'board.C'], 0, 8],
    ]],
    'blower open' => ['furnace-80', 'blower:open', [...$heat, ['until', 'burners.fire', 120], ['run', 50]], [
        ['line volts at a blower that does not run', 'vac', ['board.HEAT', 'board.CIR-N'], 112, 126],
        ['no static without a blower', 'tap', ['supply-static'], -0.02, 0.02],
    ]],
    'start winding' => ['furnace-80', 'capacitor:open', [...$heat, ['until', 'burners.fire', 120], ['run', 50]], [
        ['a blower without its capacitor hums', 'shows', ['blower.motor'], 'hums'],
    ]],
    'inducer open' => ['furnace-80', 'inducer:open', [...$heat, ['run', 20]], [
        ['line volts at a dead inducer', 'vac', ['board.IND', 'board.IND-N'], 112, 126],
        ['a dead inducer pulls nothing', 'tap', ['hose-tee'], -0.05, 0.05],
    ]],
    'pressure switch bad' => ['furnace-80', 'pressure:stuck-open', [...$heat, ['run', 20]], [
        ['suction enough, and the switch does not make', 'tap', ['hose-tee'], 0.9, 1.6],
        ['24 V across it: the switch is bad', 'vac', ['pressure.C', 'pressure.NO'], 20, 28.5],
    ]],
    'cock shut' => ['furnace-80', 'cock:shut', [...$heat, ['run', 51]], [
        ['the igniter glows on a shut cock', 'shows', ['igniter.element'], 'bright'],
        ['no gas behind a shut cock', 'tap', ['gas-inlet'], 0, 0.3],
        ['the valve has its volts in the trial', 'vac', ['valve.MV', 'valve.MVC'], 20, 28.5],
    ]],
    'door switch bad' => ['furnace-80', 'door-switch:stuck-open', [['run', 20]], [
        ['a door switch that does not make keeps all dark', 'vac', ['board.L1', 'board.N'], 0, 1],
        ['line volts across a door switch that does not make', 'vac', ['door-switch.line', 'door-switch.load'], 100, 126],
    ]],
    'circulator open' => ['boiler-hydronic', 'circulator:open', [['set', 'thermostat.set', 85], ['run', 300]], [
        ['line volts at a circulator that is open', 'vac', ['circulator.L', 'circulator.N'], 112, 126],
        ['it is silent', 'shows', ['circulator.motor'], ''],
    ]],
    'main coil' => ['boiler-hydronic', 'valve:main-coil-open', [['set', 'thermostat.set', 85], ['run', 60]], [
        ['24 V at the main valve and no fire', 'vac', ['module.MV', 'module.COM'], 21, 28.5],
        ['the pilot burns', 'lit', ['pilot.fire'], true],
        ['the main burner does not', 'lit', ['burners.fire'], false],
    ]],
    'operating control' => ['boiler-hydronic', 'operating:stuck-open', [['set', 'thermostat.set', 85], ['run', 60]], [
        ['volts across an operating control that does not make', 'vac', ['operating.a', 'operating.b'], 20, 126],
    ]],
    'thermostat wire' => ['boiler-hydronic', 'thermostat:open', [['set', 'thermostat.set', 85], ['run', 60]], [
        ['24 V across a thermostat that calls and does not make', 'vac', ['relay.T1', 'relay.T2'], 20, 29],
        ['and no volts at the circulator', 'vac', ['circulator.L', 'circulator.N'], 0, 2],
    ]],
    'fan open' => ['boiler-simple-230', 'fan:open', [['set', 'stat.set', 28], ['run', 30]], [
        ['mains at a fan that does not turn', 'vac', ['fan.L', 'fan.N'], 210, 253],
        ['no air: red flashing', 'shows', ['board.control'], 'red flashing'],
    ]],
    'air switch' => ['boiler-simple-230', 'air:stuck-open', [['set', 'stat.set', 28], ['run', 30]], [
        ['the common of the air switch is live', 'vac', ['air.C', 'board.N'], 210, 253],
        ['its contact has not made', 'vac', ['air.NO', 'board.N'], 0, 60],
    ]],
    'spur off' => ['boiler-simple-230', 'spur:off', [['set', 'stat.set', 28], ['run', 30]], [
        ['mains before a spur that is off', 'vac', ['spur.L-in', 'spur.N-in'], 216, 253],
        ['nothing behind it, 230 V', 'vac', ['board.L', 'board.N'], 0, 2],
    ]],
    'stat open' => ['boiler-simple-230', 'stat:open', [['set', 'stat.set', 28], ['run', 30]], [
        ['a room thermostat that does not make: live in', 'vac', ['stat.L', 'stat.N'], 210, 253],
        ['a room thermostat that does not make: none out', 'vac', ['stat.call', 'stat.N'], 0, 60],
    ]],
    'gas valve 230' => ['boiler-simple-230', 'valve:coil-open', [['set', 'stat.set', 28], ['run', 300]], [
        ['red after its tries', 'shows', ['board.control'], 'red'],
        ['no fire from a dead coil, 230 V', 'lit', ['burners.fire'], false],
    ]],
    'oil motor' => ['oil-furnace', 'motor:open', [['set', 'thermostat.set', 80], ['run', 8]], [
        ['line volts at an oil motor that is open', 'vac', ['motor.L', 'motor.N'], 112, 126],
        ['no pressure without its motor', 'tap', ['pump-port'], -1, 5],
    ]],
    'oil valve' => ['oil-furnace', 'oil-valve:coil-open', [['set', 'thermostat.set', 80], ['run', 20]], [
        ['pressure before an oil valve that is dead', 'tap', ['pump-port'], 95, 145],
        ['no oil fire past it', 'lit', ['nozzle.fire'], false],
    ]],
    'tank empty' => ['oil-furnace', 'tank:empty', [['set', 'thermostat.set', 80], ['run', 20]], [
        ['no pressure from an empty tank', 'tap', ['pump-port'], -20, 20],
    ]],
    'cell open' => ['oil-furnace', 'cell:open', [['set', 'thermostat.set', 80], ['run', 200]], [
        ['an open cell locks the primary out', 'lit', ['nozzle.fire'], false],
        ['and no volts at the motor', 'vac', ['motor.L', 'motor.N'], 0, 5],
    ]],
    'flat cells' => ['oil-furnace', 'thermostat:cells-flat', [['set', 'thermostat.set', 80], ['run', 30]], [
        ['flat cells: a blank display', 'shows', ['thermostat.logic'], 'blank'],
        ['flat cells: below two volts', 'vdc', ['thermostat.+', 'thermostat.-'], 0, 1.7],
    ]],
    'zone motor' => ['zones-hydronic', 'zv2:motor-open', [
        ['set', 'thermostat-1.set', 50], ['set', 'thermostat-3.set', 50], ['set', 'thermostat-2.set', 80], ['run', 120],
    ], [
        ['the boiler does not fire for a zone that does not open', 'lit', ['boiler.burners.fire'], false],
        ['24 V at a zone motor that does not open', 'vac', ['zv2.M1', 'zv2.M2'], 21, 29],
        ['volts across its end switch', 'vac', ['zv2.E1', 'zv2.E2'], 18, 30],
    ]],
    'zone output' => ['zones-hydronic', 'panel:zone-2-dead', [['set', 'thermostat-2.set', 80], ['run', 120]], [
        ['no 24 V from a dead zone output', 'vac', ['zv2.M1', 'zv2.M2'], 0, 2],
        ['the call is there', 'vac', ['thermostat-2.R', 'thermostat-2.W'], 0, 1],
    ]],
    'three-port motor' => ['mid-position-230', 'three-port:motor-dead', [
        ['set', 'cylinder-stat.set', 40], ['set', 'programmer.hw', 'off'], ['set', 'stat.set', 28], ['run', 120],
    ], [
        ['mains on white of a dead head', 'vac', ['three-port.WH', 'three-port.BU'], 216, 253],
        ['its marker has not moved', 'shows', ['three-port.head'], 'hot water'],
        ['orange of a dead head is not fed by it', 'shows', ['boiler.board.control'], 'green'],
    ]],
    'room thermostat, mid-position' => ['mid-position-230', 'stat:open', [['set', 'stat.set', 28], ['run', 60]], [
        ['no white from a thermostat that does not make', 'vac', ['three-port.WH', 'three-port.BU'], 0, 80],
    ]],
];
