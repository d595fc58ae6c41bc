import { useState } from 'react'
import { along, nearest, ownerOf, wiresAt } from '@/board/walk'
import type { Choice, Selection } from '@/builder/selection'
import type { Edit } from '@/builder/types'
import { useArrows, useKeys } from '@/lib/useKeys'
import type { BoardData } from '@/lib/types'

/** Units of the board that an arrow moves a part by. */
const STEP = 14

interface Keys {
    board: BoardData
    chosen: Selection
    choose: (choice: Choice) => void
    edit: (...edits: Edit[]) => Promise<boolean>
    go: (where: 'undo' | 'redo') => void
    onPlace: (at: string) => void
    onPort: (at: string) => void
    onLed: () => void
    onRemove: () => void
}

/** The builder without a mouse: every edit of the board has its keys. */
export function useBuilderKeys({ board, chosen, choose, edit, go, onPlace, onPort, onLed, onRemove }: Keys) {
    const { cursor, picked, wire, via, view } = chosen

    useKeys(['mod+z'], (e) => (e.preventDefault(), go('undo')), { onTabs: true })
    useKeys(['mod+y', 'mod+shift+z'], (e) => (e.preventDefault(), go('redo')), { onTabs: true })

    const step = ([x, y]: [number, number], e: KeyboardEvent) => {
        const at = cursor ?? board.parts.find((p) => p.terminals.length > 0)?.terminals[0]?.place
        if (at) choose({ choose: 'cursor', at: (e.shiftKey ? along : nearest)(board, at, x, y) ?? at })
    }
    useArrows('shift', step, view === 'Board')
    useArrows('alt', ([x, y], e) => {
        if (picked.length > 0) void edit({ do: 'move', parts: picked, by: [x * STEP, y * STEP] })
        else if (view === 'Board') step([x, y], e)
    })

    useKeys(['enter'], () => (cursor ? onPlace(cursor) : via && onLed()), { presses: true })
    useKeys(['p'], () => cursor && choose({ choose: 'part', part: ownerOf(cursor) }))
    useKeys(['shift+p'], () => cursor && choose({ choose: 'one more', part: ownerOf(cursor) }))
    useKeys(['w'], () => {
        if (!cursor) return
        const there = wiresAt(board, cursor).map((w) => w.wire.id)
        const next = there[(there.indexOf(wire ?? '') + 1) % Math.max(1, there.length)]
        if (next) choose({ choose: 'wire', wire: next })
    })
    // from port to port of the part that is picked, or that the cursor stands on; Enter begins or ends a pipe there,
    // with Shift
    const [port, setPort] = useState<string | null>(null)
    useKeys(['o'], () => {
        const owner = picked[0] ?? (cursor ? ownerOf(cursor) : null)
        const there = board.parts.find((p) => p.id === owner)?.ports ?? []
        const next = there[(there.findIndex((x) => x.place === port) + 1) % Math.max(1, there.length)]
        if (!next) return
        setPort(next.place)
        document.querySelector<SVGElement>(`[data-port="${next.place}"]`)?.focus()
    })
    useKeys(['shift+enter'], () => port && onPort(port), { presses: true })
    useKeys(['delete', 'backspace'], onRemove)
    useKeys(['escape'], () => choose({ choose: 'escape' }))
    useKeys(['k'], (e) => {
        e.preventDefault()
        document.querySelector<HTMLInputElement>('input[aria-label="Find a kind of part"]')?.focus()
    })
}
