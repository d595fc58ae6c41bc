import { describe, expect, it } from 'vitest'
import type { WallRow } from '@/lib/types'
import { after, idleMin, rowsOf, stuck } from './wall'

const ROW: WallRow = {
    at_bench: true,
    suspects: true,
    attempt: 7,
    user: 1,
    name: 'Tova',
    job: 'Bindery',
    exam: false,
    entries: 2,
    last: 'Looked.',
    last_s: 30,
    unsafe: null,
    hand_s: null,
    stopped: false,
    left_page: 0,
    curve: [40, 40, 12],
    done: false,
}

describe('the wall', () => {
    const rows = rowsOf([ROW], 1000)

    it('takes in what was done, and counts from then', () => {
        const told = { what: 'acted', attempt: 7, last: 'Red on W.', unsafe: 'Live work.', done: false }
        const [row] = after(rows, told, 61_000)!
        expect(row).toMatchObject({ entries: 3, last: 'Red on W.', unsafe: 'Live work.', last_s: 0, seen: 61_000 })
        const [next] = after([row!], { ...told, unsafe: null }, 62_000)!
        expect(next!.unsafe).toBe('Live work.')
    })

    it('asks anew for somebody it does not know', () => {
        expect(after(rows, { what: 'acted', attempt: 8 }, 0)).toBeNull()
    })

    it('stops all that are not closed', () => {
        const done = rowsOf([{ ...ROW, attempt: 8, done: true }], 0)
        expect(after([...rows, ...done], { what: 'stopped' }, 0)!.map((r) => r.stopped)).toEqual([true, false])
    })

    it('says who is stuck: by the time, or by acts that ruled nothing out', () => {
        expect(stuck(rows[0]!, 1000)).toBeNull()
        expect(idleMin(rows[0]!, 1000 + 240_000)).toBe(4)
        expect(stuck(rows[0]!, 1000 + 240_000)).toEqual({ minutes: 4 })
        const flat = rowsOf([{ ...ROW, curve: [40, 12, 12, 12, 12, 12, 12, 12] }], 1000)
        expect(stuck(flat[0]!, 1000)).toEqual({ acts: 6 })
        const one = rowsOf([{ ...ROW, curve: [1, 1, 1, 1, 1, 1, 1, 1] }], 1000)
        expect(stuck(one[0]!, 1000)).toBeNull()
        expect(stuck({ ...flat[0]!, done: true }, 1000)).toBeNull()
    })
})
