import { Box, chakra, HStack, Text } from '@chakra-ui/react'
import { useDrag } from '@use-gesture/react'
import { useMemo, useRef, useState } from 'react'
import { ToolButton } from '@/theme/buttons'
import { BOX, laidOut, wrapped } from './layout'
import type { TableShown } from './types'
import { t } from '@/words'
import { Path, Rect, SvgText } from '@/theme/shapes'

const Svg = chakra('svg')

/** How large the chart is drawn at most and at least, and by how much a press changes it. */
const SIZES = { least: 0.5, most: 2, step: 1.25 }

const TITLE = 13
const FEEDS = 12

/** States as boxes from left to right, with the lines that lead on and back; drawn along, larger and smaller. */
export function Chart({ shown }: { shown: TableShown }) {
    const { width, height, boxes, lines } = useMemo(() => laidOut(shown.table), [shown.table])
    const box = Object.fromEntries(boxes.map((b) => [b.state, b]))
    const [chosen, setChosen] = useState(shown.table.start)
    const [size, setSize] = useState(0.9)
    const paper = useRef<HTMLDivElement>(null)
    useDrag(
        ({ delta: [dx, dy], tap }) => {
            if (!tap) paper.current?.scrollBy(-dx, -dy)
        },
        { target: paper, filterTaps: true, pointer: { keys: false, touch: false } },
    )
    const sized = (to: number) => setSize(Math.min(SIZES.most, Math.max(SIZES.least, to)))
    return (
        <>
            <Box position="relative" flexShrink={0}>
                <Box
                    ref={paper}
                    overflow="auto"
                    maxH="420px"
                    borderWidth="1px"
                    borderColor="line"
                    borderRadius="md"
                    cursor="grab"
                    tabIndex={0}
                    aria-label={t('Chart of the states')}
                >
                    <Svg
                        viewBox={`0 0 ${width} ${height}`}
                        width={`${width * size}px`}
                        height={`${height * size}px`}
                        maxW="none"
                        role="group"
                        aria-label={t('Chart: {{value}}', {
                            value: boxes.map((b) => shown.table.states[b.state]?.title).join(', '),
                        })}
                    >
                        {lines.map((l, i) => {
                            const [a, b] = [box[l.from], box[l.to]]
                            const mine = l.from === chosen || l.to === chosen
                            // of those that lead back only the picked state's own
                            if (!a || !b || (l.back && l.from !== chosen)) return null
                            const d = l.back
                                ? `M${a.x + BOX.w / 2} ${a.y + BOX.h}C${a.x + BOX.w / 2} ${a.y + BOX.h + 26} ${b.x + BOX.w / 2} ${b.y + BOX.h + 26} ${b.x + BOX.w / 2} ${b.y + BOX.h}`
                                : `M${a.x + BOX.w} ${a.y + BOX.h / 2}C${a.x + BOX.w + 34} ${a.y + BOX.h / 2} ${b.x - 34} ${b.y + BOX.h / 2} ${b.x} ${b.y + BOX.h / 2}`
                            return (
                                <Path
                                    key={i}
                                    d={d}
                                    fill="none"
                                    stroke={mine ? 'copper' : 'faint'}
                                    strokeWidth={mine ? 2.4 : 1.3}
                                    strokeDasharray={l.back ? '4 4' : undefined}
                                >
                                    <title>{l.words}</title>
                                </Path>
                            )
                        })}
                        {boxes.map((b) => {
                            const row = shown.table.states[b.state]!
                            const title = wrapped(row.title, BOX.letters)
                            const feeds = wrapped(row.outputs.join(', ') || 'feeds nothing', BOX.letters + 2)
                            const top = b.y + BOX.h / 2 - ((title.length - 1) * TITLE + feeds.length * FEEDS) * 0.58
                            return (
                                <g
                                    key={b.state}
                                    role="button"
                                    tabIndex={0}
                                    aria-pressed={chosen === b.state}
                                    aria-label={row.title}
                                    cursor="pointer"
                                    onClick={() => setChosen(b.state)}
                                    onKeyDown={(e) => {
                                        if (e.key === 'Enter') setChosen(b.state)
                                    }}
                                >
                                    <Rect
                                        x={b.x}
                                        y={b.y}
                                        width={BOX.w}
                                        height={BOX.h}
                                        rx={row.outputs.length ? 4 : 24}
                                        fill={row.outputs.length ? 'copperWash' : 'sheet'}
                                        stroke={b.state === chosen ? 'copper' : 'ink'}
                                        strokeWidth={b.state === chosen ? 3 : 1.4}
                                    />
                                    {[...title, ...feeds].map((line, i) => (
                                        <SvgText
                                            key={i}
                                            x={b.x + BOX.w / 2}
                                            y={top + 4 + i * TITLE * 1.16}
                                            textAnchor="middle"
                                            fontSize={i < title.length ? TITLE : FEEDS}
                                            fontWeight={i < title.length ? 700 : 400}
                                            fill={i < title.length ? 'ink' : 'faint'}
                                        >
                                            {line}
                                        </SvgText>
                                    ))}
                                </g>
                            )
                        })}
                    </Svg>
                </Box>
                <HStack gap="1" position="absolute" right="3" bottom="3">
                    <ToolButton
                        px="2"
                        bg="sheet"
                        fontSize="note"
                        aria-label={t('The whole chart')}
                        onClick={() => sized((paper.current?.clientWidth ?? width) / width)}
                    >
                        {t('All')}
                    </ToolButton>
                    <ToolButton
                        minW="touch"
                        px="0"
                        bg="sheet"
                        aria-label={t('Chart larger')}
                        disabled={size >= SIZES.most}
                        onClick={() => sized(size * SIZES.step)}
                    >
                        +
                    </ToolButton>
                    <ToolButton
                        minW="touch"
                        px="0"
                        bg="sheet"
                        aria-label={t('Chart smaller')}
                        disabled={size <= SIZES.least}
                        onClick={() => sized(size / SIZES.step)}
                    >
                        −
                    </ToolButton>
                </HStack>
            </Box>
            <Text fontSize="text" role="status">
                {shown.table.states[chosen]?.title ?? ''}:{' '}
                {lines
                    .filter((l) => l.from === chosen)
                    .map((l) => `${l.words} → ${shown.table.states[l.to]?.title}`)
                    .join('; ') || t('no way out')}
                .
            </Text>
        </>
    )
}
