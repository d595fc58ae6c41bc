import { Box, Button, Heading, HStack, Input, Stack, Text } from '@chakra-ui/react'
import { useState } from 'react'
import { Select } from '@/shell/Select'
import { guardWords } from './layout'
import { Field, figure } from './Field'
import { Word } from './Word'
import type { Edit, Guard, TableShown } from './types'
import { ToolButton } from '@/theme/buttons'
import { t } from '@/words'

/** A table line by line: its times, its states with what they give out, and what leads from one to the next. */
export function Lines({
    part,
    primitive,
    shown,
    edit,
}: {
    part: string
    primitive: string
    shown: TableShown
    edit: (...edits: Edit[]) => Promise<boolean>
}) {
    const { table } = shown
    const set = (line: string, value: unknown) => void edit({ do: 'sequence', part, primitive, line, value })
    const outputs = [...new Set(Object.values(table.states).flatMap((s) => s.outputs))].sort()
    const [title, setTitle] = useState('')
    return (
        <Stack gap="3">
            <Box>
                <Heading as="h3" size="sm">
                    {t('Times')}
                </Heading>
                <HStack gap="3" wrap="wrap">
                    {Object.entries(table.times).map(([name, s]) => (
                        <Field
                            key={name}
                            label={name.replace(/_s$/, '').replaceAll('_', ' ')}
                            unit="s"
                            number
                            w="72px"
                            value={s}
                            onSet={(t) => set(`times.${name}`, figure(t))}
                        />
                    ))}
                </HStack>
            </Box>
            {Object.entries(table.states).map(([state, row]) => (
                <Box
                    key={state}
                    borderTopWidth="1px"
                    borderColor="line"
                    pt="2"
                    as="section"
                    aria-label={t('State {{title}}', { title: row.title })}
                >
                    <HStack gap="2" wrap="wrap" align="flex-end">
                        <Field
                            label={t('State')}
                            w="260px"
                            value={row.title}
                            onSet={(t) => set(`states.${state}.title`, t)}
                        />
                        <Field
                            label={t('Lamp')}
                            w="120px"
                            value={row.lamp}
                            onSet={(t) => set(`states.${state}.lamp`, t)}
                        />
                        <HStack
                            gap="1"
                            wrap="wrap"
                            role="group"
                            aria-label={t('What “{{title}}” feeds', { title: row.title })}
                        >
                            {outputs.map((o) => (
                                <Word
                                    key={o}
                                    on={row.outputs.includes(o)}
                                    onClick={() =>
                                        set(
                                            `states.${state}.outputs`,
                                            row.outputs.includes(o)
                                                ? row.outputs.filter((x) => x !== o)
                                                : [...row.outputs, o],
                                        )
                                    }
                                >
                                    {o}
                                </Word>
                            ))}
                        </HStack>
                        {state !== table.start && (
                            <Word onClick={() => set(`states.${state}`, null)}>{t('Take the state out')}</Word>
                        )}
                    </HStack>
                    {row.guards.map((guard, i) => (
                        <HStack key={i} gap="2" pl="4" mt="1">
                            <Text flex="1" fontSize="text">
                                {guardWords(guard, table.times)} → {table.states[guard.go]?.title ?? guard.go}
                            </Text>
                            <ToolButton
                                h="tight"
                                fontSize="note"
                                aria-label={t('Remove: {{guardWords}}', { guardWords: guardWords(guard, table.times) })}
                                onClick={() => set(`states.${state}.guards.${i}`, null)}
                            >
                                {t('Remove')}
                            </ToolButton>
                        </HStack>
                    ))}
                    <NewGuard
                        shown={shown}
                        onAdd={(g) => set(`states.${state}.guards.${row.guards.length}`, g)}
                        title={row.title}
                    />
                </Box>
            ))}
            <HStack gap="2">
                <Input
                    aria-label={t('Title of a new state')}
                    placeholder={t('New state')}
                    h="row"
                    w="260px"
                    borderColor="line"
                    value={title}
                    onChange={(e) => setTitle(e.target.value)}
                />
                <Word
                    disabled={title.trim() === ''}
                    onClick={() => {
                        set(
                            `states.${
                                title
                                    .trim()
                                    .toLowerCase()
                                    .replace(/[^a-z0-9]+/g, '_') || 'state'
                            }`,
                            { title: title.trim(), outputs: [], lamp: 'off', guards: [], reset: table.start },
                        )
                        setTitle('')
                    }}
                >
                    {t('Add the state')}
                </Word>
            </HStack>
        </Stack>
    )
}

/** A line that leads on: guards chosen from the control's own inputs and times. */
function NewGuard({ shown, onAdd, title }: { shown: TableShown; onAdd: (guard: Guard) => void; title: string }) {
    const [open, setOpen] = useState(false)
    const [on, setOn] = useState<Record<string, boolean>>({})
    const [after, setAfter] = useState('')
    const [go, setGo] = useState(Object.keys(shown.table.states)[0] ?? '')
    if (!open)
        return (
            <Box pl="4" mt="1">
                <Button
                    variant="plain"
                    h="tight"
                    px="0"
                    fontSize="text"
                    color="copper"
                    aria-label={t('Add a line to {{title}}', { title })}
                    onClick={() => setOpen(true)}
                >
                    {t('+ a line')}
                </Button>
            </Box>
        )
    const next = (v: boolean | undefined) => (v === undefined ? true : v ? false : undefined)
    return (
        <HStack pl="4" mt="1" gap="2" wrap="wrap" role="group" aria-label={t('New line of {{title}}', { title })}>
            {shown.inputs.map((input) => (
                <Word
                    key={input}
                    on={on[input] !== undefined}
                    onClick={() =>
                        setOn((o) => {
                            const v = next(o[input])
                            const rest = Object.fromEntries(Object.entries(o).filter(([name]) => name !== input))
                            return v === undefined ? rest : { ...rest, [input]: v }
                        })
                    }
                >
                    {on[input] === false ? t('not {{input}}', { input }) : input}
                </Word>
            ))}
            <Select
                label={t('After')}
                value={after}
                options={[
                    ['', 'at once'],
                    ...Object.entries(shown.table.times).map(([name, s]): [string, string] => [
                        name,
                        `after ${s} s (${name.replace(/_s$/, '').replaceAll('_', ' ')})`,
                    ]),
                ]}
                onChange={setAfter}
            />
            <Select
                label={t('Leads to')}
                value={go}
                options={Object.entries(shown.table.states).map(([state, row]) => [state, `→ ${row.title}`])}
                onChange={setGo}
            />
            <Word
                disabled={Object.keys(on).length === 0 && after === ''}
                onClick={() => {
                    onAdd({ ...(Object.keys(on).length ? { if: on } : {}), ...(after ? { after } : {}), go })
                    setOpen(false)
                    setOn({})
                }}
            >
                {t('Add it')}
            </Word>
            <Word onClick={() => setOpen(false)}>{t('Cancel')}</Word>
        </HStack>
    )
}
