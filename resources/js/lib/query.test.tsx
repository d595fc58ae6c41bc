import { QueryClientProvider } from '@tanstack/react-query'
import { act, renderHook, waitFor } from '@testing-library/react'
import type { ReactNode } from 'react'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { isAway, newClient, useSent, useTold } from './query'
import { Refusal } from './send'

const answer = (status: number, body: unknown) => ({
    ok: status < 400,
    status,
    text: () => Promise.resolve(JSON.stringify(body)),
})
const within = () => {
    const client = newClient(1)
    return ({ children }: { children: ReactNode }) => (
        <QueryClientProvider client={client}>{children}</QueryClientProvider>
    )
}

describe('what is asked of the server', () => {
    afterEach(() => vi.unstubAllGlobals())

    it('is asked again until it is over, and no longer', async () => {
        let asked = 0
        vi.stubGlobal(
            'fetch',
            vi.fn(() => Promise.resolve(answer(200, { share: ++asked / 3 }))),
        )
        const { result } = renderHook(
            () => useTold<{ share: number }>('/task', { every: 5, isOver: (s) => s.share >= 1 }),
            { wrapper: within() },
        )
        await waitFor(() => expect(result.current.data?.share).toBe(1))
        await new Promise((r) => setTimeout(r, 40))
        expect(asked).toBe(3)
    })

    it('that comes after the page is left moves nobody', async () => {
        let release: (a: unknown) => void = () => undefined
        vi.stubGlobal(
            'fetch',
            vi.fn(
                () =>
                    new Promise((r) => {
                        release = r
                    }),
            ),
        )
        const seen: unknown[] = []
        const { unmount } = renderHook(() => seen.push(useTold('/task').data), { wrapper: within() })
        unmount()
        const renders = seen.length
        await act(async () => release(answer(200, { share: 1 })))
        expect(seen.length).toBe(renders)
    })

    it('is sent again while nobody answers, and not when the server says no', async () => {
        const answers = [answer(503, {}), answer(502, {}), answer(200, { done: true })]
        const fetched = vi.fn(() => Promise.resolve(answers.shift() ?? answer(422, { message: 'No such act.' })))
        vi.stubGlobal('fetch', fetched)
        const { result } = renderHook(() => useSent<{ done: boolean }, { id: string }>('/acts'), { wrapper: within() })
        await act(async () => expect(await result.current.mutateAsync({ id: 'x' })).toEqual({ done: true }))
        expect(fetched).toHaveBeenCalledTimes(3)
        await act(async () => expect(result.current.mutateAsync({ id: 'y' })).rejects.toThrow('No such act.'))
        expect(fetched).toHaveBeenCalledTimes(4)
    })

    it('knows an outage from an answer', () => {
        expect([0, 502, 503, 504, 409, 500].map((s) => isAway(new Refusal('', s)))).toEqual([
            true,
            true,
            true,
            true,
            false,
            false,
        ])
        expect(isAway(new Error('a bug'))).toBe(false)
    })
})
