import { ChakraProvider } from '@chakra-ui/react'
import { render, screen } from '@testing-library/react'
import { expect, it } from 'vitest'
import type { Entry } from '@/lib/types'
import { system } from '@/theme/system'
import { Log } from './Log'

it('survives being closed where scrolling gives a promise, and shows dangers', () => {
    Element.prototype.scrollIntoView = (() => Promise.resolve()) as unknown as typeof Element.prototype.scrollIntoView
    const entry: Entry = {
        id: '1',
        at_s: 75,
        text: 'Lifted the black wire end',
        act: { act: 'lift' },
        seen: {},
        reading: null,
        refused: null,
        dangers: { 'live-work': 'Hands on a conductor' },
    }
    const { unmount } = render(
        <ChakraProvider value={system}>
            <Log log={[entry]} />
        </ChakraProvider>,
    )
    expect(screen.getByText('1:15')).toBeTruthy()
    expect(screen.getByText(/Hands on a conductor/)).toBeTruthy()
    expect(() => unmount()).not.toThrow()
})
