import { useRef, useState, type PointerEvent, type RefObject } from 'react'

/** The grid on which parts come to stand, board pixels. */
const GRID = 14

/**
 * Drawing a part to another place: it follows the hand, and stands where it is let go. Nothing happens without
 * `onMove`.
 */
export function usePull(
    frame: RefObject<SVGSVGElement | null>,
    onMove?: (part: string, dx: number, dy: number) => void,
) {
    const [pulled, setPulled] = useState<{ part: string; dx: number; dy: number } | null>(null)
    const begun = useRef<{ part: string; x: number; y: number } | null>(null)
    const moved = useRef(false)
    const scale = () => frame.current?.getScreenCTM()?.a ?? 1
    return {
        pulled,
        /** Whether a part was taken hold of. */
        begin: (e: PointerEvent): boolean => {
            moved.current = false
            const part =
                onMove && e.isPrimary && e.target instanceof Element
                    ? e.target.closest('[data-part]')?.getAttribute('data-part')
                    : null
            if (!part) return false
            begun.current = { part, x: e.clientX, y: e.clientY }
            setPulled({ part, dx: 0, dy: 0 })
            return true
        },
        go: (e: PointerEvent) => {
            const b = begun.current
            if (!b) return
            const [dx, dy] = [snapped((e.clientX - b.x) / scale()), snapped((e.clientY - b.y) / scale())]
            if ((dx !== 0 || dy !== 0) && !moved.current) {
                moved.current = true
                frame.current?.setPointerCapture?.(e.pointerId) // from now on a drag; a press goes to what is pressed
            }
            setPulled({ part: b.part, dx, dy })
        },
        end: () => {
            const b = begun.current
            if (b && pulled && (pulled.dx !== 0 || pulled.dy !== 0)) onMove?.(b.part, pulled.dx, pulled.dy)
            begun.current = null
            setPulled(null)
        },
        /** A press that has moved something presses nothing. */
        swallows: (): boolean => {
            const was = moved.current
            moved.current = false
            return was
        },
    }
}

export function snapped(v: number): number {
    return Math.round(v / GRID) * GRID
}
