import { Box, Text } from '@chakra-ui/react'
import { useEffect, useRef } from 'react'
import uPlot from 'uplot'
import 'uplot/dist/uPlot.min.css'
import { useLook } from '@/shell/look'
import { useMedia } from '@/theme/useMedia'
import { t } from '@/words'

interface Props {
    left: number[]
    perfect: number[] | null
    cursor: number
    width?: number
}

/** Suspects left after each entry, and how few the best possible search has left after as many questions. */
export function SuspectCurve({ left, perfect, cursor, width = 290 }: Props) {
    const box = useRef<HTMLDivElement>(null)
    const [{ theme, contrast }] = useLook()
    const isDark = useMedia('(prefers-color-scheme: dark)')
    useEffect(() => {
        const el = box.current
        if (!el) return
        const style = getComputedStyle(document.documentElement)
        const colour = (name: string) => style.getPropertyValue(`--chakra-colors-${name}`).trim() || 'currentColor'
        const axis = {
            stroke: colour('faint'),
            grid: { stroke: colour('line'), width: 1 },
            font: '12px sans-serif',
            labelFont: '12px sans-serif',
            labelSize: 18,
        }
        const stepped = uPlot.paths.stepped?.({ align: 1 })
        const plot = new uPlot(
            {
                width,
                height: 150,
                legend: { show: false },
                cursor: { show: false },
                scales: {
                    x: { time: false },
                    y: {
                        distr: 3,
                        log: 10,
                        range: (_u, _least, most) => [1, 10 ** Math.ceil(Math.log10(Math.max(most, 10)))],
                    },
                },
                axes: [
                    { ...axis, label: 'entry', size: 28 },
                    {
                        ...axis,
                        label: 'suspects left',
                        size: 40,
                        values: (_u, v) => v.map((n) => (n === null ? '' : String(n))),
                    },
                ],
                series: [
                    {},
                    {
                        stroke: colour('copper'),
                        width: 2,
                        ...(stepped ? { paths: stepped } : {}),
                        points: { show: (_u, _s, i) => i === cursor + 1, size: 9 },
                    },
                    {
                        stroke: colour('good'),
                        width: 2,
                        dash: [5, 4],
                        ...(stepped ? { paths: stepped } : {}),
                        points: { show: false },
                    },
                ],
            },
            // the first point is what stood on entering
            [
                left.map((_, i) => i),
                left.map((n) => Math.max(1, n)),
                left.map((_, i) => (perfect === null ? null : Math.max(1, perfect[Math.min(i, perfect.length - 1)]!))),
            ],
            el,
        )
        return () => plot.destroy()
        // its colours are read when it is drawn: drawn anew when they are others
    }, [left, perfect, cursor, width, theme, contrast, isDark])
    return (
        <Box>
            <Box
                ref={box}
                role="img"
                aria-label={t('Suspects left after each entry: {{left}}{{value}}', {
                    left: left.join(', '),
                    value: perfect ? `; best possible: ${perfect.join(', ')}` : '',
                })}
            />
            <Text fontSize="fine" color="faint">
                {perfect
                    ? t('Solid: this attempt. Dashed: best possible, {{value}} questions.', {
                          value: perfect.length - 1,
                      })
                    : t('Solid: this attempt. The best possible line is drawn once the model’s faults are analyzed.')}
            </Text>
        </Box>
    )
}
