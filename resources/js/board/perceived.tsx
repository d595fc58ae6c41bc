import { createContext, useContext, useMemo, type ReactNode } from 'react'
import type { Channels } from '@/lib/types'
import { at } from '@/tape/stretches'

export interface Now {
    /** the class of what is perceived, by channel; what is not perceived is not in it */
    shows: Readonly<Record<string, string>>
    /** time goes on, so that what turns is seen to turn */
    runs: boolean
}

const Perceived = createContext<Now | null>(null)

/** What is perceived just now, for the drawings on the board; null where nobody looks. */
export const usePerceived = () => useContext(Perceived)

/** Hands on what is perceived at a moment; the same object while nothing of it changes. */
export function PerceivedAt({
    channels,
    time,
    runs,
    children,
}: {
    channels: Channels
    time: number
    runs: boolean
    children: ReactNode
}) {
    const shows = JSON.stringify(
        Object.entries(channels.perceived).flatMap(([channel, stretches]) => {
            const now = at(stretches, time)
            return now ? [[channel, now.value]] : []
        }),
    )
    const now = useMemo<Now>(
        () => ({ shows: Object.fromEntries(JSON.parse(shows) as [string, string][]), runs }),
        [shows, runs],
    )
    return <Perceived.Provider value={now}>{children}</Perceived.Provider>
}
