import { Box, HStack, Text } from '@chakra-ui/react'
import { useState } from 'react'
import { Select } from '@/shell/Select'
import { Field, figure } from './Field'
import { Word } from './Word'
import type { Control, Doing, Draft, Visit } from './types'
import { t } from '@/words'

interface Props {
    v: Visit
    draft: Draft
    set: (path: string, value: unknown) => void
}

/** Something that people can do before a visit, and what it is called. */
interface Deed {
    key: string
    label: string
    /** none: it is pressed */
    at?: Pick<Control, 'positions' | 'unit' | 'range'> & { now: string }
    done: (to: string) => Omit<Doing, 'at_s'>
}

/** What people do before the visit: levers, dials and knobs set, resets pressed, doors taken off or left ajar. */
export function Doings({ v, draft, set }: Props) {
    const deeds = deedsOf(draft)
    const [key, setKey] = useState('')
    const chosen = deeds.find((d) => d.key === key) ?? deeds[0]
    const [to, setTo] = useState<string | null>(null)
    const [at, setAt] = useState(v.notices_s)
    const value = to ?? chosen?.at?.now ?? ''
    return (
        <Box mt="1">
            <Text fontSize="note">{t('What the customer does first')}</Text>
            {v.household.length === 0 && <Text fontSize="text">{t('The customer touches nothing.')}</Text>}
            {v.household.map((doing, i) => (
                <HStack key={i} gap="2">
                    <Text fontSize="text" flex="1">
                        {t('after {{at_s}} s: {{said}}', { at_s: doing.at_s, said: said(doing, deeds) })}
                    </Text>
                    <Word onClick={() => set(`household/${i}`, null)}>{t('Remove')}</Word>
                </HStack>
            ))}
            {chosen && (
                <HStack gap="2" wrap="wrap" align="flex-end">
                    <Field label={t('After')} unit="s" number value={at} onSet={(t) => setAt(Number(figure(t)) || 0)} />
                    <Box>
                        <Text fontSize="note">{t('Switch, dial, knob, reset or door')}</Text>
                        <Select
                            label={t('Switch, dial, knob, reset or door')}
                            value={chosen.key}
                            options={deeds.map((d): [string, string] => [d.key, d.label])}
                            onChange={(k) => {
                                setKey(k)
                                setTo(null)
                            }}
                        />
                    </Box>
                    {chosen.at && <Position at={chosen.at} value={value} onSet={setTo} />}
                    <Word
                        onClick={() =>
                            set('household', [...v.household, { at_s: Math.round(at), ...chosen.done(value) }])
                        }
                    >
                        {t('Add it')}
                    </Word>
                </HStack>
            )}
        </Box>
    )
}

function deedsOf(draft: Draft): Deed[] {
    const levers = draft.board.parts.flatMap((p) =>
        p.controls.map((c): Deed => ({
            key: `${p.id}.${c.lever}`,
            label: `${p.label}, ${c.label}`,
            at: { ...c, now: String(c.at) },
            done: (to) => ({ part: p.id, lever: c.lever, to: c.range === null ? to : Number(to) }),
        })),
    )
    const resets = draft.board.parts
        .filter((p) => p.resets)
        .map((p): Deed => ({ key: `reset ${p.id}`, label: `${p.label}, reset`, done: () => ({ reset: p.id }) }))
    const doors = (draft.document.doors ?? []).map((d): Deed => ({
        key: `door ${d.id}`,
        label: `${d.label} (door)`,
        at: { positions: ['open', 'shut'], unit: null, range: null, now: 'open' },
        done: (to) => ({ door: d.id, to }),
    }))
    return [...levers, ...resets, ...doors]
}

function said(doing: Doing, deeds: Deed[]): string {
    const key =
        doing.reset !== undefined
            ? `reset ${doing.reset}`
            : doing.door !== undefined
              ? `door ${doing.door}`
              : `${doing.part}.${doing.lever}`
    const label = deeds.find((d) => d.key === key)?.label ?? key
    return doing.to === undefined ? label : `${label} to ${doing.to}`
}

function Position({ at, value, onSet }: { at: NonNullable<Deed['at']>; value: string; onSet: (to: string) => void }) {
    return at.positions === null ? (
        <Field label={t('to')} number value={value} {...(at.unit ? { unit: at.unit } : {})} onSet={onSet} />
    ) : (
        <Box>
            <Text fontSize="note">{t('to')}</Text>
            <Select
                label={t('to')}
                value={value}
                options={at.positions.map((p): [string, string] => [p, p])}
                onChange={onSet}
            />
        </Box>
    )
}
