import type { ReactNode } from 'react'
import { Board } from '@/board/Board'
import { Ladder } from '@/board/Ladder'
import type { BenchPage } from '@/lib/types'
import type { BenchState } from './useBench'

/** The appliance with what lies on it: its board, or its drawing where that is looked at. */
export function Appliance({
    board,
    scene,
    doors,
    drawing,
    picture,
    runs,
    cursor,
    part,
    seek,
    off,
    faint,
    beside,
    onPlace,
    onPart,
}: {
    board: BenchPage['board']
    scene: BenchState['scene']
    doors: BenchPage['doors']
    drawing: boolean
    /** how it was wired before, where that is what there is to wire by */
    picture: BenchPage['board'] | null
    /** colors of wires that were run, by their two places */
    runs: Record<string, string>
    cursor: string | null
    part: string | null
    /** what was searched for, and is to be brought into view */
    seek: string | null
    /** parts whose hose was pulled */
    off: string[]
    /** parts whose every way of failing is struck */
    faint: Set<string>
    /** what stands beside the pressed part */
    beside: ReactNode
    onPlace: (at: string) => void
    onPart: (id: string) => void
}) {
    if (drawing && board.ladder) {
        return (
            <Ladder
                ladder={board.ladder}
                board={board}
                red={scene.red}
                black={scene.black}
                cursor={cursor}
                part={part}
                onPlace={onPlace}
                onPart={onPart}
            />
        )
    }
    if (drawing && picture) return <Board board={picture} doors={doors} open={doors.map((d) => d.id)} readable />
    return (
        <Board
            board={board}
            runs={runs}
            red={scene.red}
            black={scene.black}
            cursor={cursor}
            part={part}
            lifted={scene.lifted}
            inHand={scene.off}
            installed={scene.installed}
            faint={faint}
            beside={beside}
            jumpers={scene.jumpers}
            jaw={scene.clamp?.wires}
            series={['ua', 'ma', 'aac'].includes(scene.mode)}
            off={off}
            atTaps={scene.at_taps}
            doors={doors}
            open={scene.open}
            seek={seek}
            readable
            onPlace={onPlace}
            onPart={onPart}
        />
    )
}
