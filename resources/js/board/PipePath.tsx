import { memo } from 'react'
import type { Pipe } from '@/lib/types'
import { media } from '@/theme/media'
import { t } from '@/words'
import { Path } from '@/theme/shapes'

/** A pipe, a duct, a hose or a seat, as broad as what flows in it; it lies behind the parts and the wires. */
export const PipePath = memo(function PipePath({
    pipe,
    chosen,
    onPipe,
}: {
    pipe: Pipe
    chosen: boolean
    onPipe?: (id: string) => void
}) {
    const look = media[pipe.medium] ?? media['water']!
    const d = pipe.points.map(([x, y], i) => `${i ? 'L' : 'M'}${x} ${y}`).join('')
    return (
        <g>
            {chosen && (
                <Path
                    d={d}
                    fill="none"
                    stroke="copper"
                    strokeWidth={look.width + 8}
                    strokeLinejoin="round"
                    opacity={0.6}
                />
            )}
            <path
                d={d}
                fill="none"
                stroke={look.stroke}
                strokeWidth={look.width}
                strokeLinejoin="round"
                strokeDasharray={look.dash}
                opacity={0.55}
            />
            {onPipe && (
                <path
                    d={d}
                    fill="none"
                    stroke="transparent"
                    strokeWidth={Math.max(14, look.width)}
                    cursor="pointer"
                    data-pipe={pipe.id}
                    onClick={() => onPipe(pipe.id)}
                >
                    <title>
                        {t('{{title}} {{from}} to {{to}}', { title: look.title, from: pipe.from, to: pipe.to })}
                    </title>
                </path>
            )}
        </g>
    )
})
