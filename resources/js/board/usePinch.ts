import {
    useRef,
    type Dispatch,
    type MouseEvent,
    type PointerEvent,
    type RefObject,
    type SetStateAction,
    type WheelEvent,
} from 'react'
import { middle, shown, zoomed, type Extent, type View } from './view'

interface Point {
    x: number
    y: number
}

/** How far a finger may slip and still mean a touch, px. */
const SLIP = 6

/**
 * One finger or the mouse moves the board, two fingers or the wheel make it larger; a touch that has moved presses
 * nothing.
 */
export function usePinch(
    frame: RefObject<SVGSVGElement | null>,
    view: View,
    all: Extent,
    setView: Dispatch<SetStateAction<View>>,
) {
    const fingers = useRef(new Map<number, Point>())
    const begun = useRef<{ view: View; at: Point; apart: number; about: Point; moved: boolean } | null>(null)
    const onBoard = (p: Point): Point => {
        const m = frame.current?.getScreenCTM()?.inverse()
        return m ? new DOMPoint(p.x, p.y).matrixTransform(m) : p
    }
    const between = (): { at: Point; apart: number } => {
        const [a, b = a] = [...fingers.current.values()] as [Point, Point?]
        return { at: { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 }, apart: Math.hypot(a.x - b.x, a.y - b.y) }
    }
    const begin = (moved: boolean) => {
        const { at, apart } = between()
        begun.current = {
            view: { scale: view.scale, ...middle(shown(view, all)) },
            at,
            apart,
            about: onBoard(at),
            moved,
        }
    }
    const lift = (e: PointerEvent) => {
        fingers.current.delete(e.pointerId)
        if (fingers.current.size > 0) begin(true)
    }
    return {
        onPointerDown: (e: PointerEvent) => {
            fingers.current.set(e.pointerId, { x: e.clientX, y: e.clientY })
            begin(fingers.current.size > 1)
        },
        onPointerMove: (e: PointerEvent) => {
            const b = begun.current
            if (!b || !fingers.current.has(e.pointerId)) return
            fingers.current.set(e.pointerId, { x: e.clientX, y: e.clientY })
            const { at, apart } = between()
            if (Math.hypot(at.x - b.at.x, at.y - b.at.y) > SLIP) b.moved = true
            if (!b.moved) return
            const near = zoomed(b.view, b.apart > 0 ? (b.view.scale * apart) / b.apart : b.view.scale, b.about)
            const perPx = view.scale / (near.scale * (frame.current?.getScreenCTM()?.a ?? 1))
            setView({ ...near, x: near.x - (at.x - b.at.x) * perPx, y: near.y - (at.y - b.at.y) * perPx })
        },
        onPointerUp: lift,
        onPointerCancel: lift,
        onPointerLeave: lift,
        onClickCapture: (e: MouseEvent) => {
            if (begun.current?.moved) e.stopPropagation()
            begun.current = null
        },
        onWheel: (e: WheelEvent) => {
            const about = onBoard({ x: e.clientX, y: e.clientY })
            setView((v) =>
                zoomed({ scale: v.scale, ...middle(shown(v, all)) }, v.scale * Math.exp(-e.deltaY / 400), about),
            )
        },
    }
}
