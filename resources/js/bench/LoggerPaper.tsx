import { Box, HStack, Stack, Text } from '@chakra-ui/react'
import { placeName } from '@/board/walk'
import type { DoAct } from '@/lib/acts'
import type { BoardData, Channels, Scene } from '@/lib/types'
import { MainButton, ToolButton } from '@/theme/buttons'
import { t } from '@/words'
import { LoggerChart } from './LoggerChart'

/** Pairs of clips that a logger has. */
const PAIRS = 4

/** Positions of the meter's dial that a logger can be set to. */
const MODES = ['vac', 'vdc', 'mvdc'] as const

interface Props {
    board: BoardData
    scene: Scene
    /** what is written of the last visit */
    last: string[]
    past: Channels
    act: DoAct
}

/** What was done at the last visit; a logger, put where the meter's leads are; the night, and the chart of it. */
export function LoggerPaper({ board, scene, last, past, act }: Props) {
    const name = (place: string) => placeName(board, place)
    const { logged, red, black } = scene
    const mode = logged.length > 0 ? scene.logger_mode : scene.mode
    const leave = (pairs: string[][]) => void act('logger', { on: pairs.flat(), mode: fit(mode) })
    const charts = Object.entries(past.perceived).filter(([channel]) => channel.startsWith('logger '))
    return (
        <Stack gap="3" h="100%" overflowY="auto" pr="1" tabIndex={0} aria-label={t('Logger')}>
            <Box bg="ground" borderRadius="md" p="3">
                <Text fontSize="note" color="faint">
                    {t('Service record')}
                </Text>
                {last.map((text) => (
                    <Text key={text} fontSize="text">
                        {text}
                    </Text>
                ))}
            </Box>
            <Stack gap="1">
                <Text fontSize="text">
                    {t(
                        'A logger writes down volts while nobody is there. Put the leads on two places, then leave its clips there: {{most}} pairs at most.',
                        { most: PAIRS },
                    )}
                </Text>
                <ToolButton
                    disabled={!red || !black || logged.length >= PAIRS}
                    onClick={() => leave([...logged, [red!, black!]])}
                >
                    {t('Leave clips where the leads are')}
                </ToolButton>
                {logged.map(([from, to], i) => (
                    <HStack key={`${from} ${to}`} justify="space-between" gap="1">
                        <Text fontSize="text">{t('{{from}} to {{to}}', { from: name(from), to: name(to) })}</Text>
                        <ToolButton
                            size="sm"
                            aria-label={t('Take the clips off {{from}} and {{to}}', { from: name(from), to: name(to) })}
                            onClick={() => leave(logged.filter((_, j) => j !== i))}
                        >
                            {t('Take off')}
                        </ToolButton>
                    </HStack>
                ))}
                <MainButton
                    onClick={() => {
                        if (window.confirm(t('Leave for the night and come back in 14 hours?'))) void act('come_back')
                    }}
                >
                    {t('Come back tomorrow morning')}
                </MainButton>
            </Stack>
            {charts.map(([channel, stretches]) => (
                <LoggerChart key={channel} channel={channel} stretches={stretches} name={name} />
            ))}
        </Stack>
    )
}

/** What it is set to: as the meter stands, if that is volts; else volts AC. */
function fit(mode: string) {
    return MODES.find((m) => m === mode) ?? 'vac'
}
