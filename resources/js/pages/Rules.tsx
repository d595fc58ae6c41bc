import { Box, Button, Checkbox, Grid, Heading, HStack, Input, NativeSelect, Stack, Text } from '@chakra-ui/react'
import { router, useForm } from '@inertiajs/react'
import { useMemo } from 'react'
import { Frame } from '@/shell/Frame'
import { Preview } from '@/rules/Preview'
import { MainButton } from '@/theme/buttons'
import type { RuleSet, RulesDocument, RulesPage } from '@/lib/types'

const HINTS: Record<string, string> = {
    where: 'Where in the sequence',
    circuit: 'Which circuit',
    reading: 'Which reading',
}

/**
 * House rules: what each line weighs, what a pass is, which school is followed. Saved as the next version; old marks
 * keep theirs.
 */
export default function Rules({ sets, chosen, lines, caps, dangers, barrable, schools, questions }: RulesPage) {
    const set = sets.find((s) => s.document.name === chosen) ?? sets[0]!
    return (
        <Frame title="House rules" full>
            <Grid h="100%" gap="2" templateColumns="250px minmax(0,1fr)">
                <Stack layerStyle="panel" gap="1" p="2" overflowY="auto">
                    <Heading as="h1" size="md" mb="1">
                        House rules
                    </Heading>
                    {sets.map((s) => (
                        <Button
                            key={s.id}
                            variant="ghost"
                            h="auto"
                            minH="52px"
                            py="1"
                            px="2"
                            display="block"
                            textAlign="left"
                            whiteSpace="normal"
                            color="ink"
                            fontWeight={400}
                            bg={s === set ? 'copperWash' : undefined}
                            aria-pressed={s === set}
                            onClick={() => router.visit(`/rules?set=${s.document.name}`, { preserveScroll: true })}
                        >
                            <Text fontWeight={700}>{s.document.title}</Text>
                            <Text fontSize="note" color="faint">
                                version {s.document.version}
                                {s.shipped ? ', comes with the program' : ''}
                            </Text>
                        </Button>
                    ))}
                    <Text fontSize="note" color="faint" mt="2">
                        A job keeps the version that it was given under; so does each mark. To mark again under other
                        rules, open the job.
                    </Text>
                </Stack>
                <Editor
                    key={set.id}
                    set={set}
                    lines={lines}
                    caps={caps}
                    dangers={dangers}
                    barrable={barrable}
                    schools={schools}
                    questions={questions}
                />
            </Grid>
        </Frame>
    )
}

function Editor({
    set,
    lines,
    caps,
    dangers,
    barrable,
    schools,
    questions,
}: { set: RuleSet } & Omit<RulesPage, 'sets' | 'chosen'>) {
    const form = useForm<{ document: RulesDocument }>({ document: set.document })
    const d = form.data.document
    const change = (with_: Partial<RulesDocument>) => form.setData('document', { ...d, ...with_ })
    const sum = useMemo(() => Object.values(d.weights).reduce((a, b) => a + b, 0), [d.weights])
    const toggle = (list: string[], id: string, on: boolean) => (on ? [...list, id] : list.filter((x) => x !== id))
    const errors = Object.entries(form.errors)
    return (
        <Box
            layerStyle="panel"
            as="form"
            minH="0"
            overflowY="auto"
            p="4"
            onSubmit={(e) => {
                e.preventDefault()
                form.post('/rules', { preserveScroll: true })
            }}
        >
            <Grid templateColumns="repeat(3, minmax(0,1fr))" gap="6" alignItems="start">
                <Stack gap="2">
                    <Label text="Title">
                        <Input
                            aria-label="Title"
                            h="touch"
                            borderColor="line"
                            value={d.title}
                            onChange={(e) => change({ title: e.target.value })}
                        />
                    </Label>
                    {set.shipped && (
                        <Text fontSize="note" color="faint">
                            It comes with the program: saved under a title of your own, it becomes yours.
                        </Text>
                    )}
                    <Figure label="Pass mark, of 100" value={d.pass_mark} onChange={(v) => change({ pass_mark: v })} />
                    <Heading as="h2" size="sm" mt="2">
                        What each line weighs
                    </Heading>
                    {Object.entries(lines).map(([id, title]) => (
                        <Figure
                            key={id}
                            label={title}
                            value={d.weights[id] ?? 0}
                            hint={sum > 0 ? `${Math.round((100 * (d.weights[id] ?? 0)) / sum)} %` : ''}
                            onChange={(v) => change({ weights: { ...d.weights, [id]: v } })}
                        />
                    ))}
                    <Heading as="h2" size="sm" mt="2">
                        Not passed, whatever the sum, when
                    </Heading>
                    {Object.entries(caps).map(([id, text]) => (
                        <Tick
                            key={id}
                            checked={d.not_passed.includes(id)}
                            onChange={(on) => change({ not_passed: toggle(d.not_passed, id, on) })}
                        >
                            {text}
                        </Tick>
                    ))}
                </Stack>
                <Stack gap="2">
                    <Heading as="h2" size="sm">
                        Where good practitioners differ
                    </Heading>
                    {Object.entries(schools).map(([question, ways]) => (
                        <Label key={question} text={questions[question] ?? question}>
                            <NativeSelect.Root>
                                <NativeSelect.Field
                                    aria-label={questions[question] ?? question}
                                    h="touch"
                                    borderColor="line"
                                    value={String(d.schools[question])}
                                    onChange={(e) => change({ schools: { ...d.schools, [question]: e.target.value } })}
                                >
                                    {Object.entries(ways).map(([way, words]) => (
                                        <option key={way} value={way}>
                                            {words}
                                        </option>
                                    ))}
                                </NativeSelect.Field>
                                <NativeSelect.Indicator />
                            </NativeSelect.Root>
                        </Label>
                    ))}
                    <Figure
                        label="Flame current that is good enough, µA"
                        value={Number(d.schools['flame_current_ua'])}
                        step="0.1"
                        onChange={(v) => change({ schools: { ...d.schools, flame_current_ua: v } })}
                    />
                    <Heading as="h2" size="sm" mt="2">
                        After the repair
                    </Heading>
                    <Tick checked={d.verify.cycle} onChange={(on) => change({ verify: { ...d.verify, cycle: on } })}>
                        A heating cycle is watched
                    </Tick>
                    <Tick
                        checked={d.verify.reading}
                        onChange={(on) => change({ verify: { ...d.verify, reading: on } })}
                    >
                        A reading is taken
                    </Tick>
                    <Tick
                        checked={d.verify.restore}
                        onChange={(on) => change({ verify: { ...d.verify, restore: on } })}
                    >
                        Everything is put back
                    </Tick>
                    <Label text="Safeties made to act">
                        <NativeSelect.Root>
                            <NativeSelect.Field
                                aria-label="Safeties made to act"
                                h="touch"
                                borderColor="line"
                                value={d.verify.safeties}
                                onChange={(e) =>
                                    change({
                                        verify: { ...d.verify, safeties: e.target.value as typeof d.verify.safeties },
                                    })
                                }
                            >
                                <option value="none">not asked for</option>
                                <option value="one">one of them</option>
                                <option value="each">each of them</option>
                            </NativeSelect.Field>
                            <NativeSelect.Indicator />
                        </NativeSelect.Root>
                    </Label>
                </Stack>
                <Stack gap="2">
                    <Heading as="h2" size="sm">
                        Stopped before it is done
                    </Heading>
                    {Object.entries(dangers).map(([id, text]) => (
                        <Tick
                            key={id}
                            checked={d.stops.includes(id)}
                            onChange={(on) => change({ stops: toggle(d.stops, id, on) })}
                        >
                            {text.split(/[.:]/)[0]}
                        </Tick>
                    ))}
                    <Heading as="h2" size="sm" mt="2">
                        Not allowed at all
                    </Heading>
                    <Grid templateColumns="1fr 1fr" columnGap="2">
                        {Object.entries(barrable).map(([id, title]) => (
                            <Tick
                                key={id}
                                checked={d.barred.includes(id)}
                                onChange={(on) => change({ barred: toggle(d.barred, id, on) })}
                            >
                                {title}
                            </Tick>
                        ))}
                    </Grid>
                    <Heading as="h2" size="sm" mt="2">
                        What may be looked up
                    </Heading>
                    <Tick
                        checked={d.papers.includes('ladder')}
                        onChange={(on) => change({ papers: toggle(d.papers, 'ladder', on) })}
                    >
                        The ladder
                    </Tick>
                    <Tick
                        checked={d.papers.includes('card')}
                        onChange={(on) => change({ papers: toggle(d.papers, 'card', on) })}
                    >
                        The code card
                    </Tick>
                    <Tick checked={d.own_sheet ?? false} onChange={(on) => change({ own_sheet: on })}>
                        Own sheet: the log keeps no readings
                    </Tick>
                    <Heading as="h2" size="sm" mt="2">
                        Price of a hint, points
                    </Heading>
                    {Object.entries(HINTS).map(([id, title]) => (
                        <Figure
                            key={id}
                            label={title}
                            value={d.hints[id] ?? 0}
                            onChange={(v) => change({ hints: { ...d.hints, [id]: v } })}
                        />
                    ))}
                    <Heading as="h2" size="sm" mt="2">
                        Budget, for time and money
                    </Heading>
                    <Figure
                        label="Minutes"
                        value={d.budget.minutes}
                        onChange={(v) => change({ budget: { ...d.budget, minutes: v } })}
                    />
                    <Figure
                        label="Parts"
                        value={d.budget.parts}
                        onChange={(v) => change({ budget: { ...d.budget, parts: v } })}
                    />
                    <Figure
                        label="Call-backs"
                        value={d.budget.call_backs}
                        onChange={(v) => change({ budget: { ...d.budget, call_backs: v } })}
                    />
                </Stack>
            </Grid>
            <Box mt="4">
                <Preview document={d} />
            </Box>
            <HStack
                mt="4"
                position="sticky"
                bottom="-16px"
                bg="sheet"
                py="3"
                borderTopWidth="1px"
                borderColor="line"
                gap="4"
            >
                <MainButton type="submit" disabled={form.processing || !form.isDirty}>
                    Save as{' '}
                    {set.shipped || d.title !== set.document.title
                        ? 'a set of its own'
                        : `version ${set.document.version + 1}`}
                </MainButton>
                {errors.map(([where, text]) => (
                    <Text key={where} color="danger" role="alert">
                        {where.split('.').join(' ')}: {text}
                    </Text>
                ))}
                {errors.length === 0 && form.recentlySuccessful && <Text role="status">Saved.</Text>}
                <Text fontSize="note" color="faint" ml="auto">
                    {set.versions.map((v) => `version ${v.version}${v.at ? ` of ${v.at}` : ''}`).join(' · ')}
                </Text>
            </HStack>
        </Box>
    )
}

function Label({ text, children }: { text: string; children: React.ReactNode }) {
    return (
        <Box>
            <Text fontSize="text">{text}</Text>
            {children}
        </Box>
    )
}

function Figure({
    label,
    value,
    onChange,
    hint,
    step = '1',
}: {
    label: string
    value: number
    onChange: (v: number) => void
    hint?: string
    step?: string
}) {
    return (
        <HStack justify="space-between">
            <Text fontSize="text" flex="1">
                {label}
            </Text>
            {hint && (
                <Text className="reading" fontSize="note" color="faint">
                    {hint}
                </Text>
            )}
            <Input
                type="number"
                step={step}
                aria-label={label}
                className="reading"
                w="88px"
                h="row"
                textAlign="right"
                borderColor="line"
                value={value}
                onChange={(e) => onChange(e.target.value === '' ? 0 : Number(e.target.value))}
            />
        </HStack>
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
            <Checkbox.Label fontSize="text" fontWeight={400}>
                {children}
            </Checkbox.Label>
        </Checkbox.Root>
    )
}
