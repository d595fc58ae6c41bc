import { Stack, Text } from '@chakra-ui/react'
import type { DoAct } from '@/lib/acts'
import type { Entry } from '@/lib/types'
import { ToolButton } from '@/theme/buttons'
import { t } from '@/words'

/** The customer at the telephone: what he said last, and what he is asked so that one knows what he has done. */
export function PhonePanel({ log, act }: { log: readonly Entry[]; act: DoAct }) {
    const last = log.at(-1)
    return (
        <Stack layerStyle="panel" gap="2" p="3" as="section" aria-label={t('On the telephone')}>
            <Text fontWeight={700}>{t('On the telephone')}</Text>
            <Text fontSize="text">
                {last
                    ? (last.refused ?? last.text)
                    : t('Press a part or a terminal and the customer does it for you. He can make mistakes.')}
            </Text>
            <ToolButton whiteSpace="normal" lineHeight="1.1" onClick={() => void act('read_out')}>
                {t('Have him read out where the leads are')}
            </ToolButton>
        </Stack>
    )
}
