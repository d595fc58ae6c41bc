import { Box, Button, Checkbox, Field, Grid, Heading, HStack, Input, Stack, Text, Textarea } from '@chakra-ui/react'
import { useForm } from '@inertiajs/react'
import { useEffect, useMemo, useState } from 'react'
import { Board } from '@/board/Board'
import { Ladder } from '@/board/Ladder'
import { Sequence } from '@/board/Sequence'
import { Findings, Trouble } from '@/board/Trouble'
import { useAnalysis } from '@/board/useAnalysis'
import { useTold } from '@/lib/query'
import type { FaultName, ModelPage, Preview } from '@/lib/types'
import { Frame } from '@/shell/Frame'
import { Select } from '@/shell/Select'
import { Tape } from '@/tape/Tape'
import { MainButton, ToolButton } from '@/theme/buttons'

const HEALTHY = 'healthy'

/** A model running healthy; a fault chosen, what it does beside it, and the job given. */
export default function Model({ model, board, visits, faults, healthy, tables, courses, rules }: ModelPage) {
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
        worn_leads: false,
        stops: false,
        rules: rules[0]?.id ?? 0,
    })
    const { fault, visit } = form.data

    const isHealthy = fault === HEALTHY && visit === Object.keys(visits)[0]
    const preview = useTold<Preview>(
        `/models/${model.id}/preview?fault=${encodeURIComponent(fault)}&visit=${encodeURIComponent(visit)}`,
        { enabled: !isHealthy, keep: true },
    )
    const shown = isHealthy ? null : (preview.data ?? null)
    const error = isHealthy ? null : (preview.error?.message ?? null)
    const told = preview.isPlaceholderData ? undefined : preview.data?.complaint
    useEffect(() => {
        if (told) form.setData('complaint', told.map((c) => c.text).join(' '))
        // the form is the same object for this page's life
        // eslint-disable-next-line react-hooks/exhaustive-deps
    }, [told])

    const analysis = useAnalysis(model.id, visit)
    const grades = useMemo(
        () => new Map((analysis.state?.result?.faults ?? []).map((f) => [f.id, f])),
        [analysis.state],
    )

    const titles = useMemo(() => Object.fromEntries(faults.map((f) => [f.id, f.title])), [faults])

    const families = useMemo(() => {
        const wanted = words.toLowerCase().split(/\s+/).filter(Boolean)
        const groups = new Map<string, FaultName[]>()
        for (const f of faults) {
            if (!wanted.every((w) => `${f.title} ${f.family}`.toLowerCase().includes(w))) continue
            groups.set(f.family, [...(groups.get(f.family) ?? []), f])
        }
        return [...groups]
    }, [faults, words])
    const chosen = faults.find((f) => f.id === fault)
    const all = courses.find((c) => c.id === form.data.course)?.trainees ?? []

    return (
        <Frame title={model.title} full>
            <Grid h="100%" gap="2" templateColumns="270px minmax(0,1fr) 290px">
                <Stack layerStyle="panel" gap="2" minH="0" p="2">
                    <Heading as="h1" size="md">
                        {model.title}
                    </Heading>
                    <Input
                        aria-label="Find a fault"
                        placeholder="Find a fault"
                        h="touch"
                        borderColor="line"
                        value={words}
                        onChange={(e) => setWords(e.target.value)}
                    />
                    <Box overflowY="auto" minH="0" flex="1" tabIndex={0} aria-label="Faults">
                        {families.map(([family, list]) => (
                            <Box key={family} mb="2">
                                <Text fontSize="note" color="faint" fontWeight={700}>
                                    {family}
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
                                                title={`grade ${grades.get(f.id)!.grade} of 5`}
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
                    <HStack gap="1" role="group" aria-label="View">
                        {(['Board', 'Ladder', 'Sequence', 'Faults'] as const).map((v) => (
                            <ToolButton key={v} h="tight" on={view === v} onClick={() => setView(v)}>
                                {v}
                            </ToolButton>
                        ))}
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
                            Healthy, from the arrival on, door off
                        </Text>
                        <Tape
                            lanes={board.lanes}
                            channels={healthy}
                            states={healthy.states}
                            now={healthy.until_s}
                            span={healthy.until_s / 0.94}
                            height={148}
                            label="Tape of the healthy run"
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
                                label="Tape with the fault"
                                against={healthy}
                            />
                            <Text fontSize="fine" color="faint">
                                Dashes under a bar: it differs from the healthy run there.
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
                        aria-label="Findings"
                    >
                        <Findings result={analysis.state.result} titles={titles} chosen={fault} />
                        <ToolButton
                            flexShrink={0}

                            onClick={() => setView('Board')}
                        >
                            Give it as a job
                        </ToolButton>
                    </Stack>
                )}
                <Stack
                    layerStyle="panel"
                    {...(view === 'Faults' && analysis.state?.result ? { display: 'none' } : {})}
                    as="form"
                    gap="2"
                    minH="0"
                    overflowY="auto"
                    p="3"
                    onSubmit={(e) => {
                        e.preventDefault()
                        form.post('/jobs')
                    }}
                >
                    <Heading as="h2" size="md">
                        Give it as a job
                    </Heading>
                    <Text fontSize="text" color="faint">
                        {chosen && fault !== HEALTHY
                            ? chosen.title
                            : 'Healthy: nothing wrong. Pick a fault on the left, or give it as it is.'}
                    </Text>
                    <Row label="How it is found" error={form.errors.visit}>
                        <Select
                            label="How it is found"
                            value={visit}
                            onChange={(v) => form.setData('visit', v)}
                            options={Object.entries(visits).map(([k, v]) => [k, v])}
                        />
                    </Row>
                    <Row label="What the customer says" error={form.errors.complaint}>
                        <Textarea
                            aria-label="What the customer says"
                            rows={4}
                            borderColor="line"
                            value={form.data.complaint}
                            onChange={(e) => form.setData('complaint', e.target.value)}
                        />
                    </Row>
                    <Row label="Title" error={form.errors.title}>
                        <Input
                            aria-label="Title"
                            h="touch"
                            borderColor="line"
                            value={form.data.title}
                            onChange={(e) => form.setData('title', e.target.value)}
                        />
                    </Row>
                    <Row label="Kind" error={form.errors.kind}>
                        <Select
                            label="Kind"
                            value={form.data.kind}
                            onChange={(v) => form.setData('kind', v)}
                            options={[
                                ['practice', 'Practice'],
                                ['exam', 'Examination'],
                            ]}
                        />
                    </Row>
                    <Box>
                        <Text fontSize="text" fontWeight={700}>
                            The trainee's meter
                        </Text>
                        <Tick checked={form.data.low_battery} onChange={(on) => form.setData('low_battery', on)}>
                            Its battery is low: it reads high, and says so
                        </Tick>
                        <Tick checked={form.data.worn_leads} onChange={(on) => form.setData('worn_leads', on)}>
                            Its leads are worn: now and then one does not touch
                        </Tick>
                    </Box>
                    <Box>
                        <Text fontSize="text" fontWeight={700}>
                            House rules
                        </Text>
                        <Select
                            label="House rules"
                            value={String(form.data.rules)}
                            onChange={(v) => form.setData('rules', Number(v))}
                            options={rules.map((r) => [String(r.id), r.title])}
                        />
                        <Tick checked={form.data.stops} onChange={(on) => form.setData('stops', on)}>
                            What would hurt is stopped before it is done, and noted as tried
                        </Tick>
                    </Box>
                    <Row label="Class" error={form.errors.course}>
                        <Select
                            label="Class"
                            value={String(form.data.course)}
                            options={courses.map((c) => [String(c.id), c.name])}
                            onChange={(v) =>
                                form.setData((d) => ({
                                    ...d,
                                    course: Number(v),
                                    trainees: (courses.find((c) => c.id === Number(v))?.trainees ?? []).map(
                                        (t) => t.id,
                                    ),
                                }))
                            }
                        />
                    </Row>
                    <Box>
                        <Text fontSize="text" fontWeight={700}>
                            To
                        </Text>
                        <Grid templateColumns="1fr 1fr" gap="1">
                            {all.map((t) => (
                                <Tick
                                    key={t.id}
                                    checked={form.data.trainees.includes(t.id)}
                                    onChange={() =>
                                        form.setData(
                                            'trainees',
                                            form.data.trainees.includes(t.id)
                                                ? form.data.trainees.filter((i) => i !== t.id)
                                                : [...form.data.trainees, t.id],
                                        )
                                    }
                                >
                                    {t.name}
                                </Tick>
                            ))}
                        </Grid>
                    </Box>
                    <MainButton type="submit" flexShrink={0} disabled={form.processing}>
                        Give the job
                    </MainButton>
                    {form.errors.fault && (
                        <Text color="danger" role="alert">
                            {form.errors.fault}
                        </Text>
                    )}
                </Stack>
            </Grid>
        </Frame>
    )
}

function Row({ label, error, children }: { label: string; error?: string; children: React.ReactNode }) {
    return (
        <Field.Root invalid={!!error} gap="1">
            <Field.Label fontSize="text">{label}</Field.Label>
            {children}
            <Field.ErrorText color="danger">{error}</Field.ErrorText>
        </Field.Root>
    )
}

function Tick({
    checked,
    onChange,
    children,
}: {
    checked: boolean
    onChange: (on: boolean) => void
    children: React.ReactNode
}) {
    return (
        <Checkbox.Root checked={checked} minH="32px" onCheckedChange={({ checked: on }) => onChange(on === true)}>
            <Checkbox.HiddenInput />
            <Checkbox.Control
                borderColor="faint"
                _checked={{ bg: 'copper', borderColor: 'copper', color: 'onCopper' }}
            />
            <Checkbox.Label fontSize="text">{children}</Checkbox.Label>
        </Checkbox.Root>
    )
}
