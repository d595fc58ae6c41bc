import { describe, expect, it } from 'vitest'
import { percents } from './percents'

describe('percents', () => {
    it('add up to a hundred where the shares are all there are', () => {
        expect(percents([1 / 3, 1 / 3, 1 / 3])).toEqual([34, 33, 33])
        expect(percents([0.005, 0.995])).toEqual([1, 99])
        expect(percents([0.125, 0.125, 0.125, 0.625]).reduce((a, b) => a + b)).toBe(100)
    })
    it('add up to what they come to where they are not', () => {
        expect(percents([0.333, 0.333])).toEqual([34, 33])
        expect(percents([])).toEqual([])
    })
})
