import { Box, Text } from '@chakra-ui/react'
import type { Row } from './types'
import { t } from '@/words'

/** One load through the sequence, or one thing that was tried with a wiring: how it stood, and how it should have. */
export function TriedRow({ row }: { row: Row }) {
    return (
        <Box>
            <Text fontWeight={700}>{row.text}</Text>
            <Text fontSize="text" fontWeight={700} color={row.share === 1 ? 'good' : 'danger'} mt="2">
                {row.share === 1 ? t('As it should be.') : t('Not as it should be.')}
            </Text>
            {[...row.dangers, ...row.flaws].map((why) => (
                <Text key={why} fontSize="text" mt="1">
                    {why}
                </Text>
            ))}
        </Box>
    )
}
