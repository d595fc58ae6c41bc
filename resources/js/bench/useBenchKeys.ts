import { along, nearest, nextStops, onLadder, ownerOf } from '@/board/walk'
import type { BoardData } from '@/lib/types'
import { useArrows, useKeys } from '@/lib/useKeys'
import type { Bench } from './useBench'

interface Hands {
    bench: Bench
    board: BoardData
    hand: 'red' | 'black'
    part: string | null
    cursor: string | null
    /** the ladder is in view */
    drawing: boolean
    onHand: (hand: 'red' | 'black') => void
    onCursor: (place: string) => void
    onPlace: (place: string) => void
}

/** Everything at the bench by keys: the cursor along terminals and wires, leads, time, a look. */
export function useBenchKeys({ bench, board, hand, part, cursor, drawing, onHand, onCursor, onPlace }: Hands) {
    useArrows('shift', (step, e) => {
        const from = cursor ?? bench.scene[hand] ?? board.parts.find((p) => p.terminals.length > 0)?.terminals[0]?.place
        if (!from) return
        const to =
            drawing && board.ladder
                ? onLadder(board.ladder, from, ...step)
                : (e.shiftKey ? along : nearest)(board, from, ...step)
        onCursor(to ?? from)
    })
    useKeys(['w'], () => {
        const stop = cursor && nextStops(board, cursor).find((s) => s.hint.startsWith('along'))
        if (stop) onCursor(stop.place)
    })
    useKeys(['enter'], () => cursor && onPlace(cursor), { presses: true })
    useKeys(['r'], () => onHand('red'))
    useKeys(['b'], () => onHand('black'))
    useKeys(['space'], (e) => (e.preventDefault(), bench.play(!bench.playing)), { presses: true })
    useKeys(['n'], () => void bench.next())
    useKeys(['l'], () => {
        const at = part ?? (cursor && ownerOf(cursor))
        if (at) void bench.act('look', { part: at })
    })
}
