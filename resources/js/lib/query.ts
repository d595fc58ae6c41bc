import { QueryClient, useMutation, useQuery, type UseQueryResult } from '@tanstack/react-query'
import { Refusal, send } from './send'

/** Milliseconds between one try and the next while the server cannot be reached. */
export const AGAIN_MS = 1500

/** Tries of something that is only looked at, before it is said that the server cannot be reached. */
const LOOKS = 2

/** Whether nobody answered, or only what stands before the server did. */
export function isAway(error: unknown): boolean {
    return (
        error instanceof Refusal &&
        (error.status === 0 || error.status === 502 || error.status === 503 || error.status === 504)
    )
}

/** Whether a try is worth repeating: the server is away, or has enough to do for this person just now. */
export function isWorthAgain(error: unknown): boolean {
    return isAway(error) || (error instanceof Refusal && error.status === 429)
}

/**
 * All that is fetched, polled, sent and tried again goes through here. What is sent carries an id of its own where it
 * must not be
 * done twice, so it is tried until the server is reached; what is looked at is given up after some tries, and said.
 */
export function newClient(again = AGAIN_MS): QueryClient {
    return new QueryClient({
        defaultOptions: {
            queries: {
                networkMode: 'always',
                retry: (failed, error) => isWorthAgain(error) && failed < LOOKS,
                retryDelay: again,
                refetchOnWindowFocus: false,
                gcTime: 0,
            },
            mutations: { networkMode: 'always', retry: (_, error) => isWorthAgain(error), retryDelay: again },
        },
    })
}

/** Something that is made out once, when its turn has come, and is the same when it is sent again. */
export function once<T>(make: () => T): () => T {
    let made: { it: T } | null = null
    return () => (made ??= { it: make() }).it
}

interface Options<T> {
    /** ms between one look and the next; none: once */
    every?: number
    isOver?: (state: T) => boolean
    initial?: T | null
    enabled?: boolean
    /** what it is of beside its address: looked at anew when that changes */
    of?: unknown
    /** what stood before stays until the next has come */
    keep?: boolean
}

/**
 * Something that the server tells, asked again until it is over where that is wanted; what comes after the page is left
 * is dropped.
 */
export function useTold<T>(
    url: string,
    { every, isOver, initial, enabled = true, of, keep = false }: Options<T> = {},
): UseQueryResult<T> {
    return useQuery<T>({
        queryKey: [url, of],
        queryFn: ({ signal }) => send<T>('GET', url, undefined, signal),
        enabled,
        refetchInterval: (query) =>
            every === undefined || (query.state.data !== undefined && isOver?.(query.state.data)) ? false : every,
        ...(keep ? { placeholderData: (before: T | undefined) => before } : {}),
        ...(initial === undefined || initial === null
            ? {}
            : { initialData: initial as T extends undefined ? never : T }),
    } as Parameters<typeof useQuery<T>>[0])
}

/** Something that is sent when it is asked for, once at a time. */
export function useSent<T, Body = void>(
    url: string | ((body: Body) => string),
    { onDone }: { onDone?: (reply: T) => void } = {},
) {
    return useMutation<T, Error, Body>({
        mutationFn: (body) => send<T>('POST', typeof url === 'string' ? url : url(body), body ?? undefined),
        ...(onDone ? { onSuccess: onDone } : {}),
    })
}
