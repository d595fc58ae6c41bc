import { chakra } from '@chakra-ui/react'
import { memo } from 'react'
import type { Part, Terminal } from '@/lib/types'
import { Symbol } from './Symbol'

const Rect = chakra('rect')
const SvgText = chakra('text')
const Circle = chakra('circle')

/** Nothing on the board is written smaller, in units of the board. */
const LETTERS = 13

interface Props {
    part: Part
    shift?: { dx: number; dy: number }
    onMany?: (id: string) => void
    reach: Map<string, number>
    hidden: boolean
    chosen: boolean
    marked: boolean
    off: boolean
    inHand?: boolean
    /** it is in the van still */
    inVan?: boolean
    live?: string
    cursor: string | null
    onPart?: (id: string) => void
    onPlace?: (place: string) => void
}

/** A part where it sits, with its symbol and its terminals, each a place to press. */
export const PartBox = memo(function PartBox({
    part,
    shift,
    onMany,
    reach,
    hidden,
    chosen,
    marked,
    off,
    inHand = false,
    inVan = false,
    live,
    cursor,
    onPart,
    onPlace,
}: Props) {
    const lines = part.text ?? [part.label]
    const size = Math.max(LETTERS, part.size ?? LETTERS)
    const top = part.y + part.h / 2 - (part.h > 60 ? 24 : 22)
    const named =
        part.terminals.length > 2 &&
        part.terminals.some((t) => t.edge === 'up' && Math.abs(t.x - part.x - part.w / 2) < 26 && t.y + 20 > top)
    const symbol = part.w >= 60 && part.h >= 40 && (lines.length === 1 || part.h > 80) && !named
    return (
        <g opacity={hidden ? 0.28 : 1} transform={shift ? `translate(${shift.dx} ${shift.dy})` : undefined}>
            <Rect
                x={part.x}
                y={part.y}
                width={part.w}
                height={part.h}
                rx={4}
                fill={marked ? 'dangerWash' : chosen ? 'copperWash' : 'sheet'}
                stroke={marked ? 'danger' : chosen ? 'copper' : 'ink'}
                strokeWidth={chosen || marked ? 3 : 1.4}
                strokeDasharray={off || inHand || inVan ? '5 4' : undefined}
                cursor={onPart ? 'pointer' : undefined}
                role={onPart ? 'button' : undefined}
                aria-label={onPart ? part.label : undefined}
                data-part={part.id}
                onClick={(e) => (e.shiftKey && onMany ? onMany : onPart)?.(part.id)}
            />
            {symbol && <Symbol kind={part.symbol} x={part.x + part.w / 2 - 20} y={top} />}
            {lines.map((line, i) => (
                <SvgText
                    key={line}
                    x={part.x + part.w / 2}
                    y={
                        (part.h > 60 ? part.y + part.h / 2 + 16 : part.y + part.h / 2 + (symbol ? 14 : 4)) +
                        (i - (lines.length - 1) / 2) * size * 1.1
                    }
                    textAnchor="middle"
                    fontSize={size}
                    textLength={squeezed(line, size, part.w - 4)}
                    lengthAdjust="spacingAndGlyphs"
                    fill="ink"
                    paintOrder="stroke"
                    stroke={chosen ? 'copperWash' : 'sheet'}
                    strokeWidth={3}
                    pointerEvents="none"
                    data-label={part.id}
                >
                    {line}
                </SvgText>
            ))}
            {(off || inHand || inVan) && (
                <SvgText
                    x={part.x + part.w / 2}
                    y={inHand || inVan ? part.y - 5 : part.y + part.h + 13}
                    textAnchor="middle"
                    fontSize={13}
                    fontWeight={700}
                    fill={inVan ? 'faint' : 'danger'}
                    paintOrder="stroke"
                    stroke="sheet"
                    strokeWidth={3}
                    pointerEvents="none"
                >
                    {inVan ? 'in the van' : inHand ? 'in hand' : 'off'}
                </SvgText>
            )}
            {live && (
                <SvgText
                    x={part.x + part.w / 2}
                    y={part.y + part.h / 2 + 32}
                    textAnchor="middle"
                    fontSize={13}
                    fontWeight={700}
                    fill="copper"
                    pointerEvents="none"
                >
                    {live}
                </SvgText>
            )}
            {part.terminals.map((t) => (
                <g key={t.place}>
                    <Circle
                        cx={t.x}
                        cy={t.y}
                        r={6}
                        fill={cursor === t.place ? 'copper' : 'paper'}
                        stroke={cursor === t.place ? 'copper' : 'ink'}
                        strokeWidth={1.6}
                    />
                    {part.terminals.length > 2 && <TerminalName terminal={t} crowded={part.terminals.length > 8} />}
                    {onPlace && (
                        <Circle
                            cx={t.x}
                            cy={t.y}
                            r={reach.get(t.place) ?? 13}
                            fill="transparent"
                            cursor="pointer"
                            role="button"
                            data-place={t.place}
                            aria-label={`${part.label} ${t.name}`}
                            onClick={() => onPlace(t.place)}
                        />
                    )}
                </g>
            ))}
        </g>
    )
})

/** How wide a letter is of its height, in the mean; of the face that is shipped. */
const WIDTH_OF_HEIGHT = 0.58

/** The width that a line has to be pressed into; nothing where it has room. */
function squeezed(line: string, size: number, room: number): number | undefined {
    return line.length * size * WIDTH_OF_HEIGHT > room ? room : undefined
}

/** A terminal's letters, inside the part; turned upright where many stand side by side. */
function TerminalName({ terminal: t, crowded }: { terminal: Terminal; crowded: boolean }) {
    const upright = crowded && (t.edge === 'up' || t.edge === 'down')
    const x = t.edge === 'left' ? t.x + 10 : t.edge === 'right' ? t.x - 10 : t.x
    const y = t.edge === 'up' ? t.y + (upright ? 10 : 19) : t.edge === 'down' ? t.y - 10 : t.y + 4
    const anchor = upright
        ? t.edge === 'up'
            ? 'end'
            : 'start'
        : t.edge === 'left'
          ? 'start'
          : t.edge === 'right'
            ? 'end'
            : 'middle'
    return (
        <g transform={upright ? `rotate(-90 ${x} ${y}) translate(0 4)` : undefined}>
            <SvgText x={x} y={y} textAnchor={anchor} fontSize={LETTERS} fill="faint" pointerEvents="none">
                {t.name}
            </SvgText>
        </g>
    )
}
