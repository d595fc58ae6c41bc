import { Box } from '@chakra-ui/react'
import { useEffect, useRef } from 'react'
import uPlot from 'uplot'
import 'uplot/dist/uPlot.min.css'

/** Suspects left over the log, with the fewest that a best reading at each entry was expected to leave. */
export function SuspectCurve({ left, width = 420 }: { left: number[]; width?: number }) {
    const box = useRef<HTMLDivElement>(null)
    useEffect(() => {
        const el = box.current
        if (!el) return
        const style = getComputedStyle(document.documentElement)
        const colour = (name: string) => style.getPropertyValue(`--chakra-colors-${name}`).trim() || 'currentColor'
        const axis = { stroke: colour('faint'), grid: { stroke: colour('line'), width: 1 }, font: '12px sans-serif', labelFont: '12px sans-serif', labelSize: 18 }
        const plot = new uPlot(
            {
                width, height: 170, legend: { show: false }, cursor: { show: false },
                scales: { x: { time: false }, y: { distr: 3, log: 10 } },
                axes: [
                    { ...axis, label: 'entry', size: 30 },
                    { ...axis, label: 'suspects left (number)', size: 40, values: (_u, v) => v.map((n) => (n === null ? '' : String(n))) },
                ],
                series: [{}, { stroke: colour('copper'), width: 2, paths: uPlot.paths.stepped?.({ align: 1 }), points: { show: true, size: 5 } }],
            },
            [left.map((_, i) => i), left.map((n) => Math.max(1, n))],
            el,
        )
        return () => plot.destroy()
    }, [left, width])
    return <Box ref={box} role="img" aria-label={`Suspects left after each entry: ${left.join(', ')}`} />
}
