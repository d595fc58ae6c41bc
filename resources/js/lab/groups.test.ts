import { describe, expect, it } from 'vitest'
import { grouped, reach, type Reading } from './groups'

const reading = (more: Partial<Reading>): Reading => ({
    id: 1,
    mine: true,
    is_in: 'Ω',
    unit: 'bay 1',
    date: '2026-11-02',
    by: '',
    meter: '',
    visit: 'cold',
    at_s: 1,
    fault: '',
    mode: 'ohm',
    red: 'igniter.1',
    black: 'igniter.2',
    tap: '',
    value: 58,
    note: '',
    ...more,
})

const page = (readings: Reading[]) => ({
    model: { id: 1, title: 'Furnace' },
    readings,
    compared: 60,
    visits: { cold: 'Found cold' },
    faults: [{ id: 'rod:dirty', title: 'Flame rod: coated' }],
    modes: [{ mode: 'ohm', title: 'ohms', unit: 'Ω' }],
    taps: [{ tap: 'manifold', title: 'Gas valve, outlet tap', unit: 'in. w.c.' }],
    places: [
        { place: 'igniter.1', title: 'Igniter 1' },
        { place: 'igniter.2', title: 'Igniter 2' },
    ],
})

describe('readings of the lab', () => {
    it('lie together when they were taken at one place in one state, whatever the unit', () => {
        const groups = grouped(
            page([
                reading({}),
                reading({ unit: 'bay 2', value: 61 }),
                reading({ fault: 'rod:dirty' }),
                reading({ tap: 'manifold' }),
            ]),
        )
        expect(groups.map((g) => g.readings.length)).toEqual([2, 1, 1])
        expect(groups[0]!.what).toBe('ohms, Igniter 1 to Igniter 2')
        expect(groups[1]!.state).toContain('Flame rod: coated')
        expect(groups[2]!.what).toBe('Gas valve, outlet tap')
    })

    it('are drawn on a strip that holds them all and the model', () => {
        const [least, most] = reach([reading({ value: 58 }), reading({ value: 82 })], 40)
        expect(least).toBeLessThan(40)
        expect(most).toBeGreaterThan(82)
        const [one, other] = reach([reading({ value: 0 })], null)
        expect(other).toBeGreaterThan(one)
    })
})
