import { Box, Text } from '@chakra-ui/react'
import { useTold } from '@/lib/query'
import type { DriftState } from '@/lib/types'
import { t } from '@/words'

const EVERY_MS = 1000

/** An attempt of an older engine: what would read differently today. Its mark is kept as it was. */
export function Drifted({
    attempt,
    engine,
    onEntry,
}: {
    attempt: number
    engine: { then: number; now: number }
    onEntry: (entry: number) => void
}) {
    const told = useTold<DriftState>(`/attempts/${attempt}/drift`, {
        every: EVERY_MS,
        isOver: (s) => s.apart !== null || !!s.error,
    })
    const apart = told.data?.apart ?? null
    const problem = told.data?.error ?? told.error?.message ?? null
    return (
        <Box borderTopWidth="1px" borderColor="line" pt="2">
            <Text fontWeight={700}>
                {t("Worked under engine {{then}}; today's is {{now}}", { then: engine.then, now: engine.now })}
            </Text>
            {problem && (
                <Text fontSize="text" color="danger" role="alert">
                    {problem}
                </Text>
            )}
            {apart !== null && (
                <Text fontSize="text">
                    {apart.length === 0
                        ? t('It would read the same today.')
                        : t(
                              '{{many}} {{value}} would read differently today. What was shown then stands, and so does the mark.',
                              { many: apart.length, value: apart.length === 1 ? 'entry' : 'entries' },
                          )}
                </Text>
            )}
            {apart?.slice(0, 8).map((a) => (
                <Text key={a.entry} fontSize="note" color="faint">
                    <Box as="button" color="copper" textDecoration="underline" mr="1" onClick={() => onEntry(a.entry)}>
                        {t('entry')} {a.entry + 1}
                    </Box>
                    {t('then:')} {a.shown}
                    {t('; today:')} {a.now}
                </Text>
            ))}
        </Box>
    )
}
