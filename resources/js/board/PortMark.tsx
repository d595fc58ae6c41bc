import type { Port } from '@/lib/types'
import { media } from '@/theme/media'
import { Rect, SvgText } from '@/theme/shapes'

/** Half of a port's mark, in units of the board. */
const HALF = 8

interface Props {
    port: Port
    part: string
    chosen: boolean
    joined: boolean
    onPort: (place: string) => void
}

/** Where a pipe or a sensor is joined: a square with the letter of what it is for; hollow while nothing is there. */
export function PortMark({ port, part, chosen, joined, onPort }: Props) {
    const look = media[port.medium] ?? media['water']!
    return (
        <g>
            <Rect
                x={port.x - HALF}
                y={port.y - HALF}
                width={2 * HALF}
                height={2 * HALF}
                rx={2}
                fill={chosen ? 'copper' : joined ? look.stroke : 'sheet'}
                stroke={chosen ? 'copper' : look.stroke}
                strokeWidth={2.4}
            />
            <SvgText
                x={port.x}
                y={port.y + 4.5}
                textAnchor="middle"
                fontSize={13}
                fontWeight={700}
                fill={chosen || joined ? 'sheet' : 'ink'}
                pointerEvents="none"
            >
                {look.mark}
            </SvgText>
            <Rect
                x={port.x - 14}
                y={port.y - 14}
                width={28}
                height={28}
                fill="transparent"
                cursor="pointer"
                role="button"
                data-port={port.place}
                aria-label={`${part}, ${port.label}: ${look.title}`}
                onClick={() => onPort(port.place)}
            >
                <title>{`${part}, ${port.label}: ${look.title}`}</title>
            </Rect>
        </g>
    )
}
