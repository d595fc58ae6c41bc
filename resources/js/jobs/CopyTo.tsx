import { router } from '@inertiajs/react'
import type { SharingCourse } from '@/lib/types'
import { Select } from '@/shell/Select'
import { t } from '@/words'

/** The same job given to a class again: as it is frozen, drawn and seeded anew. */
export function CopyTo({ job, classes }: { job: number; classes: SharingCourse[] }) {
    return (
        <Select
            w="190px"
            label={t('Give a copy to a class')}
            value=""
            options={[['', t('Give a copy to…')], ...classes.map((c): [string, string] => [String(c.id), c.name])]}
            onChange={(v) => {
                if (v !== '') router.post(`/jobs/${job}/copy`, { course: Number(v) })
            }}
        />
    )
}
