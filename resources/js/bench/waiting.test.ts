import { describe, expect, it } from 'vitest'
import { Refusal } from '@/lib/send'
import { forget, isAway, recall, remember, untilReached } from './waiting'

describe('while the server cannot be reached', () => {
    it('tries again until it is, and says both', async () => {
        let tries = 0
        const said: boolean[] = []
        const reply = await untilReached(async () => {
            if (++tries < 4) throw new Refusal('away', tries === 2 ? 503 : 0)
            return 'done'
        }, () => true, (away) => said.push(away), 1)
        expect([reply, tries, said]).toEqual(['done', 4, [true, false]])
    })
    it('gives up at once on what the server itself says', async () => {
        let tries = 0
        await expect(untilReached(async () => {
            tries++
            throw new Refusal('no such act', 422)
        }, () => true, () => undefined, 1)).rejects.toThrow('no such act')
        expect(tries).toBe(1)
    })
    it('ends when nobody waits for it any more', async () => {
        let tries = 0
        await expect(untilReached(async () => {
            tries++
            throw new Refusal('away', 0)
        }, () => tries < 3, () => undefined, 1)).rejects.toThrow('away')
        expect(tries).toBe(3)
    })
    it('knows an outage from an answer', () => {
        expect([0, 502, 503, 504, 409, 500].map((s) => isAway(new Refusal('', s)))).toEqual([true, true, true, true, false, false])
        expect(isAway(new Error('a bug'))).toBe(false)
    })
    it('keeps an act on its way, by attempt', () => {
        remember(7, { id: 'x' })
        expect(recall(7)).toEqual({ id: 'x' })
        expect(recall(8)).toBeNull()
        forget(7)
        expect(recall(7)).toBeNull()
    })
})
