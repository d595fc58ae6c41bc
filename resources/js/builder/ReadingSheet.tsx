import { Box, Heading, HStack, Input, Stack, Text } from '@chakra-ui/react'
import { useState } from 'react'
import { useTold } from '@/lib/query'
import { Select } from '@/shell/Select'
import { Field, figure } from './Field'
import { Word } from './Word'
import type { Draft, Edit, ExpectedReading, ReadingsRun } from './types'
import { t } from '@/words'

const MODES: [string, string][] = [
    ['vac', 'volts AC'],
    ['vlz', 'volts AC, low impedance'],
    ['vdc', 'volts DC'],
    ['mvdc', 'millivolts DC'],
]

const LEADS = '' // of the choices of what it is read with: the meter's two leads, and not a tap

/** What a figure may differ from what was shown when that is said to be right. */
const SHARE = 0.1

interface Props {
    draft: Draft
    id: number
    place: string | null
    name: (place: string) => string
    run: ReadingsRun | null
    error: string | null
    edit: (...edits: Edit[]) => Promise<boolean>
    onShow: (parts: string[], wires: string[]) => void
}

/**
 * Readings that are expected of this model, each at its moment and with its fault: what they show now, and what of it
 * is no longer right.
 */
export function ReadingSheet({ draft, id, place, name, run, error, edit, onShow }: Props) {
    const rows = draft.document.readings ?? []
    const taps = draft.board.parts.flatMap((p) => p.taps.map((t) => ({ ...t, part: p.label })))
    const faults = useTold<{ faults: { id: string; title: string }[] }>(`/drafts/${id}/faults`, {
        of: draft.step,
        keep: true,
    })
    const titles = new Map((faults.data?.faults ?? []).map((f) => [f.id, f.title]))
    const visits = Object.entries(draft.document.visits).map(([v, { title }]): [string, string] => [v, title])
    const about = (row: ExpectedReading) => {
        const tap = taps.find((t) => t.tap === row.tap)
        const mode = MODES.find(([m]) => m === row.mode)?.[1]
        return row.tap !== undefined
            ? `${tap?.part ?? ''} ${tap?.label ?? row.tap}`.trim()
            : `${name(row.red ?? '')} to ${name(row.black ?? '')}, ${mode ?? row.mode}`
    }
    return (
        <Stack gap="3" as="section" aria-label={t('Expected readings')}>
            <Text fontSize="note" color="faint">
                {t('What a meter should show at a moment of this model. Every reading is taken anew after each edit.')}
            </Text>
            {error && (
                <Text role="alert" fontSize="text" color="danger">
                    {error}
                </Text>
            )}
            {rows.map((row, i) => {
                const outcome = run?.readings[i]
                const set = (key: 'least' | 'most', text: string) =>
                    void edit({ do: 'set', path: `/readings/${i}/${key}`, value: figure(text) })
                return (
                    <Box
                        key={i}
                        as="article"
                        aria-label={t('Reading {{value}}', { value: i + 1 })}
                        borderTopWidth="1px"
                        borderColor="line"
                        pt="2"
                    >
                        <Text fontSize="text" fontWeight={700}>
                            {about(row)}
                        </Text>
                        <Text fontSize="note" color="faint">
                            {draft.document.visits[row.visit]?.title ?? row.visit}, {row.at_s}{' '}
                            {t('s after the arrival,')}{' '}
                            {row.fault === undefined ? t('nothing wrong') : (titles.get(row.fault) ?? row.fault)}
                        </Text>
                        <Text
                            fontSize="text"
                            role="status"
                            fontWeight={outcome?.holds === false ? 700 : 400}
                            color={outcome?.holds === false ? 'danger' : 'ink'}
                        >
                            {outcome === undefined
                                ? '…'
                                : outcome.holds === false
                                  ? `▲ ${outcome.says}`
                                  : t('{{value}}It shows {{shows}}.', {
                                        value: outcome.holds ? '✓ ' : '',
                                        shows: outcome.shows,
                                    })}
                        </Text>
                        <HStack gap="2" align="flex-end" wrap="wrap">
                            <Field
                                label={t('Right from')}
                                number
                                w="76px"
                                value={row.least ?? ''}
                                onSet={(t) => set('least', t)}
                            />
                            <Field
                                label={t('to')}
                                number
                                w="76px"
                                value={row.most ?? ''}
                                onSet={(t) => set('most', t)}
                            />
                            {outcome?.value != null && outcome.holds !== true && (
                                <Word onClick={() => void edit(...around(i, outcome.value!))}>
                                    {t('That is right')}
                                </Word>
                            )}
                            {row.tap === undefined && (
                                <Word
                                    onClick={() =>
                                        onShow(
                                            [row.red, row.black].map((p) => partOf(p ?? '')),
                                            [],
                                        )
                                    }
                                >
                                    {t('Show')}
                                </Word>
                            )}
                            <Word onClick={() => void edit({ do: 'set', path: `/readings/${i}`, value: null })}>
                                {t('Remove')}
                            </Word>
                        </HStack>
                    </Box>
                )
            })}
            <OneMore
                taps={taps}
                visits={visits}
                faults={[...titles].filter(([f]) => f !== 'healthy')}
                place={place}
                name={name}
                onAdd={(row) => void edit({ do: 'set', path: '/readings/-', value: row })}
            />
        </Stack>
    )
}

/** What is shown, and a tenth to either side of it; at nothing, a tenth of a unit. */
function around(i: number, value: number): Edit[] {
    const by = Math.max(0.1, Math.abs(value) * SHARE)
    const cut = (x: number) => Number(x.toPrecision(3))
    return [
        { do: 'set', path: `/readings/${i}/least`, value: cut(value - by) },
        { do: 'set', path: `/readings/${i}/most`, value: cut(value + by) },
    ]
}

const partOf = (place: string) => place.slice(0, place.lastIndexOf('.'))

interface OneMoreProps {
    taps: { tap: string; part: string; label: string }[]
    visits: [string, string][]
    faults: [string, string][]
    place: string | null
    name: (place: string) => string
    onAdd: (row: ExpectedReading) => void
}

/** One reading more, put together from what is pressed on the board and chosen here. */
function OneMore({ taps, visits, faults, place, name, onAdd }: OneMoreProps) {
    const [tap, setTap] = useState(LEADS)
    const [red, setRed] = useState<string | null>(null)
    const [black, setBlack] = useState<string | null>(null)
    const [mode, setMode] = useState('vac')
    const [visit, setVisit] = useState('')
    const [at, setAt] = useState(60)
    const [fault, setFault] = useState('')
    const chosen = visit || (visits[0]?.[0] ?? '')
    const isWhole = chosen !== '' && (tap !== LEADS || (red !== null && black !== null))
    const where = tap !== LEADS ? { tap } : { mode, red: red ?? '', black: black ?? '' }
    return (
        <Stack gap="2" borderTopWidth="1px" borderColor="line" pt="2">
            <Heading as="h3" size="sm">
                {t('One more')}
            </Heading>
            <Select
                label={t('Read with')}
                value={tap}
                options={[[LEADS, 'the meter'], ...taps.map((t): [string, string] => [t.tap, `${t.part}: ${t.label}`])]}
                onChange={setTap}
            />
            {tap === LEADS && (
                <>
                    <Select label={t('Mode')} value={mode} options={MODES} onChange={setMode} />
                    {(
                        [
                            ['Red', red, setRed],
                            ['Black', black, setBlack],
                        ] as const
                    ).map(([lead, on, put]) => (
                        <HStack key={lead} gap="2">
                            <Text fontSize="text" flex="1">
                                {lead} {t('lead:')} {on === null ? t('nowhere yet') : name(on)}
                            </Text>
                            <Word disabled={place === null} onClick={() => put(place)}>
                                {t('{{lead}} on the marked terminal', { lead })}
                            </Word>
                        </HStack>
                    ))}
                    {place === null && (
                        <Text fontSize="note" color="faint">
                            {t('Press a terminal on the board to mark it.')}
                        </Text>
                    )}
                </>
            )}
            <Select label={t('Visit')} value={chosen} options={visits} onChange={setVisit} />
            <HStack gap="2">
                <Input
                    aria-label={t('Seconds after the arrival')}
                    type="number"
                    h="row"
                    w="88px"
                    borderColor="line"
                    value={at}
                    min={0}
                    max={900}
                    onChange={(e) => setAt(Math.max(0, Math.min(900, Number(e.target.value) || 0)))}
                />
                <Text fontSize="text">{t('s after the arrival')}</Text>
            </HStack>
            <Select
                label={t('With what fault')}
                value={fault}
                options={[['', 'nothing wrong'], ...faults]}
                onChange={setFault}
            />
            <Word
                disabled={!isWhole}
                onClick={() => onAdd({ visit: chosen, at_s: at, ...(fault === '' ? {} : { fault }), ...where })}
            >
                {t('Add it')}
            </Word>
        </Stack>
    )
}
