import type { AtTap } from '@/lib/acts'
import type { BoardData, Entry, FaultName } from '@/lib/types'

/** How a lever was last seen or set by this trainee; undefined when he has not looked. */
export function knownLever(log: readonly Entry[], part: string, lever: string, label: string): string | undefined {
    for (let i = log.length - 1; i >= 0; i--) {
        const e = log[i]!
        if (e.refused) continue
        if (e.act.act === 'set' && e.act['part'] === part && e.act['lever'] === lever) return String(e.act['to'])
        const seen =
            e.act.act === 'look' && e.act['part'] === part ? (e.seen as Record<string, string>)[label] : undefined
        if (seen !== undefined) return seen
    }
    return undefined
}

/** The trainee's own list: how each suspect was marked last. */
export function suspectMarks(log: readonly Entry[]): Record<string, 'star' | 'out' | 'open'> {
    const marks: Record<string, 'star' | 'out' | 'open'> = {}
    for (const e of log) {
        if (e.act.act === 'suspect') marks[String(e.act['fault'])] = e.act['mark'] as 'star' | 'out' | 'open'
    }
    return marks
}

/** Parts of which every way of failing is struck. */
export function allStruck(faults: readonly FaultName[], marks: Readonly<Record<string, string>>): Set<string> {
    const parts = new Set(faults.flatMap((f) => f.part ?? []))
    for (const f of faults) if (marks[f.id] !== 'out') parts.delete(f.part ?? '')
    return parts
}

/** The entry whose meaning has not been said yet: the last one that showed something. */
export function unsaid(log: readonly Entry[]): Entry | undefined {
    for (let i = log.length - 1; i >= 0; i--) {
        const e = log[i]!
        if (e.act.act === 'meant') return undefined
        if (e.reading || Object.keys(e.seen).length > 0) return e
    }
    return undefined
}

/** What an instrument other than the meter showed last. */
export function lastReading(log: readonly Entry[], mode: 'clamp' | AtTap): string | undefined {
    for (let i = log.length - 1; i >= 0; i--) {
        const r = log[i]!.reading
        if (r?.mode === mode || r?.mode === `${mode}.metric`) return r.text
    }
    return undefined
}

/** Why each suspect stands as it does, in the trainee's own words: the last that was said. */
export function suspectWhys(log: readonly Entry[]): Record<string, string> {
    const whys: Record<string, string> = {}
    for (const e of log)
        if (e.act.act === 'suspect' && typeof e.act['why'] === 'string') whys[e.act['fault'] as string] = e.act['why']
    return whys
}

/** The trainee's own list: each item once, as it stands now, in the order in which it was written down. */
export function ownList(log: readonly Entry[]): { item: string; done: boolean }[] {
    const items = new Map<string, 'open' | 'done'>()
    for (const e of log) {
        if (e.act.act !== 'todo') continue
        const item = e.act['item'] as string
        if (e.act['state'] === 'gone') items.delete(item)
        else items.set(item, e.act['state'] as 'open' | 'done')
    }
    return [...items].map(([item, state]) => ({ item, done: state === 'done' }))
}

/** Parts whose hose was pulled, as far as the log knows. */
export const hosesOff = (board: BoardData, log: Entry[]): string[] =>
    board.parts
        .filter((p) => p.symbol === 'hose' && p.controls.some((c) => knownLever(log, p.id, c.lever, c.label) === 'off'))
        .map((p) => p.id)

/** Colors of the wires that were run and are still there, by their two places. */
export function runsOf(wired: readonly [string, string][], log: readonly Entry[]): Record<string, string> {
    const runs = Object.fromEntries(wired.map(([from, to]) => [`${from} ${to}`, 'black']))
    for (const { act } of log) {
        const wire = `${act['from'] as string} ${act['to'] as string}`
        if (act.act === 'run_wire' && wire in runs && act['colour']) runs[wire] = act['colour'] as string
    }
    return runs
}
