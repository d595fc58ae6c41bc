import { HStack } from '@chakra-ui/react'
import { usePage } from '@inertiajs/react'
import { useCallback } from 'react'
import { TimeLeft } from '@/bench/TimeLeft'
import type { Briefing, Me } from '@/lib/types'
import { BenchLine } from './BenchLine'

interface Props {
    attempt: number
    job: Briefing
    handUp: boolean
    standing: { stopped: boolean; leftS: number | null }
    onStanding: (standing: { stopped: boolean; leftS: number | null }) => void
}

/** The time that is left at a sheet, and the line to the instructor. */
export function SheetLine({ attempt, job, handUp, standing, onStanding }: Props) {
    const me = usePage<{ me: Me }>().props.me
    const onStopped = useCallback(
        (stopped: boolean, leftS: number | null) => onStanding({ stopped, leftS }),
        [onStanding],
    )
    return (
        <HStack gap="1" position="relative">
            {standing.leftS !== null && !standing.stopped && <TimeLeft seconds={standing.leftS} />}
            {me.role === 'trainee' && (
                <BenchLine
                    attempt={attempt}
                    stopped={standing.stopped}
                    handUp={handUp}
                    exam={job.kind === 'exam'}
                    away={false}
                    onStopped={onStopped}
                />
            )}
        </HStack>
    )
}
