import { Refusal } from '@/lib/send'

/** Milliseconds between one try and the next while the server cannot be reached. */
export const AGAIN_MS = 1500

/** Whether a try is worth repeating: nobody answered, or only what stands before the server did. */
export function isAway(error: unknown): boolean {
    return error instanceof Refusal && (error.status === 0 || error.status === 502 || error.status === 503 || error.status === 504)
}

/**
 * Tries until the server is reached, and says when it is not and when it is again. What is sent carries an id
 * of its own, so that a try whose answer was lost is not done twice.
 */
export async function untilReached<T>(attempt: () => Promise<T>, wanted: () => boolean, say: (away: boolean) => void, pause = AGAIN_MS): Promise<T> {
    for (let away = false; ;) {
        try {
            const reply = await attempt()
            if (away) say(false)
            return reply
        } catch (error) {
            const isTooMuch = error instanceof Refusal && error.status === 429 // of one's own: it waits its turn
            if (!isTooMuch && !isAway(error) || !wanted()) {
                if (away) say(false)
                throw error
            }
            if (!away && !isTooMuch) say(true)
            away ||= !isTooMuch
            await new Promise((r) => setTimeout(r, pause))
        }
    }
}

const key = (attempt: number) => `odd-spark-act-${attempt}`

/** Keeps an act that is on its way, for when this page is left before the answer has come. */
export function remember(attempt: number, act: Record<string, unknown>) {
    try {
        sessionStorage.setItem(key(attempt), JSON.stringify(act))
    } catch {
        // a device that keeps nothing: then a reload in this moment asks to do it again
    }
}

export function recall(attempt: number): Record<string, unknown> | null {
    try {
        return JSON.parse(sessionStorage.getItem(key(attempt)) ?? 'null') as Record<string, unknown> | null
    } catch {
        return null
    }
}

export function forget(attempt: number) {
    try {
        sessionStorage.removeItem(key(attempt))
    } catch {
        // nothing was kept
    }
}
