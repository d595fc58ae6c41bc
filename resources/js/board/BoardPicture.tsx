import { chakra } from '@chakra-ui/react'
import type { BoardPicture as Picture } from '@/lib/types'
import { wireColours } from '@/theme/wires'
import { Rect } from '@/theme/shapes'

const Svg = chakra('svg')

/** Paper round the parts, board pixels. */
const ROUND = 24

/** An appliance small enough to be told from others: its parts as boxes, its wires in their colours. */
export function BoardPicture({ picture }: { picture: Picture }) {
    const [left, top] = [0, 1].map((i) => Math.min(...picture.parts.map((p) => p[i]!))) as [number, number]
    const [right, bottom] = [0, 1].map((i) => Math.max(...picture.parts.map((p) => p[i]! + p[i + 2]!))) as [
        number,
        number,
    ]
    return (
        <Svg
            viewBox={`${left - ROUND} ${top - ROUND} ${right - left + 2 * ROUND} ${bottom - top + 2 * ROUND}`}
            w="100%"
            h="150px"
            bg="ground"
            borderRadius="sm"
            aria-hidden="true"
        >
            {picture.wires.map((wire, i) => (
                <path
                    key={i}
                    d={wire.points.map(([x, y], at) => `${at ? 'L' : 'M'}${x} ${y}`).join('')}
                    fill="none"
                    stroke={(wireColours[wire.colour] ?? wireColours['grey'])!.stroke}
                    strokeWidth={5}
                />
            ))}
            {picture.parts.map(([x, y, w, h], i) => (
                <Rect key={i} x={x} y={y} width={w} height={h} rx={6} fill="sheet" stroke="ink" strokeWidth={3} />
            ))}
        </Svg>
    )
}
