import { Box, chakra } from '@chakra-ui/react'
import { useEffect, useRef, useState } from 'react'
import type { Channels, Lane, Stretch } from '@/lib/types'
import { clock, scale, standing } from './scale'
import { differences } from './stretches'
import { t } from '@/words'
import { Line, Path, Rect, SvgText } from '@/theme/shapes'

const Svg = chakra('svg')

export interface Mark {
    at: number
    text: string
    reading?: string
    kind: 'reading' | 'look' | 'act' | 'danger'
}

interface Props {
    /** what can be seen or heard of the sequence, in its order: the model says it */
    lanes: Lane[]
    channels: Channels
    marks?: Mark[]
    now: number
    span: number
    height?: number
    /** rows under the percepts, such as the states of a control for the instructor */
    states?: { at: number; title: string }[]
    cursor?: number | null
    onScrub?: (seconds: number) => void
    label?: string
    /** what it is compared with: where the two differ is marked under the bars */
    against?: Channels
}

/** Below this it is a strip: bars without names, stamps upon them. */
const STRIP = 100

const QUIET = new Set(['', 'off'])

/** Room for the names of lanes, at least, and for a letter of them. */
const LANES = 74

const LETTER = 6.2

/** Time, left to right: bars of what could be perceived, and each act stamped where it happened. */
export function Tape({
    lanes,
    channels,
    marks = [],
    now,
    span,
    height = 168,
    states,
    cursor,
    onScrub,
    label = 'Tape',
    against,
}: Props) {
    const box = useRef<HTMLDivElement>(null)
    const [width, setWidth] = useState(1000)
    useEffect(() => {
        const el = box.current
        if (!el || typeof ResizeObserver === 'undefined') return
        const seen = new ResizeObserver(() => setWidth(el.clientWidth))
        seen.observe(el)
        return () => seen.disconnect()
    }, [])
    const left = height < STRIP ? 14 : Math.max(LANES, 14 + LETTER * Math.max(0, ...lanes.map((l) => l.name.length)))
    const s = scale(now, span, left, Math.max(200, width - left - 12))
    const strip = height < STRIP
    const top = strip ? 16 : 22
    const stamps = strip ? 4 : marks.length > 0 ? 34 : 6
    const rows = lanes.length + (states ? 1 : 0)
    const lane = (height - top - stamps) / rows
    const inView = marks.filter((m) => m.at >= s.from)
    const read = inView.filter((m) => m.reading)
    const labelled = new Set(
        standing(
            read.map((m) => ({ x: s.x(m.at), text: m.reading! })),
            6.6,
        ).flatMap((on, i) => (on ? [read[i]] : [])),
    )
    const clip = (from: number, to: number) => ({
        x: s.x(Math.max(from, s.from)),
        w: Math.max(0, s.x(Math.min(to, s.to)) - s.x(Math.max(from, s.from))),
    })

    return (
        <Box layerStyle="panel" ref={box} overflow="hidden">
            <Svg
                width={`${width}px`}
                height={`${height}px`}
                display="block"
                role="img"
                aria-label={t('{{label}}: seconds since the arrival', { label })}
                onClick={
                    onScrub &&
                    ((e) =>
                        onScrub(
                            Math.min(
                                now,
                                Math.max(0, s.seconds(e.clientX - e.currentTarget.getBoundingClientRect().left)),
                            ),
                        ))
                }
                cursor={onScrub ? 'crosshair' : undefined}
            >
                {s.ticks.map((t) => (
                    <g key={t}>
                        <Line x1={s.x(t)} x2={s.x(t)} y1={top - 4} y2={height - stamps} stroke="line" strokeWidth={1} />
                        <SvgText x={s.x(t)} y={top - (strip ? 5 : 8)} fontSize={11} fill="faint" textAnchor="middle">
                            {clock(t)}
                        </SvgText>
                    </g>
                ))}
                {lanes.map((row, i) => {
                    const y = top + i * lane
                    return (
                        <g key={row.channel}>
                            {!strip && (
                                <SvgText x={8} y={y + lane / 2 + 4} fontSize={lane < 13 ? 11 : 12} fill="ink">
                                    {row.name}
                                </SvgText>
                            )}
                            <Line
                                x1={left}
                                x2={width - 12}
                                y1={y + lane - 1}
                                y2={y + lane - 1}
                                stroke="line"
                                strokeWidth={0.6}
                            />
                            {(channels.perceived[row.channel] ?? [])
                                .filter((b) => b.to > s.from && b.from < s.to)
                                .map((b) => (
                                    <Bar
                                        key={b.from}
                                        stretch={b}
                                        colour={row.tone}
                                        y={y}
                                        h={lane}
                                        {...clip(b.from, Math.min(b.to, now))}
                                    />
                                ))}
                            {against &&
                                differences(
                                    channels.perceived[row.channel] ?? [],
                                    against.perceived[row.channel] ?? [],
                                ).map((d) => {
                                    const { x, w } = clip(d.from, Math.min(d.to, now))
                                    return w > 0 ? (
                                        <g key={d.from}>
                                            <title>{d.say}</title>
                                            <Line
                                                x1={x}
                                                x2={x + w}
                                                y1={y + lane - 2.5}
                                                y2={y + lane - 2.5}
                                                stroke="danger"
                                                strokeWidth={3}
                                                strokeDasharray="4 2"
                                            />
                                        </g>
                                    ) : null
                                })}
                        </g>
                    )
                })}
                {states?.map((st, i) => {
                    const { x, w } = clip(st.at, states[i + 1]?.at ?? now)
                    const y = top + lanes.length * lane
                    return w > 0 ? (
                        <g key={st.at}>
                            <title>{st.title}</title>
                            <Rect
                                x={x}
                                y={y + 2}
                                width={w}
                                height={lane - 4}
                                fill={i % 2 ? 'ground' : 'copperWash'}
                                stroke="line"
                            />
                            {w > 7 * st.title.length && (
                                <SvgText x={x + 4} y={y + lane / 2 + 4} fontSize={11} fill="ink">
                                    {st.title}
                                </SvgText>
                            )}
                        </g>
                    ) : null
                })}
                {inView.map((m, i) => (
                    <g key={`${m.at}-${i}`}>
                        <title>{`${clock(m.at)} ${m.text}`}</title>
                        <Line
                            x1={s.x(m.at)}
                            x2={s.x(m.at)}
                            y1={top}
                            y2={height - stamps + 4}
                            stroke={m.kind === 'danger' ? 'danger' : 'copper'}
                            strokeDasharray="2 3"
                        />
                        <Stamp x={s.x(m.at)} y={strip ? height / 2 + 6 : height - stamps + 9} kind={m.kind} />
                        {!strip && labelled.has(m) && (
                            <SvgText
                                className="reading"
                                x={s.x(m.at)}
                                y={height - 4}
                                fontSize={11}
                                textAnchor="middle"
                                fill="ink"
                            >
                                {m.reading}
                            </SvgText>
                        )}
                    </g>
                ))}
                <Line x1={s.x(now)} x2={s.x(now)} y1={top - 6} y2={height} stroke="copper" strokeWidth={2} />
                {cursor != null && (
                    <Line
                        x1={s.x(cursor)}
                        x2={s.x(cursor)}
                        y1={top - 6}
                        y2={height}
                        stroke="focus"
                        strokeWidth={2}
                        strokeDasharray="5 3"
                    />
                )}
            </Svg>
        </Box>
    )
}

function Bar({
    stretch,
    colour,
    x,
    w,
    y,
    h,
}: {
    stretch: Stretch
    colour: string
    x: number
    w: number
    y: number
    h: number
}) {
    if (QUIET.has(stretch.value) || w <= 0) {
        // perceived as silent or dark: a hairline, which is not the same as not perceived at all
        return w > 0 ? (
            <Line x1={x} x2={x + w} y1={y + h / 2} y2={y + h / 2} stroke={colour} strokeWidth={1} opacity={0.7}>
                <title>{stretch.say}</title>
            </Line>
        ) : null
    }
    const low = ['slow', 'dull', 'hums', 'gas'].includes(stretch.value)
    return (
        <g>
            <title>{stretch.say}</title>
            <Rect
                x={x}
                y={y + (low ? h * 0.45 : h * 0.16)}
                width={w}
                height={low ? h * 0.39 : h * 0.68}
                fill={colour}
                rx={2}
                opacity={low ? 0.6 : 0.92}
            />
            {w > 8 * stretch.value.length && !low && !['runs', 'lit', 'drawn in', 'bright'].includes(stretch.value) && (
                <SvgText x={x + 5} y={y + h / 2 + 4} fontSize={11} fontWeight={700} fill="sheet">
                    {stretch.value}
                </SvgText>
            )}
        </g>
    )
}

function Stamp({ x, y, kind }: { x: number; y: number; kind: Mark['kind'] }) {
    if (kind === 'reading') return <Rect x={x - 5} y={y - 5} width={10} height={10} fill="copper" />
    if (kind === 'danger') return <Path d={`M${x} ${y - 7}l7 12h-14z`} fill="danger" />
    if (kind === 'look')
        return <Path d={`M${x - 7} ${y}q7 -8 14 0q-7 8 -14 0z`} fill="none" stroke="copper" strokeWidth={2} />
    return <Path d={`M${x} ${y - 5}v10`} stroke="ink" strokeWidth={2} />
}
