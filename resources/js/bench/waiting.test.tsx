import { describe, expect, it } from 'vitest'
import { forget, recall, remember } from './waiting'

describe('an act on its way', () => {
    it('is kept by attempt until it is forgotten', () => {
        remember(7, { id: 'x' })
        expect(recall(7)).toEqual({ id: 'x' })
        expect(recall(8)).toBeNull()
        forget(7)
        expect(recall(7)).toBeNull()
    })
})
