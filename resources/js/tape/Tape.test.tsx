import { ChakraProvider } from '@chakra-ui/react'
import { fireEvent, render, screen } from '@testing-library/react'
import { describe, expect, it, vi } from 'vitest'
import { system } from '@/theme/system'
import { scale } from './scale'
import { Tape } from './Tape'

const channels = {
    perceived: {
        'board.lamp': [{ from: 0, to: 60, value: '4 flashes', say: 'board lamp 4 flashes' }],
        'inducer.sound': [{ from: 0, to: 60, value: '', say: 'inducer silent' }],
    },
    meter: [],
}

const lanes = [
    { channel: 'board.lamp', name: 'Lamp', tone: 'lamp' as const },
    { channel: 'inducer.sound', name: 'Inducer', tone: 'moving' as const },
]

describe('Tape', () => {
    it('shows what is perceived and stamps a reading at its moment', () => {
        render(
            <ChakraProvider value={system}>
                <Tape
                    lanes={lanes}
                    channels={channels}
                    now={60}
                    span={180}
                    marks={[{ at: 30, text: 'Limit a to C', reading: '26.7 V AC', kind: 'reading' }]}
                />
            </ChakraProvider>,
        )
        expect(screen.getByText('4 flashes')).toBeTruthy()
        expect(screen.getByText('26.7 V AC')).toBeTruthy()
        expect(screen.getByText('0:30 Limit a to C')).toBeTruthy()
    })

    it('scrubs to where it is pressed, and to no later than now', () => {
        const scrub = vi.fn()
        render(
            <ChakraProvider value={system}>
                <Tape lanes={lanes} channels={channels} now={60} span={180} onScrub={scrub} />
            </ChakraProvider>,
        )
        const tape = screen.getByRole('img')
        const at = scale(60, 180, 74, 1000 - 74 - 12) // jsdom lays nothing out: the tape is as wide as it begins
        fireEvent.click(tape, { clientX: at.x(20) })
        fireEvent.click(tape, { clientX: at.x(60) + 40 })
        const [first, second] = scrub.mock.calls.map(([s]) => s as number)
        expect(first).toBeCloseTo(20, 0)
        expect(second).toBe(60)
    })
})
