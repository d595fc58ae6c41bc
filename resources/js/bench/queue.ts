import type { QueryClient } from '@tanstack/react-query'

/** When nothing is on its way to the server any more. */
export function settled(client: QueryClient, attempt: number): Promise<void> {
    const isIdle = () => client.isMutating({ mutationKey: ['attempt', attempt] }) === 0
    if (isIdle()) return Promise.resolve()
    return new Promise((resolve) => {
        const stop = client.getMutationCache().subscribe(() => {
            if (!isIdle()) return
            stop()
            resolve()
        })
    })
}

/** The same object while nothing in it has changed, so that what is drawn from it is not drawn anew. */
export function kept<T>(before: T, now: T): T {
    return JSON.stringify(before) === JSON.stringify(now) ? before : now
}
