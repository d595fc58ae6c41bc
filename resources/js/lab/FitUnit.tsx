import { Box, Heading, HStack, Stack, Text } from '@chakra-ui/react'
import { router, usePage } from '@inertiajs/react'
import { useState } from 'react'
import { useSent } from '@/lib/query'
import type { LabFit } from '@/lib/types'
import { Select } from '@/shell/Select'
import { MainButton, ToolButton } from '@/theme/buttons'
import { t } from '@/words'

const figure = (value: number) => Number(value.toPrecision(3)).toLocaleString('en-US')

/** The model fitted to one of the units: what would be changed, and what that does for its readings. */
export function FitUnit({ book, units }: { book: string; units: string[] }) {
    const { errors } = usePage<{ errors: Record<string, string> }>().props
    const [unit, setUnit] = useState(units[0] ?? '')
    const fit = useSent<LabFit, { unit: string }>(`${book}/fit`)
    const agree = (rows: LabFit['before']) => rows.filter((r) => r.agrees).length
    const wrong = fit.error?.message ?? errors.unit
    return (
        <Stack layerStyle="panel" p="4" gap="2" as="section" aria-label={t('Fit the model to a unit')}>
            <Heading as="h2" size="md">
                {t('Fit the model to a unit')}
            </Heading>
            <Text fontSize="text">
                {t(
                    'Finds the few figures (igniter ohms, flame current, gas pressure, airflow) that explain the readings.',
                )}
            </Text>
            <HStack gap="2">
                <Select
                    label={t('Unit to fit to')}
                    value={unit}
                    options={units.map((u): [string, string] => [u, u])}
                    onChange={(u) => {
                        setUnit(u)
                        fit.reset()
                    }}
                />
                <MainButton disabled={fit.isPending || unit === ''} onClick={() => fit.mutate({ unit })}>
                    {fit.isPending ? t('Fitting…') : t('Fit')}
                </MainButton>
            </HStack>
            {wrong && (
                <Text role="alert" fontSize="text" color="danger">
                    {wrong}
                </Text>
            )}
            {fit.data && (
                <Box role="status">
                    <Text fontSize="text">
                        {t('{{before}} of {{all}} readings agreed with the model; with these figures {{after}} do.', {
                            before: agree(fit.data.before),
                            after: agree(fit.data.after),
                            all: fit.data.before.length,
                        })}
                    </Text>
                    {fit.data.changes.length === 0 && <Text fontSize="text">{t('Nothing has to be changed.')}</Text>}
                    {fit.data.changes.map((c) => (
                        <Text key={`${c.part} ${c.figure}`} fontSize="text" py="1">
                            <b>{c.label}</b>, {c.figure}: <span className="reading">{figure(c.was)}</span> →{' '}
                            <span className="reading">
                                {figure(c.becomes)} {c.unit}
                            </span>
                        </Text>
                    ))}
                    {fit.data.changes.length > 0 && (
                        <ToolButton onClick={() => router.post(`${book}/keep`, { unit })}>
                            {t('Keep as a model of my own')}
                        </ToolButton>
                    )}
                </Box>
            )}
        </Stack>
    )
}
