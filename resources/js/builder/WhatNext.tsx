import { Text } from '@chakra-ui/react'
import { placeName } from '@/board/walk'
import type { Selection } from '@/builder/selection'
import type { BoardData } from '@/lib/types'
import { ToolButton } from '@/theme/buttons'

/** What pressing the board does now, in a line under it. */
export function WhatNext({ board, chosen, onLed }: { board: BoardData; chosen: Selection; onLed: () => void }) {
    return (
        <Text fontSize="text" color="faint" role="status" aria-label="What to do next">
            {sentence(board, chosen)}
            {chosen.via && (
                <ToolButton size="sm" ml="2" onClick={onLed}>
                    Done
                </ToolButton>
            )}
        </Text>
    )
}

function sentence(board: BoardData, { taken, via, from, view, side }: Selection): string {
    if (taken) return `${taken.title}: press the board where it goes.`
    if (via) return `${via.length} points. Press the board where the wire goes; Enter or “Done” leads it so.`
    if (from) return `From ${placeName(board, from)}: press where the wire goes, or Escape.`
    if (view !== 'Board') return ''
    if (side === 'run') return 'Press a terminal to read its volts at that moment; drag a part to move it.'
    return board.parts.length === 0
        ? 'An empty board. Pick a part at the left, then press where it goes. Or include a whole appliance below.'
        : 'Press two terminals to draw a wire; drag a part to move it; Shift picks several.'
}
