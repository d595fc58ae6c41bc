import { describe, expect, it } from 'vitest'
import { guardWords, laidOut, wrapped } from './layout'
import { inOrder, merged } from './useDraft'
import { figure } from './Field'
import { points } from './points'

const table = {
    title: 'T',
    start: 'idle',
    times: { wait_s: 15 },
    states: {
        idle: {
            title: 'Idle',
            outputs: [],
            lamp: 'off',
            guards: [{ if: { call: true, limit: false }, after: 'wait_s', go: 'heat' }],
        },
        heat: { title: 'Heat', outputs: ['valve'], lamp: 'on', guards: [{ if: { call: false }, go: 'idle' }] },
        lost: { title: 'Lost', outputs: [], lamp: 'off', guards: [], reset: 'idle' },
    },
}

describe('the chart of a sequence', () => {
    it('puts states in columns by their distance from the first, the unreached last', () => {
        const { boxes, lines } = laidOut(table)
        const x = Object.fromEntries(boxes.map((b) => [b.state, b.x]))
        expect(x['idle']).toBeLessThan(x['heat']!)
        expect(x['heat']).toBeLessThan(x['lost']!)
        expect(lines.map((l) => [l.from, l.to, l.back])).toEqual([
            ['idle', 'heat', false],
            ['heat', 'idle', true],
            ['lost', 'idle', true],
        ])
    })

    it('says a guard in few words', () => {
        expect(guardWords(table.states.idle.guards[0], table.times)).toBe('call, not limit, after 15 s')
        expect(guardWords(undefined, {})).toBe('reset by hand')
    })
})

describe('a draft in hand', () => {
    it('takes what has changed and keeps the rest, in the order of the document', () => {
        const a = { id: 'a', v: 1 }
        expect(
            merged(
                [a, { id: 'b', v: 1 }],
                [
                    { id: 'c', v: 1 },
                    { id: 'b', v: 2 },
                ],
                [],
            ),
        ).toEqual([a, { id: 'b', v: 2 }, { id: 'c', v: 1 }])
        expect(merged([a, { id: 'b', v: 1 }], [], ['a'])).toEqual([{ id: 'b', v: 1 }])
        expect(merged([a, { id: 'b', v: 1 }], [], [], ['b', 'a']).map((x) => x.id)).toEqual(['b', 'a'])
        expect(
            inOrder(
                [a, { id: 'b', v: 1 }],
                [
                    { id: 'c', v: 1 },
                    { id: 'a', v: 2 },
                ],
                ['c', 'a'],
            ),
        ).toEqual([
            { id: 'c', v: 1 },
            { id: 'a', v: 2 },
        ])
        expect(merged([a], [], [])[0]).toBe(a) // what has not changed is the same, and is not drawn anew
    })

    it('reads points as they are typed', () => {
        expect(points(' 300,700  420,7.5 x,1 9')).toEqual([
            [300, 700],
            [420, 7.5],
        ])
        expect(points('')).toEqual([])
    })

    it('reads a figure as it was typed', () => {
        expect([figure('4,5'), figure(' 18 '), figure(''), figure('fast')]).toEqual([4.5, 18, null, 'fast'])
    })
})

it('writes the whole of a name, in lines', () => {
    const lines = wrapped('Rollout open: locked until reset and power is cycled', 27)
    expect(lines.join(' ')).toBe('Rollout open: locked until reset and power is cycled')
    expect(Math.max(...lines.map((l) => l.length))).toBeLessThanOrEqual(27)
})
