import { Box, Grid, Heading, HStack, Input, NativeSelect, Stack, Text } from '@chakra-ui/react'
import { useForm } from '@inertiajs/react'
import { useMemo } from 'react'
import { MainButton } from '@/theme/buttons'
import type { RuleSet, RulesDocument, RulesPage } from '@/lib/types'
import { Tick } from '@/shell/Tick'
import { Figure, Folded, Label } from './fields'
import { Preview } from './Preview'
import { t } from '@/words'

const HINTS: Record<string, string> = {
    where: 'Where in the sequence',
    circuit: 'Which circuit',
    reading: 'Which reading',
}

/** One set of house rules: changed here, tried on the last attempts, saved as the next version. */
export function Editor({
    set,
    lines,
    other_work: otherWork,
    caps,
    dangers,
    barrable,
    schools,
    questions,
}: { set: RuleSet } & Omit<RulesPage, 'sets' | 'chosen' | 'courses'>) {
    const form = useForm<{ document: RulesDocument }>({ document: set.document })
    const d = form.data.document
    const change = (with_: Partial<RulesDocument>) => form.setData('document', { ...d, ...with_ })
    const share = useMemo(() => {
        const groups = [lines, ...otherWork.map((work) => work.lines)]
        return (id: string) => {
            const of = groups.find((group) => id in group) ?? {}
            const sum = Object.keys(of).reduce((all, other) => all + (d.weights[other] ?? 0), 0)
            return sum > 0 ? `${Math.round((100 * (d.weights[id] ?? 0)) / sum)} %` : ''
        }
    }, [d.weights, lines, otherWork])
    const weights = (of: Record<string, string>) =>
        Object.entries(of).map(([id, title]) => (
            <Figure
                key={id}
                label={title}
                value={d.weights[id] ?? 0}
                hint={share(id)}
                onChange={(v) => change({ weights: { ...d.weights, [id]: v } })}
            />
        ))
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
                            aria-label={t('Title')}
                            h="touch"
                            borderColor="line"
                            value={d.title}
                            onChange={(e) => change({ title: e.target.value })}
                        />
                    </Label>
                    {set.shipped && (
                        <Text fontSize="note" color="faint">
                            {t('It comes with the program: saved under a title of your own, it becomes yours.')}
                        </Text>
                    )}
                    <Figure
                        label={t('Pass mark, of 100')}
                        value={d.pass_mark}
                        onChange={(v) => change({ pass_mark: v })}
                    />
                    <Heading as="h2" size="sm" mt="2">
                        {t('What each line weighs')}
                    </Heading>
                    {weights(lines)}
                    {otherWork.map((work) => (
                        <Stack key={work.title} gap="2">
                            <Heading as="h2" size="sm" mt="2">
                                {work.title}
                            </Heading>
                            {weights(work.lines)}
                        </Stack>
                    ))}
                    <Heading as="h2" size="sm" mt="2">
                        {t('Not passed, whatever the sum, when')}
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
                        {t('Where good practitioners differ')}
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
                        label={t('Flame current that is good enough, µA')}
                        value={Number(d.schools['flame_current_ua'])}
                        step="0.1"
                        onChange={(v) => change({ schools: { ...d.schools, flame_current_ua: v } })}
                    />
                    <Heading as="h2" size="sm" mt="2">
                        {t('After the repair')}
                    </Heading>
                    <Tick checked={d.verify.cycle} onChange={(on) => change({ verify: { ...d.verify, cycle: on } })}>
                        {t('A heating cycle is watched')}
                    </Tick>
                    <Tick
                        checked={d.verify.reading}
                        onChange={(on) => change({ verify: { ...d.verify, reading: on } })}
                    >
                        {t('A reading is taken')}
                    </Tick>
                    <Tick
                        checked={d.verify.restore}
                        onChange={(on) => change({ verify: { ...d.verify, restore: on } })}
                    >
                        {t('Everything is put back')}
                    </Tick>
                    <Label text="Safeties made to act">
                        <NativeSelect.Root>
                            <NativeSelect.Field
                                aria-label={t('Safeties made to act')}
                                h="touch"
                                borderColor="line"
                                value={d.verify.safeties}
                                onChange={(e) =>
                                    change({
                                        verify: { ...d.verify, safeties: e.target.value as typeof d.verify.safeties },
                                    })
                                }
                            >
                                <option value="none">{t('not asked for')}</option>
                                <option value="one">{t('one of them')}</option>
                                <option value="each">{t('each of them')}</option>
                            </NativeSelect.Field>
                            <NativeSelect.Indicator />
                        </NativeSelect.Root>
                    </Label>
                </Stack>
                <Stack gap="2">
                    <Heading as="h2" size="sm">
                        {t('On the last attempts')}
                    </Heading>
                    <Preview document={d} />
                    <Folded title={t('Stopped before it is done')} on={d.stops.length} of={Object.keys(dangers).length}>
                        {Object.entries(dangers).map(([id, text]) => (
                            <Tick
                                key={id}
                                checked={d.stops.includes(id)}
                                onChange={(on) => change({ stops: toggle(d.stops, id, on) })}
                            >
                                {text.split(/[.:]/)[0]}
                            </Tick>
                        ))}
                    </Folded>
                    <Folded title={t('Not allowed at all')} on={d.barred.length} of={Object.keys(barrable).length}>
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
                    </Folded>
                    <Heading as="h2" size="sm" mt="2">
                        {t('What may be looked up')}
                    </Heading>
                    <Tick
                        checked={d.papers.includes('ladder')}
                        onChange={(on) => change({ papers: toggle(d.papers, 'ladder', on) })}
                    >
                        {t('The ladder')}
                    </Tick>
                    <Tick
                        checked={d.papers.includes('card')}
                        onChange={(on) => change({ papers: toggle(d.papers, 'card', on) })}
                    >
                        {t('The code card')}
                    </Tick>
                    <Tick checked={d.own_sheet ?? false} onChange={(on) => change({ own_sheet: on })}>
                        {t('Own sheet: the log keeps no readings')}
                    </Tick>
                    <Heading as="h2" size="sm" mt="2">
                        {t('Price of a hint, points')}
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
                        {t('Budget, for time and money')}
                    </Heading>
                    <Figure
                        label={t('Minutes')}
                        value={d.budget.minutes}
                        onChange={(v) => change({ budget: { ...d.budget, minutes: v } })}
                    />
                    <Figure
                        label={t('Parts')}
                        value={d.budget.parts}
                        onChange={(v) => change({ budget: { ...d.budget, parts: v } })}
                    />
                    <Figure
                        label={t('Call-backs')}
                        value={d.budget.call_backs}
                        onChange={(v) => change({ budget: { ...d.budget, call_backs: v } })}
                    />
                </Stack>
            </Grid>
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
                    {t('Save as')}{' '}
                    {set.shipped || d.title !== set.document.title
                        ? t('a set of its own')
                        : t('version {{value}}', { value: set.document.version + 1 })}
                </MainButton>
                {errors.map(([where, text]) => (
                    <Text key={where} color="danger" role="alert">
                        {where.split('.').join(' ')}: {text}
                    </Text>
                ))}
                {errors.length === 0 && form.recentlySuccessful && <Text role="status">{t('Saved.')}</Text>}
                <Text fontSize="note" color="faint" ml="auto">
                    {set.versions.map((v) => `version ${v.version}${v.at ? ` of ${v.at}` : ''}`).join(' · ')}
                </Text>
            </HStack>
        </Box>
    )
}
