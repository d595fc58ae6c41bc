import type { BoardData } from '@/lib/types'
import { Rect } from '@/theme/shapes'

/** The sheet metal that the parts behind a door sit in. */
export function Cabinet({ board, covered }: { board: BoardData; covered: string[] }) {
    const inside = board.parts.filter((p) => covered.includes(p.id))
    if (inside.length === 0) return null
    const x = Math.min(...inside.map((p) => p.x)) - 18
    const y = Math.min(...inside.map((p) => p.y)) - 16
    const right = Math.max(...inside.map((p) => p.x + p.w)) + 18
    const bottom = Math.max(...inside.map((p) => p.y + p.h)) + 26
    return <Rect x={x} y={y} width={right - x} height={bottom - y} rx={6} fill="ground" stroke="line" strokeWidth={2} />
}
