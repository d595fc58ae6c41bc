import { Box, HStack, Text } from '@chakra-ui/react'
import { ToolButton } from '@/theme/buttons'
import { t } from '@/words'

export type Meant = 'good' | 'bad' | 'unsure'

export interface MeaningAsked {
    ask: boolean
    onMeant: (m: Meant) => void
}

/** Asks what the last reading or look meant, where the house has it said. */
export function Meaning({ ask, onMeant }: MeaningAsked) {
    if (!ask) return null
    return (
        <Box>
            <Text fontSize="note" color="faint" mb="1">
                {t('What did that mean to you?')}
            </Text>
            <HStack gap="1">
                <ToolButton flex="1" px="1" onClick={() => onMeant('good')}>
                    {t('Good')}
                </ToolButton>
                <ToolButton flex="1" px="1" onClick={() => onMeant('bad')}>
                    {t('Bad')}
                </ToolButton>
                <ToolButton flex="1" px="1" onClick={() => onMeant('unsure')}>
                    {t('Unclear')}
                </ToolButton>
            </HStack>
        </Box>
    )
}
