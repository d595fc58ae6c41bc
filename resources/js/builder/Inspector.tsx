import { Box, HStack, Stack, Text } from '@chakra-ui/react'
import { Select } from '@/shell/Select'
import { Field, figure } from './Field'
import { WireBox } from './WireBox'
import { Word } from './Word'
import type { Draft, Edit } from './types'
import { isSeat, media } from '@/theme/media'
import { t } from '@/words'

const EDGES = [
    ['left', 'Left edges'],
    ['right', 'Right edges'],
    ['top', 'Upper edges'],
    ['bottom', 'Lower edges'],
    ['centre', 'Middles, in a column'],
    ['middle', 'Middles, in a row'],
] as const

interface Props {
    draft: Draft
    selected: string[]
    wire: string | null
    pipe: string | null
    edit: (...edits: Edit[]) => Promise<boolean>
    onRemove: () => void
    onRoute: () => void
}

/** What is picked on the board: its name, its figures with what is usual, its wire's colour and gauge. */
export function Inspector({ draft, selected, wire, pipe, edit, onRemove, onRoute }: Props) {
    if (wire) return <WireBox draft={draft} wire={wire} edit={edit} onRemove={onRemove} onRoute={onRoute} />
    if (pipe) return <PipeBox draft={draft} pipe={pipe} onRemove={onRemove} />
    if (selected.length > 1) return <Several draft={draft} selected={selected} edit={edit} onRemove={onRemove} />
    const id = selected[0]
    const part = draft.document.parts.find((p) => p.id === id)
    const drawn = draft.board.parts.find((p) => p.id === id)
    if (!drawn || !id)
        return (
            <Text fontSize="text" color="faint">
                {t(
                    'Nothing is picked. Press a part, a wire or a pipe; two terminals to draw a wire, two ports to join a pipe.',
                )}
            </Text>
        )
    const settings = draft.settings[id]
    if (!part)
        return (
            <Text fontSize="text">
                {t('{{label}} is part of an included appliance, which is moved and deleted as a whole.', {
                    label: drawn.label,
                })}
            </Text>
        )
    return (
        <Stack gap="2">
            <Field
                label={t('Label')}
                value={part.label}
                onSet={(label) => void edit({ do: 'label', part: id, label })}
            />
            <Text fontSize="note" color="faint">
                {drawn.title} · {id}
            </Text>
            <Joined draft={draft} part={id} />
            {settings?.links.map((name) => (
                <Link key={name} draft={draft} part={id} name={name} to={settings.linked[name] ?? ''} edit={edit} />
            ))}
            {settings?.params.map((p) =>
                p.choices ? (
                    <Box key={`${p.primitive}.${p.key}`}>
                        <Text fontSize="note">{p.label}</Text>
                        <Select
                            label={p.label}
                            value={String(p.value)}
                            options={p.choices.map((c) => [c, c])}
                            onChange={(value) =>
                                void edit({
                                    do: 'param',
                                    part: id,
                                    primitive: p.primitive,
                                    key: p.key,
                                    value: value === p.usual ? null : value,
                                })
                            }
                        />
                    </Box>
                ) : typeof p.usual === 'boolean' ? null : (
                    <Field
                        key={`${p.primitive}.${p.key}`}
                        label={p.label}
                        value={String(p.value)}
                        unit={p.unit}
                        number={typeof p.usual === 'number'}
                        hint={`usual ${p.usual}${p.least === null || p.most === null ? '' : `, from ${short(p.least)} to ${short(p.most)}`}`}
                        onSet={(text) => {
                            const value = typeof p.usual === 'number' ? figure(text) : text
                            void edit({
                                do: 'param',
                                part: id,
                                primitive: p.primitive,
                                key: p.key,
                                value: value === p.usual ? null : value,
                            })
                        }}
                    />
                ),
            )}
            <HStack gap="1" wrap="wrap">
                <Word
                    on={part.van === true}
                    onClick={() => void edit({ do: 'stock', part: id, in: part.van ? 'appliance' : 'van' })}
                >
                    {t('In the van, to be fitted')}
                </Word>
                <Word onClick={() => void edit({ do: 'copy', parts: [id] })}>{t('Copy')}</Word>
                <Word onClick={onRemove}>{t('Delete')}</Word>
            </HStack>
        </Stack>
    )
}

/** The part's ports, and what each is joined to. */
function Joined({ draft, part }: { draft: Draft; part: string }) {
    const ports = draft.board.parts.find((p) => p.id === part)?.ports ?? []
    if (ports.length === 0) return null
    const pipes = draft.board.pipes ?? []
    return (
        <Box as="ul" listStyleType="none" aria-label={t('Ports')}>
            {ports.map((port) => {
                const ends = pipes.flatMap((p) =>
                    p.from === port.place ? [p.to] : p.to === port.place ? [p.from] : [],
                )
                return (
                    <Text
                        as="li"
                        key={port.place}
                        fontSize="note"
                        color={ends.length ? 'ink' : isSeat(port.medium) ? 'faint' : 'danger'}
                    >
                        <b>{media[port.medium]?.mark}</b> {port.label}:{' '}
                        {ends.length ? ends.map((e) => portName(draft, e)).join('; ') : t('joined to nothing')}
                    </Text>
                )
            })}
        </Box>
    )
}

function portName(draft: Draft, place: string): string {
    const part = draft.board.parts.find((p) => place.startsWith(`${p.id}.`))
    return `${part?.label ?? place}, ${part?.ports?.find((x) => x.place === place)?.label ?? ''}`
}

function PipeBox({ draft, pipe, onRemove }: { draft: Draft; pipe: string; onRemove: () => void }) {
    const p = draft.board.pipes?.find((x) => x.id === pipe)
    if (!p) return null
    return (
        <Stack gap="2">
            <Text fontWeight={700}>{media[p.medium]?.title ?? t('pipe')}</Text>
            <Text fontSize="text">
                {t('{{portName}} to {{portName2}}', {
                    portName: portName(draft, p.from),
                    portName2: portName(draft, p.to),
                })}
            </Text>
            <HStack>
                <Word onClick={onRemove}>{t('Remove')}</Word>
            </HStack>
        </Stack>
    )
}

/** What a kind asks for by name: which heat a limit feels, which flame a rod stands in. */
function Link({
    draft,
    part,
    name,
    to,
    edit,
}: {
    draft: Draft
    part: string
    name: string
    to: string
    edit: Props['edit']
}) {
    const choices = Object.keys(draft.document.process ?? {})
    return (
        <Box>
            <Text fontSize="note">{name}</Text>
            <Select
                label={t('{{name}} of this part', { name })}
                value={to}
                options={[
                    ['', choices.length ? 'not said yet' : 'no process yet'],
                    ...[...new Set([to, ...choices].filter(Boolean))].map((c): [string, string] => [c, c]),
                ]}
                onChange={(value) => value && void edit({ do: 'link', part, name, to: value })}
            />
        </Box>
    )
}

function Several({ draft, selected, edit, onRemove }: Pick<Props, 'draft' | 'selected' | 'edit' | 'onRemove'>) {
    const grouped = draft.document.groups?.some((g) => g.some((p) => selected.includes(p))) ?? false
    return (
        <Stack gap="2">
            <Text fontWeight={700}>{t('{{many}} parts', { many: selected.length })}</Text>
            <Text fontSize="note">{t('Align')}</Text>
            <HStack gap="1" wrap="wrap">
                {EDGES.map(([edge, word]) => (
                    <Word key={edge} onClick={() => void edit({ do: 'align', parts: selected, edge })}>
                        {word}
                    </Word>
                ))}
            </HStack>
            <HStack gap="1" wrap="wrap">
                <Word onClick={() => void edit({ do: 'copy', parts: selected })}>{t('Copy')}</Word>
                <Word onClick={() => void edit({ do: grouped ? 'ungroup' : 'group', parts: selected })}>
                    {grouped ? t('No group any more') : t('Make a group')}
                </Word>
                <Word onClick={onRemove}>{t('Delete')}</Word>
            </HStack>
        </Stack>
    )
}

function short(n: number): string {
    return Math.abs(n) >= 1e5 || (n !== 0 && Math.abs(n) < 0.01) ? n.toExponential(0) : String(Number(n.toPrecision(3)))
}
