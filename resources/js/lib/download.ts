import { AGAIN_MS, isWorthAgain } from '@/lib/query'
import { Refusal } from '@/lib/send'

interface Underway {
    share: number
    error: string | null
}

/** Milliseconds between one question whether a file is made and the next. */
const EVERY_MS = 700

/** Fetches a file that may take a while to make, says how far it is, and gives it to the browser to keep. */
export async function download(url: string, say: (share: number) => void): Promise<void> {
    for (;;) {
        const response = await reached(url)
        if (response.status === 200) {
            keep(await response.blob(), named(response) ?? url.split('/').pop() ?? 'file')
            return
        }
        const state = (await response.json()) as Underway
        if (response.status !== 202) throw new Refusal(state.error ?? 'The file could not be made.', response.status)
        say(state.share)
        await new Promise((r) => setTimeout(r, EVERY_MS))
    }
}

/** Asks until somebody answers. */
async function reached(url: string): Promise<Response> {
    for (;;) {
        try {
            return await ask(url)
        } catch (error) {
            if (!isWorthAgain(error)) throw error
            await new Promise((r) => setTimeout(r, AGAIN_MS))
        }
    }
}

async function ask(url: string): Promise<Response> {
    let response: Response
    try {
        response = await fetch(url, { headers: { Accept: 'application/json', 'X-Requested-With': 'XMLHttpRequest' } })
    } catch {
        throw new Refusal('The server cannot be reached. Try again in a moment.', 0)
    }
    if (response.status >= 500 || response.status === 429 || response.status === 401)
        throw new Refusal('The file could not be fetched. Try again.', response.status)
    return response
}

/** The name that the server gives to a file. */
export function named(response: { headers: { get: (name: string) => string | null } }): string | null {
    return /filename="([^"]+)"/.exec(response.headers.get('Content-Disposition') ?? '')?.[1] ?? null
}

function keep(file: Blob, name: string) {
    const link = document.createElement('a')
    link.href = URL.createObjectURL(file)
    link.download = name
    document.body.append(link)
    link.click()
    link.remove()
    setTimeout(() => URL.revokeObjectURL(link.href), 60_000)
}
