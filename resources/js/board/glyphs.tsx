import type { Move } from '@/lib/types'
import { Circle, Path, Rect, SvgText } from '@/theme/shapes'

/** A drawing round its own middle, in a box of 40 × 24. */
export interface GlyphProps {
    move: Move
    /** the class of what is perceived */
    shows: string
    /** there is room for a row of them */
    wide: boolean
    /** it is seen to move; else it stands, and says by its shape what it does */
    moves: boolean
}

/** Seconds for a turn, by how it runs: to be seen, and no measure of its speed. */
const TURN_S: Record<string, number> = { runs: 0.9, slow: 2.4 }

/** Blades on a shaft: they turn, stand, or shake where it hums and does not turn. */
export function Shaft({ shows, moves }: GlyphProps) {
    const turn = TURN_S[shows]
    const colour = shows === '' ? 'faint' : shows === 'hums' ? 'danger' : 'moving'
    return (
        <g>
            <Circle r={12} fill="sheet" stroke={colour} strokeWidth={1.5} />
            <g>
                <Path
                    d="M0 0C-2 -5 1 -9 5 -9 5 -5 3 -2 0 0ZM0 0C5 -2 9 1 9 5 5 5 2 3 0 0ZM0 0C2 5 -1 9 -5 9 -5 5 -3 2 0 0ZM0 0C-5 2 -9 -1 -9 -5 -5 -5 -2 -3 0 0Z"
                    fill={colour}
                />
                {moves && turn !== undefined && (
                    <animateTransform
                        attributeName="transform"
                        type="rotate"
                        from="0"
                        to="360"
                        dur={`${turn}s`}
                        repeatCount="indefinite"
                    />
                )}
                {moves && shows === 'hums' && (
                    <animateTransform
                        attributeName="transform"
                        type="translate"
                        values="-1 0;1 0;-1 0"
                        dur="0.12s"
                        repeatCount="indefinite"
                    />
                )}
            </g>
            {turn !== undefined && (
                <Path
                    d={
                        shows === 'runs'
                            ? 'M10 -12A15.5 15.5 0 0 1 10 12M-10 12A15.5 15.5 0 0 1 -10 -12'
                            : 'M10 -12A15.5 15.5 0 0 1 10 12'
                    }
                    fill="none"
                    stroke={colour}
                    strokeWidth={1.8}
                    strokeLinecap="round"
                />
            )}
            {shows === 'hums' && (
                <Path
                    d="M15 -8l4 4-4 4 4 4-4 4M-15 -8l-4 4 4 4-4 4 4 4"
                    fill="none"
                    stroke={colour}
                    strokeWidth={1.6}
                />
            )}
        </g>
    )
}

const TONGUES: Record<string, string> = {
    lit: 'M-4 11Q-6 2 0 -8 6 2 4 11Z',
    lazy: 'M-4 11Q-8 0 -2 -6 -3 -10 2 -13 0 -6 4 -2 7 4 4 11Z',
    soots: 'M-4 11Q-9 2 -4 -4 -7 -9 -1 -15 -1 -9 4 -8 1 -3 6 1 7 6 4 11Z',
    spills: 'M-4 11Q-2 3 8 2 14 2 17 -3 18 5 12 9 8 11 4 11Z',
}

/** A flame: blue and steady, lazy, sooting, rolling out; or none. */
export function Flame({ move, shows, wide, moves }: GlyphProps) {
    const tongue = TONGUES[shows]
    const places = wide ? [-14, 0, 14] : [0]
    const isYellow = move.oil === true || (shows !== 'lit' && shows !== 'spills')
    if (!tongue)
        return (
            <g>
                {places.map((x) => (
                    <Path
                        key={x}
                        d={TONGUES['lit']!}
                        transform={`translate(${x} 0)`}
                        fill="none"
                        stroke="faint"
                        strokeWidth={1.2}
                        strokeDasharray="2 3"
                    />
                ))}
                {shows === 'gas' && (
                    <Path d="M-12 -8q4 -4 8 0t8 0M-6 -13q4 -4 8 0t8 0" fill="none" stroke="danger" strokeWidth={1.6} />
                )}
            </g>
        )
    return (
        <g>
            {places.map((x, i) => (
                <g key={x} transform={`translate(${x} 0)`}>
                    <g>
                        <Path
                            d={tongue}
                            fill={isYellow ? 'lamp' : 'flame'}
                            stroke={shows === 'soots' ? 'ink' : 'none'}
                            strokeWidth={1}
                        />
                        <Path d="M-2 11Q-2.5 6 0 1 2.5 6 2 11Z" fill={isYellow ? 'glow' : 'sheet'} opacity={0.8} />
                        {moves && (
                            <animateTransform
                                attributeName="transform"
                                type="scale"
                                values={shows === 'lit' ? '1 1;1 1.06;1 0.98;1 1' : '1 1;1.1 1.15;0.92 0.86;1 1'}
                                dur={`${(shows === 'lit' ? 0.5 : 1.3) + 0.12 * i}s`}
                                repeatCount="indefinite"
                            />
                        )}
                    </g>
                </g>
            ))}
        </g>
    )
}

/** A surface that glows: dark, dull red, bright. */
export function Glow({ shows }: GlyphProps) {
    const bright = shows === 'bright'
    return (
        <g>
            {bright && (
                <Path
                    d="M-20 0h8l3-8 6 16 6-16 5 16 3-8h9"
                    fill="none"
                    stroke="lamp"
                    strokeWidth={8}
                    opacity={0.5}
                    strokeLinejoin="round"
                />
            )}
            <Path
                d="M-20 0h6l3-7 5 14 5-14 5 14 3-7h13"
                fill="none"
                stroke={bright ? 'glow' : shows === 'dull' ? 'danger' : 'faint'}
                strokeWidth={bright ? 3.4 : shows === 'dull' ? 2.8 : 1.5}
                strokeLinejoin="round"
                strokeLinecap="round"
            />
        </g>
    )
}

/** A spark: at its gap, beside it, or inside the part, where a box is round it. */
export function Spark({ shows, moves }: GlyphProps) {
    if (shows === '') return null
    return (
        <g>
            {shows === 'inside' && (
                <Rect x={-9} y={-11} width={18} height={22} rx={2} fill="none" stroke="danger" strokeWidth={1.4} />
            )}
            <Path
                d="M2 -10l-7 10h8l-6 10"
                fill="none"
                stroke={shows === 'burner' ? 'flame' : 'danger'}
                strokeWidth={2.2}
                strokeLinejoin="round"
                strokeDasharray={shows === 'beside' ? '4 3' : undefined}
            >
                {moves && <animate attributeName="opacity" values="1;1;0.1;0.1" dur="0.25s" repeatCount="indefinite" />}
            </Path>
        </g>
    )
}

/** How far along a valve's slot its marker stands. */
const MARKER: Record<string, number> = { 'hot water': -13, both: 0, heating: 13, opens: 13 }

/** The marker of a valve in its slot. */
export function Marker({ shows }: GlyphProps) {
    const x = MARKER[shows] ?? -13
    return (
        <g>
            <Rect x={-18} y={-4} width={36} height={8} rx={4} fill="ground" stroke="faint" strokeWidth={1.2} />
            <Path d={`M${x - 5} -9h10l-5 7zM${x} -6V7`} fill="copper" stroke="copper" strokeWidth={2.4} />
        </g>
    )
}

const LAMPS: Record<string, string> = {
    green: 'good',
    red: 'danger',
    amber: 'lamp',
    yellow: 'lamp',
    orange: 'glow',
    blue: 'flame',
}

/** Seconds a flash of a counted code is lit, and of the pause after the last. */
const FLASH_S = 0.25
const PAUSE_S = 1.5

/** A lamp that flashes its code in real time, or the letters of a display. */
export function Lamp({ move, shows, moves }: GlyphProps) {
    const code = move.codes?.[shows] ?? { lit: shows !== '', flashes: 0, every_s: 0 }
    if (code.letters !== undefined)
        return (
            <g>
                <Rect x={-17} y={-10} width={34} height={20} rx={2} fill="lcd" stroke="ink" strokeWidth={1.2} />
                <SvgText textAnchor="middle" y={5} fontSize={14} fontWeight={700} fill="lcdInk">
                    {code.letters}
                </SvgText>
            </g>
        )
    const colour = LAMPS[code.colour ?? ''] ?? 'lamp'
    const on = lit(code)
    return (
        <g>
            <Circle r={8} fill={code.lit ? colour : 'ground'} stroke="ink" strokeWidth={1.4}>
                {moves && on.values.length > 1 && (
                    <animate
                        attributeName="fill-opacity"
                        calcMode="discrete"
                        values={on.values.join(';')}
                        keyTimes={on.times.join(';')}
                        dur={`${on.whole_s}s`}
                        repeatCount="indefinite"
                    />
                )}
            </Circle>
            {code.lit && code.every_s === 0 && (
                <Path d="M0 -11v-3M8 -8l2-2M-8 -8l-2-2M11 0h3M-11 0h-3" stroke={colour} strokeWidth={1.6} />
            )}
            {!moves && code.flashes > 0 && (
                <SvgText textAnchor="middle" y={5} fontSize={13} fontWeight={700} fill="sheet">
                    {code.flashes}
                </SvgText>
            )}
        </g>
    )
}

/** When a lamp is lit and dark over one round of its code. */
export function lit({ lit: shines, flashes, every_s }: { lit: boolean; flashes: number; every_s: number }) {
    if (!shines || every_s === 0) return { values: [shines ? 1 : 0], times: [0], whole_s: 1 }
    const n = Math.max(1, flashes)
    const on = flashes > 0 ? FLASH_S : every_s / 2
    const whole_s = n * every_s + (flashes > 0 ? PAUSE_S - every_s + on : 0)
    const edges = Array.from({ length: n }, (_, i) => [i * every_s, i * every_s + on]).flat()
    return {
        values: edges.map((_, i) => 1 - (i % 2)),
        times: edges.map((t) => Number((t / whole_s).toFixed(4))),
        whole_s,
    }
}
