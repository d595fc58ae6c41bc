import type { BoardData, LadderData, Wire } from '@/lib/types'
import { t } from '@/words'
import { search } from '@/search/search'

/**
 * Walking a lead along what can be seen: from a terminal to the wires landed there, from a wire's
 * end through its insulation to its other end. That there is copper all the way is not said.
 */
export interface Stop {
    place: string
    name: string
    hint: string
}

export function ownerOf(place: string): string {
    return place.slice(0, place.lastIndexOf('.'))
}

export function wiresAt(board: BoardData, terminal: string): { wire: Wire; end: 'a' | 'b' }[] {
    const found: { wire: Wire; end: 'a' | 'b' }[] = []
    for (const wire of board.wires) {
        if (wire.from === terminal) found.push({ wire, end: 'a' })
        if (wire.to === terminal) found.push({ wire, end: 'b' })
    }
    return found
}

/** Where a lead on this place may go next. */
export function nextStops(board: BoardData, place: string): Stop[] {
    const owner = ownerOf(place)
    const wire = board.wires.find((w) => w.id === owner)
    if (wire) {
        const end = place.endsWith('.a') ? 'a' : 'b'
        const far = end === 'a' ? wire.to : wire.from
        const near = end === 'a' ? wire.from : wire.to
        return [
            { place: far, name: placeName(board, far), hint: t('along the {{color}} wire', { color: wire.colour }) },
            { place: near, name: placeName(board, near), hint: t('the terminal here') },
        ]
    }
    const along = wiresAt(board, place).map(({ wire: w, end }) => {
        const far = end === 'a' ? w.to : w.from
        return { place: far, name: placeName(board, far), hint: t('along the {{color}} wire', { color: w.colour }) }
    })
    const part = board.parts.find((p) => p.id === owner)
    const across = (part?.terminals ?? [])
        .filter((at) => at.place !== place)
        .map((at) => ({ place: at.place, name: placeName(board, at.place), hint: t('on the same part') }))
    return [...along, ...across]
}

/** What a person calls a place: "Limit a", "yellow wire end at Limit b". */
export function placeName(board: BoardData, place: string): string {
    const owner = ownerOf(place)
    const wire = board.wires.find((w) => w.id === owner)
    if (wire) return `${wire.colour} wire end at ${placeName(board, place.endsWith('.a') ? wire.from : wire.to)}`
    const part = board.parts.find((p) => p.id === owner)
    return part ? `${part.label} ${place.slice(owner.length + 1)}` : place
}

/** The pieces of a wire that can be seen: all of it, or its two ends where it runs hidden with others between. */
export function inSight(wire: Wire): [number, number][][] {
    return wire.bundled
        ? [wire.points.slice(0, wire.bundled[0] + 1), wire.points.slice(wire.bundled[1])]
        : [wire.points]
}

/** Where a place is drawn: a terminal, or a wire's end a little off it. */
export function placeAt(board: BoardData, place: string): { x: number; y: number } | undefined {
    const owner = ownerOf(place)
    const wire = board.wires.find((w) => w.id === owner)
    if (wire) {
        const points = place.endsWith('.a') ? wire.points : [...wire.points].reverse()
        const [p, q] = points
        if (!p || !q) return undefined
        const length = Math.hypot(q[0] - p[0], q[1] - p[1]) || 1
        const off = Math.min(14, length / 2)
        return { x: p[0] + ((q[0] - p[0]) / length) * off, y: p[1] + ((q[1] - p[1]) / length) * off }
    }
    const terminal = board.parts.find((p) => p.id === owner)?.terminals.find((t) => t.place === place)
    return terminal && { x: terminal.x, y: terminal.y }
}

/** The terminal nearest in a direction: for moving the cursor with the arrow keys. */
export function nearest(board: BoardData, place: string, dx: number, dy: number): string | undefined {
    const here = placeAt(board, place)
    if (!here) return undefined
    let best: string | undefined
    let cost = Infinity
    for (const part of board.parts) {
        for (const t of part.terminals) {
            const along = (t.x - here.x) * dx + (t.y - here.y) * dy
            const aside = Math.abs((t.x - here.x) * dy) + Math.abs((t.y - here.y) * dx)
            if (along <= 1 || t.place === place) continue
            const c = along + 2.5 * aside
            if (c < cost) {
                cost = c
                best = t.place
            }
        }
    }
    return best
}

/**
 * How far round a terminal a finger still means it: never past half way to the next, and leaving the middle of its part
 * free.
 */
export function reaches(board: BoardData): Map<string, number> {
    const all = board.parts.flatMap((p) => p.terminals)
    return new Map(
        board.parts.flatMap((p) =>
            p.terminals.map((t) => {
                const next = Math.min(
                    ...all.filter((o) => o.place !== t.place).map((o) => Math.hypot(o.x - t.x, o.y - t.y)),
                )
                const middle = Math.hypot(p.x + p.w / 2 - t.x, p.y + p.h / 2 - t.y) - 14
                return [t.place, Math.max(10, Math.min(28, next / 2, Math.max(13, middle)))] as const
            }),
        ),
    )
}

/**
 * Along the conductor that leaves a place most nearly in a direction, to its other end; undefined when none goes that
 * way.
 */
export function along(board: BoardData, place: string, dx: number, dy: number): string | undefined {
    const here = placeAt(board, place)
    if (!here) return undefined
    let best: string | undefined
    let most = 0
    for (const { wire, end } of wiresAt(board, place)) {
        const points = end === 'a' ? wire.points : [...wire.points].reverse()
        const [p, q] = points
        const last = points[points.length - 1]
        if (!p || !q || !last) continue
        // how it leaves counts most, where it ends decides between two that leave alike
        const leaves = ((q[0] - p[0]) * dx + (q[1] - p[1]) * dy) / (Math.hypot(q[0] - p[0], q[1] - p[1]) || 1)
        const ends = ((last[0] - p[0]) * dx + (last[1] - p[1]) * dy) / (Math.hypot(last[0] - p[0], last[1] - p[1]) || 1)
        const toward = Math.max(leaves, 0) + Math.max(ends, 0)
        if (toward > most) {
            most = toward
            best = end === 'a' ? wire.to : wire.from
        }
    }
    return best
}

/** The next place on the ladder: along its rung, or on the rung above or below; at a rung's end it stays. */
export function onLadder(ladder: LadderData, place: string, dx: number, dy: number): string | undefined {
    const spots = ladder.circuits.flatMap((c) =>
        c.rungs.flatMap((r) =>
            r.elements.flatMap((e) => [
                { place: e.a, x: e.x, y: r.y },
                { place: e.b, x: e.x + e.w, y: r.y },
            ]),
        ),
    )
    const here = spots.find((s) => s.place === place)
    if (!here) return spots[0]?.place
    if (dx !== 0) {
        const rung = spots
            .filter((s) => s.y === here.y && s.place !== place && (s.x - here.x) * dx >= 0)
            .sort((a, b) => (a.x - b.x) * dx)
        return rung[0]?.place
    }
    const ys = [...new Set(spots.map((s) => s.y))].filter((y) => (y - here.y) * dy > 0).sort((a, b) => (a - b) * dy)
    return spots.filter((s) => s.y === ys[0]).sort((a, b) => Math.abs(a.x - here.x) - Math.abs(b.x - here.x))[0]?.place
}

/** The middle of a wire's longest run, and whether that goes up and down. */
export function middleOf(board: BoardData, id: string): { x: number; y: number; upright: boolean } | undefined {
    const wire = board.wires.find((w) => w.id === id)
    let best: { x: number; y: number; upright: boolean } | undefined
    let longest = 0
    for (const [p, q] of (wire ? inSight(wire) : []).flatMap((points) =>
        points.slice(1).map((q, i) => [points[i]!, q] as const),
    )) {
        const length = Math.hypot(q[0] - p[0], q[1] - p[1])
        if (length > longest) {
            longest = length
            best = { x: (p[0] + q[0]) / 2, y: (p[1] + q[1]) / 2, upright: p[0] === q[0] }
        }
    }
    return best
}

/** Of wires that run side by side, the one that lies nearest to a point. */
export function nearestWire(board: BoardData, x: number, y: number): string | undefined {
    let best: string | undefined
    let least = Infinity
    for (const [wire, points] of board.wires.flatMap((w) => inSight(w).map((p) => [w.id, p] as const))) {
        for (let i = 1; i < points.length; i++) {
            const [[px, py], [qx, qy]] = [points[i - 1]!, points[i]!]
            const d = Math.hypot(
                x - Math.min(Math.max(x, Math.min(px, qx)), Math.max(px, qx)),
                y - Math.min(Math.max(y, Math.min(py, qy)), Math.max(py, qy)),
            )
            if (d < least) {
                least = d
                best = wire
            }
        }
    }
    return best
}

/** How a wire is spoken of: its colour and where it goes from and to. */
export function wireName(board: BoardData, id: string): string {
    const wire = board.wires.find((w) => w.id === id)
    return wire ? `${wire.colour}, ${placeName(board, wire.from)} to ${placeName(board, wire.to)}` : id
}

/** What of the board is drawn upon, with a little paper round it. */
export function extent(board: BoardData): { x: number; y: number; w: number; h: number } {
    const xs = [
        ...board.parts.flatMap((p) => [p.x, p.x + p.w]),
        ...board.wires.flatMap((w) => w.points.map(([x]) => x)),
    ]
    const ys = [
        ...board.parts.flatMap((p) => [p.y, p.y + p.h]),
        ...board.wires.flatMap((w) => w.points.map(([, y]) => y)),
    ]
    if (xs.length === 0) return { x: 0, y: 0, w: board.width, h: board.height }
    const [x, y] = [Math.min(...xs) - 24, Math.min(...ys) - 24]
    return { x, y, w: Math.max(...xs) + 24 - x, h: Math.max(...ys) + 24 - y }
}

/** Parts and terminals whose names begin with or hold these words, or mean the same, the nearest to them first. */
export function named(board: BoardData, words: string): { name: string; part: string; place: string | null }[] {
    const wanted = words.trim().toLowerCase()
    if (wanted === '') return []
    const all = board.parts.flatMap((p) => [
        { name: p.label, part: p.id, place: null as string | null },
        ...p.terminals.map((t) => ({ name: `${p.label} ${t.name}`, part: p.id, place: t.place as string | null })),
    ])
    const rank = (name: string) =>
        name === wanted ? 0 : name.startsWith(wanted) ? 1 : wanted.split(/\s+/).every((w) => name.includes(w)) ? 2 : 3
    const literal = all
        .map((f) => ({ f, r: rank(f.name.toLowerCase()) }))
        .filter(({ r }) => r < 3)
        .sort((a, b) => a.r - b.r)
        .map(({ f }) => f)
    if (literal.length > 0) return literal
    // what the trade calls it too, and slips
    const titles = new Map(board.parts.map((p) => [p.id, p.title]))
    return search(all, words, (f) => ({
        title: f.name,
        more: f.place === null ? (titles.get(f.part) ?? '') : '',
        usual: f.place === null ? 1 : 0,
    }))
}
