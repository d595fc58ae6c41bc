import { Box, Heading, Progress, Stack, Text } from '@chakra-ui/react'
import { Link, router } from '@inertiajs/react'
import { useEffect } from 'react'
import { isAway, useTold } from '@/lib/query'
import { Frame } from '@/shell/Frame'
import { ToolButton } from '@/theme/buttons'
import type { TaskState } from '@/lib/types'
import { t } from '@/words'

const EVERY_MS = 700

/** Something that takes a while: how far it is; then where it leads, or the file. */
export default function Working({
    task,
    title,
    goes,
    isFile,
    back,
}: {
    task: TaskState
    title: string
    goes: string
    isFile: boolean
    back: string
}) {
    const told = useTold<TaskState>(`/tasks/${task.id}`, {
        every: EVERY_MS,
        initial: task,
        isOver: (s) => s.state === 'done' || s.state === 'failed',
    })
    const state = told.data ?? task
    const away = told.failureReason ?? told.error
    const problem =
        away === null
            ? null
            : isAway(away)
              ? 'The server cannot be reached. The work continues there; this page will check again.'
              : away.message
    useEffect(() => {
        if (state.state !== 'done') return
        if (isFile) window.location.assign(goes)
        else router.visit(goes, { replace: true })
    }, [state.state, goes, isFile])
    return (
        <Frame title={title}>
            <Stack gap="4" maxW="560px">
                <Heading as="h1" size="2xl">
                    {title}
                </Heading>
                {state.state === 'done' ? (
                    <Text>
                        {t('Done.')} {isFile && t('The file has been downloaded.')}
                    </Text>
                ) : (
                    state.error === null && (
                        <Text>
                            {t('{{doing}}. You can leave this page; it will keep running.', { doing: state.doing })}
                        </Text>
                    )
                )}
                <Progress.Root value={Math.round(100 * state.share)} aria-label={t('Done so far')} role="status">
                    <Progress.Track>
                        <Progress.Range bg="copper" />
                    </Progress.Track>
                </Progress.Root>
                {(state.error ?? problem) && (
                    <Box color="danger" role="alert">
                        {state.error ?? problem}
                    </Box>
                )}
                <ToolButton asChild alignSelf="flex-start">
                    <Link href={back}>{t('Back')}</Link>
                </ToolButton>
            </Stack>
        </Frame>
    )
}
