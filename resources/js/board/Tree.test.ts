import { describe, expect, it } from 'vitest'
import type { TreeNode } from '@/lib/types'
import { place } from './Tree'

const root: TreeNode = {
    ask: 'volts at R',
    answers: [
        { shows: '0 V', faults: ['fuse'] },
        {
            shows: '24 V',
            ask: 'volts at W',
            answers: [
                { shows: '0 V', faults: ['stat'] },
                { shows: '24 V', faults: ['board', 'relay'] },
            ],
        },
    ],
}

describe('the tree of questions', () => {
    it('shows what is unfolded: the first question, and the way to the chosen fault', () => {
        const { top, rows } = place(root, null, new Set())
        expect(rows).toBe(2)
        expect(top.children.map((c) => c.folded)).toEqual([false, true])
        expect(place(root, 'stat', new Set()).rows).toBe(3)
        expect(place(root, null, new Set(['r.1'])).rows).toBe(3)
    })
    it('gives every end a row of its own, and stands a question beside its first answer', () => {
        const { top, columns } = place(root, 'board', new Set())
        const [fuse, next] = top.children
        expect(columns).toBe(3)
        expect(new Set([fuse!.y, next!.children[0]!.y, next!.children[1]!.y]).size).toBe(3)
        expect([top.y, next!.y]).toEqual([fuse!.y, next!.children[0]!.y])
    })
    it('marks the way to the chosen fault and no other', () => {
        const { top } = place(root, 'board', new Set())
        expect([
            top.chosen,
            top.children[0]!.chosen,
            top.children[1]!.chosen,
            top.children[1]!.children[1]!.chosen,
        ]).toEqual([true, false, true, true])
        expect(place(root, null, new Set()).top.chosen).toBe(false)
    })
})
