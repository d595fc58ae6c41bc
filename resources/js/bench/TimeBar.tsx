import { Box, HStack, Text } from '@chakra-ui/react'
import { useState } from 'react'
import type { BoardData, Channels } from '@/lib/types'
import { clock } from '@/tape/scale'
import { at } from '@/tape/stretches'
import { Tape, type Mark } from '@/tape/Tape'
import { MainButton, ToolButton } from '@/theme/buttons'
import type { Bench } from './useBench'
import { t } from '@/words'

interface Props {
    bench: Pick<Bench, 'play' | 'playing' | 'busy' | 'next' | 'speed' | 'setSpeed' | 'time' | 'seen'>
    lanes: BoardData['lanes']
    marks: Mark[]
    labour: number
    /** what the eyes are on, in words */
    eyes: string
    /** a moment before that is looked at again */
    scrub: number | null
    onScrub?: ((at: number | null) => void) | undefined
    /** little room: no strip till it is asked for, and one button for how fast */
    narrow?: boolean
    /** what is heard is played */
    sound: boolean
    onSound: (on: boolean) => void
    /** the tape is open while time runs, and not only when it is asked for */
    tapeRuns?: boolean
    /** nothing is perceived, so that there is no next event */
    isBlind?: boolean
}

/** Time: run, the next event, how fast, what is perceived just now, and the tape. */
export function TimeBar({
    bench,
    lanes,
    marks,
    labour,
    eyes,
    scrub,
    onScrub,
    narrow = false,
    sound,
    onSound,
    tapeRuns = false,
    isBlind = false,
}: Props) {
    const [asked, setAsked] = useState(false)
    const tapeOpen = asked || (tapeRuns && bench.playing)
    const back =
        scrub === null
            ? null
            : Object.values(bench.seen.perceived)
                  .map((s) => at(s, scrub)?.say)
                  .filter(Boolean)
                  .join(' · ')
    const tape = (height: number | undefined) => (
        <Tape
            lanes={lanes}
            channels={bench.seen}
            marks={marks}
            now={bench.time}
            span={narrow ? 90 : 180}
            height={height}
            cursor={scrub}
            onScrub={onScrub && ((s) => onScrub(scrub !== null && Math.abs(scrub - s) < 2 ? null : s))}
        />
    )
    if (narrow)
        return (
            <Box minW="0" flexShrink={0}>
                <HStack gap="1">
                    <MainButton px="3" onClick={() => bench.play(!bench.playing)}>
                        {bench.playing ? t('Pause') : t('Run')}
                    </MainButton>
                    <ToolButton px="2" disabled={bench.busy || isBlind} onClick={() => void bench.next()}>
                        {t('Next event')}
                    </ToolButton>
                    <ToolButton
                        minW="touch"
                        px="1"
                        aria-label={t('Speed: {{speed}}×', { speed: bench.speed })}
                        onClick={() => bench.setSpeed(bench.speed === 1 ? 4 : 1)}
                    >
                        {bench.speed}×
                    </ToolButton>
                    <Text className="reading" fontSize="18px" data-testid="clock">
                        {clock(bench.time)}
                    </Text>
                    <Box flex="1" />
                    <ToolButton px="2" on={asked} onClick={() => setAsked(!asked)}>
                        {t('Tape')}
                    </ToolButton>
                </HStack>
                <Text fontSize="note" color="faint" truncate={!tapeOpen}>
                    {back ? t('At {{clock}}: {{back}}', { clock: clock(scrub!), back }) : `${eyes} ${strikes(bench)}`}
                </Text>
                {tapeOpen && (
                    <>
                        {tape(150)}
                        <ToolButton px="2" on={sound} onClick={() => onSound(!sound)}>
                            {t('Sound')}
                        </ToolButton>
                        <Text fontSize="note" color="faint">
                            {t('labor')} <span className="reading">{labour.toFixed(1)}</span> {t('min')}
                        </Text>
                    </>
                )}
            </Box>
        )
    return (
        <Box minW="0">
            <HStack gap="2" mb="1" wrap={{ base: 'wrap', md: 'nowrap' }}>
                <MainButton w="96px" onClick={() => bench.play(!bench.playing)}>
                    {bench.playing ? t('Pause') : t('Run')}
                </MainButton>
                <ToolButton disabled={bench.busy || isBlind} onClick={() => void bench.next()}>
                    {t('Next event')}
                </ToolButton>
                <HStack gap="1" role="group" aria-label={t('Speed')}>
                    {[1, 4].map((s) => (
                        <ToolButton
                            key={s}
                            minW="touch"
                            px="2"
                            on={bench.speed === s}
                            onClick={() => bench.setSpeed(s)}
                        >
                            {s}×
                        </ToolButton>
                    ))}
                </HStack>
                <Text className="reading" fontSize="22px" data-testid="clock">
                    {clock(bench.time)}
                </Text>
                <Text flex="1" fontSize="text" color="faint" truncate>
                    {back ? t('At {{clock}}: {{back}}', { clock: clock(scrub!), back }) : `${eyes} ${strikes(bench)}`}
                </Text>
                <ToolButton px="2" on={sound} onClick={() => onSound(!sound)}>
                    {t('Sound')}
                </ToolButton>
                <ToolButton px="2" on={asked} onClick={() => setAsked(!asked)}>
                    {t('Tape')}
                </ToolButton>
                <Text fontSize="text" color="faint" flexShrink={0}>
                    {t('labor')} <span className="reading">{labour.toFixed(1)}</span> {t('min')}
                </Text>
            </HStack>
            {tape(tapeOpen ? undefined : 60)}
        </Box>
    )
}

/** What strikes one just now, in a sentence. */
function strikes(bench: { seen: Channels; time: number }): string {
    return Object.values(bench.seen.perceived)
        .map((s) => at(s, bench.time)?.say)
        .filter(Boolean)
        .join(' · ')
}
