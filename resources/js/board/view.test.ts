import { describe, expect, it } from 'vitest'
import { LARGEST, middle, shown, zoomed } from './view'

const all = { x: -24, y: -24, w: 800, h: 400 }

describe('looking at the board', () => {
    it('keeps the point between the fingers where it is', () => {
        const view = { scale: 1, x: 376, y: 176 }
        const near = zoomed(view, 2, { x: 476, y: 226 })
        const share = (v: typeof view) => (476 - shown(v, all).x) / shown(v, all).w
        expect(share(near)).toBeCloseTo(share(view), 9)
        expect(near.scale).toBe(2)
    })

    it('neither leaves the paper nor goes beyond its bounds', () => {
        expect(shown({ scale: 2, x: -900, y: 900 }, all)).toEqual({ x: -24, y: 176, w: 400, h: 200 })
        expect(zoomed({ scale: 1, x: 0, y: 0 }, 0.2, { x: 5, y: 5 }).scale).toBe(1)
        expect(zoomed({ scale: 4, x: 0, y: 0 }, 40, { x: 5, y: 5 }).scale).toBe(LARGEST)
        expect(middle(all)).toEqual({ x: 376, y: 176 })
    })
})
