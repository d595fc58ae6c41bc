import { Box, Heading, HStack, Input, Stack, Text } from '@chakra-ui/react'
import { useForm } from '@inertiajs/react'
import type { ComponentProps, FormEvent } from 'react'
import type { LabPage } from '@/lib/types'
import { Select } from '@/shell/Select'
import { MainButton } from '@/theme/buttons'
import { t } from '@/words'

const LEADS = '' // read with the meter's two leads, and not at a tap

interface Props {
    book: string
    page: LabPage
}

/** One reading of a real unit into the book; what it was read with and in which state stays for the next. */
export function NoteReading({ book, page: { visits, faults, modes, taps, places } }: Props) {
    const form = useForm({
        unit: '',
        date: new Date().toISOString().slice(0, 10),
        by: '',
        meter: '',
        visit: Object.keys(visits)[0] ?? '',
        at_s: '60',
        fault: '',
        mode: 'vac',
        red: places[0]?.place ?? '',
        black: places[1]?.place ?? '',
        tap: LEADS,
        value: '',
        note: '',
    })
    const note = (e: FormEvent) => {
        e.preventDefault()
        form.transform((said) => (said.tap === LEADS ? said : { ...said, mode: '', red: '', black: '' }))
        form.post(book, { preserveScroll: true, onSuccess: () => form.setData((d) => ({ ...d, value: '', note: '' })) })
    }
    const text = (key: 'unit' | 'date' | 'by' | 'meter' | 'at_s' | 'value' | 'note', label: string, type = 'text') => (
        <Box flex="1" minW="110px">
            <Text as="label" fontSize="note" color="faint">
                {label}
                <Input
                    type={type}
                    aria-label={label}
                    h="touch"
                    borderColor={form.errors[key] ? 'danger' : 'line'}
                    bg="sheet"
                    value={form.data[key]}
                    onChange={(e) => form.setData(key, e.target.value)}
                />
            </Text>
        </Box>
    )
    const all = places.map((p): [string, string] => [p.place, p.title])
    const unit =
        form.data.tap === LEADS
            ? modes.find((m) => m.mode === form.data.mode)?.unit
            : taps.find((x) => x.tap === form.data.tap)?.unit
    return (
        <Stack as="form" layerStyle="panel" p="4" gap="2" aria-label={t('Note a reading')} onSubmit={note}>
            <Heading as="h2" size="md">
                {t('Note a reading')}
            </Heading>
            <HStack gap="2" align="flex-end">
                {text('unit', t('Unit'))}
                {text('date', t('Date'), 'date')}
            </HStack>
            <HStack gap="2" align="flex-end">
                {text('by', t('Taken by'))}
                {text('meter', t('With'))}
            </HStack>
            <Choice
                label={t('State')}
                value={form.data.visit}
                options={Object.entries(visits)}
                onChange={(v) => form.setData('visit', v)}
            />
            <HStack gap="2" align="flex-end">
                {text('at_s', t('Seconds after the arrival'))}
            </HStack>
            <Choice
                label={t('Fault of the unit')}
                value={form.data.fault}
                options={[
                    ['', t('nothing wrong with it')],
                    ...faults.filter((f) => f.id !== 'healthy').map((f): [string, string] => [f.id, f.title]),
                ]}
                onChange={(v) => form.setData('fault', v)}
            />
            <Choice
                label={t('Read with')}
                value={form.data.tap}
                options={[
                    [LEADS, t('the two leads of a meter')],
                    ...taps.map((x): [string, string] => [x.tap, x.title]),
                ]}
                onChange={(v) => form.setData('tap', v)}
            />
            {form.data.tap === LEADS && (
                <>
                    <Choice
                        label={t('Mode')}
                        value={form.data.mode}
                        options={modes.map((m): [string, string] => [m.mode, m.title])}
                        onChange={(v) => form.setData('mode', v)}
                    />
                    <Choice
                        label={t('Red lead')}
                        value={form.data.red}
                        options={all}
                        onChange={(v) => form.setData('red', v)}
                    />
                    <Choice
                        label={t('Black lead')}
                        value={form.data.black}
                        options={all}
                        onChange={(v) => form.setData('black', v)}
                    />
                </>
            )}
            <HStack gap="2" align="flex-end">
                {text('value', t('Figure, {{unit}}', { unit }))}
                {text('note', t('Note'))}
            </HStack>
            {Object.values(form.errors)[0] && (
                <Text role="alert" fontSize="text" color="danger">
                    {Object.values(form.errors)[0]}
                </Text>
            )}
            <MainButton type="submit" disabled={form.processing}>
                {t('Note it')}
            </MainButton>
        </Stack>
    )
}

/** A choice with its label above it. */
function Choice(props: ComponentProps<typeof Select>) {
    return (
        <Box>
            <Text fontSize="note" color="faint" aria-hidden>
                {props.label}
            </Text>
            <Select {...props} />
        </Box>
    )
}
