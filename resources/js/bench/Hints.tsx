import { Box, Stack, Text } from '@chakra-ui/react'
import type { DoAct } from '@/lib/acts'
import type { Entry } from '@/lib/types'
import { ToolButton } from '@/theme/buttons'
import { t } from '@/words'

const GRADES = [
    { grade: 'where', word: 'Where in the sequence?' },
    { grade: 'circuit', word: 'Which circuit?' },
    { grade: 'reading', word: 'Which reading?' },
] as const

interface Props {
    prices: Record<'where' | 'circuit' | 'reading', number>
    log: readonly Entry[]
    act: DoAct
}

/** Hints in practice, from the least to the most that one tells, each with its price; the last one stays to be read. */
export function Hints({ prices, log, act }: Props) {
    const last = [...log].reverse().find((e) => e.act.act === 'hint')
    return (
        <Box>
            <Text fontWeight={700} fontSize="text">
                {t('Lost? A hint costs points')}
            </Text>
            {last && (
                <Text fontSize="text" bg="copperWash" borderRadius="sm" p="2" my="1" role="status">
                    {(last.seen as Record<string, string>)['hint']}
                </Text>
            )}
            <Stack gap="1">
                {GRADES.map(({ grade, word }) => (
                    <ToolButton
                        key={grade}

                        justifyContent="space-between"
                        onClick={() => void act('hint', { grade })}
                    >
                        <span>{word}</span> <span className="reading">−{prices[grade]}</span>
                    </ToolButton>
                ))}
            </Stack>
        </Box>
    )
}
