import { ChakraProvider } from '@chakra-ui/react'
import { fireEvent, render, screen } from '@testing-library/react'
import { describe, expect, it, vi } from 'vitest'
import { system } from '@/theme/system'
import { Doors } from './Doors'

// the browser has it, jsdom has not
class Unobserved {
    observe() {}
    unobserve() {}
    disconnect() {}
}
vi.stubGlobal('ResizeObserver', Unobserved)

const doors = [
    { id: 'burner', label: 'Burner door', covers: ['valve'] },
    { id: 'blower', label: 'Blower door', covers: ['blower'], interlock: 'door-switch.plunger' },
]

const show = (some: typeof doors, open: string[], act = vi.fn()) => {
    render(
        <ChakraProvider value={system}>
            <Doors doors={some} scene={{ open, held: [] }} act={act} />
        </ChakraProvider>,
    )
    return act
}

describe('Doors', () => {
    it('shows nothing where there is no door', () => {
        show([], [])
        expect(screen.queryByRole('button')).toBeNull()
    })

    it('moves the one door without naming it, and holds a switch only where there is one', () => {
        const act = show(doors.slice(0, 1), [])
        fireEvent.click(screen.getByRole('button', { name: 'Door off' }))
        expect(act).toHaveBeenCalledWith('door', { to: 'open' })
        expect(screen.queryByRole('button', { name: /switch/ })).toBeNull()
    })

    it('says how many are off, and moves each by its name', async () => {
        const act = show(doors, ['blower'])
        fireEvent.click(screen.getByRole('button', { name: 'Doors (1 off)' }))
        const [burner] = await screen.findAllByRole('button', { name: 'Door off' })
        fireEvent.click(burner!)
        expect(act).toHaveBeenCalledWith('door', { to: 'open', door: 'burner' })
        fireEvent.click(await screen.findByRole('button', { name: 'Hold door switch' }))
        expect(act).toHaveBeenCalledWith('hold', { to: 'held', door: 'blower' })
    })
})
