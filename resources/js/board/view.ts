import type { BoardData } from '@/lib/types'

/** What of the board is looked at: how large, and round which point of it. */
export interface View {
    scale: number
    x: number
    y: number
}
export interface Extent {
    x: number
    y: number
    w: number
    h: number
}

export const LARGEST = 5

/** Letters of terminals, in units of the board. */
const LETTERS = 13

/** Below this many px a letter cannot be read at arm's length: ISO 9241-303, from memory. */
const LEAST_PX = 11

/** The whole where its letters can be read; else so large that they can, with its control in the middle. */
export function legible(board: BoardData, all: Extent, room: { width: number; height: number }): View {
    const px = Math.min(room.width / all.w, room.height / all.h)
    const scale = Math.min(LARGEST, Math.max(1, LEAST_PX / (LETTERS * px)))
    const heart =
        board.parts.find((p) => p.symbol === 'control') ??
        [...board.parts].sort((a, b) => b.terminals.length - a.terminals.length)[0]
    if (scale === 1 || !heart) return { scale: 1, ...middle(all) }
    const [w, h] = [all.w / scale / 2, all.h / scale / 2]
    const within = (at: number, from: number, to: number) => Math.min(Math.max(at, from), to)
    return {
        scale,
        x: within(heart.x + heart.w / 2, all.x + w, all.x + all.w - w),
        y: within(heart.y + heart.h / 2, all.y + h, all.y + all.h - h),
    }
}

/** Larger or smaller, with one point staying where it is seen. */
export function zoomed(view: View, scale: number, about: { x: number; y: number }): View {
    const to = Math.min(LARGEST, Math.max(1, scale))
    const f = view.scale / to
    return { scale: to, x: about.x + (view.x - about.x) * f, y: about.y + (view.y - about.y) * f }
}

/** How far a piece can be moved past the edge, as a share of it: what lies under the small map comes out. */
const SLACK = 0.22

/** The piece that is shown: hardly beyond the edge of the paper, and the whole not at all. */
export function shown(view: View, all: Extent): Extent {
    const [w, h] = [all.w / view.scale, all.h / view.scale]
    const slack = view.scale > 1 ? SLACK : 0
    return {
        x: Math.min(Math.max(view.x - w / 2, all.x - slack * w), all.x + all.w - w),
        y: Math.min(Math.max(view.y - h / 2, all.y), all.y + all.h - (1 - slack) * h),
        w,
        h,
    }
}

export function middle(piece: Extent): { x: number; y: number } {
    return { x: piece.x + piece.w / 2, y: piece.y + piece.h / 2 }
}
