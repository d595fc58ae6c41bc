import { Text } from '@chakra-ui/react'
import { router } from '@inertiajs/react'
import { useEffect, useState } from 'react'
import { t } from '@/words'

/** Minutes that are left, below which they are told in red. */
const SHORT = 5

/** How long there is still for this job; when it is over the call is closed, and the debrief opens. */
export function TimeLeft({ endsAt }: { endsAt: string }) {
    const ends = Date.parse(endsAt)
    const [now, setNow] = useState(() => Date.now())
    useEffect(() => {
        const again = setInterval(() => setNow(Date.now()), 1000)
        return () => clearInterval(again)
    }, [])
    const isOver = now > ends
    useEffect(() => {
        if (isOver) router.visit(window.location.pathname, { replace: true })
    }, [isOver])
    const left = Math.max(0, Math.ceil((ends - now) / 60_000))
    return (
        <Text role="timer" fontSize="text" flexShrink={0} color={left <= SHORT ? 'danger' : 'faint'}>
            {t('{{left}} min left', { left })}
        </Text>
    )
}
