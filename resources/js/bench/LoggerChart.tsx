import { Box, Grid, Text } from '@chakra-ui/react'
import type { Stretch } from '@/lib/types'
import { clock } from '@/tape/scale'
import { t } from '@/words'

/** Lines on the time's axis: hours between one and the next. */
const EVERY_S = 7200

const UNITS: Record<string, string> = { vac: 'V AC', vdc: 'V DC', mvdc: 'mV DC' }

interface Props {
    /** what it is called among what is perceived: its mode and its places */
    channel: string
    stretches: readonly Stretch[]
    /** a place in words */
    name: (place: string) => string
}

/** What a logger wrote down between each pair of places: as high as what was there, the most of it in figures. */
export function LoggerChart({ channel, stretches, name }: Props) {
    const [, mode = 'vac', ...places] = channel.split(' ')
    const from = stretches[0]?.from ?? 0
    const until = Math.max(stretches.at(-1)?.to ?? 0, from + 60)
    const at = (s: number) => `${(100 * (s - from)) / (until - from)}%`
    const wide = (s: number) => `${(100 * s) / (until - from)}%`
    const ticks = Array.from({ length: Math.floor((until - from) / EVERY_S) + 1 }, (_, i) => i * EVERY_S)
    const pairs = Array.from({ length: places.length / 2 }, (_, i) => ({
        title: t('{{from}} to {{to}}', { from: name(places[2 * i]!), to: name(places[2 * i + 1]!) }),
        runs: runsOf(stretches, i),
    }))
    return (
        <Box layerStyle="panel" p="2" role="group" aria-label={t('Chart of the logger')}>
            {pairs.map(({ title, runs }) => {
                const most = Math.max(...runs.map((r) => Math.abs(r.figure)))
                const said = runs
                    .map((r) => `${clock(r.from - from)}–${clock(r.to - from)} ${r.figure} ${UNITS[mode]}`)
                    .join(', ')
                return (
                    <Grid key={title} templateColumns="minmax(0, 1fr) auto" columnGap="2" mb="2">
                        <Text fontSize="note">{title}</Text>
                        <Text fontSize="note" className="reading" color="faint">
                            {t('up to {{most}} {{unit}}', { most, unit: UNITS[mode] })}
                        </Text>
                        <Box
                            gridColumn="1 / -1"
                            position="relative"
                            h="44px"
                            bg="ground"
                            borderBottomWidth="1px"
                            borderColor="line"
                            role="img"
                            aria-label={`${title}: ${said}`}
                            title={said}
                        >
                            {ticks.map((s) => (
                                <Box key={s} position="absolute" left={wide(s)} h="100%" w="1px" bg="line" />
                            ))}
                            {runs
                                .filter((r) => r.figure !== 0)
                                .map((r) => (
                                    <Box
                                        key={r.from}
                                        position="absolute"
                                        bottom="0"
                                        left={at(r.from)}
                                        w={wide(r.to - r.from)}
                                        minW="2px"
                                        h={`${(85 * Math.abs(r.figure)) / most}%`}
                                        bg="copper"
                                    />
                                ))}
                        </Box>
                    </Grid>
                )
            })}
            <Box position="relative" h="18px" aria-hidden="true">
                {ticks
                    .filter((s) => s < 0.93 * (until - from))
                    .map((s) => (
                        <Text
                            key={s}
                            className="reading"
                            fontSize="fine"
                            color="faint"
                            position="absolute"
                            left={wide(s)}
                        >
                            {t('{{hours}} h', { hours: s / 3600 })}
                        </Text>
                    ))}
            </Box>
        </Box>
    )
}

/** Stretches of one pair, those that show the same put together. */
export function runsOf(stretches: readonly Stretch[], pair: number): { from: number; to: number; figure: number }[] {
    const runs: { from: number; to: number; figure: number }[] = []
    for (const s of stretches) {
        const figure = Number(String(s.value).split(' ')[pair])
        const last = runs.at(-1)
        if (last?.figure === figure) last.to = s.to
        else runs.push({ from: s.from, to: s.to, figure })
    }
    return runs
}
