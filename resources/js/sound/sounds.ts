import type { Move } from '@/lib/types'

/** What lasts while something is heard, and what is heard once when it changes. */
export type Lasting = 'whir' | 'slow whir' | 'hum' | 'buzz' | 'ticks' | 'breath' | 'rumble' | 'gurgle'
export type Once = 'click' | 'ignition'

const LASTING: Partial<Record<Move['as'], Record<string, Lasting>>> = {
    shaft: { runs: 'whir', slow: 'slow whir', hums: 'hum' },
    flame: { lit: 'breath', lazy: 'breath', soots: 'rumble', spills: 'rumble' },
    spark: { burner: 'ticks', beside: 'ticks', inside: 'ticks' },
    click: { buzzes: 'buzz' },
}

/** What lasts of a thing in a state; nothing where it is silent. */
export function lasting(as: Move['as'], shows: string): Lasting | null {
    if (as === 'noise') return shows === '' ? null : 'gurgle'
    return LASTING[as]?.[shows] ?? null
}

/** What is heard once as a thing goes from one state to another; nothing where it was not perceived before. */
export function once(as: Move['as'], was: string | undefined, shows: string): Once | null {
    if (was === undefined || was === shows) return null
    if (as === 'click') return 'click'
    return as === 'flame' && lasting(as, was) === null && lasting(as, shows) !== null ? 'ignition' : null
}
