import type { Move, Part } from '@/lib/types'
import { useStill } from '@/theme/useMedia'
import { Flame, Glow, Lamp, Marker, Shaft, Spark } from './glyphs'
import { Click, Noise } from './heard'
import { usePerceived } from './perceived'
import { Symbol } from './Symbol'
import { Circle, G } from '@/theme/shapes'

const DRAWN = {
    flame: Flame,
    shaft: Shaft,
    glow: Glow,
    spark: Spark,
    marker: Marker,
    lamp: Lamp,
    click: Click,
    noise: Noise,
}

/** Room for a row of flames, board pixels. */
const WIDE = 130

/** What moves, shines or sounds in a part, as far as it is perceived just now; its symbol where nothing is. */
export function PartMotions({ part }: { part: Part }) {
    const now = usePerceived()
    const still = useStill()
    const seen = (part.moves ?? []).filter((m) => now?.shows[m.channel] !== undefined)
    const main = seen.find((m) => m.at === undefined)
    const corner: [number, number] = [part.x + part.w - 4, part.y - 4]
    const glyph = (move: Move, [x, y]: [number, number], onCorner: boolean) => {
        const Glyph = DRAWN[move.as]
        const shows = now!.shows[move.channel]!
        return (
            <g key={move.channel} transform={`translate(${x} ${y})`} data-move={move.channel} data-shows={shows}>
                {onCorner && <Circle r={16} fill="sheet" stroke="line" />}
                <Glyph
                    move={move}
                    shows={shows}
                    wide={part.w >= WIDE && !onCorner}
                    moves={!still && (now!.runs || move.as === 'lamp')}
                />
            </g>
        )
    }
    return (
        <G pointerEvents="none" aria-hidden="true">
            {part.symbol_at && !main && (
                <Symbol kind={part.symbol} x={part.symbol_at[0] - 20} y={part.symbol_at[1] - 12} />
            )}
            {main && glyph(main, part.symbol_at ?? corner, !part.symbol_at)}
            {seen.filter((m) => m.at !== undefined).map((m) => glyph(m, m.at!, false))}
        </G>
    )
}
