import { Box, Heading, HStack, Text } from '@chakra-ui/react'
import { useState } from 'react'
import { Select } from '@/shell/Select'
import { Field } from './Field'
import { Word } from './Word'
import type { Draft, Edit } from './types'
import { t } from '@/words'

interface Props {
    draft: Draft
    edit: (...edits: Edit[]) => Promise<boolean>
}

/** Doors and panels: what each is called, what lies behind it, and the switch that it holds in. */
export function Doors({ draft, edit }: Props) {
    const doors = draft.document.doors ?? []
    const parts = draft.board.parts
    const label = (id: string) => parts.find((p) => p.id === id)?.label ?? id
    const covered = new Set(doors.flatMap((d) => d.covers))
    const open = parts.filter((p) => !covered.has(p.id)).map((p) => p.id)
    const switches = parts.flatMap((p) =>
        (draft.settings[p.id]?.plungers ?? []).map((lever): [string, string] => [`${p.id}.${lever}`, p.label]),
    )
    const add = () => {
        const used = new Set(doors.map((d) => d.id))
        let n = doors.length + 1
        while (used.has(`door-${n}`)) n++
        void edit({ do: 'set', path: '/doors/-', value: { id: `door-${n}`, label: 'Door', covers: [] } })
    }
    return (
        <Box borderTopWidth="1px" borderColor="line" pt="2" as="section" aria-label={t('Doors')}>
            <Heading as="h2" size="md">
                {t('Doors')}
            </Heading>
            {doors.map((door, i) => (
                <Box key={door.id} as="section" aria-label={t('Door {{id}}', { id: door.id })} mt="1">
                    <HStack gap="2" wrap="wrap" align="flex-end">
                        <Field
                            label={t('What it is called')}
                            w="200px"
                            value={door.label}
                            onSet={(t) => void edit({ do: 'set', path: `/doors/${i}/label`, value: t || 'Door' })}
                        />
                        <Box>
                            <Text fontSize="note">{t('Door switch')}</Text>
                            <Select
                                label={t('Switch of {{label}}', { label: door.label })}
                                value={door.interlock ?? ''}
                                options={[['', 'none'], ...switches]}
                                onChange={(s) =>
                                    void edit({ do: 'set', path: `/doors/${i}/interlock`, value: s === '' ? null : s })
                                }
                            />
                        </Box>
                        <Word
                            on={door.sealed === true}
                            onClick={() =>
                                void edit({ do: 'set', path: `/doors/${i}/sealed`, value: door.sealed ? null : true })
                            }
                        >
                            {t('Sealed: the burner takes its air from behind it')}
                        </Word>
                        <Word onClick={() => void edit({ do: 'set', path: `/doors/${i}`, value: null })}>
                            {t('Take the door off')}
                        </Word>
                    </HStack>
                    <Text fontSize="note">{t('Parts behind this door')}</Text>
                    <HStack gap="1" wrap="wrap">
                        {door.covers.map((id, n) => (
                            <Word
                                key={id}
                                onClick={() => void edit({ do: 'set', path: `/doors/${i}/covers/${n}`, value: null })}
                            >
                                {label(id)} ✕
                            </Word>
                        ))}
                    </HStack>
                    <Behind
                        door={door.label}
                        parts={parts
                            .filter((p) => !door.covers.includes(p.id))
                            .map((p): [string, string] => [p.id, p.label])}
                        open={open}
                        onAdd={(ids) =>
                            void edit({ do: 'set', path: `/doors/${i}/covers`, value: [...door.covers, ...ids] })
                        }
                    />
                    <Through
                        door={door}
                        levers={parts
                            .filter((p) => door.covers.includes(p.id))
                            .flatMap((p) => [
                                ...p.controls.map((c): [string, string] => [
                                    `${p.id}.${c.lever}`,
                                    `${p.label}, ${c.label}`,
                                ]),
                                ...(draft.settings[p.id]?.resets ?? []).map((r): [string, string] => [
                                    `${p.id}.${r}`,
                                    `${p.label}, reset`,
                                ]),
                            ])}
                        onSet={(through) => void edit({ do: 'set', path: `/doors/${i}/through`, value: through })}
                    />
                </Box>
            ))}
            <Box mt="1">
                <Word onClick={add}>{t('Add a door')}</Word>
            </Box>
        </Box>
    )
}

/** Switches, dials and knobs that stick out of a door, and can be set with it shut. */
function Through({
    door,
    levers,
    onSet,
}: {
    door: { label: string; through?: string[] }
    levers: [string, string][]
    onSet: (through: string[]) => void
}) {
    const through = door.through ?? []
    const inside = levers.filter(([lever]) => !through.includes(lever))
    const [lever, setLever] = useState('')
    const chosen = inside.some(([id]) => id === lever) ? lever : (inside[0]?.[0] ?? '')
    if (levers.length === 0) return null
    return (
        <Box mt="1">
            <Text fontSize="note">{t('Can be reached with this door shut')}</Text>
            <HStack gap="1" wrap="wrap">
                {through.map((id) => (
                    <Word key={id} onClick={() => onSet(through.filter((l) => l !== id))}>
                        {levers.find(([l]) => l === id)?.[1] ?? id} ✕
                    </Word>
                ))}
            </HStack>
            {inside.length > 0 && (
                <HStack gap="2">
                    <Select
                        label={t('One more that sticks out of {{label}}', { label: door.label })}
                        value={chosen}
                        options={inside}
                        onChange={setLever}
                    />
                    <Word onClick={() => onSet([...through, chosen])}>{t('Add this one')}</Word>
                </HStack>
            )}
        </Box>
    )
}

interface BehindProps {
    door: string
    parts: [string, string][]
    /** parts that no door covers */
    open: string[]
    onAdd: (ids: string[]) => void
}

/** One part more behind a door, or all that no door covers. */
function Behind({ door, parts, open, onAdd }: BehindProps) {
    const [part, setPart] = useState('')
    const chosen = parts.some(([id]) => id === part) ? part : (parts[0]?.[0] ?? '')
    if (parts.length === 0) return null
    return (
        <HStack gap="2" mt="1">
            <Select label={t('One more behind {{door}}', { door })} value={chosen} options={parts} onChange={setPart} />
            <Word onClick={() => onAdd([chosen])}>{t('Add this part')}</Word>
            {open.length > 0 && <Word onClick={() => onAdd(open)}>{t('Add all that no door covers')}</Word>}
        </HStack>
    )
}
