import { Box, HStack, Input, Stack, Text, Textarea } from '@chakra-ui/react'
import { useForm } from '@inertiajs/react'
import { useState } from 'react'
import type { MarkLine } from './types'
import { MainButton, ToolButton } from '@/theme/buttons'
import { t } from '@/words'

/** A line of the mark with why, and what an instructor set otherwise. */
export function LineRow({
    attempt,
    line,
    judges,
    onEntry,
}: {
    attempt: number
    line: MarkLine
    judges: boolean
    onEntry: (entry: number) => void
}) {
    const [open, setOpen] = useState(false)
    return (
        <Box>
            <HStack justify="space-between">
                <Text fontWeight={700}>{line.title}</Text>
                <HStack>
                    <Text className="reading">
                        {line.points.toFixed(1)} / {line.weight}
                    </Text>
                    {judges && (
                        <ToolButton
                            size="xs"
                            h="32px"
                            minW="touch"
                            aria-expanded={open}
                            aria-label={t('Change the mark of {{title}}', { title: line.title })}
                            onClick={() => setOpen(!open)}
                        >
                            {t('Set')}
                        </ToolButton>
                    )}
                </HStack>
            </HStack>
            <Box h="5px" bg="ground" borderRadius="full">
                <Box
                    h="5px"
                    w={`${100 * line.share}%`}
                    bg={line.share >= 0.7 ? 'good' : 'copper'}
                    borderRadius="full"
                />
            </Box>
            {line.override && (
                <Text fontSize="note" mt="0.5">
                    <b>{t('Set by {{by}}:', { by: line.override.by })}</b> {line.override.reason}{' '}
                    <span className="reading">
                        {t('(computed: {{computed}})', { computed: line.override.computed.toFixed(1) })}
                    </span>
                </Text>
            )}
            {line.why.map((w, i) => (
                <Text key={i} fontSize="note" color="faint" mt="0.5">
                    {w.text}
                    {w.entry !== null && (
                        <Box
                            as="button"
                            color="copper"
                            textDecoration="underline"
                            ml="1"
                            onClick={() => onEntry(w.entry!)}
                            aria-label={t('Show entry {{value}}', { value: w.entry + 1 })}
                        >
                            {t('entry')} {w.entry + 1}
                        </Box>
                    )}
                </Text>
            ))}
            {open && <Override attempt={attempt} line={line} onDone={() => setOpen(false)} />}
        </Box>
    )
}

/** A line set otherwise: how many points, and why; what was said before stays beside it. */
function Override({ attempt, line, onDone }: { attempt: number; line: MarkLine; onDone: () => void }) {
    const form = useForm<{ line: string; points: string; reason: string }>({
        line: line.id,
        points: line.points.toFixed(1),
        reason: '',
    })
    const save = (points: string | null) => {
        form.transform((d) => ({ ...d, points: points === null ? null : points }))
        form.post(`/attempts/${attempt}/overrides`, { preserveScroll: true, preserveState: true, onSuccess: onDone })
    }
    return (
        <Stack
            gap="1"
            bg="ground"
            borderRadius="sm"
            p="2"
            mt="1"
            as="form"
            onSubmit={(e) => {
                e.preventDefault()
                save(form.data.points)
            }}
        >
            <HStack>
                <Input
                    aria-label={t('Points for {{title}}', { title: line.title })}
                    className="reading"
                    w="90px"
                    h="touch"
                    bg="sheet"
                    borderColor="line"
                    inputMode="decimal"
                    value={form.data.points}
                    onChange={(e) => form.setData('points', e.target.value)}
                />
                <Text fontSize="text">{t('of {{weight}} points', { weight: line.weight })}</Text>
            </HStack>
            <Textarea
                aria-label={t('Why')}
                placeholder={t('Why: it is kept beside the mark')}
                rows={2}
                bg="sheet"
                borderColor="line"
                value={form.data.reason}
                onChange={(e) => form.setData('reason', e.target.value)}
            />
            {Object.values(form.errors).map((e) => (
                <Text key={e} color="danger" fontSize="text" role="alert">
                    {e}
                </Text>
            ))}
            <HStack>
                <MainButton type="submit" disabled={form.processing}>
                    {t('Keep')}
                </MainButton>
                {line.override && (
                    <ToolButton onClick={() => save(null)} disabled={form.processing}>
                        {t('Back to the computed mark')}
                    </ToolButton>
                )}
            </HStack>
            {line.history?.map((h, i) => (
                <Text key={i} fontSize="note" color="faint">
                    {h.at?.slice(0, 10)} {h.by}:{' '}
                    {h.points === null
                        ? t('back to the computed mark')
                        : t('{{points}} points', { points: h.points.toFixed(1) })}
                    . {h.reason}
                </Text>
            ))}
        </Stack>
    )
}
