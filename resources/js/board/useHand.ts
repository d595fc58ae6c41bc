import { useGesture } from '@use-gesture/react'
import { useState, type Dispatch, type RefObject, type SetStateAction } from 'react'
import { middle, shown, zoomed, type Extent, type View } from './view'

/** The grid on which parts come to stand, board pixels. */
const GRID = 14

/** How far a finger may slip and still mean a touch, px. */
const SLIP = 6

/** How far the wheel turns for the board to become e times as large, px. */
const TURN = 400

export interface Pull {
    part: string
    dx: number
    dy: number
}

/**
 * One finger or the mouse moves the board, two fingers or the wheel make it larger round where they are; a part under
 * the finger follows it where `onMove` is given, and stands where it is let go. What has moved presses nothing.
 *
 * @returns the part that is being drawn along, and how far, in board pixels
 */
export function useHand(
    frame: RefObject<SVGSVGElement | null>,
    view: View,
    all: Extent,
    setView: Dispatch<SetStateAction<View>>,
    onMove?: (part: string, dx: number, dy: number) => void,
): Pull | null {
    const [pulled, setPulled] = useState<Pull | null>(null)
    const seen = (): View => ({ scale: view.scale, ...middle(shown(view, all)) })
    const perUnit = () => frame.current?.getScreenCTM()?.a ?? 1
    const onBoard = ([x, y]: [number, number]) => {
        const m = frame.current?.getScreenCTM()?.inverse()
        return m ? new DOMPoint(x, y).matrixTransform(m) : { x, y }
    }

    useGesture(
        {
            onDrag: ({ first, last, tap, pinching, cancel, canceled, event, xy, initial, movement, memo }) => {
                if (pinching || canceled) {
                    setPulled(null)
                    cancel()
                    return
                }
                if (tap) return
                const begun = (first ? undefined : memo) as { part: string | null; view: View; px: number } | undefined
                const held = begun ?? { part: onMove ? partAt(event.target) : null, view: seen(), px: perUnit() }
                if (held.part === null) {
                    setView({
                        ...held.view,
                        x: held.view.x - movement[0] / held.px,
                        y: held.view.y - movement[1] / held.px,
                    })
                    return held
                }
                const [dx, dy] = [snapped((xy[0] - initial[0]) / held.px), snapped((xy[1] - initial[1]) / held.px)]
                setPulled(last ? null : { part: held.part, dx, dy })
                if (last && (dx !== 0 || dy !== 0)) onMove?.(held.part, dx, dy)
                return held
            },
            onPinch: ({ first, origin, movement: [larger], memo }) => {
                const begun = (first ? undefined : memo) as
                    { view: View; at: [number, number]; about: { x: number; y: number }; px: number } | undefined
                const held = begun ?? { view: seen(), at: origin, about: onBoard(origin), px: perUnit() }
                const near = zoomed(held.view, held.view.scale * larger, held.about)
                const px = (held.px * near.scale) / held.view.scale
                setView({
                    ...near,
                    x: near.x - (origin[0] - held.at[0]) / px,
                    y: near.y - (origin[1] - held.at[1]) / px,
                })
                return held
            },
            onWheel: ({ last, event, delta: [, turned] }) => {
                if (last) return
                event.preventDefault() // else the page would scroll, or grow with Ctrl held
                const about = onBoard([event.clientX, event.clientY])
                setView((v) =>
                    zoomed({ scale: v.scale, ...middle(shown(v, all)) }, v.scale * Math.exp(-turned / TURN), about),
                )
            },
        },
        {
            target: frame,
            eventOptions: { passive: false },
            drag: { filterTaps: true, tapsThreshold: SLIP, keys: false },
            pinch: { pinchOnWheel: false },
        },
    )
    return pulled
}

function partAt(target: EventTarget | null): string | null {
    return target instanceof Element ? (target.closest('[data-part]')?.getAttribute('data-part') ?? null) : null
}

export function snapped(v: number): number {
    return Math.round(v / GRID) * GRID
}
