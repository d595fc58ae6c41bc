import { memo } from 'react'
import type { Wire } from '@/lib/types'
import { wireColours } from '@/theme/wires'
import { inSight, ownerOf } from './walk'
import { t } from '@/words'
import { Circle, Path } from '@/theme/shapes'

/** A wire as it is led, in its colour; what is lifted stands open at its end. */
const line = (points: [number, number][]) => points.map(([x, y], i) => `${i ? 'L' : 'M'}${x} ${y}`).join('')

/** What wires run in together, unseen: a jacket, a duct, a wrap. */
export const BundlePath = memo(function BundlePath({
    wires,
    cable,
    hidden,
}: {
    wires: Wire[]
    cable: string
    hidden: Set<string>
}) {
    const shown = wires.filter((w) => !hidden.has(ownerOf(w.from)) || !hidden.has(ownerOf(w.to)))
    const runs = [...new Set(shown.map((w) => line(w.points.slice(w.bundled![0], w.bundled![1] + 1))))]
    return (
        <g data-bundle={cable}>
            {runs.map((d) => (
                <Path key={`under ${d}`} d={d} fill="none" stroke="underWire" strokeWidth={13} strokeLinejoin="round" />
            ))}
            {runs.map((d) => (
                <Path key={d} d={d} fill="none" stroke="line" strokeWidth={9} strokeLinecap="round" />
            ))}
            <title>{t('{{many}} wires run hidden', { many: wires.length })}</title>
        </g>
    )
})

export const WirePath = memo(function WirePath({
    wire,
    hidden,
    marked,
    chosen,
    lifted = [],
    onWire,
}: {
    wire: Wire
    hidden: Set<string>
    marked: boolean
    chosen: boolean
    lifted?: string[]
    onWire?: (e: { clientX: number; clientY: number }) => void
}) {
    if (hidden.has(ownerOf(wire.from)) && hidden.has(ownerOf(wire.to))) return null
    const colour = wireColours[wire.colour] ?? wireColours['grey']!
    const d = inSight(wire).map(line).join('')
    return (
        <g>
            <Path
                d={d}
                fill="none"
                stroke={marked ? 'danger' : chosen ? 'copper' : 'underWire'}
                strokeWidth={marked || chosen ? 9 : 5}
                strokeLinejoin="round"
            />
            <path
                d={d}
                data-run={wire.id}
                fill="none"
                stroke={colour.stroke}
                strokeWidth={2.6}
                strokeLinejoin="round"
                strokeDasharray={colour.dash}
            />
            {onWire && (
                <path
                    d={d}
                    fill="none"
                    stroke="transparent"
                    strokeWidth={14}
                    cursor="pointer"
                    data-wire={wire.id}
                    onClick={onWire}
                >
                    <title>
                        {t('{{colour}} {{from}} to {{to}}', { colour: wire.colour, from: wire.from, to: wire.to })}
                    </title>
                </path>
            )}
            {(['a', 'b'] as const).map((end) => {
                const p = end === 'a' ? wire.points[0] : wire.points[wire.points.length - 1]
                return lifted.includes(`${wire.id}.${end}`) && p ? (
                    <Circle
                        key={end}
                        cx={p[0]}
                        cy={p[1]}
                        r={12}
                        fill="none"
                        stroke="danger"
                        strokeWidth={2}
                        strokeDasharray="3 3"
                    />
                ) : null
            })}
        </g>
    )
})
