import type { ReactNode } from 'react'

/** What a bench is made of, for the layouts that put it together. */
export interface BenchPieces {
    tools: ReactNode
    close: ReactNode
    notices: ReactNode
    /** the board or its ladder */
    appliance: ReactNode
    /** contents of the tabs: call, log, suspects … */
    papers: ReactNode
    time: ReactNode
    meter: ReactNode
    meterBar: ReactNode
    /** what can be done to the picked part, and the instruments */
    hands: ReactNode
    /** tabs by value and name */
    tabs: readonly (readonly [string, string])[]
    /** the tab that is open */
    aside: string | null
    onAside: (tab: string | null) => void
}
