import { expect, it } from 'vitest'
import { byPart } from './SuspectList'

const fault = (id: string, title: string) => ({ id, title, family: '' })

it('lists suspects by their part, those with a star first and those that are out last', () => {
    const all = [
        fault('healthy', 'nothing wrong'),
        fault('limit:open', 'Limit: stuck open'),
        fault('fuse:blown', 'Fuse 3 A: blown'),
        fault('limit:low', 'Limit: opens low'),
    ]
    const parts = (marks: Record<string, string>) => byPart(all, marks).map((g) => `${g.part} ${g.faults.length}`)
    expect(parts({})).toEqual(['The appliance 1', 'Limit 2', 'Fuse 3 A 1'])
    expect(parts({ 'fuse:blown': 'star', healthy: 'out', 'limit:open': 'out' })).toEqual([
        'Fuse 3 A 1',
        'Limit 2',
        'The appliance 1',
    ])
})
