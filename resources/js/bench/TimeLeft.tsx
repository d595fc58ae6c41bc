import { Text } from '@chakra-ui/react'
import { router } from '@inertiajs/react'
import { useEffect, useState } from 'react'
import { t } from '@/words'

/** Minutes that are left, below which they are told in red. */
const SHORT = 5

/** Seconds past the end after which the page asks: by then it is over for the server too. */
const LATE_S = 2

/**
 * How long there is still for this job, counted down from what the server said: clocks of devices differ. When it is
 * over the call is closed, and the debrief opens.
 */
export function TimeLeft({ seconds }: { seconds: number }) {
    const [gone, setGone] = useState(0)
    useEffect(() => {
        const begun = performance.now()
        const again = setInterval(() => setGone((performance.now() - begun) / 1000), 1000)
        return () => clearInterval(again)
    }, [seconds])
    const isOver = gone > seconds + LATE_S
    useEffect(() => {
        if (isOver) router.visit(window.location.pathname, { replace: true })
    }, [isOver])
    const left = Math.max(0, Math.ceil((seconds - gone) / 60))
    return (
        <Text role="timer" fontSize="text" flexShrink={0} color={left <= SHORT ? 'danger' : 'faint'}>
            {t('{{left}} min left', { left })}
        </Text>
    )
}
