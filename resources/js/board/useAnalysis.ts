import { useQueryClient } from '@tanstack/react-query'
import { useSent, useTold } from '@/lib/query'
import type { AnalysisState } from '@/lib/types'

const EVERY_MS = 1000

/** The analysis of a model for one way of being found: what there is of it, asked again until it is done. */
export function useAnalysis(
    model: number,
    visit: string,
): { state: AnalysisState | null; error: string | null; begin: () => void } {
    const url = `/models/${model}/analysis?visit=${encodeURIComponent(visit)}`
    const client = useQueryClient()
    const told = useTold<AnalysisState | Record<string, never>>(url, {
        every: EVERY_MS,
        isOver: (s) => !('share' in s) || s.result !== null || s.error !== null,
    })
    const begun = useSent<AnalysisState>(url, { onDone: (state) => client.setQueryData([url, undefined], state) })
    const state = told.data && 'share' in told.data ? (told.data as AnalysisState) : null
    return { state, error: begun.error?.message ?? told.error?.message ?? null, begin: () => begun.mutate() }
}
