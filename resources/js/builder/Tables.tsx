import { Box, chakra, Heading, HStack, Stack, Text } from '@chakra-ui/react'
import { useState } from 'react'
import { Select } from '@/shell/Select'
import { BOX, laidOut } from './chart'

import { Lines } from './TableLines'

import type { Draft, Edit, TableShown } from './types'

const Svg = chakra('svg')
const Rect = chakra('rect')
const SvgText = chakra('text')
const Path = chakra('path')

interface Props {
    draft: Draft
    edit: (...edits: Edit[]) => Promise<boolean>
}

/** The sequence tables of a model's controls: drawn as a chart, and changed line by line. */
export function Tables({ draft, edit }: Props) {
    const controls = Object.entries(draft.settings).flatMap(([part, s]) =>
        Object.entries(s.tables).map(([primitive, shown]) => ({
            part,
            primitive,
            shown,
            own: draft.document.parts.some((p) => p.id === part),
        })),
    )
    const [at, setAt] = useState(0)
    const control = controls[Math.min(at, controls.length - 1)]
    const label = (part: string) => draft.board.parts.find((p) => p.id === part)?.label ?? part
    if (!control)
        return (
            <Text p="3" color="faint">
                No control with a table is on the board: what is there works by its switches alone. Place a control, or
                make one under “Custom parts”.
            </Text>
        )
    return (
        <Stack layerStyle="panel" gap="2" h="100%" overflowY="auto" p="3" tabIndex={0} aria-label="Sequence tables">
            <HStack gap="2">
                {controls.length > 1 && (
                    <Select
                        label="Control"
                        value={String(Math.min(at, controls.length - 1))}
                        options={controls.map((c, i) => [String(i), label(c.part)])}
                        onChange={(v) => setAt(Number(v))}
                    />
                )}
                <Heading as="h2" size="md">
                    {label(control.part)}: {control.shown.table.title}
                </Heading>
            </HStack>
            {control.shown.remarks.length === 0 ? (
                <Text fontSize="text" color="good">
                    No problems found: every state can be reached and left, and the fuel stops when a proof is missing.
                </Text>
            ) : (
                control.shown.remarks.map((r) => (
                    <Text key={r.pointer + r.text} fontSize="text" color="danger">
                        ▲ {r.pointer}: {r.text}
                    </Text>
                ))
            )}
            <Chart shown={control.shown} />
            {control.own ? (
                <Lines
                    key={control.part}
                    part={control.part}
                    primitive={control.primitive}
                    shown={control.shown}
                    edit={edit}
                />
            ) : (
                <Text fontSize="text">Part of the included appliance. Change it in that model.</Text>
            )}
        </Stack>
    )
}

/** States as boxes from left to right, with the lines that lead on and back. */
function Chart({ shown }: { shown: TableShown }) {
    const { width, height, boxes, lines } = laidOut(shown.table)
    const box = Object.fromEntries(boxes.map((b) => [b.state, b]))
    const [chosen, setChosen] = useState(shown.table.start)
    return (
        <>
            <Box
                overflowX="auto"
                flexShrink={0}
                borderWidth="1px"
                borderColor="line"
                borderRadius="md"
                tabIndex={0}
                aria-label="Chart of the states"
            >
                <Svg
                    viewBox={`0 0 ${width} ${height}`}
                    width={`${width * 0.8}px`}
                    height={`${height * 0.8}px`}
                    role="group"
                    aria-label={`Chart: ${boxes.map((b) => shown.table.states[b.state]?.title).join(', ')}`}
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
                                    rx={row.outputs.length ? 4 : 20}
                                    fill={row.outputs.length ? 'copperWash' : 'sheet'}
                                    stroke={b.state === chosen ? 'copper' : 'ink'}
                                    strokeWidth={b.state === chosen ? 3 : 1.4}
                                />
                                <SvgText
                                    x={b.x + BOX.w / 2}
                                    y={b.y + 19}
                                    textAnchor="middle"
                                    fontSize={13}
                                    fontWeight={700}
                                    fill="ink"
                                >
                                    {cut(row.title, 26)}
                                </SvgText>
                                <SvgText
                                    x={b.x + BOX.w / 2}
                                    y={b.y + 35}
                                    textAnchor="middle"
                                    fontSize={12}
                                    fill="faint"
                                >
                                    {cut(row.outputs.join(', ') || 'feeds nothing', 30)}
                                </SvgText>
                            </g>
                        )
                    })}
                </Svg>
            </Box>
            <Text fontSize="text" role="status">
                {shown.table.states[chosen]?.title ?? ''}:{' '}
                {lines
                    .filter((l) => l.from === chosen)
                    .map((l) => `${l.words} → ${shown.table.states[l.to]?.title}`)
                    .join('; ') || 'no way out'}
                .
            </Text>
        </>
    )
}

const cut = (s: string, most: number) => (s.length > most ? `${s.slice(0, most - 1)}…` : s)
