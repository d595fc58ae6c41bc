import { Box, Stack, Text, Textarea } from '@chakra-ui/react'
import { router, useForm } from '@inertiajs/react'
import { useState, type FormEvent } from 'react'
import type { DebriefPage } from '@/lib/types'
import { MainButton, ToolButton } from '@/theme/buttons'
import { t } from '@/words'

/** A mark that was contested: the reason, and both marks once the second is made. */
export function Contested({ attempt, contest }: { attempt: number; contest: NonNullable<DebriefPage['contest']> }) {
    return (
        <Box bg="copperWash" borderRadius="sm" p="2" as="section" aria-label={t('Contested')}>
            <Text fontWeight={700}>{t('This mark was contested')}</Text>
            <Text>“{contest.reason}”</Text>
            {contest.second !== null && contest.first !== null && (
                <Text>
                    {t('First mark {{first}}, second mark {{second}}. The second one counts; both are kept.', {
                        first: contest.first.toFixed(1),
                        second: contest.second.toFixed(1),
                    })}
                </Text>
            )}
            {contest.open && !contest.marks && <Text>{t('Waiting for a second marker.')}</Text>}
            {contest.marks && (
                <Stack gap="2" mt="1" align="start">
                    <Text>
                        {t('You are the second marker. You see the computed mark, not the first marker’s changes.')}
                    </Text>
                    <MainButton size="sm" onClick={() => router.post(`/attempts/${attempt}/contest/finish`)}>
                        {t('Finish my marking')}
                    </MainButton>
                </Stack>
            )}
        </Box>
    )
}

/** To contest a mark, with a reason. */
export function ContestMark({ attempt }: { attempt: number }) {
    const [open, setOpen] = useState(false)
    const form = useForm({ reason: '' })
    const submit = (e: FormEvent) => {
        e.preventDefault()
        form.post(`/attempts/${attempt}/contest`, { onSuccess: () => setOpen(false) })
    }
    if (!open)
        return (
            <ToolButton size="sm" alignSelf="flex-start" onClick={() => setOpen(true)}>
                {t('Contest this mark')}
            </ToolButton>
        )
    return (
        <Stack as="form" gap="2" onSubmit={submit}>
            <Textarea
                aria-label={t('What should be marked otherwise, and why')}
                placeholder={t('What should be marked otherwise, and why')}
                rows={3}
                borderColor="line"
                value={form.data.reason}
                onChange={(e) => form.setData('reason', e.target.value)}
            />
            {form.errors.reason && (
                <Text role="alert" color="danger">
                    {form.errors.reason}
                </Text>
            )}
            <MainButton type="submit" size="sm" alignSelf="flex-start" disabled={form.processing}>
                {t('Ask for a second marking')}
            </MainButton>
        </Stack>
    )
}
