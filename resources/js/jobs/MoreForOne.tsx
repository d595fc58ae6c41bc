import { router } from '@inertiajs/react'
import type { TraineeRow } from '@/lib/types'
import { ToolButton } from '@/theme/buttons'
import { t } from '@/words'

/** Minutes that a press gives to one person. */
const MORE = 15

/** More time for one person, or the job once more. */
export function MoreForOne({ job, row }: { job: number; row: TraineeRow }) {
    if (row.id === undefined) return null
    const extra = row.extra_minutes ?? 0
    return (
        <>
            <ToolButton
                size="sm"
                px="2"
                aria-label={t('{{minutes}} more minutes for {{name}}', { minutes: MORE, name: row.name })}
                onClick={() => router.post(`/jobs/${job}/trainees/${row.id}/extra`, { minutes: extra + MORE })}
            >
                {extra > 0 ? t('+{{extra}} min', { extra }) : t('+ min')}
            </ToolButton>
            {row.attempt !== null && (
                <ToolButton
                    size="sm"
                    px="2"
                    aria-label={t('Once more for {{name}}', { name: row.name })}
                    onClick={() => {
                        if (
                            window.confirm(
                                t('Give {{name}} this job once more? What was done and its mark are kept aside.', {
                                    name: row.name,
                                }),
                            )
                        )
                            router.post(`/jobs/${job}/trainees/${row.id}/again`)
                    }}
                >
                    {t('Once more')}
                </ToolButton>
            )}
        </>
    )
}
