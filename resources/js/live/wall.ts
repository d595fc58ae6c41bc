import type { WallRow } from '@/lib/types'
import type { Told } from './useLive'

/** A row of the wall, with the moment (ms) from which its seconds are counted. */
export type Row = WallRow & { seen: number }

/** Minutes without an act after which somebody is taken to be stuck. */
export const STUCK_MIN = 4

/** Acts in a row that ruled nothing out, after which somebody is taken to be stuck. */
const STUCK_ACTS = 6

export const rowsOf = (rows: WallRow[], now: number): Row[] => rows.map((r) => ({ ...r, seen: now }))

/** Minutes since somebody last did something. */
export const idleMin = (row: Row, now: number) => Math.floor((row.last_s + (now - row.seen) / 1000) / 60)

/** Why somebody needs a look, in words; null when he gets on. */
export function stuck(row: Row, now: number): { minutes: number } | { acts: number } | null {
    if (row.done || row.stopped) return null
    const minutes = idleMin(row, now)
    if (minutes >= STUCK_MIN) return { minutes }
    const last = row.curve.slice(-1 - STUCK_ACTS)
    return last.length > STUCK_ACTS && last[0]! > 1 && last[0] === last[STUCK_ACTS] ? { acts: STUCK_ACTS } : null
}

/** The wall after something was told; null when it has to be asked for anew: somebody has begun. */
export function after(rows: Row[], told: Told, now: number): Row[] | null {
    const id = told.attempt as number | undefined
    if (told.what === 'stopped' || told.what === 'went on')
        return rows.map((r) => (r.done ? r : { ...r, stopped: told.what === 'stopped' }))
    if (id === undefined) return rows
    if (!rows.some((r) => r.attempt === id)) return null
    return rows.map((r) => (r.attempt === id ? { ...r, ...change(r, told, now) } : r))
}

function change(row: Row, told: Told, now: number): Partial<Row> {
    switch (told.what) {
        case 'acted':
            return {
                entries: row.entries + 1,
                last: told.last as string,
                unsafe: (told.unsafe as string | null) ?? row.unsafe,
                done: told.done as boolean,
                last_s: 0,
                hand_s: row.hand_s === null ? null : row.hand_s + (now - row.seen) / 1000,
                seen: now,
            }
        case 'curve':
            return { curve: told.curve as number[] }
        case 'hand':
            return { hand_s: told.up ? 0 : null }
        case 'left page':
            return { left_page: row.left_page + 1 }
        case 'ended':
            return { done: true }
        default:
            return {}
    }
}
