import { Stack, Text } from '@chakra-ui/react'
import type { DoAct } from '@/lib/acts'
import type { BoardData, Entry } from '@/lib/types'
import { MainButton } from '@/theme/buttons'
import { t } from '@/words'

interface Props {
    part: BoardData['parts'][number] | undefined
    log: readonly Entry[]
    act: DoAct
}

/** A part of the sound twin: it is looked at, and nothing else is done to it. */
export function TwinPart({ part, log, act }: Props) {
    const looked = log.findLast((e) => e.act.act === 'twin' && e.act.does === 'look' && e.act.part === part?.id)
    return (
        <Stack layerStyle="panel" gap="2" p="3" as="section" aria-label={t('Part of the sound twin')}>
            <Text fontWeight={700}>{part?.label ?? t('Sound twin')}</Text>
            {part ? (
                <MainButton onClick={() => void act('look', { part: part.id })}>{t('Look at it')}</MainButton>
            ) : (
                <Text fontSize="text">
                    {t(
                        'Pick a part to look at, or two terminals for the meter leads. Anything you set or open changes on both units.',
                    )}
                </Text>
            )}
            {Object.entries(looked?.seen ?? {}).map(([what, how]) => (
                <Text key={what} fontSize="text">
                    {what}: {how}
                </Text>
            ))}
        </Stack>
    )
}
