import type { KindFound } from '@/builder/types'

export const VIEWS = ['Board', 'Ladder', 'Sequence', 'Process', 'Faults'] as const
export type View = (typeof VIEWS)[number]
export type Side = 'checks' | 'circuits' | 'run' | 'sheet' | 'steps' | 'files'

/** What the builder shows, and what is picked and in hand on it. Nothing of the model itself is here. */
export interface Selection {
    view: View
    side: Side
    /** A kind in hand, to be placed. */
    taken: KindFound | null
    /** Parts, by id. */
    picked: string[]
    /** A wire, by id. */
    wire: string | null
    /** The terminal where a wire begins. */
    from: string | null
    /** The port where a pipe begins. */
    port: string | null
    /** A pipe, by id. */
    pipe: string | null
    /** Points that a wire being led passes, in units of the board. */
    via: [number, number][] | null
    /** The terminal that the keys stand on. */
    cursor: string | null
    /** Parts and wires that a finding speaks of. */
    shown: string[]
    /** A part or terminal that the board brings into sight. */
    seek: string | null
}

export type Choice =
    | { choose: 'view'; view: View }
    | { choose: 'side'; side: Side }
    | { choose: 'kind'; kind: KindFound | null }
    | { choose: 'terminal'; at: string }
    | { choose: 'port'; at: string }
    | { choose: 'pipe'; pipe: string }
    | { choose: 'cursor'; at: string }
    | { choose: 'part'; part: string }
    | { choose: 'one more'; part: string }
    | { choose: 'wire'; wire: string }
    | { choose: 'nothing' }
    | { choose: 'to lead' }
    | { choose: 'point'; at: [number, number] }
    | { choose: 'led' }
    | { choose: 'found'; part: string; at: string | null }
    | { choose: 'shown'; parts: string[]; wires: string[] }
    | { choose: 'escape' }

export const NOTHING: Selection = {
    view: 'Board',
    side: 'checks',
    taken: null,
    picked: [],
    wire: null,
    from: null,
    port: null,
    pipe: null,
    via: null,
    cursor: null,
    shown: [],
    seek: null,
}

/** Whether a terminal that is pressed begins or ends a wire; beside a run and a sheet it is read, not wired. */
export const draws = (s: Selection) => s.view === 'Board' && s.side !== 'run' && s.side !== 'sheet'

/** The wire that pressing a terminal draws, if it draws one. */
export function drawn(s: Selection, at: string): { from: string; to: string } | null {
    return draws(s) && s.from !== null && s.from !== at ? { from: s.from, to: at } : null
}

/** The pipe that pressing a port joins, if it joins one. */
export function joined(s: Selection, at: string): { from: string; to: string } | null {
    return s.view === 'Board' && s.port !== null && s.port !== at ? { from: s.port, to: at } : null
}

export function selection(s: Selection, c: Choice): Selection {
    switch (c.choose) {
        case 'view':
            return { ...s, view: c.view }
        case 'side':
            return { ...s, side: c.side }
        case 'kind':
            return { ...s, taken: c.kind, view: c.kind === null ? s.view : 'Board' }
        case 'terminal':
            if (!draws(s)) return { ...s, cursor: c.at }
            return s.from === null
                ? { ...s, cursor: c.at, from: c.at, port: null, wire: null, pipe: null, picked: [] }
                : { ...s, cursor: c.at, from: null }
        case 'port':
            return { ...s, port: s.port === null ? c.at : null, from: null, wire: null, pipe: null, picked: [] }
        case 'pipe':
            return { ...s, pipe: c.pipe, wire: null, picked: [], from: null, port: null }
        case 'cursor':
            return { ...s, cursor: c.at }
        case 'part':
            return { ...s, picked: [c.part], wire: null, pipe: null, from: null, port: null, shown: [] }
        case 'one more': {
            const isIn = s.picked.includes(c.part)
            return { ...s, picked: isIn ? s.picked.filter((p) => p !== c.part) : [...s.picked, c.part] }
        }
        case 'wire':
            return { ...s, wire: c.wire, pipe: null, picked: [], from: null, port: null }
        case 'nothing':
            return { ...s, picked: [], wire: null, pipe: null, from: null, port: null, shown: [] }
        case 'to lead':
            return { ...s, via: [] }
        case 'point':
            return { ...s, via: [...(s.via ?? []), c.at] }
        case 'led':
            return { ...s, via: null }
        case 'found': {
            const there: Selection = { ...s, view: 'Board', seek: c.at ?? c.part }
            return c.at === null
                ? selection(there, { choose: 'part', part: c.part })
                : selection(there, { choose: 'cursor', at: c.at })
        }
        case 'shown':
            return { ...s, view: 'Board', shown: [...c.parts, ...c.wires], seek: c.parts[0] ?? null }
        case 'escape':
            return {
                ...s,
                taken: null,
                from: null,
                port: null,
                pipe: null,
                via: null,
                picked: [],
                wire: null,
                shown: [],
            }
    }
}
