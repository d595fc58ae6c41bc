import { Box, Button, Grid, HStack, Stack, Text } from '@chakra-ui/react'
import { memo } from 'react'
import type { DoAct } from '@/lib/acts'
import type { Reading, Scene } from '@/lib/types'
import { MODES, RANGES } from './dial'
import { Meaning, type MeaningAsked } from './Meaning'
import { MeterDisplay } from './MeterDisplay'
import { ToolButton } from '@/theme/buttons'
import { t } from '@/words'

interface Props {
    scene: Scene
    reading: Reading | undefined
    /** the display is on its way to another figure */
    moving: boolean
    /** seconds since the arrival */
    time: number
    hand: 'red' | 'black'
    names: { red: string; black: string }
    act: DoAct
    onHand: (lead: 'red' | 'black') => void
    onOff: () => void
    meaning: MeaningAsked
    /** its display is elsewhere in sight */
    bare?: boolean
}

/** An ordinary meter: display, dial, two leads. What it shows is computed at this moment of the tape. */
export const MeterPanel = memo(function MeterPanel({
    scene,
    reading,
    moving,
    time,
    hand,
    names,
    act,
    onHand,
    onOff,
    meaning,
    bare = false,
}: Props) {
    const ranges = RANGES[scene.mode] ?? []
    const nextRange = ranges[scene.range === null ? 0 : ranges.indexOf(scene.range) + 1] ?? null
    return (
        <Stack layerStyle="panel" gap="1.5" p="2" flexShrink={0} as="section" aria-label={t('Meter')}>
            {!bare && <MeterDisplay scene={scene} reading={reading} moving={moving} time={time} names={names} />}
            <Grid templateColumns="repeat(4, 1fr)" gap="1" role="group" aria-label={t('Dial')}>
                {MODES.map(({ mode, word, name }) => (
                    <Button
                        key={mode}
                        h="touch"
                        px="1"
                        variant="outline"
                        aria-label={t(name)}
                        aria-pressed={scene.mode === mode}
                        onClick={() => void act('dial', { mode })}
                        bg={scene.mode === mode ? 'ink' : 'sheet'}
                        color={scene.mode === mode ? 'sheet' : 'ink'}
                        borderColor="line"
                        fontFamily="mono"
                    >
                        {word}
                    </Button>
                ))}
                <ToolButton
                    px="1"
                    disabled={ranges.length === 0}
                    fontSize="note"
                    aria-label={
                        scene.range === null
                            ? t('Range: chosen by the meter')
                            : t('Range by hand: up to {{range}}', { range: scene.range })
                    }
                    onClick={() =>
                        void act(
                            'dial',
                            nextRange === null ? { mode: scene.mode } : { mode: scene.mode, range: nextRange },
                        )
                    }
                >
                    {scene.range === null ? t('auto') : `≤ ${short(scene.range)}`}
                </ToolButton>
            </Grid>
            {scene.blown.length > 0 && (
                <Button
                    h="touch"
                    variant="outline"
                    color="danger"
                    borderColor="danger"
                    onClick={() => void act('meter_fuse')}
                >
                    {t('Meter fuse blown: put in a new one')}
                </Button>
            )}
            {scene.battery === 'low' && (
                <Button
                    h="touch"
                    variant="outline"
                    color="danger"
                    borderColor="danger"
                    onClick={() => void act('meter_battery')}
                >
                    {t('Battery low: put in a new one')}
                </Button>
            )}
            <HStack gap="1">
                {(['red', 'black'] as const).map((lead) => (
                    <ToolButton
                        key={lead}
                        flex="1"
                        minW="0"
                        px="2"
                        gap="1"
                        justifyContent="flex-start"
                        borderWidth={hand === lead ? '2px' : '1px'}
                        on={hand === lead}
                        title={scene[lead] ? names[lead] : undefined}
                        onClick={() => onHand(lead)}
                    >
                        <Box
                            w="12px"
                            h="12px"
                            borderRadius="full"
                            bg={lead === 'red' ? 'leadRed' : 'leadBlack'}
                            flexShrink={0}
                        />
                        <Stack gap="0" align="start" minW="0" lineHeight="1.15">
                            <Text fontSize="note" fontWeight={700}>
                                {lead === 'red' ? t('Red') : t('Black')}
                            </Text>
                            <Text
                                fontSize="fine"
                                fontWeight={400}
                                lineClamp={2}
                                whiteSpace="normal"
                                textAlign="start"
                                lineHeight="1.05"
                            >
                                {scene[lead] ? names[lead] : hand === lead ? t('in hand') : t('off')}
                            </Text>
                        </Stack>
                    </ToolButton>
                ))}
            </HStack>
            <HStack gap="1">
                <ToolButton
                    flex="1"
                    px="1"
                    whiteSpace="normal"
                    lineHeight="1.1"
                    disabled={!scene.red || !scene.black}
                    onClick={() => void act('read')}
                >
                    {t('Log reading')}
                </ToolButton>
                <ToolButton
                    flex="1"
                    px="1"
                    whiteSpace="normal"
                    lineHeight="1.1"
                    disabled={!scene.red && !scene.black}
                    onClick={onOff}
                >
                    {t('Remove leads')}
                </ToolButton>
                <ToolButton
                    flex="1"
                    px="1"
                    whiteSpace="normal"
                    lineHeight="1.1"
                    fontSize="note"
                    on={scene.keeping}
                    onClick={() => void act('keep', { to: scene.keeping ? 'off' : 'on' })}
                >
                    {scene.keeping ? t('Clear min and max') : t('Min / Max')}
                </ToolButton>
            </HStack>
            {!bare && <Meaning {...meaning} />}
        </Stack>
    )
})

function short(range: number): string {
    return range >= 1e6 ? `${range / 1e6}M` : range >= 1e3 ? `${range / 1e3}k` : String(range)
}
