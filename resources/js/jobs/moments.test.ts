import { expect, it } from 'vitest'
import { forField, fromField, timeOf, weekOf } from './moments'

const job = { opens_at: '2026-12-03T13:00:00Z', closes_at: '2026-12-03T15:00:00Z', minutes: 45 }
const at = (moment: string) => timeOf(job, Date.parse(moment))

it('says when a job opens till it has, and when it closes or has closed', () => {
    expect(at('2026-12-03T12:59:00Z')[0]).toMatch(/^opens Thu/)
    expect(at('2026-12-03T13:00:00Z')).toEqual([expect.stringMatching(/^closes Thu/), '45 minutes'])
    expect(at('2026-12-03T15:00:00Z')).toEqual([expect.stringMatching(/^closed Thu/), '45 minutes'])
    expect(timeOf({ opens_at: null, closes_at: null, minutes: null }, 0)).toEqual([])
})

it('says of which week a moment is, by its Monday', () => {
    expect(weekOf('2026-11-29T12:00:00')).toBe('Week of 23 Nov 2026')
    expect(weekOf('2026-11-30T00:30:00')).toBe('Week of 30 Nov 2026')
})

it('gives a moment to a field and takes the same one back', () => {
    expect(fromField(forField('2026-12-03T13:05:00.000Z'))).toBe('2026-12-03T13:05:00.000Z')
    expect(fromField('')).toBeNull()
    expect(forField(null)).toBe('')
})
