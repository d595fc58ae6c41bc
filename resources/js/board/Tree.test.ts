import { describe, expect, it } from 'vitest'
import type { TreeNode } from '@/lib/types'
import { place } from './Tree'

const root: TreeNode = {
    ask: 'volts at R', answers: [
        { shows: '0 V', faults: ['fuse'] },
        { shows: '24 V', ask: 'volts at W', answers: [{ shows: '0 V', faults: ['stat'] }, { shows: '24 V', faults: ['board', 'relay'] }] },
    ],
}

describe('the tree of questions', () => {
    it('gives every end a row of its own and stands questions in the middle', () => {
        const { top, rows, columns } = place(root, 'board')
        expect([rows, columns]).toEqual([3, 3])
        const [fuse, next] = top.children
        expect(new Set([fuse!.y, next!.children[0]!.y, next!.children[1]!.y]).size).toBe(3)
        expect(next!.y).toBe((next!.children[0]!.y + next!.children[1]!.y) / 2)
        expect(top.y).toBe((fuse!.y + next!.y) / 2)
    })
    it('marks the way to the chosen fault and no other', () => {
        const { top } = place(root, 'board')
        expect([top.chosen, top.children[0]!.chosen, top.children[1]!.chosen, top.children[1]!.children[1]!.chosen]).toEqual([true, false, true, true])
        expect(place(root, null).top.chosen).toBe(false)
    })
})
