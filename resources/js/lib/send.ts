/** What the server said when it would not do a thing: a sentence for the person, and the status. */
export class Refusal extends Error {
    constructor(
        message: string,
        readonly status: number,
    ) {
        super(message)
    }
}

/** Whether whoever sent it is no longer signed in. */
export function isSignedOut(error: unknown): boolean {
    return error instanceof Refusal && (error.status === 401 || error.status === 419)
}

function token(): string {
    const cookie = document.cookie.split('; ').find((c) => c.startsWith('XSRF-TOKEN='))
    return cookie ? decodeURIComponent(cookie.slice('XSRF-TOKEN='.length)) : ''
}

/** Sends JSON and reads JSON; throws a Refusal with the server's sentence. */
export async function send<T>(method: 'GET' | 'POST', url: string, body?: unknown, signal?: AbortSignal): Promise<T> {
    let response: Response
    try {
        response = await fetch(url, {
            method,
            headers: {
                Accept: 'application/json',
                'Content-Type': 'application/json',
                'X-XSRF-TOKEN': token(),
                'X-Requested-With': 'XMLHttpRequest',
            },
            ...(body === undefined ? {} : { body: JSON.stringify(body) }),
            ...(signal ? { signal } : {}),
        })
    } catch (error) {
        if (signal?.aborted) throw error // nobody waits for it any more
        throw new Refusal('The server cannot be reached. Nothing is lost; try again in a moment.', 0)
    }
    const text = await response.text()
    let json: unknown = null
    try {
        json = JSON.parse(text)
    } catch {
        // no JSON: the status says enough
    }
    if (!response.ok) {
        const message = (json as { message?: string } | null)?.message
        const signedOut = response.status === 401 || response.status === 419
        throw new Refusal(
            signedOut
                ? 'You have been signed out. Sign in again; the bench is as you left it.'
                : (message ?? 'The server could not do that. Try again.'),
            response.status,
        )
    }
    return json as T
}
