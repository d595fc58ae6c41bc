import { HStack, Stack, Text } from '@chakra-ui/react'
import type { AskedLoad } from '@/lib/generated/replies'
import { AskedFrame, type Prices } from '@/sheet/AskedFrame'
import { clock } from '@/tape/scale'
import { ToolButton } from '@/theme/buttons'
import { t } from '@/words'

interface Props {
    row: AskedLoad
    number: number
    open: boolean
    busy: boolean
    /** what is picked for it by now, or was given */
    picked: string[]
    nameOf: (id: string) => string
    prices: Prices
    onOpen: () => void
    onDrop: (at: number) => void
    onHint: () => void
    onSay: () => void
}

/** One load that is off: the chain that somebody picks for it, and what became of that. */
export function ChainRow({ row, number, picked, nameOf, onDrop, ...rest }: Props) {
    const { said } = row
    return (
        <AskedFrame
            number={number}
            title={t('{{at}} after the arrival. Why is it off: {{title}}?', { at: clock(row.at_s), title: row.title })}
            label={t('Question {{number}}: {{title}}', { number, title: row.title })}
            hints={row.hints}
            said={said}
            ready={picked.length > 0}
            saying={t('That is why')}
            {...rest}
        >
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
        </AskedFrame>
    )
}
