import { expect, it } from 'vitest'
import { lasting, once } from './sounds'

it('whirs while a shaft turns, hums where it does not, and is silent where it stands', () => {
    expect(lasting('shaft', 'runs')).toBe('whir')
    expect(lasting('shaft', 'hums')).toBe('hum')
    expect(lasting('shaft', '')).toBeNull()
    expect(lasting('glow', 'bright')).toBeNull()
})

it('clicks when a coil pulls in or lets go, and not for what was not heard before', () => {
    expect(once('click', '', 'drawn in')).toBe('click')
    expect(once('click', 'drawn in', '')).toBe('click')
    expect(once('click', undefined, 'drawn in')).toBeNull()
    expect(once('click', '', '')).toBeNull()
})

it('breathes once as a flame lights, and not as one flame becomes another', () => {
    expect(once('flame', '', 'lit')).toBe('ignition')
    expect(once('flame', 'gas', 'lazy')).toBe('ignition')
    expect(once('flame', 'lit', 'lazy')).toBeNull()
    expect(once('flame', 'lit', '')).toBeNull()
})
