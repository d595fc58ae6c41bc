import { describe, expect, it } from 'vitest'
import type { BoardData } from '@/lib/types'
import { LARGEST, legible, middle, shown, zoomed } from './view'

const all = { x: -24, y: -24, w: 800, h: 400 }

describe('looking at the board', () => {
    it('keeps the point between the fingers where it is', () => {
        const view = { scale: 1, x: 376, y: 176 }
        const near = zoomed(view, 2, { x: 476, y: 226 })
        const share = (v: typeof view) => (476 - shown(v, all).x) / shown(v, all).w
        expect(share(near)).toBeCloseTo(share(view), 9)
        expect(near.scale).toBe(2)
    })

    it('hardly leaves the paper, and the whole of it not at all', () => {
        expect(shown({ scale: 2, x: -900, y: 900 }, all)).toEqual({ x: -112, y: 220, w: 400, h: 200 })
        expect(shown({ scale: 1, x: -900, y: 900 }, all)).toEqual(all)
    })

    it('opens whole where its letters can be read, and else at its control', () => {
        const part = { id: 'control', symbol: 'control', x: 600, y: 300, w: 100, h: 60, terminals: [] }
        const board = { parts: [part], wires: [], width: 800, height: 400, lanes: [] } as unknown as BoardData
        expect(legible(board, all, { width: 800, height: 400 })).toEqual({ scale: 1, ...middle(all) })
        const small = legible(board, all, { width: 400, height: 400 })
        expect(small.scale * (400 / all.w) * 13).toBeCloseTo(11, 9)
        const piece = shown(small, all)
        expect(piece.x + piece.w).toBeCloseTo(all.x + all.w, 6) // no further than the paper goes
        expect(piece.x).toBeLessThan(600)
    })

    it('is made neither smaller than the whole nor larger than its bounds', () => {
        expect(zoomed({ scale: 1, x: 0, y: 0 }, 0.2, { x: 5, y: 5 }).scale).toBe(1)
        expect(zoomed({ scale: 4, x: 0, y: 0 }, 40, { x: 5, y: 5 }).scale).toBe(LARGEST)
        expect(middle(all)).toEqual({ x: 376, y: 176 })
    })
})
