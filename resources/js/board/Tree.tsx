import { Box, chakra } from '@chakra-ui/react'
import { useMemo } from 'react'
import type { TreeNode } from '@/lib/types'

const Svg = chakra('svg')
const Path = chakra('path')
const SvgText = chakra('text')
const Circle = chakra('circle')

const ROW = 20
const COLUMN = 250

interface Placed { node: TreeNode; x: number; y: number; shows: string | null; chosen: boolean; children: Placed[] }

interface Props {
    root: TreeNode
    /** titles of the faults */
    titles: Record<string, string>
    /** the fault whose way is drawn strong */
    chosen: string | null
    onChoose: (fault: string) => void
}

const holds = (node: TreeNode, fault: string | null): boolean => fault !== null && (node.faults ? node.faults.includes(fault) : (node.answers ?? []).some((a) => holds(a, fault)))

/** Lays a tree out, left to right: every end has a row of its own, a question stands in the middle of its answers. */
export function place(root: TreeNode, chosen: string | null): { top: Placed; rows: number; columns: number } {
    let row = 0
    let columns = 0
    const walk = (node: TreeNode, depth: number): Placed => {
        columns = Math.max(columns, depth + 1)
        const children = (node.answers ?? []).map((a) => walk(a, depth + 1))
        const y = children.length > 0 ? (children[0]!.y + children[children.length - 1]!.y) / 2 : row++ * ROW + ROW
        return { node, x: depth * COLUMN + 14, y, shows: node.shows ?? null, chosen: holds(node, chosen), children }
    }
    const top = walk(root, 0)
    return { top, rows: row, columns }
}

const short = (text: string, most: number) => (text.length > most ? `${text.slice(0, most - 1)}…` : text)

/** The tree of questions: what to ask first, what each answer leaves, and what to ask then. */
export function Tree({ root, titles, chosen, onChoose }: Props) {
    const { top, rows, columns } = useMemo(() => place(root, chosen), [root, chosen])
    const all = useMemo(() => {
        const list: Placed[] = []
        const walk = (p: Placed) => {
            list.push(p)
            p.children.forEach(walk)
        }
        walk(top)
        return list
    }, [top])
    const branch = (p: Placed, c: Placed) => `M${p.x + COLUMN - 40} ${p.y}C${p.x + COLUMN - 18} ${p.y} ${c.x - 22} ${c.y} ${c.x - 6} ${c.y}`
    return (
        <Box h="100%" overflow="auto" bg="sheet" borderWidth="1px" borderColor="line" borderRadius="md" tabIndex={0} aria-label="Tree of questions">
            <Svg width={columns * COLUMN + 60} height={rows * ROW + 40} role="img" aria-label={`Tree of questions with ${rows} ends`}>
                {all.flatMap((p) => p.children.map((c) => (
                    <Path key={`${c.x}-${c.y}`} d={branch(p, c)} fill="none" stroke={c.chosen ? 'copper' : 'line'} strokeWidth={c.chosen ? 2.5 : 1} />
                )))}
                {all.map((p) => {
                    const text = p.node.ask ? `${p.node.ask}?` : (p.node.faults ?? []).map((f) => titles[f] ?? f).join(' or ')
                    return (
                        <g key={`${p.x}-${p.y}`} onClick={() => p.node.faults?.[0] && onChoose(p.node.faults[0])} style={{ cursor: p.node.faults ? 'pointer' : 'default' }}>
                            <title>{(p.shows ? `${p.shows}: ` : '') + text}</title>
                            <Circle cx={p.x} cy={p.y} r={3} fill={p.node.ask ? 'copper' : 'good'} />
                            {p.shows && <SvgText x={p.x + 6} y={p.y - 3} fontSize={10} fill={p.chosen ? 'ink' : 'faint'} className="reading">{short(p.shows, 34)}</SvgText>}
                            <SvgText x={p.x + 6} y={p.shows ? p.y + 8 : p.y + 4} fontSize={11} fontWeight={p.chosen ? 700 : 400} fill="ink">{short(text, p.node.ask ? 34 : 40)}</SvgText>
                        </g>
                    )
                })}
            </Svg>
        </Box>
    )
}
