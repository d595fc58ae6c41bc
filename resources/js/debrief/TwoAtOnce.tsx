import { Box, Progress, Text } from '@chakra-ui/react'
import { useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { useSent, useTold } from '@/lib/query'
import { ToolButton } from '@/theme/buttons'
import type { PairsState } from '@/lib/types'
import { t } from '@/words'

const EVERY_MS = 1000

/** Whether two faults at once would have shown all that was seen: what "among single faults" leaves open. */
export function TwoAtOnce({ attempt, known }: { attempt: number; known: PairsState | null }) {
    const url = `/attempts/${attempt}/pairs`
    const [begun, setBegun] = useState(known !== null)
    const client = useQueryClient()
    const told = useTold<PairsState>(url, {
        every: EVERY_MS,
        enabled: begun,
        initial: known,
        isOver: (s) => s.left !== undefined || s.error !== undefined,
    })
    const wanted = useSent<PairsState>(url, {
        onDone: (s) => {
            client.setQueryData([url, undefined], s)
            setBegun(true)
        },
    })
    const state = begun ? (told.data ?? null) : null
    const waiting = state !== null && state.left === undefined && state.error === undefined
    const said = wanted.error?.message ?? told.error?.message ?? state?.error
    return (
        <Box borderTopWidth="1px" borderColor="line" pt="2">
            <Text fontWeight={700}>{t('Two faults at once')}</Text>
            {said && (
                <Text color="danger" fontSize="text" role="alert">
                    {said}
                </Text>
            )}
            {state?.left !== undefined ? (
                <>
                    <Text fontSize="text">
                        {state.left === 0 ? t('None') : state.left} {t('of the')} {state.run}{' '}
                        {t('likeliest pairs would have shown all that was seen')}
                        {state.left === 0 ? '.' : ':'}
                    </Text>
                    {state.likeliest?.map((p) => (
                        <Text key={p.title} fontSize="note">
                            <span className="reading">{Math.round(100 * p.share)} %</span> {p.title}
                        </Text>
                    ))}
                    {(state.of ?? 0) > (state.run ?? 0) && (
                        <Text fontSize="note" color="faint">
                            {state.of! - state.run!} {t('less likely pairs were not run.')}
                        </Text>
                    )}
                </>
            ) : waiting ? (
                <Progress.Root
                    value={Math.round(100 * (state.share ?? 0))}
                    aria-label={t('Pairs run')}
                    role="status"
                    mt="2"
                >
                    <Progress.Track>
                        <Progress.Range bg="copper" />
                    </Progress.Track>
                </Progress.Root>
            ) : (
                <ToolButton mt="1" w="100%" onClick={() => wanted.mutate()}>
                    {t('Could two have shown this?')}
                </ToolButton>
            )}
        </Box>
    )
}
