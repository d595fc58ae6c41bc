import { memo } from 'react'
import type { Part, Terminal } from '@/lib/types'
import { PartMotions } from './PartMotions'
import { t } from '@/words'
import { Circle, Rect, SvgText } from '@/theme/shapes'

/** Nothing on the board is written smaller, in units of the board. */
const LETTERS = 13

/** From the middle of a letter down to the line it stands on, as a share of its size. */
const BELOW = 0.35

interface Props {
    part: Part
    shift?: { dx: number; dy: number }
    onMany?: (id: string) => void
    reach: Map<string, number>
    hidden: boolean
    /** every way in which it can fail is struck */
    faint?: boolean
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
    faint = false,
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
    const [middle, across] = part.text_at ?? [part.x + part.w / 2, part.y + part.h / 2]
    return (
        <g
            data-box={part.id}
            opacity={hidden ? 0.28 : faint ? 0.5 : 1}
            transform={shift ? `translate(${shift.dx} ${shift.dy})` : undefined}
        >
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
            <PartMotions part={part} />
            {lines.map((line, i) => (
                <SvgText
                    key={line}
                    x={middle}
                    y={across + BELOW * size + (i - (lines.length - 1) / 2) * size * 1.1}
                    textAnchor="middle"
                    fontSize={size}
                    textLength={part.text_at ? part.text_w?.[i] : pressed(line, size, part.w - 4)}
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
                    data-note
                    paintOrder="stroke"
                    stroke="sheet"
                    strokeWidth={3}
                    pointerEvents="none"
                >
                    {inVan ? t('in the van') : inHand ? t('in hand') : t('off')}
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
                    data-note
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
                    {part.terminals.length > 2 && <TerminalName terminal={t} />}
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

/** The width that a line has to be pressed into on boards of older jobs; nothing where it has room. */
function pressed(line: string, size: number, room: number): number | undefined {
    return line.length * size * 0.58 > room ? room : undefined
}

/** A terminal's letters, within the part. */
function TerminalName({ terminal: t }: { terminal: Terminal }) {
    const { x, y, anchor, upright } = t.letters ?? beside(t)
    return (
        <g transform={upright ? `rotate(-90 ${x} ${y})` : undefined}>
            <SvgText
                x={x}
                y={y + BELOW * LETTERS}
                textAnchor={anchor}
                fontSize={LETTERS}
                fill="faint"
                pointerEvents="none"
            >
                {t.name}
            </SvgText>
        </g>
    )
}

/** Where the letters stood on boards of older jobs. */
function beside(t: Terminal): NonNullable<Terminal['letters']> {
    if (t.edge === 'left') return { x: t.x + 10, y: t.y, anchor: 'start', upright: false }
    if (t.edge === 'right') return { x: t.x - 10, y: t.y, anchor: 'end', upright: false }
    return { x: t.x, y: t.edge === 'up' ? t.y + 15 : t.y - 15, anchor: 'middle', upright: false }
}
