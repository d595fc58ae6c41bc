import { Box, Text } from '@chakra-ui/react'
import { router } from '@inertiajs/react'
import type { ModelPage } from '@/lib/types'
import { Tick } from '@/shell/Tick'
import { t } from '@/words'

/** The classes whose trainees can practise on a model at will. */
export function FreeBenches({ model, courses, free }: { model: number } & Pick<ModelPage, 'courses' | 'free'>) {
    if (courses.length === 0) return null
    return (
        <Box layerStyle="panel" p="3" as="section" aria-label={t('Free bench')}>
            <Text fontSize="text" fontWeight={700}>
                {t('Free bench')}
            </Text>
            <Text fontSize="note" color="faint">
                {t('Trainees can practice on it any time, healthy or with a random fault. Only they see the mark.')}
            </Text>
            {courses.map((c) => (
                <Tick
                    key={c.id}
                    checked={free.includes(c.id)}
                    onChange={(open) =>
                        router.post(
                            `/models/${model}/free`,
                            { course: c.id, open },
                            { preserveScroll: true, preserveState: true },
                        )
                    }
                >
                    {t('open to {{name}}', { name: c.name })}
                </Tick>
            ))}
        </Box>
    )
}
