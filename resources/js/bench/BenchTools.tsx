import type { DoAct } from '@/lib/acts'
import type { BoardData, DoorShown, Scene } from '@/lib/types'
import { ToolButton } from '@/theme/buttons'
import { Doors } from './Doors'
import { Find } from './Find'
import { t } from '@/words'

interface Props {
    board: BoardData
    doors: DoorShown[]
    scene: Scene
    drawing: boolean
    /** there is a picture of how it was wired */
    pictured: boolean
    act: DoAct
    onDrawing: (on: boolean) => void
    onFound: (part: string, place: string | null) => void
}

/** What one does to see: doors, the ladder, a part by its name. */
export function BenchTools({ board, doors, scene, drawing, pictured, act, onDrawing, onFound }: Props) {
    return (
        <>
            <Doors doors={doors} scene={scene} act={act} />
            {(board.ladder || pictured) && (
                <ToolButton on={drawing} onClick={() => onDrawing(!drawing)}>
                    {board.ladder ? t('Ladder') : t('As it was wired')}
                </ToolButton>
            )}
            <Find board={board} onFound={onFound} />
        </>
    )
}

/** Ends the job, once it is asked whether that is meant. */
export function CloseCall({ isWarmUp, act }: { isWarmUp: boolean; act: DoAct }) {
    const question = isWarmUp
        ? 'Close the warm-up? You can start it again whenever you like.'
        : 'Close the call? The job ends here and is marked.'
    return (
        <ToolButton
            flexShrink={0}
            onClick={() => {
                if (window.confirm(question)) void act('hand_back')
            }}
        >
            {t('Close the call')}
        </ToolButton>
    )
}
