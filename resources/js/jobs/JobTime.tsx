import { HStack, Stack, Text } from '@chakra-ui/react'
import { router, usePage } from '@inertiajs/react'
import { useState } from 'react'
import type { JobInFull } from '@/lib/types'
import { ToolButton } from '@/theme/buttons'
import { t } from '@/words'
import { forField, fromField, timeOf } from './moments'
import { TimeFields } from './TimeFields'

/** When a job is open, and how that is changed. */
export function JobTime({ job }: { job: JobInFull }) {
    const errors = usePage().props.errors as Partial<Record<string, string>>
    const [open, setOpen] = useState(false)
    const [value, setValue] = useState({
        opens: forField(job.opens_at),
        closes: forField(job.closes_at),
        minutes: job.minutes === null ? '' : String(job.minutes),
    })
    const [now] = useState(() => Date.now())
    const says = timeOf(job, now)
    const save = (moments: { opens_at: string | null; closes_at: string | null }) =>
        router.post(
            `/jobs/${job.id}/window`,
            { ...moments, minutes: value.minutes === '' ? null : Number(value.minutes) },
            { onSuccess: () => setOpen(false) },
        )
    return (
        <Stack layerStyle="panel" p="3" gap="2" as="section" aria-label={t('Time of this job')}>
            <HStack wrap="wrap">
                <Text flex="1">
                    {says.length === 0 ? t('Open at any time, for as long as it takes.') : says.join(' · ')}
                </Text>
                <ToolButton onClick={() => setOpen(!open)}>{t('Change the time')}</ToolButton>
                <ToolButton
                    onClick={() => save({ opens_at: job.opens_at, closes_at: new Date().toISOString() })}
                    disabled={job.closes_at !== null && Date.parse(job.closes_at) <= now}
                >
                    {t('Close it now')}
                </ToolButton>
            </HStack>
            {open && (
                <>
                    <TimeFields value={value} errors={errors} onChange={setValue} />
                    <ToolButton
                        alignSelf="flex-start"
                        onClick={() => save({ opens_at: fromField(value.opens), closes_at: fromField(value.closes) })}
                    >
                        {t('Keep this time')}
                    </ToolButton>
                </>
            )}
        </Stack>
    )
}
