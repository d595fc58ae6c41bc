import { Box, Heading, Progress, Stack, Text } from '@chakra-ui/react'
import { router } from '@inertiajs/react'
import { useEffect } from 'react'
import { useTold } from '@/lib/query'
import type { Briefing, MarkingState } from '@/lib/types'
import { Frame } from '@/shell/Frame'
import { t } from '@/words'

const EVERY_MS = 700

/** Handed back, and being marked: how far it is; then the debrief. */
export default function Marking({ attempt, job, trainee }: { attempt: number; job: Briefing; trainee: string }) {
    const told = useTold<MarkingState>(`/attempts/${attempt}/marking`, { every: EVERY_MS, isOver: (s) => s.marked })
    const state = told.data ?? { marked: false, share: 0, error: null }
    const error = state.error ?? told.error?.message ?? null
    useEffect(() => {
        if (state.marked) router.visit(`/attempts/${attempt}/debrief`, { replace: true })
    }, [state.marked, attempt])
    return (
        <Frame title={t('Debrief: {{title}}', { title: job.title })}>
            <Stack gap="4" maxW="560px">
                <Heading as="h1" size="2xl">
                    {t('The call is closed')}
                </Heading>
                <Text>
                    {t(
                        "{{trainee}}'s work on “{{title}}” is being marked: each suspect is run through the same acts, entry by entry.",
                        { trainee, title: job.title },
                    )}
                </Text>
                <Progress.Root value={Math.round(100 * state.share)} aria-label={t('Marked so far')} role="status">
                    <Progress.Track>
                        <Progress.Range bg="copper" />
                    </Progress.Track>
                </Progress.Root>
                {error && (
                    <Box color="danger" role="alert">
                        {error}
                    </Box>
                )}
            </Stack>
        </Frame>
    )
}
