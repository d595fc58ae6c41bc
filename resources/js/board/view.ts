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

/** Larger or smaller, with one point staying where it is seen. */
export function zoomed(view: View, scale: number, about: { x: number; y: number }): View {
    const to = Math.min(LARGEST, Math.max(1, scale))
    const f = view.scale / to
    return { scale: to, x: about.x + (view.x - about.x) * f, y: about.y + (view.y - about.y) * f }
}

/** The piece that is shown: never beyond the edge of the paper. */
export function shown(view: View, all: Extent): Extent {
    const [w, h] = [all.w / view.scale, all.h / view.scale]
    return {
        x: Math.min(Math.max(view.x - w / 2, all.x), all.x + all.w - w),
        y: Math.min(Math.max(view.y - h / 2, all.y), all.y + all.h - h),
        w,
        h,
    }
}

export function middle(piece: Extent): { x: number; y: number } {
    return { x: piece.x + piece.w / 2, y: piece.y + piece.h / 2 }
}
