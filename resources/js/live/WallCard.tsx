import { Box, HStack, Stack, Text } from '@chakra-ui/react'
import { Link, router } from '@inertiajs/react'
import { useState, type FormEvent, type ReactNode } from 'react'
import { useSent } from '@/lib/query'
import type { Ended, HandState, Said, TaskState } from '@/lib/types'
import { DoorField } from '@/people/Door'
import { ToolButton } from '@/theme/buttons'
import { t } from '@/words'
import { Curve } from './Curve'
import { stuck, type Row } from './wall'

/** One at the bench: in large letters what he is at; and what his instructor can do about it. */
export function WallCard({ row, now, mayAct }: { row: Row; now: number; mayAct: boolean }) {
    const [talks, setTalks] = useState(false)
    const needs = stuck(row, now)
    return (
        <Stack
            as="article"
            aria-label={row.name}
            layerStyle="panel"
            p="3"
            gap="1"
            bg={row.done ? 'ground' : 'sheet'}
            borderWidth={row.hand_s !== null || row.unsafe ? '3px' : '1px'}
            borderColor={row.unsafe ? 'danger' : row.hand_s !== null ? 'copper' : 'line'}
            data-attempt={row.attempt}
        >
            <HStack justify="space-between" align="start">
                <Box minW="0">
                    <Text fontSize="28px" fontWeight={700} lineHeight={1.1} truncate>
                        {row.name}
                    </Text>
                    <Text fontSize="16px" color="faint" truncate>
                        {row.exam ? t('Examination: {{job}}', { job: row.job }) : row.job}
                    </Text>
                </Box>
                <Box textAlign="right">
                    <Curve left={row.curve} />
                    {row.curve.length > 0 && (
                        <Text fontSize="16px">{t('{{many}} suspects', { many: row.curve.at(-1) })}</Text>
                    )}
                </Box>
            </HStack>
            <HStack gap="2" wrap="wrap">
                {row.hand_s !== null && <Flag tone="copper">● {t('hand up')}</Flag>}
                {row.stopped && !row.done && <Flag tone="ink">■ {t('stopped')}</Flag>}
                {needs && 'minutes' in needs && (
                    <Flag tone="copper">{t('nothing done for {{minutes}} min', needs)}</Flag>
                )}
                {needs && 'acts' in needs && <Flag tone="copper">{t('{{acts}} acts ruled nothing out', needs)}</Flag>}
                {row.left_page > 0 && (
                    <Flag tone="ink">{t('left the page {{many}} times', { many: row.left_page })}</Flag>
                )}
                {row.done && <Flag tone="good">✓ {t('call closed')}</Flag>}
            </HStack>
            {row.unsafe && (
                <Text color="danger" fontSize="18px" fontWeight={700}>
                    ▲ {row.unsafe}
                </Text>
            )}
            <Text fontSize="20px" lineHeight={1.25} lineClamp={3} data-testid="last">
                {row.last ?? t('Has just come in.')}
            </Text>
            <Text fontSize="note" color="faint">
                {t('{{entries}} acts', { entries: row.entries })}
            </Text>
            {mayAct && !row.done && (
                <HStack gap="1" wrap="wrap">
                    <ToolButton size="sm" aria-expanded={talks} onClick={() => setTalks(!talks)}>
                        {t('Talk')}
                    </ToolButton>
                    {row.at_bench && (
                        <ToolButton size="sm" asChild>
                            <Link href={`/attempts/${row.attempt}/look`}>{t('Look')}</Link>
                        </ToolButton>
                    )}
                    <End row={row} />
                </HStack>
            )}
            {row.done && (
                <Link href={`/attempts/${row.attempt}/debrief`}>
                    <Text color="copper" textDecoration="underline">
                        {t('Debrief')}
                    </Text>
                </Link>
            )}
            {talks && <Talk row={row} onDone={() => setTalks(false)} />}
        </Stack>
    )
}

function Flag({ tone, children }: { tone: string; children: ReactNode }) {
    return (
        <Text fontSize="16px" fontWeight={700} color={tone}>
            {children}
        </Text>
    )
}

function End({ row }: { row: Row }) {
    const end = useSent<Ended>(`/attempts/${row.attempt}/end`, { onDone: () => router.reload({ only: ['rows'] }) })
    return (
        <ToolButton
            size="sm"
            aria-label={t('End the call of {{name}}', { name: row.name })}
            onClick={() => {
                if (window.confirm(t('End {{name}}’s call now? The work so far will be marked.', { name: row.name })))
                    end.mutate()
            }}
        >
            {t('End')}
        </ToolButton>
    )
}

function Talk({ row, onDone }: { row: Row; onDone: () => void }) {
    const [text, setText] = useState('')
    const say = useSent<Said, { text: string }>(`/attempts/${row.attempt}/said`, {
        onDone: () => {
            setText('')
            onDone()
        },
    })
    const hint = useSent<TaskState, { grade: string }>(`/attempts/${row.attempt}/hint`, { onDone })
    const hand = useSent<HandState, { up: boolean }>(`/attempts/${row.attempt}/hand`)
    const submit = (e: FormEvent) => {
        e.preventDefault()
        say.mutate({ text })
    }
    const error = (say.error ?? hint.error)?.message
    return (
        <Stack as="form" gap="2" onSubmit={submit}>
            <DoorField label={t('Say to {{name}}', { name: row.name })} value={text} error={error} onChange={setText} />
            <HStack gap="1" wrap="wrap">
                <ToolButton size="sm" type="submit" disabled={text.trim() === '' || say.isPending}>
                    {t('Say it')}
                </ToolButton>
                {row.at_bench && (
                    <>
                        <ToolButton size="sm" onClick={() => hint.mutate({ grade: 'where' })} disabled={hint.isPending}>
                            {t('Hint: where')}
                        </ToolButton>
                        <ToolButton
                            size="sm"
                            onClick={() => hint.mutate({ grade: 'reading' })}
                            disabled={hint.isPending}
                        >
                            {t('Hint: which reading')}
                        </ToolButton>
                    </>
                )}
                {row.hand_s !== null && (
                    <ToolButton size="sm" onClick={() => hand.mutate({ up: false })}>
                        {t('Lower the hand')}
                    </ToolButton>
                )}
            </HStack>
        </Stack>
    )
}
