import type { AtTap } from '@/lib/acts'
import type { BoardData } from '@/lib/types'
import { useInstruments } from '@/lib/useInstruments'
import { middleOf, placeAt, placeName, wireName } from './walk'
import { wireColours } from '@/theme/wires'
import { t } from '@/words'
import { Circle, Path, SvgText } from '@/theme/shapes'

/** A clip lead hanging between two places. */
export function Jumper({ board, from, to }: { board: BoardData; from: string; to: string }) {
    const ends = endsOf(board, from, to)
    if (!ends) return null
    const { a, b, d, names } = ends
    return (
        <g pointerEvents="none" aria-label={t('Jumper from {{placeName}} to {{placeName2}}', names)}>
            <Path d={d} fill="none" stroke="danger" strokeWidth={4} strokeDasharray="9 4" />
            <Circle cx={a.x} cy={a.y} r={8} fill="danger" />
            <Circle cx={b.x} cy={b.y} r={8} fill="danger" />
        </g>
    )
}

/** A wire that somebody ran, in its colour; it lies under the parts, so that their names can be read. */
export function RunWire({ board, from, to, colour }: { board: BoardData; from: string; to: string; colour: string }) {
    const ends = endsOf(board, from, to)
    if (!ends) return null
    const { stroke, dash } = (wireColours[colour] ?? wireColours['black'])!
    return (
        <g
            pointerEvents="none"
            aria-label={t('{{colour}} wire from {{placeName}} to {{placeName2}}', { colour: t(colour), ...ends.names })}
        >
            <Path d={ends.d} fill="none" stroke="underWire" strokeWidth={6} />
            <path d={ends.d} fill="none" stroke={stroke} strokeWidth={3.5} strokeDasharray={dash} />
        </g>
    )
}

function endsOf(board: BoardData, from: string, to: string) {
    const a = placeAt(board, from)
    const b = placeAt(board, to)
    if (!a || !b) return null
    const sag = Math.max(a.y, b.y) + 40
    const names = { placeName: placeName(board, from), placeName2: placeName(board, to) }
    return { a, b, names, d: `M${a.x} ${a.y}C${a.x} ${sag} ${b.x} ${sag} ${b.x} ${b.y}` }
}

/** A probe standing on a place, leaning away from the other. */
export function Lead({
    board,
    place,
    away,
    colour,
    letter,
}: {
    board: BoardData
    place: string
    away?: string | null
    colour: string
    letter: string
}) {
    const at = placeAt(board, place)
    if (!at) return null
    const other = away ? placeAt(board, away) : undefined
    const side = other && other.x !== at.x ? (at.x > other.x ? 1 : -1) : letter === 'R' ? 1 : -1
    return (
        <g
            pointerEvents="none"
            aria-label={t(letter === 'R' ? 'Red lead on {{place}}' : 'Black lead on {{place}}', {
                place: placeName(board, place),
            })}
        >
            <Path d={`M${at.x} ${at.y}l${side * 9} -20l${side * 9} 5z`} fill={colour} />
            <Circle cx={at.x + side * 18} cy={at.y - 26} r={11} fill={colour} />
            <SvgText x={at.x + side * 18} y={at.y - 22} textAnchor="middle" fontSize={13} fontWeight={700} fill="sheet">
                {letter}
            </SvgText>
        </g>
    )
}

/** What the meter is across: a thin line between the leads. */
export function Across({ board, red, black }: { board: BoardData; red: string; black: string }) {
    const [a, b] = [placeAt(board, red), placeAt(board, black)]
    return a && b ? (
        <g pointerEvents="none" data-across={`${red} ${black}`}>
            <Path d={`M${a.x} ${a.y}L${b.x} ${b.y}`} stroke="sheet" strokeWidth={4} opacity={0.7} />
            <Path d={`M${a.x} ${a.y}L${b.x} ${b.y}`} stroke="copper" strokeWidth={1.6} strokeDasharray="7 4" />
        </g>
    ) : null
}

/** The jaw of the clamp round a wire, at the middle of its longest run. */
export function ClampJaw({ board, wire }: { board: BoardData; wire: string }) {
    const at = middleOf(board, wire)
    if (!at) return null
    return (
        <g
            pointerEvents="none"
            role="img"
            aria-label={t('Clamp round {{wireName}}', { wireName: wireName(board, wire) })}
            transform={`translate(${at.x} ${at.y}) rotate(${at.upright ? 90 : 0})`}
        >
            <Path d="M-4 -12A12 12 0 1 0 4 -12" fill="none" stroke="sheet" strokeWidth={7} strokeLinecap="round" />
            <Path
                d="M-4 -12A12 12 0 1 0 4 -12M0 12V22"
                fill="none"
                stroke="copper"
                strokeWidth={4}
                strokeLinecap="round"
            />
        </g>
    )
}

/** The meter as a part of the circuit: on a current range it is a wire from lead to lead. */
export function InSeries({ board, red, black }: { board: BoardData; red: string; black: string }) {
    const a = placeAt(board, red)
    const b = placeAt(board, black)
    if (!a || !b) return null
    const [x, y] = [(a.x + b.x) / 2, Math.min(a.y, b.y) - 34]
    return (
        <g
            pointerEvents="none"
            role="img"
            aria-label={t('Meter in series from {{placeName}} to {{placeName2}}', {
                placeName: placeName(board, red),
                placeName2: placeName(board, black),
            })}
        >
            <Path
                d={`M${a.x} ${a.y}Q${a.x} ${y} ${x} ${y}T${b.x} ${b.y}`}
                fill="none"
                stroke="copper"
                strokeWidth={3}
                strokeDasharray="2 5"
                strokeLinecap="round"
            />
            <Circle cx={x} cy={y} r={13} fill="sheet" stroke="copper" strokeWidth={2} />
            <SvgText x={x} y={y + 5} textAnchor="middle" fontSize={13} fontWeight={700} fill="ink">
                A
            </SvgText>
        </g>
    )
}

/** Gauges and probes that hang on taps, each at the part that it is put to. */
export function AtTaps({ board, at }: { board: BoardData; at: Partial<Record<AtTap, string>> }) {
    const titleOf = useInstruments()
    return (Object.entries(at) as [AtTap, string][]).map(([instrument, tap], i) => {
        const part = board.parts.find((p) => p.taps.some((t) => t.tap === tap && t.instrument === instrument))
        const name = part?.taps.find((t) => t.tap === tap && t.instrument === instrument)?.label
        if (!part) return null
        const [x, y] = [part.x + part.w - 14 - 30 * i, part.y + part.h - 2]
        return (
            <g
                key={instrument}
                pointerEvents="none"
                role="img"
                aria-label={t('{{titleOf}} at {{name}}', { titleOf: titleOf(instrument), name })}
            >
                <Path d={`M${x} ${y}v-10`} stroke="copper" strokeWidth={4} strokeLinecap="round" />
                <Circle cx={x} cy={y + 10} r={12} fill="sheet" stroke="copper" strokeWidth={2.4} />
                <Path
                    d={`M${x} ${y + 10}l5 -6M${x - 7} ${y + 13}a8 8 0 0 1 14 0`}
                    stroke="ink"
                    strokeWidth={1.6}
                    fill="none"
                />
            </g>
        )
    })
}

/** Volts beside each terminal where something stands, as computed. */
export function Volts({ board, volts }: { board: BoardData; volts: Record<string, { volts: number; dc: boolean }> }) {
    return board.parts
        .flatMap((p) => p.terminals)
        .map((t) => {
            const v = volts[t.place]
            if (!v || v.volts < (v.dc ? 0.001 : 1.5)) return null
            const text =
                v.dc && v.volts < 1 ? `${(v.volts * 1000).toFixed(0)} mV` : v.volts.toFixed(v.volts < 10 ? 1 : 0)
            const [dx, dy] = { up: [0, -9], down: [0, 17], left: [-20, -6], right: [20, -6] }[t.edge] as [
                number,
                number,
            ]
            return (
                <SvgText
                    key={t.place}
                    x={t.x + dx}
                    y={t.y + dy}
                    textAnchor="middle"
                    fontSize={11}
                    fontWeight={700}
                    fill="copper"
                    pointerEvents="none"
                    paintOrder="stroke"
                    stroke="sheet"
                    strokeWidth={3}
                >
                    {text}
                </SvgText>
            )
        })
}
