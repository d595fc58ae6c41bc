<?php

declare(strict_types=1);

namespace OddSpark\Appliance;

/**
 * Shapes of documents, for static analysis. Written by core/bin/schemas.php from core/schema.
 *
 * @phpstan-type PartDocument array{id: string, kind: string, label: string, at: array{int|float,
 *     int|float}, links?: array<string, string>, params?: array<string, array<string, mixed>>, van?: bool}
 * @phpstan-type WireDocument array{id: string, from: string, to: string, colour: string, awg?: int,
 *     feet?: int|float, mm2?: int|float, metres?: int|float, celsius?: int|float, tag?: string, cable?: string,
 *     near?: string, via?: list<array{int|float, int|float}>, modes?: list<string>}
 * @phpstan-type PipeDocument array{id: string, from: string, to: string, via?: list<array{int|float,
 *     int|float}>}
 * @phpstan-type PerceptDocument array{of: string, part?: string, sense: 'sight'|'hearing'|'smell'|'touch',
 *     from: 'anywhere'|'outside'|'open'|'look'|'off', thing: string, say: array<string, string>}
 * @phpstan-type ModeDocument array{title: string, set?: array<string, mixed>, degrees?: array<string,
 *     array<string, mixed>>, unit?: string, weight: int|float, repair: string, seen?: string, seen_off?: string,
 *     felt?: string, smells?: string, gradual?: bool, must_not_run?: bool}
 * @phpstan-type KindDocument array{kind: string, version: int, title: string, family: string,
 *     size: array{int|float, int|float}, symbol: string, terminals: array<string, array{at: array{int|float,
 *     int|float}}>, ports?: array<string, PortDocument>, inside?: list<string>, joined?: list<list<string>>,
 *     references?: list<string>, primitives: array<string, array<string, mixed>>, controls?: array<string,
 *     array{label: string, unit?: string, minutes?: int|float}>, resets?: array<string, array<string, mixed>>,
 *     percepts?: array<string, PerceptDocument>, spares?: array<string, array<string, string|int|float|bool>>,
 *     stands_in?: list<string>, cleaned?: array<string, array<string, string|int|float|bool>>,
 *     card?: array<string, string>, serves?: array{room?: array{of: string, wants: int|float},
 *     hot_water?: array{of: string, wants: int|float, what?: 'pool'}, boiler?: array{of: string},
 *     radiator?: array{of: string}}, look: string, feel?: string, apart?: array{string, string},
 *     modes: array<string, ModeDocument>}
 * @phpstan-type PortDocument array{medium: string, at: array{int|float, int|float}, label?: string,
 *     of?: string, link?: string, lights?: array<string, mixed>, suction?: bool, frame?: string,
 *     frame_link?: string, terminal?: string, terminal_link?: string, taps?: list<array{name: string,
 *     row?: 'inlet'|'manifold'|'supply_air'|'return_air'|'supply_static'|'return_static', instrument: string,
 *     label: string}>, emits?: string}
 * @phpstan-type CableDocument array{id: string, feet: int|float, pf_per_ft: int|float,
 *     leak_megohm: int|float, hidden?: bool}
 * @phpstan-type HouseholdDocument array{rooms: list<array{name?: string, of: string, wants: int|float,
 *     display?: string, calls: array<string, mixed>}>, comes_and_goes?: bool, hot_water?: array{of: string,
 *     wants: int|float, what?: 'pool', calls?: array<string, mixed>}, heat: array<string, list<string>>,
 *     cool?: array<string, list<string>>, cycle: array<string, list<string>>, air?: array<string, list<string>>,
 *     hum?: array<string, list<string>>, smell?: array<string, list<string>>, fumes?: array<string, list<string>>,
 *     fuel?: 'gas'|'oil', boiler?: string, radiators?: list<string>}
 * @phpstan-type IncludeDocument array{id: string, model: string, by?: array{int|float, int|float},
 *     without?: list<string>, params?: array<string, mixed>, process?: array<string, mixed>,
 *     document?: array<string, mixed>}
 * @phpstan-type TapDocument array{of: string,
 *     row?: 'inlet'|'manifold'|'supply_air'|'return_air'|'supply_static'|'return_static', instrument: string,
 *     part: string, label: string}
 * @phpstan-type DoorDocument array{id: string, label: string, sealed?: bool, interlock?: string,
 *     covers: list<string>, sight_glass?: list<string>, through?: list<string>}
 * @phpstan-type FoundDocument array{part: string, mode: string, weight: int|float, jumper?: array{string,
 *     string}, end?: string, on?: string, swapped?: array{string, string}}
 * @phpstan-type DoingDocument array{at_s: int, part?: string, lever?: string, reset?: string,
 *     door?: string, to?: string|int|float}
 * @phpstan-type VisitDocument array{title: string, appears_s?: int, notices_s: int,
 *     household: list<DoingDocument>, arrives: array{after_s: int, unlike?: array<string, string>,
 *     at_most_s?: int}}
 * @phpstan-type PlateDocument array{part: string, fuel: 'natural-gas'|'propane'|'oil', input: int|float,
 *     manifold_in_wc?: int|float, rise_low?: int|float, rise_high?: int|float, static_in_wc?: int|float,
 *     fuse_a?: int|float, flue?: string}
 * @phpstan-type ExpectedDocument array{visit: string, at_s: int|float, fault?: string,
 *     mode?: 'vac'|'vlz'|'vdc'|'mvdc', red?: string, black?: string, tap?: string, least?: int|float,
 *     most?: int|float}
 * @phpstan-type ModelDocument array{odd_spark_model: int, name: string, title: string, notes?: string,
 *     supply: array{hertz: int, volts: int|float, region: 'NA'|'EU'}, board?: array{int, int},
 *     parts: list<PartDocument>, joined?: list<list<string>>, wires: list<WireDocument>,
 *     pipes?: list<PipeDocument>, cables?: list<CableDocument>, process: array<string, array<string, mixed>>,
 *     lights?: array<string, list<mixed>>, groups?: list<list<string>>, views?: list<list<string>>,
 *     percepts?: array<string, PerceptDocument>, household?: HouseholdDocument, tape: list<array{channel: string,
 *     name: string, tone: 'lamp'|'moving'|'glow'|'copper'|'flame'|'water'}>, ports?: array<string,
 *     array{kind: 'electrical'|'water'|'air'|'gas'|'heat', at: string, label?: string}>,
 *     includes?: list<IncludeDocument>, taps?: array<string, TapDocument>, doors?: list<DoorDocument>,
 *     plate?: PlateDocument, readings?: list<ExpectedDocument>, about?: array{author?: string, licence?: string,
 *     made_with?: int}, jobs?: list<array{title: string, fault: string, visit: string, kind?: 'practice'|'exam',
 *     complaint?: string}>, universe: array{wire_modes: array<string, ModeDocument>},
 *     as_built?: list<array{end?: string, on?: string, wire?: string, tag?: string}>,
 *     compounds?: list<array{faults: list<string>, title?: string, weight: int|float}>,
 *     accepted?: list<array{rule: string, parts: list<string>, wires: list<string>, reason: string}>,
 *     found?: list<FoundDocument>, weights?: array<string, int|float>, visits: array<string, VisitDocument>,
 *     kinds?: array<string, KindDocument>}
 * @phpstan-type Edit array{do: string, kind?: string, at?: array{int|float, int|float}, label?: string,
 *     id?: string, own?: array<string, mixed>, parts?: list<string>, by?: array{int|float,
 *     int|float}|'taps'|'makes'|'after'|array{int|float, int|float},
 *     edge?: 'left'|'right'|'top'|'bottom'|'middle'|'centre', wires?: list<string>, part?: string,
 *     in?: 'van'|'appliance', primitive?: string, key?: string, value?: mixed, contact?: string,
 *     count?: int|float, for_s?: int|float, weight?: int|float, name?: string, to?: string, line?: string,
 *     from?: string, colour?: string, awg?: int|float|int|float, feet?: int|float|int|float,
 *     mm2?: int|float|int|float, metres?: int|float|int|float, tag?: string, modes?: list<string>, near?: string,
 *     wire?: string, end?: 'a'|'b', on?: string, via?: list<array{int|float, int|float}>, run?: 'hidden'|'open',
 *     csv?: string, model?: string, without?: list<string>, keep?: mixed, path?: string}
 */
interface Shapes {}
