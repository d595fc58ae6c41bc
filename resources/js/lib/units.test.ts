import { describe, expect, it } from 'vitest'
import { inUnits } from './units'

describe('units as one likes them', () => {
    it('leaves what is given as it is', () =>
        expect(inUnits('set point 70 °F, 0.87 in. w.c.', 'given')).toBe('set point 70 °F, 0.87 in. w.c.'))
    it('turns degrees and inches of water into metric', () => {
        expect(inUnits('set point 70 °F', 'metric')).toBe('set point 21.1 °C')
        expect(inUnits('supply -40 °F', 'metric')).toBe('supply -40 °C')
        expect(inUnits('0.87 in. w.c.', 'metric')).toBe('217 Pa') // 0.87 × 249.0889 = 216.7
        expect(inUnits('100 psi', 'metric')).toBe('689 kPa') // 100 × 6.894757
        expect(inUnits('fan on at 130 to 140 °F', 'metric')).toBe('fan on at 54.4 to 60 °C')
    })
    it('and back', () => {
        expect(inUnits('dial 20 °C', 'imperial')).toBe('dial 68 °F')
        expect(inUnits('217 Pa', 'imperial')).toBe('0.87 in. w.c.')
    })
    it('touches no volts and no words', () =>
        expect(inUnits('24.3 V AC, Furnace control C, 2 Pages', 'imperial')).toBe(
            '24.3 V AC, Furnace control C, 2 Pages',
        ))
})
