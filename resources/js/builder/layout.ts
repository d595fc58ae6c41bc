import type { TableDoc } from './types'

/** Where a state stands on the drawn chart, and the lines from state to state. */
export interface ChartLayout {
    width: number
    height: number
    boxes: { state: string; x: number; y: number }[]
    lines: { from: string; to: string; back: boolean; words: string }[]
}

/** A state's box, and letters of its title in a line. */
export const BOX = { w: 200, h: 68, letters: 27 }
const GAP = { x: 70, y: 28 }

/** States in columns by how many steps they lie from the first; those that are never reached stand last. */
export function laidOut(table: TableDoc): ChartLayout {
    const depth = new Map<string, number>([[table.start, 0]])
    const queue = [table.start]
    const ways = (state: string) => [
        ...(table.states[state]?.guards ?? []).map((g) => g.go),
        ...(table.states[state]?.reset ? [table.states[state].reset] : []),
    ]
    while (queue.length) {
        const at = queue.shift()!
        for (const to of ways(at)) {
            if (!depth.has(to) && table.states[to]) {
                depth.set(to, depth.get(at)! + 1)
                queue.push(to)
            }
        }
    }
    const last = Math.max(0, ...depth.values()) + 1
    const columns: string[][] = []
    for (const state of Object.keys(table.states)) {
        const c = depth.get(state) ?? last
        columns[c] = [...(columns[c] ?? []), state]
    }
    const dense = columns.filter(Boolean)
    const boxes = dense.flatMap((states, c) =>
        states.map((state, r) => ({ state, x: 14 + c * (BOX.w + GAP.x), y: 14 + r * (BOX.h + GAP.y) })),
    )
    const lines = Object.keys(table.states).flatMap((from) =>
        ways(from)
            .filter((to) => table.states[to])
            .map((to, i) => ({
                from,
                to,
                back: (depth.get(to) ?? last) <= (depth.get(from) ?? last),
                words: guardWords(table.states[from]!.guards[i], table.times),
            })),
    )
    return {
        width: 28 + dense.length * (BOX.w + GAP.x),
        height: 28 + Math.max(1, ...dense.map((s) => s.length)) * (BOX.h + GAP.y),
        boxes,
        lines,
    }
}

/** A guard in few words: "call, not limit, after 15 s". */
export function guardWords(
    guard: TableDoc['states'][string]['guards'][number] | undefined,
    times: Record<string, number>,
): string {
    if (!guard) return 'reset by hand'
    return [
        ...Object.entries(guard.if ?? {}).map(([input, on]) => `${on ? '' : 'not '}${input}`),
        ...Object.entries(guard.count ?? {}).map(([counter, least]) => `${counter} at least ${least}`),
        ...Object.entries(guard.timer ?? {}).map(([timer, time]) => `${times[time] ?? time} s since ${timer}`),
        ...(guard.after ? [`after ${times[guard.after] ?? guard.after} s`] : []),
    ].join(', ')
}

/** A text in lines of so many letters, broken at its spaces; a word that is longer stands alone. */
export function wrapped(text: string, letters: number): string[] {
    const lines: string[] = []
    for (const word of text.split(' ')) {
        const last = lines.length - 1
        if (last >= 0 && lines[last]!.length + 1 + word.length <= letters) lines[last] += ` ${word}`
        else lines.push(word)
    }
    return lines
}
