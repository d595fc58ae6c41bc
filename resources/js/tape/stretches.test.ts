import { describe, expect, it } from 'vitest'
import type { Channels, Reading } from '@/lib/types'
import { differences, at, nextChange, nothing, played, readingAt, settlesAt } from './stretches'

const lamp = (...s: [number, number, string][]): Channels => ({
    perceived: { lamp: s.map(([from, to, value]) => ({ from, to, value, say: value })) },
    meter: [],
})

describe('stretches', () => {
    it('owns its beginning and not its end, but for the last', () => {
        const s = lamp([0, 5, 'off'], [5, 9, 'on']).perceived['lamp']!
        expect(at(s, 4.99)?.value).toBe('off')
        expect(at(s, 5)?.value).toBe('on')
        expect(at(s, 9)?.value).toBe('on')
        expect(at(s, 9.1)).toBeUndefined()
    })

    it('cuts what lies ahead at what was played, and joins what goes on', () => {
        const past = played(nothing, lamp([0, 10, 'off']), 4)
        expect(past.perceived['lamp']).toEqual([{ from: 0, to: 4, value: 'off', say: 'off' }])
        const more = played(past, lamp([4, 6, 'off'], [6, 14, 'on']), 8)
        expect(more.perceived['lamp']!.map((s) => [s.from, s.to, s.value])).toEqual([
            [0, 6, 'off'],
            [6, 8, 'on'],
        ])
    })

    it('keeps a gap where nothing could be perceived', () => {
        const more = played(lamp([0, 4, 'lit']), lamp([9, 12, 'lit']), 12)
        expect(more.perceived['lamp']).toHaveLength(2)
    })

    it('knows when a display is still on its way', () => {
        const r = (value: number | null, from: number, to: number, of = 'vac a b') => ({
            from,
            to,
            of,
            settles_s: 0.5,
            reading: { mode: 'vac', value, step: 0.1, live: false, text: String(value) } as Reading,
        })
        const c: Channels = { perceived: {}, meter: [r(0, 0, 3), r(24, 3, 3.2), r(24.1, 3.2, 9)] }
        expect(settlesAt(c, 2)).toBeUndefined()
        expect(settlesAt(c, 3)).toBe(3.5)
        expect(settlesAt(c, 3.3)).toBe(3.5)
        expect(settlesAt(c, 3.5)).toBeUndefined()
        expect(settlesAt({ perceived: {}, meter: [r(0, 0, 3), r(24, 3, 9, 'vac a c')] }, 3.1)).toBeUndefined()
        expect(settlesAt({ perceived: {}, meter: [r(null, 0, 3), r(24, 3, 9)] }, 3.1)).toBeUndefined()
        expect(settlesAt(nothing, 1)).toBeUndefined()
    })

    it('never shows what was not played', () => {
        expect(played(nothing, lamp([0, 2, 'off'], [2, 9, 'on']), 1).perceived['lamp']).toHaveLength(1)
    })

    it('finds the next change', () => {
        const c = lamp([0, 5, 'off'], [5, 9, 'on'])
        expect(nextChange(c, 1)).toBe(5)
        expect(nextChange(c, 5)).toBeUndefined()
    })

    it('shows the reading of the moment', () => {
        const r = (text: string) => ({ mode: 'vac', value: 1, step: 0.1, live: false, text })
        const c: Channels = {
            perceived: {},
            meter: [
                { from: 0, to: 3, reading: r('0 V AC') },
                { from: 3, to: 8, reading: r('24 V AC') },
            ],
        }
        expect(readingAt(c, 2)?.text).toBe('0 V AC')
        expect(readingAt(c, 3)?.text).toBe('24 V AC')
        expect(readingAt(c, 12)).toBeUndefined()
    })
})

describe('differences', () => {
    const on = (from: number, to: number, value = 'runs') => ({ from, to, value, say: `inducer ${value}` })
    it('are times at which one shows what the other does not', () => {
        expect(differences([on(0, 10), on(10, 20, 'silent')], [on(0, 20)])).toEqual([
            { from: 10, to: 20, say: 'inducer silent; healthy: inducer runs' },
        ])
    })
    it('are not made of a second or less', () => {
        expect(differences([on(0, 10.9), on(10.9, 20, 'silent')], [on(0, 10), on(10, 20, 'silent')])).toEqual([])
    })
    it('tell what is not perceived at all', () => {
        expect(differences([], [on(0, 5)])).toEqual([{ from: 0, to: 5, say: 'not perceived; healthy: inducer runs' }])
    })
})
