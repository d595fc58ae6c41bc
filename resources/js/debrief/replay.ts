import type { Row } from './types'

/** How the appliance and the meter stand after an entry, as far as the board shows it. */
export interface Standing {
    red: string | null
    black: string | null
    door: 'open' | 'shut'
    lifted: string[]
    jumpers: [string, string][]
    /** parts that were taken off */
    inHand: string[]
    looked: string | null
}

const NOTHING: Standing = { red: null, black: null, door: 'shut', lifted: [], jumpers: [], inHand: [], looked: null }

/** What the log, entry by entry up to one, has made of the board. */
export function standingAt(entries: readonly Row[], upTo: number): Standing {
    return entries.slice(0, upTo + 1).reduce<Standing>((s, { done }) => {
        const get = (field: string) => done?.[field] as string
        const joins = ([a, b]: [string, string]) =>
            (a === get('from') && b === get('to')) || (a === get('to') && b === get('from'))
        switch (done?.act) {
            case 'leads':
                return {
                    ...s,
                    red: (done['red'] as string | null) ?? null,
                    black: (done['black'] as string | null) ?? null,
                    looked: null,
                }
            case 'door':
                return { ...s, door: get('to') as Standing['door'] }
            case 'look':
                return { ...s, looked: get('part') }
            case 'lift':
                return { ...s, lifted: [...s.lifted, get('end')] }
            case 'land':
                return { ...s, lifted: s.lifted.filter((e) => e !== get('end')) }
            case 'take':
                return {
                    ...s,
                    inHand:
                        get('to') === 'off'
                            ? [...s.inHand, get('part')]
                            : s.inHand.filter((part) => part !== get('part')),
                }
            case 'mend':
            case 'spare':
                return { ...s, inHand: s.inHand.filter((part) => part !== get('part') || done['how'] === 'clean') }
            case 'jump':
                return { ...s, jumpers: [...s.jumpers, [get('from'), get('to')]] }
            case 'unjump':
                return { ...s, jumpers: s.jumpers.filter((j) => !joins(j)) }
            default:
                return s
        }
    }, NOTHING)
}

/** The entry that stands at a moment: the last one done by then. */
export function entryAt(entries: readonly Row[], seconds: number): number {
    let found = 0
    entries.forEach((e, i) => {
        if (e.at_s <= seconds + 1e-6) found = i
    })
    return found
}

/** Seconds of replay between two moments of the bench: long waits are shortened, nothing takes no time at all. */
export function pause(from: number, to: number): number {
    return Math.min(2.5, Math.max(0.9, (to - from) / 6))
}
