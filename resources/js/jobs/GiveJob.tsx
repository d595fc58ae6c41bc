import { Box, Field, Heading, Input, Stack, Text, Textarea } from '@chakra-ui/react'
import type { InertiaFormProps } from '@inertiajs/react'
import type { ModelPage } from '@/lib/types'
import { Drawn } from './Drawn'
import { forField, fromField } from './moments'
import { Recipients } from './Recipients'
import { type Template, Templates } from './Templates'
import { TimeFields } from './TimeFields'
import { WorkFields } from './WorkFields'
import { Select } from '@/shell/Select'
import { Tick } from '@/shell/Tick'
import { MainButton, ToolButton } from '@/theme/buttons'
import { t } from '@/words'

export interface Job {
    appliance: number
    course: number
    trainees: number[]
    title: string
    fault: string
    visit: string
    kind: string
    complaint: string
    low_battery: boolean
    worn_leads: boolean
    stops: boolean
    rules: number
    opens_at: string | null
    closes_at: string | null
    minutes: number | null
    /** what is done */
    work: Template['job']['work']
    /** of a sheet how many items */
    many: number
    /** which wires are to be run */
    wires: 'all' | 'control' | 'some'
    /** what there is to wire by */
    shown: 'drawing' | 'picture' | 'sequence'
    pool: string[]
    band: number[] | null
    after: number | null
    after_mark: number | null
}

interface Props extends Pick<ModelPage, 'visits' | 'rules' | 'courses' | 'before'> {
    titles: Record<string, string>
    form: InertiaFormProps<Job>
    /** the fault that is chosen, in words */
    chosen: string | null
    /** what the customer says of it is not known yet: another's words must not go out with it */
    working: boolean
    /** jobs that came with the model from elsewhere */
    comes: ModelPage['comes_with']
    /** jobs of this model that one keeps, and what is done when one is laid over the form */
    templates: Template[]
    onStart: (template: Template) => void
}

/** What a job is: how the appliance is found, what the customer says, under which rules, to whom. */
export function GiveJob({
    form,
    visits,
    rules,
    courses,
    before,
    titles,
    chosen,
    working,
    comes,
    templates,
    onStart,
}: Props) {
    const all = courses.find((c) => c.id === form.data.course)?.trainees ?? []
    return (
        <Stack
            layerStyle="panel"
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
                {t('Give it as a job')}
            </Heading>
            <Text fontSize="text" color="faint">
                {chosen ?? t('Healthy: nothing wrong. Pick a fault on the left, or give it as it is.')}
            </Text>
            <Templates form={form} templates={templates} courses={courses} onStart={onStart} />
            {comes.length > 0 && (
                <details>
                    <summary>{t('Jobs that came with this model')}</summary>
                    <Stack gap="1" mt="1">
                        {comes.map((job) => (
                            <ToolButton
                                key={job.title}
                                h="auto"
                                minH="touch"
                                whiteSpace="normal"
                                onClick={() => form.setData((now) => ({ ...now, ...job }))}
                            >
                                {job.title}
                            </ToolButton>
                        ))}
                    </Stack>
                </details>
            )}
            <Row label={t('How it is found')} error={form.errors.visit}>
                <Select
                    label={t('How it is found')}
                    value={form.data.visit}
                    onChange={(v) => form.setData('visit', v)}
                    options={Object.entries(visits).map(([k, v]) => [k, v])}
                />
            </Row>
            <Row label={t('What the customer says')} error={form.errors.complaint}>
                <Textarea
                    aria-label={t('What the customer says')}
                    rows={4}
                    borderColor="line"
                    value={form.data.complaint}
                    onChange={(e) => form.setData('complaint', e.target.value)}
                />
            </Row>
            <Row label={t('Title')} error={form.errors.title}>
                <Input
                    aria-label={t('Title')}
                    h="touch"
                    borderColor="line"
                    value={form.data.title}
                    onChange={(e) => form.setData('title', e.target.value)}
                />
            </Row>
            <WorkFields form={form} />
            <Row label={t('Kind')} error={form.errors.kind}>
                <Select
                    label={t('Kind')}
                    value={form.data.kind}
                    onChange={(v) => form.setData('kind', v)}
                    options={[
                        ['practice', 'Practice'],
                        ['exam', 'Examination'],
                        ['demonstration', 'Demonstration: you work it, all look on'],
                    ]}
                />
            </Row>
            <Box>
                <Text fontSize="text" fontWeight={700}>
                    {t("The trainee's meter")}
                </Text>
                <Tick checked={form.data.low_battery} onChange={(on) => form.setData('low_battery', on)}>
                    {t('Its battery is low: it reads high, and says so')}
                </Tick>
                <Tick checked={form.data.worn_leads} onChange={(on) => form.setData('worn_leads', on)}>
                    {t('Its leads are worn: now and then one does not touch')}
                </Tick>
            </Box>
            <Box>
                <Text fontSize="text" fontWeight={700}>
                    {t('House rules')}
                </Text>
                <Select
                    label={t('House rules')}
                    value={String(form.data.rules)}
                    onChange={(v) => form.setData('rules', Number(v))}
                    options={rules.map((r) => [String(r.id), r.title])}
                />
                <Tick checked={form.data.stops} onChange={(on) => form.setData('stops', on)}>
                    {t('What would hurt is stopped before it is done, and noted as tried')}
                </Tick>
            </Box>
            <Row label={t('Class')} error={form.errors.course}>
                <Select
                    label={t('Class')}
                    value={String(form.data.course)}
                    options={courses.map((c) => [String(c.id), c.name])}
                    onChange={(v) =>
                        form.setData((d) => ({
                            ...d,
                            course: Number(v),
                            trainees: (courses.find((c) => c.id === Number(v))?.trainees ?? []).map((t) => t.id),
                        }))
                    }
                />
            </Row>
            <Recipients
                all={all}
                chosen={form.data.trainees}
                onChoose={(chosen) => form.setData('trainees', chosen)}
                error={form.errors.trainees}
            />
            <Drawn form={form} titles={titles} before={before} />
            <details>
                <summary>
                    <Text as="span" fontSize="text" fontWeight={700} cursor="pointer">
                        {t('Time: when it is open, and for how long')}
                    </Text>
                </summary>
                <TimeFields
                    value={{
                        opens: forField(form.data.opens_at),
                        closes: forField(form.data.closes_at),
                        minutes: form.data.minutes === null ? '' : String(form.data.minutes),
                    }}
                    errors={form.errors}
                    onChange={({ opens, closes, minutes }) =>
                        form.setData((d) => ({
                            ...d,
                            opens_at: fromField(opens),
                            closes_at: fromField(closes),
                            minutes: minutes === '' ? null : Number(minutes),
                        }))
                    }
                />
            </details>
            <MainButton type="submit" flexShrink={0} disabled={form.processing || working}>
                {working ? t('Working out what the customer says…') : t('Give the job')}
            </MainButton>
            {form.errors.fault && (
                <Text color="danger" role="alert">
                    {form.errors.fault}
                </Text>
            )}
        </Stack>
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
