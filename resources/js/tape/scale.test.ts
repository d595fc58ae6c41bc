import { describe, expect, it } from 'vitest'
import { clock, scale, standing } from './scale'

describe('scale', () => {
    it('goes both ways', () => {
        const s = scale(100, 180, 70, 900)
        expect(s.seconds(s.x(42))).toBeCloseTo(42, 9)
    })

    it('begins at nought while the window is not full, and moves on after', () => {
        expect(scale(10, 180, 0, 100).from).toBe(0)
        expect(scale(1000, 180, 0, 100).from).toBeGreaterThan(800)
    })

    it('has few enough ticks to read', () => {
        for (const span of [30, 180, 900, 7200]) expect(scale(span, span, 0, 900).ticks.length).toBeLessThanOrEqual(14)
    })

    it('says the time', () => {
        expect(clock(75.9)).toBe('1:15')
        expect(clock(4000)).toBe('1:06:40')
        expect(clock(-3)).toBe('0:00')
    })

    it('lets the later of two labels stand that would touch', () => {
        expect(
            standing(
                [
                    { x: 100, text: '24.1 V AC' },
                    { x: 130, text: '0.0 V AC' },
                    { x: 300, text: 'OL' },
                ],
                7,
            ),
        ).toEqual([false, true, true])
    })
})
