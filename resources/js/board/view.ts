import type { BoardData } from '@/lib/types'
import { extent } from './walk'

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

/** Board pixels round what stands on a board that is being built, for the next part. */
const ROUND = 70

/** Nothing is drawn larger at first than this many px a board pixel: a part alone would fill the window. */
const MOST_PX = 1.1

/** The whole where its letters can be read; else so large that they can, with its control in the middle. */
export function legible(board: BoardData, all: Extent, room: { width: number; height: number }): View {
    const px = Math.min(room.width / all.w, room.height / all.h)
    const scale = Math.min(LARGEST, Math.max(1, LEAST_PX / (LETTERS * px)))
    const heart =
        board.parts.find((p) => p.symbol === 'control') ??
        [...board.parts].sort((a, b) => b.terminals.length - a.terminals.length)[0]
    if (scale === 1 || !heart) return { scale: 1, ...middle(all) }
    return { scale, ...within(all, scale, heart.x + heart.w / 2, heart.y + heart.h / 2) }
}

/** As {@link legible}, of a board that is being built: what stands on it, as large as the window allows. */
export function buildable(board: BoardData, all: Extent, room: { width: number; height: number }): View {
    const px = Math.min(room.width / all.w, room.height / all.h)
    const scaled = (wanted: number) => Math.min(LARGEST, Math.max(1, wanted / px))
    if (board.parts.length === 0) return { scale: scaled(MOST_PX), ...middle(all) }
    const on = extent(board)
    const fit = Math.min(room.width / (on.w + 2 * ROUND), room.height / (on.h + 2 * ROUND))
    if (fit < LEAST_PX / LETTERS) return legible(board, all, room)
    const scale = scaled(Math.min(fit, MOST_PX))
    return { scale, ...within(all, scale, on.x + on.w / 2, on.y + on.h / 2) }
}

/** A middle for a piece of some scale that lies on the paper. */
function within(all: Extent, scale: number, x: number, y: number): { x: number; y: number } {
    const [w, h] = [all.w / scale / 2, all.h / scale / 2]
    const clamp = (at: number, from: number, to: number) => Math.min(Math.max(at, from), to)
    return { x: clamp(x, all.x + w, all.x + all.w - w), y: clamp(y, all.y + h, all.y + all.h - h) }
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
