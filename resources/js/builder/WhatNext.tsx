import { Text } from '@chakra-ui/react'
import { placeName } from '@/board/walk'
import type { Selection } from '@/builder/selection'
import type { BoardData } from '@/lib/types'
import { ToolButton } from '@/theme/buttons'
import { t } from '@/words'

/** What pressing the board does now, in a line above it. */
export function WhatNext({ board, chosen, onLed }: { board: BoardData; chosen: Selection; onLed: () => void }) {
    return (
        <Text fontSize="note" color="faint" role="status" aria-label={t('What to do next')} truncate flexShrink={0}>
            {sentence(board, chosen)}
            {chosen.via && (
                <ToolButton size="sm" ml="2" onClick={onLed}>
                    {t('Done')}
                </ToolButton>
            )}
        </Text>
    )
}

function sentence(board: BoardData, { taken, via, from, port, view, side }: Selection): string {
    if (taken) return `${taken.title}: press the board where it goes.`
    if (via) return `${via.length} points. Press the board where the wire goes; Enter or “Done” leads it so.`
    if (from) return `From ${placeName(board, from)}: press where the wire goes, or Escape.`
    if (port) return `Pipe from ${portName(board, port)}: press the port where it goes, or Escape.`
    if (view !== 'Board') return ''
    if (side === 'run') return 'Press a terminal to read its volts at that moment; drag a part to move it.'
    if (side === 'sheet')
        return 'Press a terminal, then say in the sheet which lead goes on it; drag a part to move it.'
    return board.parts.length === 0
        ? 'An empty board. Pick a part at the left, then press where it goes. Or include a whole appliance.'
        : 'Press two terminals (round) to draw a wire, two ports (square) to join a pipe; drag a part to move it.'
}

function portName(board: BoardData, place: string): string {
    const part = board.parts.find((p) => place.startsWith(`${p.id}.`))
    return `${part?.label ?? place}, ${part?.ports?.find((x) => x.place === place)?.label ?? ''}`
}
