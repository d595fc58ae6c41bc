import { Box, HStack, Text } from '@chakra-ui/react'
import { memo } from 'react'
import type { DoAct } from '@/lib/acts'
import type { Reading, Scene } from '@/lib/types'
import { ToolButton } from '@/theme/buttons'
import { Meaning, type MeaningAsked } from './Meaning'
import { MeterDisplay } from './MeterDisplay'
import { dialWord } from './dial'
import { t } from '@/words'

interface Props {
    scene: Scene
    reading: Reading | undefined
    moving: boolean
    time: number
    hand: 'red' | 'black'
    names: { red: string; black: string }
    act: DoAct
    onHand: (lead: 'red' | 'black') => void
    onDial: () => void
    meaning: MeaningAsked
}

/** The meter where there is little room: its display, its leads, and the dial one press away. */
export const MeterBar = memo(function MeterBar({
    scene,
    reading,
    moving,
    time,
    hand,
    names,
    act,
    onHand,
    onDial,
    meaning,
}: Props) {
    return (
        <Box layerStyle="panel" p="1" flexShrink={0} as="section" aria-label={t('Meter')}>
            <HStack gap="1" align="stretch">
                <Box flex="1" minW="0">
                    <MeterDisplay scene={scene} reading={reading} moving={moving} time={time} names={names} />
                </Box>
                {(['red', 'black'] as const).map((lead) => (
                    <ToolButton
                        key={lead}
                        h="auto"
                        minW="touch"
                        px="1"
                        on={hand === lead}
                        aria-label={lead === 'red' ? t('Red lead in hand') : t('Black lead in hand')}
                        onClick={() => onHand(lead)}
                    >
                        <Box boxSize="16px" borderRadius="full" bg={lead === 'red' ? 'leadRed' : 'leadBlack'} />
                        <Text as="span" fontSize="note">
                            {lead === 'red' ? 'R' : 'B'}
                        </Text>
                    </ToolButton>
                ))}
                <ToolButton h="auto" px="2" fontFamily="mono" aria-label={t('Dial and leads')} onClick={onDial}>
                    {dialWord(scene.mode)}
                </ToolButton>
                <ToolButton
                    h="auto"
                    px="2"
                    disabled={!scene.red || !scene.black}
                    aria-label={t('Log reading')}
                    onClick={() => void act('read')}
                >
                    {t('Log')}
                </ToolButton>
            </HStack>
            <Meaning {...meaning} />
        </Box>
    )
})
