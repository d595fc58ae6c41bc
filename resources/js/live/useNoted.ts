import { useEffect, useRef } from 'react'

/** Seconds that a page of an examination may be out of sight, or a line silent, before it is noted. */
const NOTED_S = 2

/** Notes how long the page of an examination was out of sight, and how long nobody answered. */
export function useNoted(
    exam: boolean,
    away: boolean,
    note: (of: { what: 'page' | 'connection'; seconds: number }) => void,
): void {
    const left = useRef<number | null>(null)
    useEffect(() => {
        if (!exam) return
        const seen = () => {
            if (document.hidden) {
                left.current = Date.now()
                return
            }
            const seconds = left.current === null ? 0 : Math.round((Date.now() - left.current) / 1000)
            left.current = null
            if (seconds >= NOTED_S) note({ what: 'page', seconds })
        }
        document.addEventListener('visibilitychange', seen)
        return () => document.removeEventListener('visibilitychange', seen)
    }, [exam, note])
    const lost = useRef<number | null>(null)
    useEffect(() => {
        if (away) {
            lost.current ??= Date.now()
            return
        }
        const seconds = lost.current === null ? 0 : Math.round((Date.now() - lost.current) / 1000)
        lost.current = null
        if (seconds >= NOTED_S) note({ what: 'connection', seconds })
    }, [away, note])
}
