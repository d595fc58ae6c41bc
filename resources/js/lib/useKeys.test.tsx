import { cleanup, fireEvent, render, screen } from '@testing-library/react'
import { afterEach, expect, it, vi } from 'vitest'
import { useArrows, useKeys } from './useKeys'

afterEach(cleanup)

const heard = vi.fn<(what: string) => void>()

function Page() {
    useKeys(['p'], () => heard('p'))
    useKeys(['shift+p'], () => heard('P'))
    useKeys(['/'], () => heard('/'), { printed: true })
    useKeys(['enter'], () => heard('enter'), { presses: true })
    useKeys(['mod+z'], () => heard('undo'), { onTabs: true })
    useArrows('shift', ([x, y], e) => heard(`${x} ${y}${e.shiftKey ? ' along' : ''}`))
    return (
        <>
            <input aria-label="field" />
            <button>press</button>
            <div role="tab" tabIndex={0}>
                tab
            </div>
        </>
    )
}

const press = (where: Element, key: string, code: string, held: Partial<KeyboardEvent> = {}) => {
    heard.mockClear()
    const isLeft = fireEvent.keyDown(where, { key, code, bubbles: true, ...held })
    fireEvent.keyUp(where, { key, code, ...held })
    return { heard: heard.mock.calls.map(([what]) => what), isLeft }
}

it('hears a letter where this keyboard prints it, and its shifted one apart', () => {
    render(<Page />)
    expect(press(document.body, 'p', 'KeyP').heard).toEqual(['p'])
    expect(press(document.body, 'p', 'KeyR').heard).toEqual(['p'])
    expect(press(document.body, 'r', 'KeyP').heard).toEqual([])
    expect(press(document.body, 'P', 'KeyP', { shiftKey: true }).heard).toEqual(['P'])
})

it('hears a sign that takes Shift to print', () => {
    render(<Page />)
    expect(press(document.body, '/', 'Slash').heard).toEqual(['/'])
    expect(press(document.body, '/', 'Digit7', { shiftKey: true }).heard).toEqual(['/'])
})

it('leaves to fields, buttons and tabs what is theirs', () => {
    render(<Page />)
    const [field, button, tab] = [screen.getByLabelText('field'), screen.getByText('press'), screen.getByText('tab')]
    expect(press(field, 'p', 'KeyP').heard).toEqual([])
    expect(press(field, 'z', 'KeyZ', { ctrlKey: true }).heard).toEqual([])
    expect(press(button, 'Enter', 'Enter').heard).toEqual([])
    expect(press(button, 'p', 'KeyP').heard).toEqual(['p'])
    expect(press(document.body, 'Enter', 'Enter').heard).toEqual(['enter'])
    expect(press(tab, 'ArrowRight', 'ArrowRight')).toEqual({ heard: [], isLeft: true })
    expect(press(tab, 'z', 'KeyZ', { ctrlKey: true }).heard).toEqual(['undo'])
})

it('steps with the arrows, and keeps the page from scrolling', () => {
    render(<Page />)
    expect(press(document.body, 'ArrowUp', 'ArrowUp')).toEqual({ heard: ['0 -1'], isLeft: false })
    expect(press(document.body, 'ArrowRight', 'ArrowRight', { shiftKey: true }).heard).toEqual(['1 0 along'])
    expect(press(document.body, 'ArrowRight', 'ArrowRight', { ctrlKey: true }).heard).toEqual([])
})
