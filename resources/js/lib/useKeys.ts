import { useHotkeys } from 'react-hotkeys-hook'

interface On {
    /** Whether the key is heard now. */
    enabled?: boolean
    /** The key presses buttons and links too, so that it is not heard on one. */
    presses?: boolean
    /** Heard on a tab and a summary too, which have no such key of their own. */
    onTabs?: boolean
    /** The sign that is printed counts, whatever it takes to print it on this keyboard. */
    printed?: boolean
}

const within = (e: KeyboardEvent, what: string) => e.target instanceof Element && e.target.closest(what) !== null

/** What keys of this page do. None is heard in a field; there they are typed. */
export function useKeys(keys: string[], act: (e: KeyboardEvent) => void, on: On = {}) {
    useHotkeys(keys, act, {
        enabled: on.enabled ?? true,
        useKey: keys.every((key) => key.split('+').pop()!.length === 1), // letters as they stand on this keyboard
        ignoreModifiers: on.printed ?? false,
        ignoreEventWhen: (e) =>
            within(e, 'input, textarea, select') ||
            (!on.onTabs && within(e, '[role=tab], summary')) ||
            (on.presses === true && within(e, 'button, a')),
    })
}

const STEPS: Record<string, [number, number]> = {
    ArrowLeft: [-1, 0],
    ArrowRight: [1, 0],
    ArrowUp: [0, -1],
    ArrowDown: [0, 1],
}
const ARROWS = ['left', 'right', 'up', 'down']

/**
 * What the arrows of this page do: with Alt held, or alone and with Shift. The page neither scrolls then nor goes back.
 */
export function useArrows(
    held: 'shift' | 'alt',
    act: (step: [number, number], e: KeyboardEvent) => void,
    enabled = true,
) {
    useKeys(
        [...(held === 'shift' ? ARROWS : []), ...ARROWS.map((arrow) => `${held}+${arrow}`)],
        (e) => {
            const step = STEPS[e.key]
            if (step === undefined) return
            e.preventDefault()
            act(step, e)
        },
        { enabled },
    )
}
