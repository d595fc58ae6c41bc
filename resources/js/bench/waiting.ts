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
