import { NativeSelect } from '@chakra-ui/react'
import { router } from '@inertiajs/react'
import type { SharingCourse } from '@/lib/types'
import { t } from '@/words'

/** The same job given to a class again: as it is frozen, drawn and seeded anew. */
export function CopyTo({ job, classes }: { job: number; classes: SharingCourse[] }) {
    return (
        <NativeSelect.Root w="190px">
            <NativeSelect.Field
                aria-label={t('Give a copy to a class')}
                h="touch"
                value=""
                onChange={(e) => {
                    if (e.target.value !== '') router.post(`/jobs/${job}/copy`, { course: Number(e.target.value) })
                }}
            >
                <option value="">{t('Give a copy to…')}</option>
                {classes.map((c) => (
                    <option key={c.id} value={c.id}>
                        {c.name}
                    </option>
                ))}
            </NativeSelect.Field>
            <NativeSelect.Indicator />
        </NativeSelect.Root>
    )
}
