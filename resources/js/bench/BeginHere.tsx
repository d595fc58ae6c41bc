import { Stack, Text } from '@chakra-ui/react'
import type { BenchPage } from '@/lib/types'
import { MainButton } from '@/theme/buttons'
import { t } from '@/words'

/** Where to begin, while nothing was done: what the customer says, or the steps of the warm-up. */
export function BeginHere({
    steps,
    complaint,
    onCall,
}: {
    steps: BenchPage['steps']
    complaint: string
    onCall: () => void
}) {
    return (
        <Stack layerStyle="panel" gap="2" p="3">
            <Text fontSize="text">
                {steps
                    ? t('{{many}} things to try, on a board with nothing wrong.', { many: steps.length })
                    : t('The customer says: “{{complaint}}”', { complaint })}
            </Text>
            <MainButton onClick={onCall}>{steps ? t('See the steps') : t('Read the call sheet')}</MainButton>
        </Stack>
    )
}
