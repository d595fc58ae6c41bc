import { describe, expect, it } from 'vitest'
import { entryAt, pause, standingAt } from './replay'
import type { Row } from './types'

const row = (at_s: number, done: Row['done']): Row => ({
    at_s,
    done,
    text: '',
    act: done?.act ?? 'refused',
    before: 1,
    after: 1,
    bits_before: 0,
    bits_after: 0,
    gained: 0,
    watched: 0,
    worth: 0,
    share: null,
    left: {},
    families: [],
    best: [],
    flaws: [],
    dangers: [],
})
const log = [
    row(3, { act: 'door', to: 'open' }),
    row(6, { act: 'leads', red: 'a.1', black: 'b.2' }),
    row(9, { act: 'lift', end: 'w1.a' }),
    row(12, { act: 'jump', from: 'x.1', to: 'y.2' }),
    row(15, null),
    row(18, { act: 'unjump', from: 'y.2', to: 'x.1' }),
    row(21, { act: 'land', end: 'w1.a' }),
    row(24, { act: 'leads', red: null, black: null }),
    row(27, { act: 'door', to: 'shut' }),
]

describe('a replay', () => {
    it('has the leads, lifted wires, jumpers and the door where each entry left them', () => {
        expect(standingAt(log, 0)).toMatchObject({ door: 'open', red: null })
        expect(standingAt(log, 3)).toMatchObject({
            red: 'a.1',
            black: 'b.2',
            lifted: ['w1.a'],
            jumpers: [['x.1', 'y.2']],
        })
        expect(standingAt(log, 4)).toEqual(standingAt(log, 3)) // what was refused changed nothing
        expect(standingAt(log, 5).jumpers).toEqual([])
        expect(standingAt(log, 8)).toMatchObject({ door: 'shut', red: null, lifted: [] })
    })
    it('has what was taken off till the same or a new one sits there', () => {
        const taken = [
            row(1, { act: 'take', part: 'rod', to: 'off' }),
            row(2, { act: 'mend', part: 'rod', how: 'clean' }),
            row(3, { act: 'take', part: 'rod', to: 'on' }),
            row(4, { act: 'take', part: 'igniter', to: 'off' }),
            row(5, { act: 'mend', part: 'igniter', how: 'replace' }),
        ]
        expect(taken.map((_, i) => standingAt(taken, i).inHand)).toEqual([['rod'], ['rod'], [], ['igniter'], []])
    })
    it('finds the entry of a moment', () => {
        expect(entryAt(log, 0)).toBe(0)
        expect(entryAt(log, 14.9)).toBe(3)
        expect(entryAt(log, 999)).toBe(8)
    })
    it('shortens long waits and shows short ones', () => {
        expect(pause(0, 1)).toBe(0.9)
        expect(pause(0, 600)).toBe(2.5)
        expect(pause(0, 9)).toBeCloseTo(1.5)
    })
})
