import { Box } from '@chakra-ui/react'
import { t } from '@/words'
import { reach, type Reading } from './groups'

const [W, H, EDGE] = [360, 44, 8]

/** Readings of real units as dots along a line, and a mark where the model stands. */
export function Strip({ readings, model, unit }: { readings: Reading[]; model: number | null; unit: string }) {
    const [least, most] = reach(readings, model)
    const at = (value: number) => EDGE + ((value - least) / (most - least)) * (W - 2 * EDGE)
    const label = (value: number) => `${Number(value.toPrecision(3))} ${unit}`
    return (
        <Box color="ink" maxW="420px">
            <svg
                viewBox={`0 0 ${W} ${H}`}
                width="100%"
                role="img"
                aria-label={t('{{count}} readings, {{least}} to {{most}}; the model gives {{model}}', {
                    count: readings.length,
                    least: label(Math.min(...readings.map((r) => r.value))),
                    most: label(Math.max(...readings.map((r) => r.value))),
                    model: model === null ? '–' : label(model),
                })}
            >
                <line x1={EDGE} x2={W - EDGE} y1={16} y2={16} stroke="currentColor" opacity={0.35} />
                {model !== null && (
                    <>
                        <line
                            x1={at(model)}
                            x2={at(model)}
                            y1={4}
                            y2={28}
                            stroke="var(--chakra-colors-copper)"
                            strokeWidth={3}
                        />
                        <text
                            x={Math.max(64, Math.min(W - 64, at(model)))}
                            y={41}
                            fontSize={12}
                            textAnchor="middle"
                            fill="var(--chakra-colors-copper)"
                        >
                            {t('model {{value}}', { value: label(model) })}
                        </text>
                    </>
                )}
                {readings.map((r) => (
                    <circle
                        key={r.id}
                        cx={at(r.value)}
                        cy={16}
                        r={5}
                        fill="var(--chakra-colors-sheet)"
                        stroke="currentColor"
                        strokeWidth={2}
                    >
                        <title>{`${r.unit}, ${r.date}: ${label(r.value)}`}</title>
                    </circle>
                ))}
            </svg>
        </Box>
    )
}
