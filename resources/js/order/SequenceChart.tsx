import { Box, Grid, Text } from '@chakra-ui/react'
import type { SequenceLane } from '@/lib/generated/replies'
import { clock } from '@/tape/scale'
import { t } from '@/words'

/** Distances of the lines on the time's axis, s: the first that gives no more than so many. */
const STEPS = [10, 30, 60, 120, 300, 600]

const LINES = 10

interface Props {
    lanes: SequenceLane[]
    until: number
}

/** What is on when: a lane for each thing, its bars where it is on. */
export function SequenceChart({ lanes, until }: Props) {
    const step = STEPS.find((s) => until / s <= LINES) ?? 1200
    const ticks = Array.from({ length: Math.floor(until / step) + 1 }, (_, i) => i * step)
    const at = (s: number) => `${(100 * s) / until}%`
    return (
        <Box
            layerStyle="panel"
            h="100%"
            overflowY="auto"
            p="3"
            tabIndex={0}
            role="group"
            aria-label={t('Chart of one call')}
        >
            <Grid templateColumns="minmax(90px, 190px) minmax(0, 1fr)" columnGap="2" rowGap="0">
                <Text fontSize="note" color="faint">
                    {t('min:s')}
                </Text>
                <Box position="relative" h="22px">
                    {ticks.slice(0, -1).map((s) => (
                        <Text
                            key={s}
                            className="reading"
                            fontSize="note"
                            color="faint"
                            position="absolute"
                            left={at(s)}
                        >
                            {clock(s)}
                        </Text>
                    ))}
                </Box>
                {lanes.map((lane) => {
                    const on = lane.stretches
                        .map(([from = 0, to = 0]) => `${clock(from / 1000)}–${clock(to / 1000)}`)
                        .join(', ')
                    return (
                        <Box key={lane.title} display="contents">
                            <Text fontSize="text" py="2" borderTopWidth="1px" borderColor="line">
                                {lane.title}
                            </Text>
                            <Box
                                position="relative"
                                borderTopWidth="1px"
                                borderColor="line"
                                role="img"
                                aria-label={t('{{lane}}: on {{on}}', { lane: lane.title, on: on || t('never') })}
                                title={on || t('never')}
                            >
                                {ticks.map((s) => (
                                    <Box key={s} position="absolute" left={at(s)} h="100%" w="1px" bg="line" />
                                ))}
                                {lane.stretches.map(([from = 0, to = 0]) => (
                                    <Box
                                        key={from}
                                        position="absolute"
                                        left={at(from / 1000)}
                                        w={at((to - from) / 1000)}
                                        minW="2px"
                                        top="25%"
                                        h="50%"
                                        bg="copper"
                                        borderRadius="2px"
                                    />
                                ))}
                            </Box>
                        </Box>
                    )
                })}
            </Grid>
        </Box>
    )
}
