import { useCallback, useEffect, useState } from 'react'
import { send } from '@/lib/send'
import type { AnalysisState } from '@/lib/types'

const EVERY_MS = 1000

/** The analysis of a model for one way of being found: what there is of it, asked again until it is done. */
export function useAnalysis(model: number, visit: string): { state: AnalysisState | null; error: string | null; begin: () => void } {
    const [state, setState] = useState<AnalysisState | null>(null)
    const [error, setError] = useState<string | null>(null)
    const url = `/models/${model}/analysis?visit=${encodeURIComponent(visit)}`

    useEffect(() => {
        let stale = false
        setState(null)
        send<AnalysisState | Record<string, never>>('GET', url).then((s) => !stale && setState('share' in s ? (s as AnalysisState) : null)).catch((e: Error) => !stale && setError(e.message))
        return () => {
            stale = true
        }
    }, [url])

    const waiting = state !== null && state.result === null && state.error === null
    useEffect(() => {
        if (!waiting) return
        const timer = setInterval(() => void send<AnalysisState>('GET', url).then(setState).catch((e: Error) => setError(e.message)), EVERY_MS)
        return () => clearInterval(timer)
    }, [waiting, url])

    const begin = useCallback(() => {
        setError(null)
        send<AnalysisState>('POST', url).then(setState).catch((e: Error) => setError(e.message))
    }, [url])
    return { state, error, begin }
}
