import { expect, it } from 'vitest'
import { isSlip, search } from './search'
import { folded } from './synonyms'

const FAULTS = [
    'Gas valve: coil open',
    'Gas valve: coil shorted',
    'Gas valve: leaks by when closed',
    'Furnace control: gas valve output dead',
    'Flame rod: coated',
    'Flame rod: bent out of the flame',
    'Limit: stuck open',
    'Limit: opens far below its degrees',
    'Rollout, left: open',
    'Thermostat: does not see the call on W',
    '120 V panel: no supply to this circuit',
    '120 V panel: line and neutral swapped',
    'Pressure switch: stuck open',
    'Zone valve 2: motor dead',
    'Filter: blocked (half)',
    "Service switch: contact won't close",
]
const faults = (words: string) => search(FAULTS, words, (title) => ({ title }))

it('finds a fault by what the trade calls it', () => {
    expect(faults('dead valve coil')[0]).toBe('Gas valve: coil open')
    expect(faults('dead valve')).toContain('Gas valve: coil open')
    expect(faults('dirty flame sensor')[0]).toBe('Flame rod: coated')
    expect(faults('flame sensor').sort()).toEqual(['Flame rod: bent out of the flame', 'Flame rod: coated'])
    expect(faults('hi limit')[0]).toMatch(/^Limit/)
    expect(faults('tstat')[0]).toMatch(/^Thermostat/)
    expect(faults('no power')[0]).toBe('120 V panel: no supply to this circuit')
    expect(faults('polarity')[0]).toBe('120 V panel: line and neutral swapped')
    expect(faults('air switch')[0]).toBe('Pressure switch: stuck open')
    expect(faults('clogged filter')[0]).toBe('Filter: blocked (half)')
    expect(faults('wont close')[0]).toBe("Service switch: contact won't close")
    expect(faults('shorted co')[0]).toBe('Gas valve: coil shorted')
    expect(search(['Igniter: cracked, open'], 'igniter crack', (title) => ({ title }))).toHaveLength(1)
    expect(faults('passing')[0]).toBe('Gas valve: leaks by when closed')
})

it('forgives a slip, and takes no short word for another', () => {
    expect(faults('termostat')[0]).toMatch(/^Thermostat/)
    expect(faults('presure swithc')[0]).toBe('Pressure switch: stuck open')
    expect(isSlip('cap', 'cup')).toBe(false)
    expect(isSlip('limti', 'limit')).toBe(true)
    expect(faults('xylophone')).toEqual([])
})

it('puts the usual thing first, and the very words before what only means the same', () => {
    const kinds = [
        { title: 'oil ignition transformer', usual: 1 },
        { title: 'control transformer 120:24 V, 40 VA', usual: 6 },
        { title: 'boiler pump', usual: 9, more: 'moves water transformer' },
    ]
    const find = (words: string) => search(kinds, words, (k) => k).map((k) => k.title)
    expect(find('transformer')[0]).toBe('control transformer 120:24 V, 40 VA')
    expect(find('ignition transformer')[0]).toBe('oil ignition transformer')
    expect(find('')).toEqual(kinds.map((k) => k.title))
})

it('folds phrases, the longest first, and neighbours of the same kind', () => {
    expect(folded('Hi limit')).toBe('limit')
    expect(folded('control board dead short')).toBe('control shorted')
    expect(folded('tstat stat')).toBe('thermostat thermostat')
    expect(folded("won't close")).toBe('stuck open')
})
