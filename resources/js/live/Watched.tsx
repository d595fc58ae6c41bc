import { HStack, Text } from '@chakra-ui/react'
import { Link, router } from '@inertiajs/react'
import { useCallback, useRef } from 'react'
import { ToolButton } from '@/theme/buttons'
import { t } from '@/words'
import { useLive, type Told } from './useLive'

/** Milliseconds in which what comes in is gathered to one look. */
const GATHERED_MS = 400

/** Whose bench is being looked at, and back to the wall; the bench is brought up to date as he works. */
export function Watched({ attempt, course, name }: { attempt: number; course: number; name: string }) {
    const soon = useRef<ReturnType<typeof setTimeout> | null>(null)
    const onTold = useCallback(
        (told: Told) => {
            if (told.attempt !== attempt) return
            if (told.what === 'ended' || told.done === true) {
                router.visit(`/courses/${course}/wall`)
                return
            }
            soon.current ??= setTimeout(() => {
                soon.current = null
                router.reload()
            }, GATHERED_MS)
        },
        [attempt, course],
    )
    useLive(`/live/wall/${course}`, onTold)
    return (
        <HStack gap="2" flexShrink={0}>
            <Text fontWeight={700} color="copper" role="status">
                {t('The bench of {{name}}; you only look.', { name })}
            </Text>
            <ToolButton size="sm" asChild>
                <Link href={`/courses/${course}/wall`}>{t('Back to the wall')}</Link>
            </ToolButton>
        </HStack>
    )
}
