import { Box, Text } from '@chakra-ui/react'
import type { Row } from './types'
import { t } from '@/words'

/** One reading of a sheet: what was said, what a meter shows, and why one might have said so. */
export function Foretold({ row, index }: { row: Row; index: number }) {
    return (
        <Box>
            <Text fontSize="note" color="faint">
                {t('Reading {{number}}', { number: index + 1 })}
            </Text>
            <Text fontWeight={700}>{row.text}</Text>
            <Text fontSize="text" fontWeight={700} color={row.share === 1 ? 'good' : 'danger'} mt="2">
                {row.share === 1 ? t('Matches the meter.') : t('Wrong.')}
            </Text>
            {[...row.flaws, ...row.dangers].map((why) => (
                <Text key={why} fontSize="text" mt="1">
                    {why}
                </Text>
            ))}
        </Box>
    )
}
