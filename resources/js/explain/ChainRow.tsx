import { Box, HStack, Stack, Text } from '@chakra-ui/react'
import type { AskedLoad } from '@/lib/generated/replies'
import { clock } from '@/tape/scale'
import { MainButton, ToolButton } from '@/theme/buttons'
import { t } from '@/words'

/** Grades of a hint, from the least. */
const GRADES = ['where', 'circuit', 'reading'] as const

interface Props {
    row: AskedLoad
    number: number
    open: boolean
    busy: boolean
    /** what is picked for it by now, or was given */
    picked: string[]
    nameOf: (id: string) => string
    prices: Record<'where' | 'circuit' | 'reading', number> | null
    onOpen: () => void
    onDrop: (at: number) => void
    onHint: () => void
    onSay: () => void
}

/** One load that is off: the chain that somebody picks for it, and what became of that. */
export function ChainRow({ row, number, open, busy, picked, nameOf, prices, onOpen, onDrop, onHint, onSay }: Props) {
    const { said } = row
    return (
        <Box
            p="2"
            borderWidth="1px"
            borderColor={open ? 'copper' : 'line'}
            bg={open ? 'copperWash' : 'sheet'}
            borderRadius="md"
        >
            <Text
                as="button"
                textAlign="left"
                w="100%"
                minH="touch"
                fontSize="text"
                aria-pressed={open}
                aria-label={t('Question {{number}}: {{title}}', { number, title: row.title })}
                onClick={onOpen}
            >
                <b>{number}.</b>{' '}
                {t('{{at}} after the arrival. Why is it off: {{title}}?', { at: clock(row.at_s), title: row.title })}
            </Text>
            <Stack as="ol" gap="1" mb="1" aria-label={t('The chain for question {{number}}', { number })}>
                {picked.map((id, i) => (
                    <HStack as="li" key={`${id} ${i}`} gap="1" listStyleType="none">
                        <Text fontSize="text" flex="1">
                            {i === 0 ? '' : '← '}
                            {nameOf(id)}
                        </Text>
                        {said === null && (
                            <ToolButton
                                size="sm"
                                aria-label={t('Take {{what}} out of the chain', { what: nameOf(id) })}
                                onClick={() => onDrop(i)}
                            >
                                ×
                            </ToolButton>
                        )}
                    </HStack>
                ))}
            </Stack>
            {row.hints.map((hint) => (
                <Text key={hint} fontSize="text" role="status" mb="1">
                    {hint}
                </Text>
            ))}
            {said === null ? (
                <HStack gap="1">
                    <MainButton disabled={busy || picked.length === 0} onClick={onSay}>
                        {t('That is why')}
                    </MainButton>
                    {prices && row.hints.length < GRADES.length && (
                        <ToolButton
                            px="2"
                            disabled={busy}
                            aria-label={t('A hint at question {{number}}', { number })}
                            onClick={onHint}
                        >
                            {t('Hint')} <span className="reading">−{prices[GRADES[row.hints.length]!]}</span>
                        </ToolButton>
                    )}
                </HStack>
            ) : (
                said.right !== null && (
                    <Text fontSize="text" fontWeight={700} aria-live="polite" color={said.right ? 'good' : 'danger'}>
                        {said.right ? t('Right.') : t('Wrong.')}{' '}
                        <Text as="span" fontWeight={400} color="ink">
                            {said.why}
                        </Text>
                    </Text>
                )
            )}
        </Box>
    )
}
