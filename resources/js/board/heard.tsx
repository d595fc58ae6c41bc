import { useState } from 'react'
import type { GlyphProps } from './glyphs'
import { Circle, Path } from '@/theme/shapes'

/** Begins an animation now that it is drawn, and not when the page was. */
function once(animation: SVGAnimationElement | null) {
    animation?.beginElement?.()
}

/** A click: rings that go out from it when it is heard, and a tongue that stays while it buzzes. */
export function Click({ shows, moves }: GlyphProps) {
    const [first, setFirst] = useState<string | null>(shows)
    const buzzes = shows === 'buzzes'
    if (first !== null && first !== shows) setFirst(null) // every change from here on has been heard
    if (first === shows && !buzzes) return null
    return (
        <g key={shows}>
            <Circle r={4} fill={shows === '' ? 'faint' : 'copper'} />
            <Path
                d="M-9 -6a11 11 0 0 0 0 12M9 -6a11 11 0 0 1 0 12"
                fill="none"
                stroke="copper"
                strokeWidth={2}
                opacity={buzzes ? 1 : 0}
            >
                {moves && buzzes && (
                    <animate attributeName="opacity" values="1;0.3;1" dur="0.2s" repeatCount="indefinite" />
                )}
                {!buzzes && <animate ref={once} attributeName="opacity" values="1;0" begin="indefinite" dur="0.8s" />}
            </Path>
        </g>
    )
}

/** Something that is heard and not seen. */
export function Noise({ shows, moves }: GlyphProps) {
    if (shows === '') return null
    return (
        <Path
            d="M-8 -5a9 9 0 0 0 0 10M8 -5a9 9 0 0 1 0 10M-3 -3a5 5 0 0 0 0 6M3 -3a5 5 0 0 1 0 6"
            fill="none"
            stroke="moving"
            strokeWidth={1.8}
        >
            {moves && <animate attributeName="opacity" values="1;0.4;1" dur="0.9s" repeatCount="indefinite" />}
        </Path>
    )
}
