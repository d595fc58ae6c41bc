import { useEffect, useRef } from 'react'

/** Something that the server tells at once: what it is, and what belongs to it. */
export type Told = { what: string } & Record<string, unknown>

/**
 * Listens to what the server tells at once (server-sent events); while the line is down the browser tries again by
 * itself, and what came meanwhile is told after all.
 */
export function useLive(url: string | null, onTold: (told: Told) => void): void {
    const hears = useRef(onTold)
    useEffect(() => {
        hears.current = onTold
    })
    useEffect(() => {
        if (url === null || typeof EventSource === 'undefined') return
        const line = new EventSource(url)
        line.onmessage = (message: MessageEvent<string>) => {
            try {
                hears.current(JSON.parse(message.data) as Told)
            } catch {
                // not one of ours
            }
        }
        return () => line.close()
    }, [url])
}
