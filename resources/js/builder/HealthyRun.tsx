import { Box, Button, Heading, HStack, Input, Stack, Text } from '@chakra-ui/react'
import { useEffect, useState } from 'react'
import { useTold } from '@/lib/query'
import type { Lane } from '@/lib/types'
import { Select } from '@/shell/Select'
import { clock } from '@/tape/scale'
import { Tape } from '@/tape/Tape'
import { Word } from './Word'
import type { Acted, Moment, Reason, RunTape } from './types'
import { t } from '@/words'

interface Props {
    draft: number
    step: number
    lanes: Lane[]
    name: (place: string) => string
    place: string | null
    onVolts: (volts: Moment['volts'] | null) => void
    onShow: (parts: string[], wires: string[]) => void
}

/**
 * The healthy run beside the board: its tape, volts at a moment, why something is off then, and every safety made to
 * act.
 */
export function HealthyRun({ draft, step, lanes, name, place, onVolts, onShow }: Props) {
    const [visit, setVisit] = useState('')
    const [at, setAt] = useState(30)
    const [words, setWords] = useState('')
    // what was asked about, and at which step: with the next step it is asked anew
    const [about, setAbout] = useState<{ id: string; step: number } | null>(null)
    const [tried, setTried] = useState<number | null>(null)

    const way = `visit=${encodeURIComponent(visit)}`
    const run = useTold<RunTape>(`/drafts/${draft}/run?${way}`, { of: step, keep: true })
    const tape = run.error ? null : (run.data ?? null)
    const moments = useTold<Moment>(`/drafts/${draft}/moment?${way}&at_s=${at}`, {
        of: step,
        enabled: tape !== null && !run.isPlaceholderData,
        keep: true,
    })
    const moment = tape === null ? null : (moments.data ?? null)
    const reasons = useTold<Reason>(
        `/drafts/${draft}/why?${way}&at_s=${at}&of=${encodeURIComponent(about?.id ?? '')}`,
        { of: step, enabled: about?.step === step, keep: true },
    )
    const why = about?.step === step ? (reasons.data ?? null) : null
    const trials = useTold<Acted>(`/drafts/${draft}/safeties?${way}`, { of: step, enabled: tried === step })
    const acted = tried === step ? (trials.data ?? null) : null
    const error = (run.error ?? moments.error ?? reasons.error ?? trials.error)?.message ?? null

    useEffect(() => onVolts(moment?.volts ?? null), [moment, onVolts])
    useEffect(() => () => onVolts(null), [onVolts])

    const asked = (moment?.askable ?? []).filter((a) => a.title.toLowerCase().includes(words.toLowerCase()))
    const here = place ? moment?.volts[place] : undefined
    return (
        <Stack gap="2" as="section" aria-label={t('Healthy run')}>
            {error && (
                <Text role="alert" fontSize="text" color="danger">
                    {error}
                </Text>
            )}
            {tape && (
                <>
                    <Select
                        label={t('How it is found')}
                        value={visit || tape.visit}
                        options={Object.entries(tape.visits)}
                        onChange={setVisit}
                    />
                    <Tape
                        lanes={lanes}
                        channels={tape}
                        states={tape.states}
                        now={tape.until_s}
                        span={tape.until_s / 0.94}
                        height={170}
                        cursor={at}
                        onScrub={(s) => setAt(Math.max(0, Math.min(tape.until_s, Math.round(s))))}
                        label={t('Tape of the healthy run')}
                    />
                    <HStack gap="2">
                        <Text fontSize="text">{t('At')}</Text>
                        <Input
                            aria-label={t('Moment, seconds after the arrival')}
                            type="number"
                            h="row"
                            w="88px"
                            borderColor="line"
                            value={at}
                            min={0}
                            max={tape.until_s}
                            onChange={(e) => setAt(Math.max(0, Math.min(tape.until_s, Number(e.target.value) || 0)))}
                        />
                        <Text fontSize="text">
                            s <span className="reading">{clock(at)}</span>
                        </Text>
                    </HStack>
                    <Text fontSize="text" data-testid="here">
                        {place && here ? (
                            <>
                                <span className="reading">
                                    {here.dc && here.volts < 1
                                        ? t('{{value}} mV DC', { value: (here.volts * 1000).toFixed(1) })
                                        : `${here.volts.toFixed(here.volts < 10 ? 2 : 1)} V ${here.dc ? 'DC' : 'AC'}`}
                                </span>{' '}
                                {t('at')} {name(place)}
                                {t(', against')} {name(here.against)}
                            </>
                        ) : (
                            t('Press a terminal on the board: its volts stand here.')
                        )}
                    </Text>
                    <Heading as="h3" size="sm">
                        {t('Why is this off?')}
                    </Heading>
                    <Input
                        aria-label={t('What to ask about')}
                        placeholder={t('valve, fire, blower…')}
                        h="row"
                        borderColor="line"
                        value={words}
                        onChange={(e) => setWords(e.target.value)}
                    />
                    <Box maxH="140px" overflowY="auto" tabIndex={0} aria-label={t('What can be asked about')}>
                        {asked.map((a) => (
                            <Button
                                key={a.id}
                                variant="ghost"
                                h="tight"
                                w="100%"
                                justifyContent="space-between"
                                px="2"
                                fontSize="text"
                                fontWeight={400}
                                color="ink"
                                onClick={() => setAbout({ id: a.id, step })}
                            >
                                <span>{a.title}</span>
                                <Text as="span" color={a.on ? 'good' : 'faint'} fontSize="note">
                                    {a.on ? t('on') : t('off')}
                                </Text>
                            </Button>
                        ))}
                    </Box>
                    {why && (
                        <Box bg="ground" borderRadius="md" p="2" role="status" aria-label={t('Why')}>
                            <Because reason={why} onShow={onShow} />
                        </Box>
                    )}
                    <Word onClick={() => setTried(step)}>{t('Test every safety')}</Word>
                    {acted && (
                        <Box aria-label={t('Safeties')} role="status">
                            {acted.fire_s === null ? (
                                <Text fontSize="text" color="danger">
                                    {t('The fire never lit in')} {tape.until_s / 60}{' '}
                                    {t('minutes, so nothing could be tried.')}
                                </Text>
                            ) : (
                                acted.safeties.map((s) => (
                                    <Text
                                        key={s.words}
                                        fontSize="text"
                                        color={s.stops ? 'ink' : 'danger'}
                                        fontWeight={s.stops ? 400 : 700}
                                    >
                                        {s.stops ? '✓ ' : '▲ '}
                                        {s.words}
                                    </Text>
                                ))
                            )}
                        </Box>
                    )}
                </>
            )}
        </Stack>
    )
}

/** A chain of reasons, each under what it explains. */
function Because({ reason, onShow }: { reason: Reason; onShow: Props['onShow'] }) {
    return (
        <Box>
            <HStack gap="1" align="flex-start">
                <Text fontSize="text" flex="1">
                    {reason.text}
                </Text>
                {reason.part && (
                    <Button
                        variant="plain"
                        h="24px"
                        minW="24px"
                        px="1"
                        fontSize="note"
                        color="copper"
                        aria-label={t('Show {{text}}', { text: reason.text })}
                        onClick={() => onShow([reason.part!], [])}
                    >
                        {t('show')}
                    </Button>
                )}
            </HStack>
            {reason.because.length > 0 && (
                <Box pl="2" ml="1" borderLeftWidth="2px" borderColor="line">
                    {reason.because.map((b, i) => (
                        <Because key={i} reason={b} onShow={onShow} />
                    ))}
                </Box>
            )}
        </Box>
    )
}
