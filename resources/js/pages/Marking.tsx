import { Box, Heading, Progress, Stack, Text } from '@chakra-ui/react'
import { router } from '@inertiajs/react'
import { useEffect, useState } from 'react'
import { send } from '@/lib/send'
import type { Briefing } from '@/lib/types'
import { Frame } from '@/shell/Frame'

interface State { marked: boolean; share: number; error: string | null }

/** Handed back, and being marked: how far it is; then the debrief. */
export default function Marking({ attempt, job, trainee }: { attempt: number; job: Briefing; trainee: string }) {
    const [state, setState] = useState<State>({ marked: false, share: 0, error: null })
    useEffect(() => {
        let over = false // gone to the debrief, or left for another page: an answer that comes late moves nobody
        const ask = () => send<State>('GET', `/attempts/${attempt}/marking`)
            .then((s) => {
                if (over) return
                if (!s.marked) {
                    setState(s)
                    return
                }
                over = true
                router.visit(`/attempts/${attempt}/debrief`, { replace: true })
            })
            .catch((e: Error) => !over && setState((s) => ({ ...s, error: e.message })))
        void ask()
        const timer = setInterval(() => void ask(), 700)
        return () => {
            over = true
            clearInterval(timer)
        }
    }, [attempt])
    return (
        <Frame title={`Debrief: ${job.title}`}>
            <Stack gap="4" maxW="560px">
                <Heading as="h1" size="2xl">Handed back</Heading>
                <Text>{trainee}'s work on “{job.title}” is being marked: each suspect is run through the same acts, entry by entry.</Text>
                <Progress.Root value={Math.round(100 * state.share)} aria-label="Marked so far" role="status">
                    <Progress.Track><Progress.Range bg="copper" /></Progress.Track>
                </Progress.Root>
                {state.error && <Box color="danger" role="alert">{state.error}</Box>}
            </Stack>
        </Frame>
    )
}
