import { Box, Button, Heading, HStack, Input, Stack, Text } from '@chakra-ui/react'
import { Link } from '@inertiajs/react'
import { useState } from 'react'
import { placeName, wireName } from '@/board/walk'
import { useSent } from '@/lib/query'
import { search } from '@/search/search'

import { figure } from './Field'
import { ComesAndGoes } from './ComesAndGoes'
import { Word } from './Word'
import type { Draft, Edit } from './types'
import { MainButton, ToolButton } from '@/theme/buttons'
import { t } from '@/words'

interface Props {
    draft: Draft
    id: number
    picked: string | null
    faults: { id: string; title: string; weight: number }[] | null
    onFaults: () => void
    edit: (...edits: Edit[]) => Promise<boolean>
    place: string | null
    wire: string | null
}

/**
 * What can be wrong with it: how likely, several at once, what somebody left behind, and what the drawing has wrong.
 * Then to a job.
 */
export function TroubleSet({ draft, id, picked, faults, onFaults, edit, place, wire }: Props) {
    const [words, setWords] = useState('')
    const [both, setBoth] = useState<string[]>([])
    const [from, setFrom] = useState<string | null>(null)
    const [tag, setTag] = useState('')
    const [published, setPublished] = useState<number | null>(draft.published)
    const publish = useSent<{ appliance: number }>(`/drafts/${id}/publish`, {
        onDone: (r) => setPublished(r.appliance),
    })
    const error = publish.error?.message ?? null
    const doc = draft.document
    const found = search(
        (faults ?? []).filter((f) => f.id !== 'healthy'),
        words,
        (f) => ({ title: f.title, usual: f.weight }),
    )
    const wires = doc.wires.map((w) => w.id)
    const board = draft.board
    return (
        <Stack
            layerStyle="panel"
            gap="3"
            h="100%"
            overflowY="auto"
            p="3"
            tabIndex={0}
            aria-label={t('Faults of this model')}
        >
            <Box>
                <Heading as="h2" size="md">
                    {t('To a job')}
                </Heading>
                <Text fontSize="text" color="faint">
                    {t(
                        'Among the school’s models it gets its classes of look-alikes, its difficulty, complaints and jobs; and you can try them as a trainee does.',
                    )}
                </Text>
                <HStack gap="2" mt="1">
                    <MainButton disabled={publish.isPending} onClick={() => publish.mutate()}>
                        {t('Publish')}
                    </MainButton>
                    {published && (
                        <ToolButton asChild>
                            <Link href={`/models/${published}`}>{t('Set a fault, give a job')}</Link>
                        </ToolButton>
                    )}
                </HStack>
                {error && (
                    <Text role="alert" fontSize="text" color="danger">
                        {error}
                    </Text>
                )}
            </Box>
            <Box borderTopWidth="1px" borderColor="line" pt="2">
                <Heading as="h2" size="md">
                    {t('Faults and their weights')}
                </Heading>
                {faults === null ? (
                    <Word onClick={onFaults}>{t('List its faults')}</Word>
                ) : (
                    <>
                        <Input
                            aria-label={t('Find a fault')}
                            placeholder={t('{{value}} faults', { value: faults.length - 1 })}
                            h="row"
                            borderColor="line"
                            value={words}
                            onChange={(e) => setWords(e.target.value)}
                        />
                        <Box maxH="260px" overflowY="auto" tabIndex={0} aria-label={t('Faults')}>
                            {found.slice(0, 60).map((f) => (
                                <HStack key={f.id} gap="2">
                                    <Text fontSize="text" flex="1">
                                        {f.title}
                                    </Text>
                                    <Input
                                        aria-label={t('Weight of {{title}}', { title: f.title })}
                                        h="tight"
                                        w="72px"
                                        px="2"
                                        borderColor="line"
                                        inputMode="decimal"
                                        defaultValue={doc.weights?.[f.id] ?? Number(f.weight.toPrecision(3))}
                                        onBlur={(e) => {
                                            const v = figure(e.target.value)
                                            if (v !== (doc.weights?.[f.id] ?? Number(f.weight.toPrecision(3))))
                                                void edit({
                                                    do: 'set',
                                                    path: `/weights/${f.id.replaceAll('~', '~0').replaceAll('/', '~1')}`,
                                                    value: v,
                                                })
                                        }}
                                    />
                                    <Button
                                        h="tight"
                                        variant="outline"
                                        color="ink"
                                        borderColor={both.includes(f.id) ? 'copper' : 'line'}
                                        fontSize="note"
                                        aria-label={t('With others: {{title}}', { title: f.title })}
                                        aria-pressed={both.includes(f.id)}
                                        onClick={() =>
                                            setBoth((b) =>
                                                b.includes(f.id) ? b.filter((x) => x !== f.id) : [...b, f.id].slice(-4),
                                            )
                                        }
                                    >
                                        {t('with others')}
                                    </Button>
                                </HStack>
                            ))}
                        </Box>
                    </>
                )}
                <ComesAndGoes draft={draft} part={picked} edit={edit} />
                <Word
                    disabled={both.length < 2}
                    onClick={() => {
                        void edit({ do: 'set', path: '/compounds/-', value: { faults: both, weight: 0.2 } })
                        setBoth([])
                    }}
                >
                    {t('These')} {both.length || ''} {t('at once')}
                </Word>
                {(doc.compounds ?? []).map((c, i) => (
                    <HStack key={i}>
                        <Text fontSize="text" flex="1">
                            {c.faults.map((f) => faults?.find((x) => x.id === f)?.title ?? f).join(' and ')}
                        </Text>
                        <Word onClick={() => void edit({ do: 'set', path: `/compounds/${i}`, value: null })}>
                            {t('Remove')}
                        </Word>
                    </HStack>
                ))}
            </Box>
            <Box borderTopWidth="1px" borderColor="line" pt="2">
                <Heading as="h2" size="md">
                    {t('Left behind by others')}
                </Heading>
                <Text fontSize="text" color="faint">
                    {t(
                        'A jumper between two terminals, as one more fault. Press a terminal on the board, then “From here”; another, then “To here”.',
                    )}
                </Text>
                <HStack gap="1" mt="1">
                    <Word disabled={!place} onClick={() => setFrom(place)}>
                        {t('From')} {from ? placeName(board, from) : t('here')}
                    </Word>
                    <Word
                        disabled={!place || !from || place === from}
                        onClick={() => {
                            void edit({
                                do: 'set',
                                path: '/found/-',
                                value: {
                                    part: from!.slice(0, from!.lastIndexOf('.')),
                                    mode: `bridged-${(doc.found?.length ?? 0) + 1}`,
                                    jumper: [from, place],
                                    weight: 0.2,
                                },
                            })
                            setFrom(null)
                        }}
                    >
                        {t('To here')}
                    </Word>
                </HStack>
                {(doc.found ?? []).map((f, i) => (
                    <HStack key={i}>
                        <Text fontSize="text" flex="1">
                            {f.jumper
                                ? t('Jumper {{placeName}} to {{placeName2}}', {
                                      placeName: placeName(board, f.jumper[0]),
                                      placeName2: placeName(board, f.jumper[1]),
                                  })
                                : `${f.part}: ${f.mode}`}
                        </Text>
                        <Word onClick={() => void edit({ do: 'set', path: `/found/${i}`, value: null })}>
                            {t('Remove')}
                        </Word>
                    </HStack>
                ))}
            </Box>
            <Box borderTopWidth="1px" borderColor="line" pt="2">
                <Heading as="h2" size="md">
                    {t('Where the drawing is wrong')}
                </Heading>
                <Text fontSize="text" color="faint">
                    {t(
                        'The appliance is good, but the board, ladder and tags say something else. Pick a wire, then the terminal that its end is really on, or the tag that hangs on it.',
                    )}
                </Text>
                {wire && wires.includes(wire) && (
                    <HStack gap="1" wrap="wrap" mt="1">
                        <Text fontSize="text">{wireName(board, wire)}</Text>
                        <Word
                            disabled={!place}
                            onClick={() =>
                                void edit({ do: 'set', path: '/as_built/-', value: { end: `${wire}.b`, on: place } })
                            }
                        >
                            {t('Its far end is on')} {place ? placeName(board, place) : '…'}
                        </Word>
                        <Input
                            aria-label={t('Tag that hangs on it')}
                            h="row"
                            w="100px"
                            borderColor="line"
                            value={tag}
                            onChange={(e) => setTag(e.target.value)}
                        />
                        <Word
                            disabled={tag === ''}
                            onClick={() => {
                                void edit({ do: 'set', path: '/as_built/-', value: { wire, tag } })
                                setTag('')
                            }}
                        >
                            {t('It is tagged so')}
                        </Word>
                    </HStack>
                )}
                {(doc.as_built ?? []).map((b, i) => (
                    <HStack key={i}>
                        <Text fontSize="text" flex="1">
                            {b.end
                                ? t('{{placeName}} is really on {{placeName2}}', {
                                      placeName: placeName(board, b.end),
                                      placeName2: placeName(board, b.on!),
                                  })
                                : t('{{wireName}} is tagged “{{tag}}”', {
                                      wireName: wireName(board, b.wire!),
                                      tag: b.tag,
                                  })}
                        </Text>
                        <Word onClick={() => void edit({ do: 'set', path: `/as_built/${i}`, value: null })}>
                            {t('Remove')}
                        </Word>
                    </HStack>
                ))}
            </Box>
        </Stack>
    )
}
