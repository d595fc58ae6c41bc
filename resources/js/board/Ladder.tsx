import { Box, chakra } from '@chakra-ui/react'
import { useEffect, useMemo, useRef } from 'react'
import type { BoardData, LadderData, LadderElement } from '@/lib/types'
import { wireColours } from '@/theme/wires'
import { placeName, wireName } from './walk'
import { t } from '@/words'
import { Circle, Line, Rect, SvgText } from '@/theme/shapes'

const Svg = chakra('svg')

interface Props {
    ladder: LadderData
    board: BoardData
    red?: string | null
    black?: string | null
    cursor?: string | null
    part?: string | null
    onPlace?: (place: string) => void
    onPart?: (part: string) => void
}

const RAIL = 24

/**
 * The wiring as documented, read as a ladder: hot at the left, return at the right, a rung for each path. Linked with
 * the board: a place picked here is picked there.
 */
export function Ladder({ ladder, board, red, black, cursor, part, onPlace, onPart }: Props) {
    const box = useRef<HTMLDivElement>(null)
    const colours = useMemo(() => new Map(board.wires.map((w) => [w.id, w.colour])), [board])
    useEffect(() => {
        if (part)
            void box.current
                ?.querySelector(`[data-rung-part="${CSS.escape(part)}"]`)
                ?.scrollIntoView?.({ block: 'nearest' })
    }, [part])
    const right = ladder.width - RAIL
    return (
        <Box
            layerStyle="panel"
            ref={box}
            h="100%"
            overflowY="auto"
            tabIndex={0}
            aria-label={t('Ladder of the appliance, as documented')}
        >
            <Svg
                viewBox={`0 0 ${ladder.width} ${ladder.height}`}
                width="100%"
                display="block"
                role="group"
                aria-label={t('Ladder')}
            >
                {ladder.circuits.map((c) => (
                    <g key={`${c.hot} ${c.return}`}>
                        <SvgText x={RAIL - 8} y={c.y + 22} fontSize={17} fontWeight={700} fill="ink">
                            {c.title}
                        </SvgText>
                        <Line x1={RAIL} x2={RAIL} y1={c.y + 34} y2={c.y + c.height - 12} stroke="ink" strokeWidth={3} />
                        <Line
                            x1={right}
                            x2={right}
                            y1={c.y + 34}
                            y2={c.y + c.height - 12}
                            stroke="ink"
                            strokeWidth={3}
                        />
                        <SvgText x={RAIL + 8} y={c.y + 42} fontSize={13} fill="faint">
                            {placeName(board, c.hot)}
                        </SvgText>
                        <SvgText x={right - 8} y={c.y + 42} fontSize={13} fill="faint" textAnchor="end">
                            {placeName(board, c.return)}
                        </SvgText>
                        {c.rungs.map((rung, r) => (
                            <g key={r} data-rung-part={rung.load}>
                                {rung.links.map((wires, i) => {
                                    const from = i === 0 ? RAIL : rung.elements[i - 1]!.x + rung.elements[i - 1]!.w
                                    const to = i === rung.elements.length ? right : rung.elements[i]!.x
                                    return (
                                        <Link
                                            key={i}
                                            from={from}
                                            to={to}
                                            y={rung.y}
                                            colours={wires.map((w) => colours.get(w) ?? 'grey')}
                                            title={wires.map((w) => wireName(board, w)).join('; ')}
                                        />
                                    )
                                })}
                                {rung.elements.map((e, i) => (
                                    <Element
                                        key={i}
                                        e={e}
                                        y={rung.y}
                                        again={rung.again && e.load}
                                        chosen={part === e.part}
                                        marks={{ red: red ?? null, black: black ?? null, cursor: cursor ?? null }}
                                        board={board}
                                        onPlace={onPlace}
                                        onPart={onPart}
                                    />
                                ))}
                            </g>
                        ))}
                    </g>
                ))}
            </Svg>
        </Box>
    )
}

/** The wires between two elements, each in its colour. */
function Link({
    from,
    to,
    y,
    colours,
    title,
}: {
    from: number
    to: number
    y: number
    colours: string[]
    title: string
}) {
    const step = (to - from) / Math.max(1, colours.length)
    return (
        <g>
            {title && <title>{title}</title>}
            {(colours.length ? colours : ['']).map((name, i) => {
                const colour = wireColours[name]
                return colour ? (
                    <g key={i}>
                        <Line
                            x1={from + i * step}
                            x2={from + (i + 1) * step}
                            y1={y}
                            y2={y}
                            stroke="faint"
                            strokeWidth={4.4}
                        />
                        <line
                            x1={from + i * step}
                            x2={from + (i + 1) * step}
                            y1={y}
                            y2={y}
                            stroke={colour.stroke}
                            strokeWidth={3}
                            strokeDasharray={colour.dash}
                        />
                    </g>
                ) : (
                    <Line key={i} x1={from} x2={to} y1={y} y2={y} stroke="ink" strokeWidth={1.6} />
                )
            })}
        </g>
    )
}

interface ElementProps {
    e: LadderElement
    y: number
    again: boolean
    chosen: boolean
    board: BoardData
    marks: { red: string | null; black: string | null; cursor: string | null }
    onPlace?: (place: string) => void
    onPart?: (part: string) => void
}

/** A switch as two bars with a gap, a load as a round end to end; its two places to its left and right. */
function Element({ e, y, again, chosen, marks, board, onPlace, onPart }: ElementProps) {
    const middle = e.x + e.w / 2
    const words = fitted(e.title, e.w + 8)
    return (
        <g opacity={again ? 0.55 : 1}>
            <Line x1={e.x} x2={e.load ? middle - 18 : middle - 8} y1={y} y2={y} stroke="ink" strokeWidth={1.6} />
            <Line x1={e.load ? middle + 18 : middle + 8} x2={e.x + e.w} y1={y} y2={y} stroke="ink" strokeWidth={1.6} />
            {e.load ? (
                <Circle
                    cx={middle}
                    cy={y}
                    r={18}
                    fill={chosen ? 'copperWash' : 'sheet'}
                    stroke={chosen ? 'copper' : 'ink'}
                    strokeWidth={chosen ? 3 : 2}
                />
            ) : (
                <g>
                    <Line
                        x1={middle - 8}
                        x2={middle - 8}
                        y1={y - 12}
                        y2={y + 12}
                        stroke={chosen ? 'copper' : 'ink'}
                        strokeWidth={chosen ? 4 : 2.4}
                    />
                    <Line
                        x1={middle + 8}
                        x2={middle + 8}
                        y1={y - 12}
                        y2={y + 12}
                        stroke={chosen ? 'copper' : 'ink'}
                        strokeWidth={chosen ? 4 : 2.4}
                    />
                </g>
            )}
            {words.map((line, i) => (
                <SvgText key={i} x={middle} y={y + 33 + 13.5 * i} textAnchor="middle" fontSize={13} fill="ink">
                    {line}
                </SvgText>
            ))}
            {onPart && (
                <Rect
                    x={middle - 22}
                    y={y - 22}
                    width={44}
                    height={44}
                    fill="transparent"
                    cursor="pointer"
                    role="button"
                    aria-label={t('{{title}}, on the ladder', { title: e.title })}
                    onClick={() => onPart(e.part)}
                />
            )}
            {[e.a, e.b].map((place, i) => {
                const x = i === 0 ? e.x : e.x + e.w
                const lead = place === marks.red ? 'leadRed' : place === marks.black ? 'leadBlack' : null
                const inside = !board.parts.some((p) => p.terminals.some((t) => t.place === place))
                return inside ? null : (
                    <g key={i}>
                        <Circle
                            cx={x}
                            cy={y}
                            r={lead ? 8 : 5}
                            fill={lead ?? (marks.cursor === place ? 'copper' : 'paper')}
                            stroke={lead ?? (marks.cursor === place ? 'copper' : 'ink')}
                            strokeWidth={1.6}
                        />
                        <SvgText
                            x={x + (i === 0 ? 4 : -4)}
                            y={y - 10}
                            textAnchor={i === 0 ? 'start' : 'end'}
                            fontSize={12}
                            fill="faint"
                        >
                            {place.slice(place.lastIndexOf('.') + 1)}
                        </SvgText>
                        {onPlace && (
                            <Circle
                                cx={x}
                                cy={y}
                                r={15}
                                fill="transparent"
                                cursor="pointer"
                                role="button"
                                data-rung-place={place}
                                aria-label={t('{{placeName}}, on the ladder', { placeName: placeName(board, place) })}
                                onClick={() => onPlace(place)}
                            />
                        )}
                    </g>
                )
            })}
        </g>
    )
}

/** A title on two lines at most, cut where even those are too wide. */
export function fitted(title: string, width: number): string[] {
    const most = Math.max(6, Math.floor(width / 7.2))
    const [part, what] = title.includes(': ') ? (title.split(': ') as [string, string]) : [title, undefined]
    const cut = (s: string) => (s.length > most ? `${s.slice(0, most - 1)}…` : s)
    if (what !== undefined) return [cut(part), cut(what)]
    if (part.length <= most) return [part]
    const at = part.lastIndexOf(' ', most)
    return at > 0 ? [cut(part.slice(0, at)), cut(part.slice(at + 1))] : [cut(part)]
}
