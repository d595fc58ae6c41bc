import { chakra } from '@chakra-ui/react'
import { memo } from 'react'
import type { Wire } from '@/lib/types'
import { wireColours } from '@/theme/wires'
import { ownerOf } from './walk'

const Circle = chakra('circle')
const Path = chakra('path')

/** A wire as it is led, in its colour; what is lifted stands open at its end. */
export const WirePath = memo(function WirePath({
    wire,
    hidden,
    marked,
    chosen,
    lifted = [],
    onWire,
}: {
    wire: Wire
    hidden: Set<string>
    marked: boolean
    chosen: boolean
    lifted?: string[]
    onWire?: (e: { clientX: number; clientY: number }) => void
}) {
    if (hidden.has(ownerOf(wire.from)) && hidden.has(ownerOf(wire.to))) return null
    const colour = wireColours[wire.colour] ?? wireColours['grey']!
    const d = wire.points.map(([px, py], i) => `${i ? 'L' : 'M'}${px} ${py}`).join('')
    return (
        <g>
            <Path
                d={d}
                fill="none"
                stroke={marked ? 'danger' : chosen ? 'copper' : 'underWire'}
                strokeWidth={marked || chosen ? 9 : 5}
                strokeLinejoin="round"
            />
            <path
                d={d}
                fill="none"
                stroke={colour.stroke}
                strokeWidth={2.6}
                strokeLinejoin="round"
                strokeDasharray={colour.dash}
            />
            {onWire && (
                <path
                    d={d}
                    fill="none"
                    stroke="transparent"
                    strokeWidth={14}
                    cursor="pointer"
                    data-wire={wire.id}
                    onClick={onWire}
                >
                    <title>{`${wire.colour} ${wire.from} to ${wire.to}`}</title>
                </path>
            )}
            {(['a', 'b'] as const).map((end) => {
                const p = end === 'a' ? wire.points[0] : wire.points[wire.points.length - 1]
                return lifted.includes(`${wire.id}.${end}`) && p ? (
                    <Circle
                        key={end}
                        cx={p[0]}
                        cy={p[1]}
                        r={12}
                        fill="none"
                        stroke="danger"
                        strokeWidth={2}
                        strokeDasharray="3 3"
                    />
                ) : null
            })}
        </g>
    )
})
