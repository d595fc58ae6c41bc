import { afterEach, describe, expect, it, vi } from 'vitest'
import { download, named } from './download'

const answer = (status: number, body: unknown, disposition: string | null = null) => ({
    status,
    json: () => Promise.resolve(body),
    blob: () => Promise.resolve(new Blob(['x'])),
    headers: { get: () => disposition },
})

describe('a file that takes a while', () => {
    afterEach(() => {
        vi.unstubAllGlobals()
        vi.useRealTimers()
    })

    it('is asked for until it is made, and says how far it is', async () => {
        vi.useFakeTimers()
        const answers = [
            answer(202, { share: 0.2 }),
            answer(202, { share: 0.6 }),
            answer(200, null, 'attachment; filename="board.pdf"'),
        ]
        vi.stubGlobal(
            'fetch',
            vi.fn(() => Promise.resolve(answers.shift())),
        )
        vi.stubGlobal('URL', { createObjectURL: () => 'blob:x', revokeObjectURL: () => undefined })
        const kept: string[] = []
        vi.stubGlobal('document', {
            createElement: () => ({
                click(this: { download: string }) {
                    kept.push(this.download)
                },
                remove: () => undefined,
            }),
            body: { append: () => undefined },
        })
        const shares: number[] = []
        const done = download('/drafts/1/files/board.pdf', (s) => shares.push(s))
        await vi.runAllTimersAsync()
        await done
        expect(shares).toEqual([0.2, 0.6])
        expect(kept).toEqual(['board.pdf'])
    })

    it('that cannot be made says why', async () => {
        vi.stubGlobal(
            'fetch',
            vi.fn(() => Promise.resolve(answer(422, { error: 'It cannot run yet.' }))),
        )
        await expect(download('/x', () => undefined)).rejects.toThrow('It cannot run yet.')
    })

    it('has the name that the server gives', () =>
        expect(named({ headers: { get: () => 'inline; filename="a-b.pdf"' } })).toBe('a-b.pdf'))
})
