import { figure } from '@/builder/Field'
import type { StockTable } from '@/lib/types'

export interface TerminalSaid {
    name: string
    edge: string
}
export interface Inner {
    id: string
    type: string
    a: string
    b: string
    follows: string
    figures: Record<string, string>
    table: string
    inputs: Record<string, [string, string]>
}

/** What a primitive needs to be told in figures, and what is usual; common practice, no source. */
export const FIGURES: Record<string, Record<string, string>> = {
    contact: {},
    coil: { ohm: '150', reactance_ohm: '250', pull_in_v: '16', drop_out_v: '8', pull_in_ms: '25', drop_out_ms: '20' },
    resistor: { ohm: '300' },
    heater: {
        cold_ohm: '58',
        hot_ohm: '30',
        rise_f: '2500',
        rated_v: '120',
        tau_s: '5',
        room_f: '68',
        glows_at_f: '1800',
    },
    motor: { run_v: '80', tau_s: '1', overload_s: '600', overload_cools_s: '600' },
    lever: { positions: 'off, on', at: 'off' },
    sensor: { opens_at: '200', closes_at: '170' },
    fuse: { amps: '3', ohm: '0.02', melt_s: '2' },
    actuator: { ohm: '60', reactance_ohm: '40', run_v: '17', travel_s: '30' },
    passage: {},
    control: {},
}
/** What each is called where one chooses. */
export const WORDS: Record<string, string> = {
    contact: 'a contact: opens and closes',
    coil: 'a coil: pulls in on its volts',
    resistor: 'a resistance, or an input',
    heater: 'a heater',
    motor: 'a motor',
    lever: 'a lever a person sets',
    sensor: 'a sensor: opens and closes on heat or pressure',
    fuse: 'a fuse',
    actuator: 'a slow motor',
    passage: 'a way for gas, air or water',
    control: 'a sequence table',
}

/** What lies between two terminals. */
export const TWO = ['contact', 'coil', 'resistor', 'heater', 'fuse', 'actuator', 'motor']

/** A name that none has yet. */
export function free(type: string, all: Inner[]): string {
    let id = type
    for (let i = 2; all.some((x) => x.id === id); i++) id = `${type}_${i}`
    return id
}

/** The inputs that a stock table asks for, each between two terminals at first. */
export function inputsOf(tables: StockTable[], table: string, names: string[]): Record<string, [string, string]> {
    return Object.fromEntries(
        (tables.find((t) => t.name === table)?.inputs ?? []).map((input) => [input, [names[0] ?? '', names[1] ?? '']]),
    )
}

/** What was said of a primitive, as the format has it. */
export function spec(x: Inner): Record<string, unknown> {
    const figures = Object.fromEntries(
        Object.entries(x.figures).map(([k, v]) => [
            k,
            k === 'positions' ? v.split(',').map((p) => p.trim()) : figure(v),
        ]),
    )
    const [follows, key] = x.follows.split('/')
    return {
        type: x.type,
        ...figures,
        ...(x.type === 'motor'
            ? { line: x.a, common: x.b, run: [20, 15], locked: [6, 5] }
            : TWO.includes(x.type)
              ? { between: [x.a, x.b] }
              : {}),
        ...(x.type === 'contact' && follows ? { follows, key: key ?? keyOf(follows) } : {}),
        ...(x.type === 'passage' && follows ? { follows, key: key ?? keyOf(follows) } : {}),
        ...(x.type === 'sensor' ? { of: '@senses' } : {}),
        ...(x.type === 'control'
            ? {
                  table: x.table,
                  inputs: Object.fromEntries(
                      Object.entries(x.inputs).map(([input, ac]) => [input, { ac, on: 14, off: 8, after_ms: 300 }]),
                  ),
              }
            : {}),
    }
}

/** Which of a driver's states a contact goes by. */
function keyOf(driver: string): string {
    return driver.startsWith('coil') ? 'on' : driver.startsWith('sensor') ? 'made' : 'at'
}

/** Edges of a part on which terminals lie, as they are called. */
export const EDGES: [string, string][] = [
    ['up', 'upper edge'],
    ['down', 'lower edge'],
    ['left', 'left edge'],
    ['right', 'right edge'],
]
