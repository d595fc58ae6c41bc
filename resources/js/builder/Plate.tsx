import { Box, Heading, HStack, Text } from '@chakra-ui/react'
import { Select } from '@/shell/Select'
import { Field, figure } from './Field'
import { Word } from './Word'
import type { Draft, Edit } from './types'
import { t } from '@/words'

const FUELS: [string, string][] = [
    ['natural-gas', 'natural gas'],
    ['propane', 'propane'],
    ['oil', 'oil'],
]

interface Props {
    draft: Draft
    edit: (...edits: Edit[]) => Promise<boolean>
}

/** What is stamped on the appliance; a trainee reads it by looking at the part that it is on. */
export function Plate({ draft, edit }: Props) {
    const plate = draft.document.plate
    const parts = draft.document.parts
    const set = (key: string, value: unknown) => void edit({ do: 'set', path: `/plate/${key}`, value })
    const isMetric = draft.document.supply.region === 'EU'
    const figures = [
        ['input', 'Input', isMetric ? 'W' : 'Btu/h'],
        [
            'manifold_in_wc',
            plate?.fuel === 'oil' ? 'Nozzle pressure' : 'Manifold',
            plate?.fuel === 'oil' ? 'psi' : 'in. w.c.',
        ],
        ['rise_low', 'Air rise, least', isMetric ? '°C' : '°F'],
        ['rise_high', 'Air rise, most', isMetric ? '°C' : '°F'],
        ['static_in_wc', 'External static, most', 'in. w.c.'],
        ['fuse_a', 'Fuse or breaker, most', 'A'],
    ] as const
    return (
        <Box borderTopWidth="1px" borderColor="line" pt="2" as="section" aria-label={t('Rating plate')}>
            <Heading as="h2" size="md">
                {t('Rating plate')}
            </Heading>
            {plate === undefined ? (
                <HStack gap="2">
                    <Text fontSize="text">{t('This appliance has none yet.')}</Text>
                    <Word
                        disabled={parts.length === 0}
                        onClick={() =>
                            void edit({
                                do: 'set',
                                path: '/plate',
                                value: { part: parts[0]!.id, fuel: 'natural-gas', input: isMetric ? 20000 : 80000 },
                            })
                        }
                    >
                        {t('Add it')}
                    </Word>
                </HStack>
            ) : (
                <HStack gap="3" wrap="wrap" align="flex-end">
                    <Select
                        label={t('Part that it is on')}
                        value={plate.part}
                        options={parts.map((p): [string, string] => [p.id, p.label])}
                        onChange={(part) => set('part', part)}
                    />
                    <Select
                        label={t('Fuel')}
                        value={plate.fuel}
                        options={FUELS}
                        onChange={(fuel) => set('fuel', fuel)}
                    />
                    {figures.map(([key, label, unit]) => (
                        <Field
                            key={key}
                            label={label}
                            unit={unit}
                            number
                            w="100px"
                            value={plate[key] ?? ''}
                            onSet={(t) => set(key, t.trim() === '' ? null : figure(t))}
                        />
                    ))}
                    <Field label={t('Flue')} w="200px" value={plate.flue ?? ''} onSet={(t) => set('flue', t || null)} />
                    <Word onClick={() => void edit({ do: 'set', path: '/plate', value: null })}>{t('Remove')}</Word>
                </HStack>
            )}
        </Box>
    )
}
