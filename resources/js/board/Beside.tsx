import { Box } from '@chakra-ui/react'
import { useLayoutEffect, useRef, type ReactNode, type RefObject } from 'react'

interface Props {
    frame: RefObject<SVGSVGElement | null>
    part: string
    /** what of the board is shown: with it, everything on it moves */
    view: string
    children: ReactNode
}

/** Room between a part and what stands beside it, px. */
const GAP = 8

/** Something beside a part on the board: above it, or below where it has no room; never past the edge. */
export function Beside({ frame, part, view, children }: Props) {
    const box = useRef<HTMLDivElement>(null)
    useLayoutEffect(() => {
        const place = () => {
            const at = frame.current?.querySelector(`[data-part="${CSS.escape(part)}"]`)?.getBoundingClientRect()
            const paper = frame.current?.getBoundingClientRect()
            const el = box.current
            if (!el || !at || !paper) return
            const [w, h] = [el.offsetWidth, el.offsetHeight]
            const above = at.top - paper.top - h - GAP
            const top = above >= 0 ? above : at.bottom - paper.top + GAP
            const isOff =
                at.right < paper.left || at.left > paper.right || at.bottom < paper.top || at.top > paper.bottom
            el.style.left = `${Math.min(Math.max(0, (at.left + at.right) / 2 - paper.left - w / 2), paper.width - w)}px`
            el.style.top = `${Math.min(top, paper.height - h)}px`
            el.style.visibility = isOff ? 'hidden' : 'visible'
        }
        place()
        if (!frame.current || typeof ResizeObserver === 'undefined') return
        const seen = new ResizeObserver(place)
        seen.observe(frame.current)
        return () => seen.disconnect()
    }, [frame, part, view, children])
    return (
        <Box ref={box} position="absolute" maxW="100%">
            {children}
        </Box>
    )
}
