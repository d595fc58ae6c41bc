import { describe, expect, it } from 'vitest'
import { drawn, joined, NOTHING, selection, type Choice, type Selection } from './selection'
import type { KindFound } from './types'

const KIND: KindFound = {
    kind: 'relay',
    title: 'Relay',
    family: 'relay',
    symbol: 'relay',
    own: false,
    size: [84, 56],
    words: '',
    used: 0,
    terminals: ['1', '2'],
}
const after = (...choices: Choice[]) => choices.reduce(selection, NOTHING)

describe('what is picked in the builder', () => {
    it('draws a wire between the first terminal pressed and the second', () => {
        const begun = after({ choose: 'part', part: 'K1' }, { choose: 'terminal', at: 'K1.1' })
        expect(begun).toMatchObject({ from: 'K1.1', cursor: 'K1.1', picked: [] })
        expect(drawn(begun, 'T1.R')).toEqual({ from: 'K1.1', to: 'T1.R' })
        expect(selection(begun, { choose: 'terminal', at: 'T1.R' })).toMatchObject({ from: null, cursor: 'T1.R' })
    })

    it('draws none from a terminal to itself', () => {
        const begun = after({ choose: 'terminal', at: 'K1.1' })
        expect(drawn(begun, 'K1.1')).toBeNull()
        expect(selection(begun, { choose: 'terminal', at: 'K1.1' }).from).toBeNull()
    })

    it('draws none beside a run, nor off the board', () => {
        const elsewhere: Choice[] = [
            { choose: 'side', side: 'run' },
            { choose: 'side', side: 'sheet' },
            { choose: 'view', view: 'Ladder' },
        ]
        for (const choice of elsewhere) {
            const there = after({ choose: 'terminal', at: 'K1.1' }, choice)
            expect(drawn(there, 'T1.R')).toBeNull()
            expect(after(choice, { choose: 'terminal', at: 'T1.R' })).toMatchObject({ from: null, cursor: 'T1.R' })
        }
    })

    it('picks a part alone, and more of them one by one', () => {
        const three = after(
            { choose: 'part', part: 'K1' },
            { choose: 'one more', part: 'T1' },
            { choose: 'one more', part: 'F1' },
        )
        expect(three.picked).toEqual(['K1', 'T1', 'F1'])
        expect(selection(three, { choose: 'one more', part: 'T1' }).picked).toEqual(['K1', 'F1'])
        expect(selection(three, { choose: 'part', part: 'T1' }).picked).toEqual(['T1'])
    })

    it('has parts or a wire picked, never both', () => {
        const wire = after({ choose: 'part', part: 'K1' }, { choose: 'wire', wire: 'w3' })
        expect(wire).toMatchObject({ picked: [], wire: 'w3' })
        expect(selection(wire, { choose: 'part', part: 'K1' })).toMatchObject({ picked: ['K1'], wire: null })
    })

    it('collects the points a wire is led by', () => {
        const led = after({ choose: 'to lead' }, { choose: 'point', at: [1, 2] }, { choose: 'point', at: [3, 4] })
        expect(led.via).toEqual([
            [1, 2],
            [3, 4],
        ])
        expect(selection(led, { choose: 'led' }).via).toBeNull()
    })

    it('goes to the board for what is placed, found or shown there', () => {
        const off: Choice = { choose: 'view', view: 'Process' }
        expect(after(off, { choose: 'kind', kind: KIND })).toMatchObject({ view: 'Board', taken: KIND })
        expect(after(off, { choose: 'kind', kind: null }).view).toBe('Process')
        expect(after(off, { choose: 'found', part: 'K1', at: null })).toMatchObject({
            view: 'Board',
            seek: 'K1',
            picked: ['K1'],
        })
        expect(after(off, { choose: 'found', part: 'K1', at: 'K1.2' })).toMatchObject({
            view: 'Board',
            seek: 'K1.2',
            cursor: 'K1.2',
            picked: [],
        })
        expect(after(off, { choose: 'shown', parts: ['K1'], wires: ['w3'] })).toMatchObject({
            view: 'Board',
            seek: 'K1',
            shown: ['K1', 'w3'],
        })
    })

    it('joins two ports by a pipe, and begins anew on the same port', () => {
        const s = after({ choose: 'port', at: 'M1.out' })
        expect(joined(s, 'C1.in')).toEqual({ from: 'M1.out', to: 'C1.in' })
        expect(joined(s, 'M1.out')).toBeNull()
        expect(after({ choose: 'port', at: 'M1.out' }, { choose: 'port', at: 'C1.in' }).port).toBeNull()
        expect(after({ choose: 'terminal', at: 'K1.1' }, { choose: 'port', at: 'M1.out' }).from).toBeNull()
    })

    it('lets go of all with Escape, and stays where it is', () => {
        const busy: Selection = {
            view: 'Board',
            side: 'run',
            taken: KIND,
            picked: ['K1'],
            wire: 'w3',
            from: 'K1.1',
            port: null,
            pipe: 'p1',
            via: [[1, 2]],
            cursor: 'K1.1',
            shown: ['K1'],
            seek: 'K1',
        }
        expect(selection(busy, { choose: 'escape' })).toEqual({
            ...NOTHING,
            side: 'run',
            cursor: 'K1.1',
            seek: 'K1',
        })
    })
})
