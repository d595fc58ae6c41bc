import { Box, Heading, HStack, Text } from '@chakra-ui/react'
import { useState } from 'react'
import { useTold } from '@/lib/query'
import { Select } from '@/shell/Select'
import { Doings } from './Doings'
import { Field, figure } from './Field'
import { Word } from './Word'
import type { Draft, Edit, RunTape, Visit } from './types'
import { t } from '@/words'

interface Props {
    id: number
    draft: Draft
    edit: (...edits: Edit[]) => Promise<boolean>
}

/** How it is found: what people do before, when the fault appears and is noticed, and what makes somebody ring. */
export function Visits({ id, draft, edit }: Props) {
    const [name, setName] = useState('')
    return (
        <Box borderTopWidth="1px" borderColor="line" pt="2" as="section" aria-label={t('Visits')}>
            <Heading as="h2" size="md">
                {t('Visits')}
            </Heading>
            {Object.entries(draft.document.visits).map(([visit, v]) => (
                <OneVisit key={visit} id={id} visit={visit} v={v} draft={draft} edit={edit} />
            ))}
            <HStack gap="2" align="flex-end" mt="2">
                <Field label={t('A new visit, in a word')} w="200px" value={name} onSet={setName} />
                <Word
                    disabled={!/^[a-z][a-z0-9-]*$/.test(name) || name in draft.document.visits}
                    onClick={() => {
                        void edit({
                            do: 'set',
                            path: `/visits/${name}`,
                            value: {
                                title: `Found ${name}`,
                                appears_s: 600,
                                notices_s: 3600,
                                household: [],
                                arrives: { after_s: 60 },
                            },
                        })
                        setName('')
                    }}
                >
                    {t('Add it')}
                </Word>
            </HStack>
        </Box>
    )
}

function OneVisit({ id, visit, v, draft, edit }: Props & { visit: string; v: Visit }) {
    const set = (path: string, value: unknown) =>
        void edit({ do: 'set', path: `/visits/${visit}/${path}`, value: value as string })
    return (
        <Box as="section" aria-label={t('Visit {{visit}}', { visit })} mt="2">
            <Field label={t('Visit {{visit}}', { visit })} value={v.title} onSet={(title) => set('title', title)} />
            <HStack gap="3" wrap="wrap" align="flex-end">
                {(
                    [
                        ['appears_s', 'The fault appears after', v.appears_s ?? 0],
                        ['notices_s', 'It is noticed after', v.notices_s],
                        ['arrives/after_s', 'Somebody comes after', v.arrives.after_s],
                    ] as const
                ).map(([path, label, value]) => (
                    <Field
                        key={path}
                        label={label}
                        unit="s"
                        number
                        value={value}
                        onSet={(t) => set(path, figure(t) ?? 0)}
                    />
                ))}
                <Word
                    disabled={Object.keys(draft.document.visits).length < 2}
                    onClick={() => void edit({ do: 'set', path: `/visits/${visit}`, value: null })}
                >
                    {t('Remove this visit')}
                </Word>
            </HStack>
            <Ringing id={id} visit={visit} v={v} draft={draft} edit={edit} />
            <Doings v={v} draft={draft} set={set} />
        </Box>
    )
}

/** What makes somebody ring: a time alone, or something that is no longer as it should be. */
function Ringing({ id, visit, v, draft, edit }: Props & { visit: string; v: Visit }) {
    const run = useTold<RunTape>(`/drafts/${id}/run?visit=${encodeURIComponent(visit)}`, {
        of: draft.step,
        keep: true,
    })
    const unlike = Object.entries((v.arrives.unlike ?? {}) as Record<string, string>)[0]
    const seen = (channel: string) => [
        ...new Set((run.data?.perceived[channel] ?? []).map((p) => p.value).filter((c) => c !== '')),
    ]
    const channels = draft.board.lanes.filter((l) => l.channel === unlike?.[0] || seen(l.channel).length > 0)
    const put = (channel: string, value: string | undefined) =>
        void edit({
            do: 'set',
            path: `/visits/${visit}/arrives`,
            value:
                channel === '' || value === undefined
                    ? { after_s: v.arrives.after_s }
                    : {
                          after_s: v.arrives.after_s,
                          unlike: { [channel]: value },
                          at_most_s: v.arrives.at_most_s ?? 5400,
                      },
        })
    const values = unlike ? [...new Set([unlike[1], ...seen(unlike[0])])] : []
    return (
        <HStack gap="2" wrap="wrap" align="flex-end" mt="1">
            <Box>
                <Text fontSize="note">{t('Counted from')}</Text>
                <Select
                    label={t('What makes somebody ring, {{visit}}', { visit })}
                    value={unlike?.[0] ?? ''}
                    options={[
                        ['', 'the last that happened'],
                        ...channels.map((l): [string, string] => [l.channel, `a change: ${l.name}`]),
                    ]}
                    onChange={(channel) => put(channel, seen(channel)[0])}
                />
            </Box>
            {unlike && (
                <>
                    <Box>
                        <Text fontSize="note">{t('when it is no longer')}</Text>
                        <Select
                            label={t('As it should be, {{visit}}', { visit })}
                            value={unlike[1]}
                            options={values.map((x): [string, string] => [x, x])}
                            onChange={(value) => put(unlike[0], value)}
                        />
                    </Box>
                    <Field
                        label={t('or at the latest after')}
                        unit="s"
                        number
                        value={Number(v.arrives.at_most_s ?? 0)}
                        onSet={(t) =>
                            void edit({
                                do: 'set',
                                path: `/visits/${visit}/arrives/at_most_s`,
                                value: figure(t) ?? 0,
                            })
                        }
                    />
                </>
            )}
        </HStack>
    )
}
