import { Box } from '@chakra-ui/react'
import { t } from '@/words'

const WIDE = 120
const HIGH = 44

/** How many suspects were left on arrival and after each act, as a falling line; logarithmic, since acts halve them. */
export function Curve({ left }: { left: number[] }) {
    if (left.length < 2) return null
    const most = Math.log2(Math.max(2, left[0]!))
    const points = left.map((n, i) => {
        const x = (i / (left.length - 1)) * (WIDE - 6) + 3
        const y = HIGH - 4 - (Math.log2(Math.max(1, n)) / most) * (HIGH - 8)
        return `${x.toFixed(1)},${y.toFixed(1)}`
    })
    return (
        <Box asChild color="copper" flexShrink={0}>
            <svg
                width={WIDE}
                height={HIGH}
                role="img"
                aria-label={t('Suspects left: from {{first}} to {{last}}', { first: left[0], last: left.at(-1) })}
            >
                <path d={`M3 ${HIGH - 4}H${WIDE - 3}`} stroke="currentColor" opacity={0.35} />
                <polyline
                    points={points.join(' ')}
                    fill="none"
                    stroke="currentColor"
                    strokeWidth={3}
                    strokeLinejoin="round"
                />
            </svg>
        </Box>
    )
}
