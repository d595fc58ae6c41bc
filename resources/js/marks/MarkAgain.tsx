import { Box, HStack, NativeSelect, Progress, Text } from '@chakra-ui/react'
import { router } from '@inertiajs/react'
import { useEffect, useState } from 'react'
import { useQueryClient } from '@tanstack/react-query'
import { useSent, useTold } from '@/lib/query'
import { ToolButton } from '@/theme/buttons'
import type { MarkAgainState } from '@/lib/types'
import { t } from '@/words'

const EVERY_MS = 800

/** A job's attempts marked once more under other rules, beside the marks that they have; and how far that is. */
export function MarkAgain({
    job,
    sets,
    marking,
}: {
    job: number
    sets: { id: number; title: string }[]
    marking: boolean
}) {
    const [rules, setRules] = useState(sets[0]?.id ?? 0)
    const url = `/jobs/${job}/marks`
    const [waiting, setWaiting] = useState(marking)
    const client = useQueryClient()
    const told = useTold<MarkAgainState>(url, { every: EVERY_MS, enabled: waiting, isOver: (s) => s.done === s.of })
    const begun = useSent<MarkAgainState, { rules: number }>(url, {
        onDone: (s) => {
            client.setQueryData([url, undefined], s)
            setWaiting(true)
        },
    })
    const state = told.data ?? null
    const isDone = waiting && state !== null && state.done === state.of
    useEffect(() => {
        if (!isDone) return
        setWaiting(false)
        router.reload()
    }, [isDone])
    const problem = begun.error?.message ?? told.error?.message ?? null
    return (
        <Box>
            <HStack gap="2" wrap="wrap">
                <NativeSelect.Root w="260px">
                    <NativeSelect.Field
                        aria-label={t('House rules')}
                        h="touch"
                        borderColor="line"
                        bg="sheet"
                        value={rules}
                        onChange={(e) => setRules(Number(e.target.value))}
                    >
                        {sets.map((s) => (
                            <option key={s.id} value={s.id}>
                                {s.title}
                            </option>
                        ))}
                    </NativeSelect.Field>
                    <NativeSelect.Indicator />
                </NativeSelect.Root>
                <ToolButton disabled={waiting} onClick={() => begun.mutate({ rules })}>
                    {t('Mark again under these')}
                </ToolButton>
                <ToolButton asChild>
                    <a href={`/jobs/${job}/marks.csv`}>{t('Marks as CSV')}</a>
                </ToolButton>
                {waiting && (
                    <HStack flex="1" minW="200px" role="status">
                        <Progress.Root
                            value={Math.round(100 * (state?.share ?? 0))}
                            flex="1"
                            aria-label={t('Marked so far')}
                        >
                            <Progress.Track>
                                <Progress.Range bg="copper" />
                            </Progress.Track>
                        </Progress.Root>
                        <Text className="reading" fontSize="text">
                            {state ? t('{{done}} of {{of}}', { done: state.done, of: state.of }) : ''}
                        </Text>
                    </HStack>
                )}
            </HStack>
            {(problem ?? state?.errors[0]) && (
                <Text color="danger" role="alert">
                    {problem ?? state?.errors[0]}
                </Text>
            )}
        </Box>
    )
}
