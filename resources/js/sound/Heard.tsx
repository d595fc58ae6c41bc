import { useEffect, useRef } from 'react'
import { usePerceived } from '@/board/perceived'
import type { BoardData } from '@/lib/types'
import { Loudspeaker } from './Loudspeaker'
import { lasting, once } from './sounds'

/** Lets what is perceived be heard while time runs, where it is wanted; it shows nothing. */
export function Heard({ board, isWanted }: { board: BoardData; isWanted: boolean }) {
    const now = usePerceived()
    const speaker = useRef<Loudspeaker | null>(null)
    const before = useRef<Readonly<Record<string, string>>>({})
    useEffect(() => {
        if (!isWanted || typeof AudioContext === 'undefined') return
        speaker.current = new Loudspeaker()
        return () => {
            speaker.current?.close()
            speaker.current = null
        }
    }, [isWanted])
    useEffect(() => {
        const was = before.current
        before.current = now?.shows ?? {}
        if (!speaker.current || !now) return
        if (!now.runs) {
            speaker.current.silence()
            return
        }
        for (const { channel, as } of board.parts.flatMap((p) => p.moves ?? [])) {
            const shows = now.shows[channel]
            speaker.current.keep(channel, shows === undefined ? null : lasting(as, shows))
            const change = shows === undefined ? null : once(as, was[channel], shows)
            if (change) speaker.current.once(change)
        }
    }, [board, now, isWanted])
    return null
}
