import { Box, Grid, Heading, HStack, Input, Stack, Text } from '@chakra-ui/react'
import { router } from '@inertiajs/react'
import { useState } from 'react'
import { Word } from '@/builder/Word'
import { EDGES, FIGURES, free, inputsOf, spec, TWO, WORDS, type Inner, type TerminalSaid } from '@/builder/ownKind'
import { useSent } from '@/lib/query'
import { KeptKinds } from '@/builder/KeptKinds'
import { Frame } from '@/shell/Frame'
import { Select } from '@/shell/Select'
import { MainButton } from '@/theme/buttons'
import type { KindsPage, OwnKindRow } from '@/lib/types'
import { t } from '@/words'

/** Kinds of parts of the school's own: terminals, what lies between them, and a table; no code. */
export default function Kinds({ kinds, types, tables, courses }: KindsPage) {
    const [title, setTitle] = useState('')
    const [terminals, setTerminals] = useState<TerminalSaid[]>([
        { name: '1', edge: 'down' },
        { name: '2', edge: 'down' },
    ])
    const [inner, setInner] = useState<Inner[]>([])
    const [done, setDone] = useState<string | null>(null)
    const names = terminals.map((t) => t.name)
    const put = (i: number, more: Partial<Inner>) =>
        setInner((all) => all.map((x, j) => (j === i ? { ...x, ...more } : x)))
    const drivers = inner.filter((x) => ['coil', 'lever', 'sensor', 'control', 'actuator'].includes(x.type))
    const kept = useSent<
        { id: number; kind: OwnKindRow['document'] & { title: string } },
        { name: string; title: string; terminals: TerminalSaid[]; primitives: Record<string, unknown> }
    >('/kinds', {
        onDone: (kind) => {
            router.reload({ only: ['kinds'] })
            setDone(
                t('{{title}} is kept. It can be placed from the catalog, and has {{many}} faults by its nature.', {
                    title,
                    many: Object.keys(kind.kind.modes).length,
                }),
            )
        },
    })
    const error = kept.error?.message ?? null
    const keep = () =>
        kept.mutate({
            name: title,
            title: title.toLowerCase(),
            terminals,
            primitives: Object.fromEntries(inner.map((x) => [x.id, spec(x)])),
        })
    return (
        <Frame title={t('Custom parts')}>
            <Grid templateColumns="1fr 340px" gap="5" alignItems="start">
                <Stack gap="4">
                    <Heading as="h1" size="2xl">
                        {t('Custom parts')}
                    </Heading>
                    <Text color="faint">
                        {t(
                            'A part is its terminals, and what lies between them. Each thing in it has its faults by its nature.',
                        )}
                    </Text>
                    <Box>
                        <Text fontSize="text">{t('What it is called')}</Text>
                        <Input
                            aria-label={t('What it is called')}
                            h="touch"
                            borderColor="line"
                            bg="sheet"
                            value={title}
                            onChange={(e) => setTitle(e.target.value)}
                        />
                    </Box>
                    <Box as="section" aria-label={t('Terminals')}>
                        <Heading as="h2" size="md">
                            {t('Terminals')}
                        </Heading>
                        {terminals.map((terminal, i) => (
                            <HStack key={i} gap="2" mt="1">
                                <Input
                                    aria-label={t('Terminal {{value}}', { value: i + 1 })}
                                    h="row"
                                    w="110px"
                                    borderColor="line"
                                    bg="sheet"
                                    value={terminal.name}
                                    onChange={(e) =>
                                        setTerminals((all) =>
                                            all.map((x, j) => (j === i ? { ...x, name: e.target.value } : x)),
                                        )
                                    }
                                />
                                <Box w="160px">
                                    <Select
                                        label={t('Edge of terminal {{value}}', { value: i + 1 })}
                                        value={terminal.edge}
                                        options={EDGES}
                                        onChange={(edge) =>
                                            setTerminals((all) => all.map((x, j) => (j === i ? { ...x, edge } : x)))
                                        }
                                    />
                                </Box>
                                <Word onClick={() => setTerminals((all) => all.filter((_, j) => j !== i))}>
                                    {t('Remove')}
                                </Word>
                            </HStack>
                        ))}
                        <Box mt="1">
                            <Word
                                onClick={() =>
                                    setTerminals((all) => [...all, { name: String(all.length + 1), edge: 'down' }])
                                }
                            >
                                {t('Add terminal')}
                            </Word>
                        </Box>
                    </Box>
                    <Box as="section" aria-label={t('Components inside')}>
                        <Heading as="h2" size="md">
                            {t('Components inside')}
                        </Heading>
                        {inner.map((x, i) => (
                            <Box layerStyle="panel" key={i} p="3" mt="2">
                                <HStack gap="2" wrap="wrap" align="flex-end">
                                    <Labelled label={t('Name')}>
                                        <Input
                                            aria-label={t('Name of {{value}}', { value: i + 1 })}
                                            h="row"
                                            w="130px"
                                            borderColor="line"
                                            value={x.id}
                                            onChange={(e) =>
                                                put(i, { id: e.target.value.toLowerCase().replace(/[^a-z0-9_]/g, '_') })
                                            }
                                        />
                                    </Labelled>
                                    <Text fontSize="text">{WORDS[x.type]}</Text>
                                    {TWO.includes(x.type) && (
                                        <>
                                            <Labelled label={t('from')}>
                                                <Select
                                                    label={t('{{id}} from', { id: x.id })}
                                                    value={x.a}
                                                    options={names.map((n) => [n, n])}
                                                    onChange={(a) => put(i, { a })}
                                                />
                                            </Labelled>
                                            <Labelled label={t('to')}>
                                                <Select
                                                    label={t('{{id}} to', { id: x.id })}
                                                    value={x.b}
                                                    options={names.map((n) => [n, n])}
                                                    onChange={(b) => put(i, { b })}
                                                />
                                            </Labelled>
                                        </>
                                    )}
                                    {['contact', 'passage'].includes(x.type) && (
                                        <Labelled label={t('driven by')}>
                                            <Select
                                                label={t('{{id}} is driven by', { id: x.id })}
                                                value={x.follows}
                                                options={[
                                                    ['', x.type === 'passage' ? 'nothing' : 'choose…'],
                                                    ...drivers.flatMap((d): [string, string][] =>
                                                        d.type === 'control'
                                                            ? (
                                                                  tables.find((t) => t.name === d.table)?.outputs ?? []
                                                              ).map((o) => [`${d.id}/out.${o}`, `${d.id}: ${o}`])
                                                            : [[d.id, d.id]],
                                                    ),
                                                ]}
                                                onChange={(follows) => put(i, { follows })}
                                            />
                                        </Labelled>
                                    )}
                                    <Box flex="1" />
                                    <Word onClick={() => setInner((all) => all.filter((_, j) => j !== i))}>
                                        {t('Remove')}
                                    </Word>
                                </HStack>
                                <HStack gap="2" wrap="wrap" mt="1">
                                    {Object.entries(x.figures).map(([key, value]) => (
                                        <Labelled key={key} label={key.replaceAll('_', ' ')}>
                                            <Input
                                                aria-label={`${x.id} ${key.replaceAll('_', ' ')}`}
                                                h="row"
                                                w="110px"
                                                borderColor="line"
                                                value={value}
                                                onChange={(e) =>
                                                    put(i, { figures: { ...x.figures, [key]: e.target.value } })
                                                }
                                            />
                                        </Labelled>
                                    ))}
                                </HStack>
                                {x.type === 'control' && (
                                    <Stack gap="1" mt="1">
                                        <Select
                                            label={t('Table of {{id}}', { id: x.id })}
                                            value={x.table}
                                            options={tables.map((t) => [t.name, t.title])}
                                            onChange={(table) =>
                                                put(i, { table, inputs: inputsOf(tables, table, names) })
                                            }
                                        />
                                        <Text fontSize="note" color="faint">
                                            {t('Each input is volts between two of its terminals: on at 14, off at 8.')}
                                        </Text>
                                        {Object.entries(x.inputs).map(([input, [a, b]]) => (
                                            <HStack key={input} gap="2">
                                                <Text fontSize="text" w="110px">
                                                    {input}
                                                </Text>
                                                <Box w="120px">
                                                    <Select
                                                        label={t('{{input}} from', { input })}
                                                        value={a}
                                                        options={names.map((n) => [n, n])}
                                                        onChange={(v) =>
                                                            put(i, { inputs: { ...x.inputs, [input]: [v, b] } })
                                                        }
                                                    />
                                                </Box>
                                                <Box w="120px">
                                                    <Select
                                                        label={t('{{input}} to', { input })}
                                                        value={b}
                                                        options={names.map((n) => [n, n])}
                                                        onChange={(v) =>
                                                            put(i, { inputs: { ...x.inputs, [input]: [a, v] } })
                                                        }
                                                    />
                                                </Box>
                                            </HStack>
                                        ))}
                                    </Stack>
                                )}
                            </Box>
                        ))}
                        <HStack gap="1" wrap="wrap" mt="2" role="group" aria-label={t('Put in')}>
                            {types.map((type) => (
                                <Word
                                    key={type}
                                    onClick={() =>
                                        setInner((all) => [
                                            ...all,
                                            {
                                                id: free(type, all),
                                                type,
                                                a: names[0] ?? '',
                                                b: names[1] ?? '',
                                                follows: '',
                                                figures: FIGURES[type] ?? {},
                                                table: tables[0]?.name ?? '',
                                                inputs:
                                                    type === 'control'
                                                        ? inputsOf(tables, tables[0]?.name ?? '', names)
                                                        : {},
                                            },
                                        ])
                                    }
                                >
                                    + {type}
                                </Word>
                            ))}
                        </HStack>
                    </Box>
                    {error && (
                        <Text role="alert" color="danger">
                            {error}
                        </Text>
                    )}
                    {done && (
                        <Text role="status" color="good">
                            {done}
                        </Text>
                    )}
                    <MainButton disabled={title.trim() === ''} onClick={() => void keep()}>
                        {t('Save to catalog')}
                    </MainButton>
                </Stack>
                <KeptKinds kinds={kinds} courses={courses} />
            </Grid>
        </Frame>
    )
}

function Labelled({ label, children }: { label: string; children: React.ReactNode }) {
    return (
        <Box>
            <Text fontSize="note">{label}</Text>
            {children}
        </Box>
    )
}
