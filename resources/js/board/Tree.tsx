import { Box, chakra, HStack, Stack, Text } from '@chakra-ui/react'
import { useEffect, useMemo, useRef, useState } from 'react'
import type { TreeNode } from '@/lib/types'
import { ToolButton } from '@/theme/buttons'
import { t } from '@/words'
import { Circle, Path, Rect, SvgText } from '@/theme/shapes'

const Svg = chakra('svg')

const ROW = 34
const COLUMN = 262

export interface Placed {
    node: TreeNode
    path: string
    x: number
    y: number
    shows: string | null
    chosen: boolean
    count: number
    folded: boolean
    children: Placed[]
}

interface Props {
    root: TreeNode
    /** titles of the faults */
    titles: Record<string, string>
    /** the fault whose way is drawn strong */
    chosen: string | null
    onChoose: (fault: string) => void
}

const holds = (node: TreeNode, fault: string | null): boolean =>
    fault !== null && (node.faults ? node.faults.includes(fault) : (node.answers ?? []).some((a) => holds(a, fault)))

/**
 * Lays a tree out, left to right: every end that is shown has a row of its own, a question stands beside its first
 * answer.
 * A question is unfolded when it is first, on the way to the chosen fault, or was unfolded by hand.
 */
export function place(
    root: TreeNode,
    chosen: string | null,
    open: ReadonlySet<string>,
): { top: Placed; rows: number; columns: number } {
    let row = 0
    let columns = 0
    const walk = (node: TreeNode, depth: number, path: string): Placed => {
        columns = Math.max(columns, depth + 1)
        const on = holds(node, chosen)
        const folded = !!node.answers && depth > 0 && !on && !open.has(path)
        const y = row * ROW + ROW / 2 + 4
        const children = folded ? [] : (node.answers ?? []).map((a, i) => walk(a, depth + 1, `${path}.${i}`))
        if (children.length === 0) row++
        return {
            node,
            path,
            x: depth * COLUMN + 12,
            y,
            shows: node.shows ?? null,
            chosen: on,
            count: node.count ?? node.faults?.length ?? 0,
            folded,
            children,
        }
    }
    const top = walk(root, 0, 'r')
    return { top, rows: row, columns }
}

const short = (text: string, most: number) => (text.length > most ? `${text.slice(0, most - 1)}…` : text)

/** The tree of questions: what to ask first, what each answer leaves, and what to ask then. */
export function Tree({ root, titles, chosen, onChoose }: Props) {
    const [open, setOpen] = useState<ReadonlySet<string>>(new Set())
    const box = useRef<HTMLDivElement>(null)
    const { top, rows, columns } = useMemo(() => place(root, chosen, open), [root, chosen, open])
    const all = useMemo(() => {
        const list: Placed[] = []
        const walk = (p: Placed) => {
            list.push(p)
            p.children.forEach(walk)
        }
        walk(top)
        return list
    }, [top])
    const end = all.find((p) => p.chosen && p.node.faults)
    useEffect(() => {
        if (end && box.current) box.current.scrollTop = Math.max(0, end.y - box.current.clientHeight / 2)
        // only when another fault is chosen, not when something is unfolded
        // eslint-disable-next-line react-hooks/exhaustive-deps
    }, [chosen])
    const text = (p: Placed) =>
        p.node.ask ? `${p.node.ask}?` : (p.node.faults ?? []).map((f) => titles[f] ?? f).join(' or ')
    const act = (p: Placed) => {
        if (p.node.faults?.[0]) onChoose(p.node.faults[0])
        else setOpen((now) => new Set(now.has(p.path) ? [...now].filter((n) => n !== p.path) : [...now, p.path]))
    }
    return (
        <Stack h="100%" gap="1" minH="0">
            <HStack gap="1" fontSize="note" color="faint">
                <Text flex="1">
                    {t('A question, its answers above what is asked next. The number is how many faults are left.')}
                </Text>
                <ToolButton size="xs" onClick={() => setOpen(new Set())}>
                    {t('Fold all')}
                </ToolButton>
            </HStack>
            <Box
                layerStyle="panel"
                ref={box}
                flex="1"
                minH="0"
                overflow="auto"
                tabIndex={0}
                aria-label={t('Tree of questions')}
            >
                <Svg
                    width={columns * COLUMN + 20}
                    height={rows * ROW + 16}
                    display="block"
                    role="group"
                    aria-label={t('{{many}} ends shown', { many: all.filter((p) => p.node.faults).length })}
                >
                    {all.flatMap((p) =>
                        p.children.map((c) => (
                            <Path
                                key={c.path}
                                d={`M${p.x + COLUMN - 26} ${p.y}H${c.x - 14}V${c.y}H${c.x - 4}`}
                                fill="none"
                                stroke={c.chosen ? 'copper' : 'faint'}
                                strokeOpacity={c.chosen ? 1 : 0.5}
                                strokeWidth={c.chosen ? 2.5 : 1}
                            />
                        )),
                    )}
                    {all.map((p) => (
                        <g
                            key={p.path}
                            role="button"
                            tabIndex={0}
                            aria-label={`${p.shows ? `${p.shows}: ` : ''}${text(p)}${p.folded ? t(', {{count}} faults, folded', { count: p.count }) : ''}`}
                            style={{ cursor: 'pointer' }}
                            onClick={() => act(p)}
                            onKeyDown={(e) => (e.key === 'Enter' || e.key === ' ') && (e.preventDefault(), act(p))}
                        >
                            <title>{(p.shows ? `${p.shows}: ` : '') + text(p)}</title>
                            <Rect
                                x={p.x - 4}
                                y={p.y - 15}
                                width={COLUMN - 22}
                                height={30}
                                rx={4}
                                fill={p.chosen ? 'copperWash' : 'sheet'}
                            />
                            {p.shows && (
                                <SvgText x={p.x + 12} y={p.y - 4} fontSize={11} fill="ink" className="reading">
                                    {short(p.shows, 32)}
                                </SvgText>
                            )}
                            {p.node.ask ? (
                                <Circle
                                    cx={p.x + 3}
                                    cy={p.y}
                                    r={4}
                                    fill={p.folded ? 'sheet' : 'copper'}
                                    stroke="copper"
                                    strokeWidth={1.5}
                                />
                            ) : (
                                <Path
                                    d={`M${p.x - 1} ${p.y}h8m-3 -3l3 3l-3 3`}
                                    fill="none"
                                    stroke="good"
                                    strokeWidth={2}
                                />
                            )}
                            <SvgText
                                x={p.x + 12}
                                y={p.shows ? p.y + 10 : p.y + 4}
                                fontSize={12}
                                fontWeight={p.node.faults ? 700 : 400}
                                fill="ink"
                            >
                                {short(text(p), p.node.ask ? 33 : 30)}
                                {p.node.ask ? ` (${p.count})` : ''}
                            </SvgText>
                        </g>
                    ))}
                </Svg>
            </Box>
        </Stack>
    )
}
