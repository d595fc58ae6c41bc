import { Box, Button, Grid, HStack, Stack, Tabs, Text } from '@chakra-ui/react'
import { lazy, Suspense, useEffect, useMemo, useState } from 'react'
import { Board } from '@/board/Board'
import { PerceivedAt } from '@/board/perceived'
import { EntryList } from '@/debrief/EntryList'
import { Foretold } from '@/debrief/Foretold'
import { Known } from '@/debrief/Known'
import { MarkSheet } from '@/debrief/MarkSheet'
import { TriedRow } from '@/debrief/TriedRow'
import { entryAt, pause, standingAt } from '@/debrief/replay'
import { ASIDE, type Best } from '@/debrief/types'
import type { DebriefPage } from '@/lib/types'
import { inUnits } from '@/lib/units'
import { Frame } from '@/shell/Frame'
import { useLook } from '@/shell/look'
import { clock } from '@/tape/scale'
import { Tape, type Mark } from '@/tape/Tape'
import { MainButton, ToolButton } from '@/theme/buttons'
import { t } from '@/words'

const SuspectCurve = lazy(() => import('@/debrief/SuspectCurve').then((m) => ({ default: m.SuspectCurve })))

/**
 * The mark, and the attempt gone over: what was known after each entry, what would have told more, on the board and in
 * time.
 */
export default function Debrief({
    attempt,
    pairs,
    job,
    trainee,
    fault,
    titles,
    verdict,
    mark,
    debrief: given,
    board,
    doors,
    lanes,
    past,
    perfect,
    others,
    engine,
    judges,
    contest,
    noted,
    may_contest,
}: DebriefPage) {
    const [look] = useLook()
    const traced = job.is_traced
    const debrief = useMemo(
        () => ({ ...given, entries: given.entries.map((r) => ({ ...r, text: inUnits(r.text, look.units) })) }),
        [given, look.units],
    )
    const { entries } = debrief
    const telling = entries.findIndex((r) => (traced ? r.before > 1 && r.best.length > 0 : r.share !== 1))
    const [open, setOpen] = useState(Math.max(0, telling))
    const [shown, setShown] = useState<Best | null>(null)
    const [bare, setBare] = useState(true)
    const [playing, setPlaying] = useState(false)
    const row = entries[open]
    const end = Math.max(60, entries[entries.length - 1]?.at_s ?? 60)
    const left = useMemo(() => (entries[0] ? [entries[0].before, ...entries.map((r) => r.after)] : []), [entries])
    const standing = standingAt(entries, open)
    const marks: Mark[] = entries
        .filter((r) => !ASIDE.includes(r.act))
        .map((r) => ({
            at: r.at_s,
            text: r.text,
            kind: r.dangers.length
                ? 'danger'
                : r.act === 'leads' || r.act === 'read'
                  ? 'reading'
                  : r.act === 'look'
                    ? 'look'
                    : 'act',
        }))
    const go = (entry: number) => {
        setOpen(Math.min(entries.length - 1, Math.max(0, entry)))
        setShown(null)
    }

    useEffect(() => {
        if (!playing) return
        const next = entries[open + 1]
        if (!next || !row) {
            setPlaying(false)
            return
        }
        const timer = setTimeout(() => go(open + 1), 1000 * pause(row.at_s, next.at_s))
        return () => clearTimeout(timer)
        // go only sets state
        // eslint-disable-next-line react-hooks/exhaustive-deps
    }, [playing, open, entries, row])

    const lookedAt = shown?.black === null ? shown.red : shown === null ? standing.looked : null
    return (
        <Frame title={t('Debrief: {{title}}', { title: job.title })} full>
            <Grid h="100%" gap="2" templateColumns="326px minmax(0,1fr) 300px" templateRows="minmax(0,1fr) auto">
                <Box layerStyle="panel" minH="0" p="2">
                    <Tabs.Root
                        defaultValue="mark"
                        h="100%"
                        display="flex"
                        flexDirection="column"
                        size="sm"
                        colorPalette="orange"
                        lazyMount
                    >
                        <Tabs.List>
                            <Tabs.Trigger value="mark" h="row">
                                {t('Mark')}
                            </Tabs.Trigger>
                            <Tabs.Trigger value="entries" h="row">
                                {t('Entries ({{many}})', { many: entries.length })}
                            </Tabs.Trigger>
                        </Tabs.List>
                        <Tabs.Content value="mark" flex="1" minH="0" pt="2">
                            <MarkSheet
                                attempt={attempt}
                                trainee={trainee}
                                fault={job.work === 'wire' || job.work === 'swap' ? null : fault.title}
                                verdict={verdict}
                                mark={mark}
                                same={debrief.same}
                                report={debrief.report}
                                others={others}
                                pairs={pairs}
                                work={job.work}
                                traced={traced}
                                engine={engine}
                                judges={judges}
                                contest={contest}
                                noted={noted}
                                mayContest={may_contest}
                                onEntry={go}
                            />
                        </Tabs.Content>
                        <Tabs.Content value="entries" flex="1" minH="0" pt="2">
                            <EntryList entries={entries} open={open} suspects={traced} onOpen={go} />
                        </Tabs.Content>
                    </Tabs.Root>
                </Box>
                <Stack minH="0" gap="1">
                    <HStack gap="1" wrap="wrap">
                        <MainButton
                            minW="96px"
                            aria-pressed={playing}
                            onClick={() => {
                                if (!playing && open === entries.length - 1) go(0)
                                setPlaying(!playing)
                            }}
                        >
                            {playing ? t('Stop') : t('Replay')}
                        </MainButton>
                        <Step word={t('Entry before')} sign="‹" disabled={open === 0} onClick={() => go(open - 1)} />
                        <Step
                            word={t('Entry after')}
                            sign="›"
                            disabled={open === entries.length - 1}
                            onClick={() => go(open + 1)}
                        />
                        <Text className="reading" fontSize="18px" minW="60px" textAlign="center">
                            {row ? clock(row.at_s) : ''}
                        </Text>
                        <Box flex="1" />
                        {fault.parts.length > 0 && (
                            <Button
                                h="touch"
                                variant="outline"
                                color="ink"
                                borderColor={bare ? 'danger' : 'line'}
                                bg={bare ? 'dangerWash' : 'sheet'}
                                aria-pressed={bare}
                                onClick={() => setBare(!bare)}
                            >
                                {t('Show the fault')}
                            </Button>
                        )}
                    </HStack>
                    <Box flex="1" minH="0">
                        <PerceivedAt channels={past} time={row?.at_s ?? 0} runs={playing}>
                            <Board
                                board={board}
                                doors={doors}
                                part={lookedAt}
                                jumpers={standing.jumpers}
                                lifted={standing.lifted}
                                inHand={standing.inHand}
                                red={shown ? (shown.black === null ? null : shown.red) : standing.red}
                                black={shown ? shown.black : standing.black}
                                markedAll={bare ? fault.parts : []}
                            />
                        </PerceivedAt>
                    </Box>
                    <Text fontSize="text" minH="21px" aria-live="polite" truncate>
                        {shown ? (
                            <>
                                <b>{t('Better here:')}</b> {shown.text}
                            </>
                        ) : (
                            row?.text
                        )}
                    </Text>
                </Stack>
                <Stack
                    layerStyle="panel"
                    gap="2"
                    minH="0"
                    overflowY="auto"
                    p="2"
                    tabIndex={0}
                    aria-label={t('What was known')}
                >
                    {traced && (
                        <Suspense fallback={<Box h="150px" />}>
                            <SuspectCurve width={282} left={left} perfect={perfect} cursor={open} />
                        </Suspense>
                    )}
                    {row && job.work === 'predict' && <Foretold row={row} index={open} />}
                    {row && !traced && job.work !== 'predict' && <TriedRow row={row} />}
                    {row && traced && (
                        <Known
                            row={row}
                            index={open}
                            debrief={debrief}
                            titles={titles}
                            shown={shown}
                            onShow={setShown}
                            onEntry={go}
                        />
                    )}
                </Stack>
                <Box gridColumn="1 / -1">
                    <Tape
                        lanes={lanes}
                        channels={past}
                        marks={marks}
                        now={end}
                        span={end / 0.94}
                        height={132}
                        cursor={row?.at_s ?? null}
                        onScrub={(s) => go(entryAt(entries, s))}
                    />
                    <Text fontSize="fine" color="faint">
                        {t(
                            "Simulation: on real equipment follow the maker's instructions, local codes, and work under a licensed person.",
                        )}
                    </Text>
                </Box>
            </Grid>
        </Frame>
    )
}

function Step({
    word,
    sign,
    disabled,
    onClick,
}: {
    word: string
    sign: string
    disabled: boolean
    onClick: () => void
}) {
    return (
        <ToolButton minW="touch" px="0" aria-label={word} disabled={disabled} onClick={onClick}>
            {sign}
        </ToolButton>
    )
}
