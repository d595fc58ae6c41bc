import { Box, Button, Grid, Heading, HStack, Input, Stack, Text } from '@chakra-ui/react'
import { Link, useForm } from '@inertiajs/react'
import { useEffect, useMemo, useState } from 'react'
import { Board } from '@/board/Board'
import { Ladder } from '@/board/Ladder'
import { Sequence } from '@/board/Sequence'
import { Findings, Trouble } from '@/board/Trouble'
import { FreeBenches } from '@/jobs/FreeBenches'
import { GiveJob, type Job } from '@/jobs/GiveJob'
import type { Template } from '@/jobs/Templates'
import { useAnalysis } from '@/board/useAnalysis'
import { useTold } from '@/lib/query'
import type { FaultName, ModelPage, Preview } from '@/lib/types'
import { search } from '@/search/search'
import { Frame } from '@/shell/Frame'
import { familyName } from '@/lib/families'

import { Tape } from '@/tape/Tape'
import { ToolButton } from '@/theme/buttons'
import { t } from '@/words'

const HEALTHY = 'healthy'

/** A model running healthy; a fault chosen, what it does beside it, and the job given. */
export default function Model({
    model,
    board,
    visits,
    faults,
    healthy,
    tables,
    courses,
    rules,
    free,
    before,
    comes_with,
    templates,
}: ModelPage) {
    const [view, setView] = useState<'Board' | 'Ladder' | 'Sequence' | 'Faults'>('Board')
    const [words, setWords] = useState('')
    const course = courses[0]
    const form = useForm({
        appliance: model.id,
        course: course?.id ?? 0,
        trainees: (course?.trainees ?? []).map((t) => t.id),
        title: '',
        fault: HEALTHY,
        visit: Object.keys(visits)[0] ?? '',
        kind: 'practice',
        complaint: '',
        low_battery: false,
        work: 'trace' as Job['work'],
        many: 0,
        wires: 'all' as Job['wires'],
        shown: 'drawing' as Job['shown'],
        worn_leads: false,
        stops: false,
        rules: rules[0]?.id ?? 0,
        opens_at: null as string | null,
        closes_at: null as string | null,
        minutes: null as number | null,
        pool: [] as string[],
        band: null as number[] | null,
        after: null as number | null,
        after_mark: null as number | null,
    })
    const { fault, visit } = form.data

    const isHealthy = fault === HEALTHY && visit === Object.keys(visits)[0]
    const preview = useTold<Preview>(
        `/models/${model.id}/preview?fault=${encodeURIComponent(fault)}&visit=${encodeURIComponent(visit)}`,
        { keep: true },
    )
    const shown = isHealthy ? null : (preview.data ?? null)
    const error = isHealthy ? null : (preview.error?.message ?? null)
    const isThere = preview.data !== undefined && !preview.isPlaceholderData
    const told = isThere ? preview.data?.complaint : undefined
    const [kept, setKept] = useState<Template['job'] | null>(null)
    useEffect(() => {
        const isKept = kept?.fault === fault && kept.visit === visit
        if (told && !['wire', 'swap', 'commission'].includes(form.data.work))
            form.setData('complaint', isKept ? kept.complaint : told.map((c) => c.text).join(' '))
        // the form is the same object for this page's life, and what was kept is laid over it when it is chosen
        // eslint-disable-next-line react-hooks/exhaustive-deps
    }, [told])
    const start = ({ title, job }: Template) => {
        setKept(job)
        form.setData((now) => ({
            ...now,
            ...job,
            title,
            band: null,
            rules: job.rules ?? now.rules,
        }))
    }

    const analysis = useAnalysis(model.id, visit)
    const grades = useMemo(
        () => new Map((analysis.state?.result?.faults ?? []).map((f) => [f.id, f])),
        [analysis.state],
    )

    const titles = useMemo(() => Object.fromEntries(faults.map((f) => [f.id, f.title])), [faults])

    const families = useMemo(() => {
        const groups = new Map<string, FaultName[]>()
        for (const f of search(faults, words, ({ title, family }) => ({ title, more: family })))
            groups.set(f.family, [...(groups.get(f.family) ?? []), f])
        return [...groups]
    }, [faults, words])
    const chosen = faults.find((f) => f.id === fault)

    return (
        <Frame title={model.title} full>
            <Grid h="100%" gap="2" templateColumns="270px minmax(0,1fr) 290px">
                <Stack layerStyle="panel" gap="2" minH="0" p="2">
                    <Heading as="h1" size="md">
                        {model.title}
                    </Heading>
                    {(model.about.author ?? model.about.licence) && (
                        <Text fontSize="note" color="faint">
                            {[model.about.author, model.about.licence].filter(Boolean).join(', ')}
                        </Text>
                    )}
                    <Input
                        aria-label={t('Find a fault')}
                        placeholder={t('Find a fault')}
                        h="touch"
                        borderColor="line"
                        value={words}
                        onChange={(e) => setWords(e.target.value)}
                    />
                    <Box overflowY="auto" minH="0" flex="1" tabIndex={0} aria-label={t('Faults')}>
                        {families.map(([family, list]) => (
                            <Box key={family} mb="2">
                                <Text fontSize="note" color="faint" fontWeight={700}>
                                    {familyName(family)}
                                </Text>
                                {list.map((f) => (
                                    <Button
                                        key={f.id}
                                        variant="ghost"
                                        w="100%"
                                        minH="36px"
                                        h="auto"
                                        py="1"
                                        px="2"
                                        justifyContent="flex-start"
                                        textAlign="left"
                                        whiteSpace="normal"
                                        fontSize="text"
                                        fontWeight={400}
                                        aria-pressed={f.id === fault}
                                        bg={f.id === fault ? 'copperWash' : undefined}
                                        color="ink"
                                        onClick={() => form.setData('fault', f.id)}
                                    >
                                        <span style={{ flex: 1 }}>{f.title}</span>
                                        {grades.has(f.id) && (
                                            <Text
                                                as="span"
                                                fontSize="fine"
                                                color="faint"
                                                ml="1"
                                                title={t('grade {{grade}} of 5', { grade: grades.get(f.id)!.grade })}
                                            >
                                                {'●'.repeat(grades.get(f.id)!.grade)}
                                            </Text>
                                        )}
                                    </Button>
                                ))}
                            </Box>
                        ))}
                    </Box>
                </Stack>
                <Stack gap="2" minH="0">
                    <HStack gap="1" role="group" aria-label={t('View')}>
                        {(['Board', 'Ladder', 'Sequence', 'Faults'] as const).map((v) => (
                            <ToolButton key={v} h="tight" on={view === v} onClick={() => setView(v)}>
                                {v}
                            </ToolButton>
                        ))}
                        <ToolButton asChild h="tight">
                            <Link href={`/models/${model.id}/lab`}>{t('Lab book')}</Link>
                        </ToolButton>
                    </HStack>
                    <Box flex="1" minH="0">
                        {view === 'Ladder' && board.ladder ? (
                            <Ladder ladder={board.ladder} board={board} part={chosen?.part ?? null} />
                        ) : view === 'Sequence' ? (
                            <Sequence tables={tables} />
                        ) : view === 'Faults' ? (
                            <Trouble
                                {...analysis}
                                faults={faults}
                                chosen={fault}
                                onChoose={(f) => form.setData('fault', f)}
                            />
                        ) : (
                            <Board
                                board={board}
                                marked={chosen?.part ?? (fault === HEALTHY ? null : fault.split(':')[0]!)}
                            />
                        )}
                    </Box>
                    <Box>
                        <Text fontSize="text" fontWeight={700}>
                            {t('Healthy, from the arrival on, door off')}
                        </Text>
                        <Tape
                            lanes={board.lanes}
                            channels={healthy}
                            states={healthy.states}
                            now={healthy.until_s}
                            span={healthy.until_s / 0.94}
                            height={148}
                            label={t('Tape of the healthy run')}
                        />
                    </Box>
                    {shown && (
                        <Box>
                            <Text fontSize="text" fontWeight={700} color="danger">
                                {fault === HEALTHY ? visits[visit] : chosen?.title}
                            </Text>
                            <Tape
                                lanes={board.lanes}
                                channels={shown}
                                states={shown.states}
                                now={shown.until_s}
                                span={shown.until_s / 0.94}
                                height={148}
                                label={t('Tape with the fault')}
                                against={healthy}
                            />
                            <Text fontSize="fine" color="faint">
                                {t('Dashes under a bar: it differs from the healthy run there.')}
                            </Text>
                        </Box>
                    )}
                    {error && (
                        <Text color="danger" role="alert">
                            {error}
                        </Text>
                    )}
                </Stack>
                {view === 'Faults' && analysis.state?.result && (
                    <Stack
                        layerStyle="panel"
                        gap="3"
                        minH="0"
                        overflowY="auto"
                        p="3"
                        tabIndex={0}
                        aria-label={t('Findings')}
                    >
                        <Findings result={analysis.state.result} titles={titles} chosen={fault} />
                        <ToolButton
                            flexShrink={0}

                            onClick={() => setView('Board')}
                        >
                            {t('Give it as a job')}
                        </ToolButton>
                    </Stack>
                )}
                {view === 'Faults' && analysis.state?.result ? null : (
                    <Stack gap="2" minH="0" overflowY="auto">
                        <GiveJob
                            form={form}
                            visits={visits}
                            rules={rules}
                            courses={courses}
                            before={before}
                            titles={titles}
                            chosen={chosen && fault !== HEALTHY ? chosen.title : null}
                            working={!isThere && error === null}
                            comes={comes_with}
                            templates={templates}
                            onStart={start}
                        />
                        <FreeBenches model={model.id} courses={courses} free={free} />
                    </Stack>
                )}
            </Grid>
        </Frame>
    )
}
