import { usePage } from '@inertiajs/react'
import { CloseCall } from '@/bench/BenchTools'
import { TimeLeft } from '@/bench/TimeLeft'
import type { Bench } from '@/bench/useBench'
import type { BenchPage, Me } from '@/lib/types'
import { BenchLine } from '@/live/BenchLine'
import { Watched } from '@/live/Watched'

/** How a call ends: the time that is left, the line to the instructor, and closing it; or whose bench is looked at. */
export function Ending({
    page,
    leftS,
    stopped,
    away,
    act,
    onStopped,
}: {
    page: BenchPage
    leftS: number | null
    stopped: boolean
    away: Bench['away']
    act: Bench['act']
    onStopped: (stands: boolean, left: number | null) => void
}) {
    const me = usePage<{ me: Me }>().props.me
    const { attempt, job, steps } = page
    return (
        <>
            {leftS !== null && !stopped && <TimeLeft seconds={leftS} />}
            {page.watched !== null ? (
                <Watched attempt={attempt} course={page.course} name={page.watched} />
            ) : (
                <>
                    {me.role === 'trainee' && steps === null && (
                        <BenchLine
                            attempt={attempt}
                            stopped={stopped}
                            handUp={page.hand_up}
                            exam={job.kind === 'exam'}
                            away={away}
                            onStopped={onStopped}
                        />
                    )}
                    <CloseCall isWarmUp={steps !== null} act={act} />
                </>
            )}
        </>
    )
}
