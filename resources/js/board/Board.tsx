import { chakra, Flex, Stack } from '@chakra-ui/react'
import { memo, useCallback, useEffect, useMemo, useRef, useState } from 'react'
import type { AtTap, BoardData, Part, Terminal, Wire } from '@/lib/types'
import { wireColours } from '@/theme/wires'
import { Symbol } from './Symbol'
import { AtTaps, ClampJaw, InSeries, Jumper, Lead, Volts } from './Tools'
import { usePinch } from './usePinch'
import { usePull } from './usePull'
import { LARGEST, middle, shown, zoomed, type View } from './view'
import { extent, nearestWire, ownerOf, placeAt, reaches } from './walk'
import { ToolButton } from '@/theme/buttons'

const Svg = chakra('svg')
const Rect = chakra('rect')
const SvgText = chakra('text')
const Circle = chakra('circle')
const Path = chakra('path')

interface Props {
    board: BoardData
    red?: string | null
    black?: string | null
    cursor?: string | null
    part?: string | null
    lifted?: string[]
    jumpers?: [string, string][]
    /** wires in the jaw of the clamp */
    jaw?: string[]
    /** the meter is on a current range */
    series?: boolean
    /** what is put to which tap */
    atTaps?: Partial<Record<AtTap, string>>
    /** parts that are known to be taken off: hoses */
    off?: string[]
    covered?: string[]
    doorShut?: boolean
    marked?: string | null
    /** parts and wires that are pointed at together */
    markedAll?: string[]
    live?: Record<string, string>
    /** a part or a place to bring into view */
    seek?: string | null
    /** parts that are picked, where several can be */
    picked?: string[]
    /** a wire that is picked */
    wire?: string | null
    /** volts to be read at a terminal */
    volts?: Record<string, { volts: number; dc: boolean }> | null
    onWire?: (wire: string) => void
    /** where nothing is: board pixels */
    onBlank?: (x: number, y: number) => void
    /** parts can be drawn to another place */
    onMove?: (part: string, dx: number, dy: number) => void
    onMany?: (part: string) => void
    onPlace?: (place: string) => void
    onPart?: (part: string) => void
}

const STEP = 1.6

/** The appliance: parts where they sit, wires in their colours, every terminal a place for a lead. */
export function Board(props: Props) {
    const { board, red, black, cursor, covered = [], doorShut = false } = props
    const making = props.onBlank !== undefined
    const all = useMemo(
        () => (making ? { x: 0, y: 0, w: board.width, h: board.height } : extent(board)),
        [board, making],
    )
    const reach = useMemo(() => reaches(board), [board])
    const [view, setView] = useState<View>(() => ({ scale: 1, ...middle(all) }))
    const frame = useRef<SVGSVGElement>(null)
    const hand = usePinch(frame, view, all, setView)
    const { x, y, w, h } = shown(view, all)
    useEffect(() => {
        const part = board.parts.find((p) => p.id === props.seek)
        const to = part
            ? { x: part.x + part.w / 2, y: part.y + part.h / 2 }
            : props.seek
              ? placeAt(board, props.seek)
              : undefined
        if (to) setView((v) => ({ ...v, ...to }))
    }, [board, props.seek])
    const nearer = (step: number) => {
        const target = red ? placeAt(board, red) : undefined
        setView((v) => ({
            ...zoomed({ scale: v.scale, ...middle(shown(v, all)) }, v.scale * STEP ** step, middle(shown(v, all))),
            ...(v.scale === 1 && target ? target : {}),
        }))
    }
    const onWire = props.onWire
    const pressWire = useCallback(
        (e: { clientX: number; clientY: number }) => {
            const m = frame.current?.getScreenCTM()?.inverse()
            const p = m && new DOMPoint(e.clientX, e.clientY).matrixTransform(m)
            const wire = p && nearestWire(board, p.x, p.y)
            if (wire) onWire?.(wire)
        },
        [board, onWire],
    )
    const pull = usePull(frame, props.onMove)
    const hidden = useMemo(() => new Set(doorShut ? covered : []), [doorShut, covered])

    return (
        <Flex layerStyle="panel" h="100%" overflow="hidden">
            <Svg
                ref={frame}
                viewBox={`${x} ${y} ${w} ${h}`}
                flex="1"
                minW="0"
                h="100%"
                role="group"
                aria-label="Board of the appliance"
                touchAction="none"
                userSelect="none"
                {...hand}
                onPointerDown={(e) => (pull.begin(e) ? undefined : hand.onPointerDown(e))}
                onPointerMove={(e) => (pull.pulled ? pull.go(e) : hand.onPointerMove(e))}
                onPointerUp={(e) => (pull.pulled ? pull.end() : hand.onPointerUp(e))}
                onClickCapture={(e) => (pull.swallows() ? e.stopPropagation() : hand.onClickCapture(e))}
                onClick={
                    props.onBlank &&
                    ((e) => {
                        if (e.target !== e.currentTarget) return
                        const m = frame.current?.getScreenCTM()?.inverse()
                        const p = m && new DOMPoint(e.clientX, e.clientY).matrixTransform(m)
                        if (p) props.onBlank!(Math.round(p.x), Math.round(p.y))
                    })
                }
            >
                <Cabinet board={board} covered={covered} />
                {board.wires.map((wire) => (
                    <WirePath
                        key={wire.id}
                        wire={wire}
                        hidden={hidden}
                        marked={props.markedAll?.includes(wire.id) ?? false}
                        chosen={props.wire === wire.id}
                        lifted={props.lifted}
                        onWire={props.onWire && pressWire}
                    />
                ))}
                {board.parts.map((part) => (
                    <PartBox
                        key={part.id}
                        part={part}
                        reach={reach}
                        hidden={hidden.has(part.id)}
                        chosen={props.part === part.id || (props.picked?.includes(part.id) ?? false)}
                        shift={
                            pull.pulled &&
                            (pull.pulled.part === part.id ||
                                (props.picked?.includes(part.id) && props.picked.includes(pull.pulled.part)))
                                ? pull.pulled
                                : undefined
                        }
                        onMany={props.onMany}
                        marked={props.marked === part.id || (props.markedAll?.includes(part.id) ?? false)}
                        live={props.live?.[part.id]}
                        off={props.off?.includes(part.id) ?? false}
                        cursor={cursor && cursor.startsWith(`${part.id}.`) ? cursor : null}
                        onPart={props.onPart}
                        onPlace={props.onPlace}
                    />
                ))}
                {(props.jumpers ?? []).map(([from, to]) => (
                    <Jumper key={`${from} ${to}`} board={board} from={from} to={to} />
                ))}
                {(props.jaw ?? []).map((wire) => (
                    <ClampJaw key={wire} board={board} wire={wire} />
                ))}
                {props.volts && <Volts board={board} volts={props.volts} />}
                {props.atTaps && <AtTaps board={board} at={props.atTaps} />}
                {props.series && red && black && <InSeries board={board} red={red} black={black} />}
                {black && <Lead board={board} place={black} away={red} colour="leadBlack" letter="B" />}
                {red && <Lead board={board} place={red} away={black} colour="leadRed" letter="R" />}
            </Svg>
            <Stack gap="1" p="1" justify="center" borderLeftWidth="1px" borderColor="line">
                <ToolButton
                    minW="touch"
                    px="0"
                    aria-label="Nearer"
                    disabled={view.scale >= LARGEST}
                    onClick={() => nearer(1)}
                >
                    +
                </ToolButton>
                <ToolButton
                    minW="touch"
                    px="0"
                    aria-label="Further away"
                    disabled={view.scale <= 1}
                    onClick={() => nearer(-1)}
                >
                    −
                </ToolButton>
            </Stack>
        </Flex>
    )
}

/** The sheet-metal the covered parts sit in. */
function Cabinet({ board, covered }: { board: BoardData; covered: string[] }) {
    const inside = board.parts.filter((p) => covered.includes(p.id))
    if (inside.length === 0) return null
    const x = Math.min(...inside.map((p) => p.x)) - 18
    const y = Math.min(...inside.map((p) => p.y)) - 16
    const right = Math.max(...inside.map((p) => p.x + p.w)) + 18
    const bottom = Math.max(...inside.map((p) => p.y + p.h)) + 26
    return <Rect x={x} y={y} width={right - x} height={bottom - y} rx={6} fill="ground" stroke="line" strokeWidth={2} />
}

const WirePath = memo(function WirePath({
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
    const d = wire.points.map(([px, py], i) => `${i ? 'L' : 'M'}${px} ${py}`).join('')
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
                    <title>{`${wire.colour} ${wire.from} to ${wire.to}`}</title>
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

interface PartProps {
    part: Part
    shift?: { dx: number; dy: number }
    onMany?: (id: string) => void
    reach: Map<string, number>
    hidden: boolean
    chosen: boolean
    marked: boolean
    off: boolean
    live?: string
    cursor: string | null
    onPart?: (id: string) => void
    onPlace?: (place: string) => void
}

const PartBox = memo(function PartBox({
    part,
    shift,
    onMany,
    reach,
    hidden,
    chosen,
    marked,
    off,
    live,
    cursor,
    onPart,
    onPlace,
}: PartProps) {
    const lines = part.text ?? [part.label]
    const size = part.size ?? 12
    const top = part.y + part.h / 2 - (part.h > 60 ? 24 : 22)
    const named =
        part.terminals.length > 2 &&
        part.terminals.some((t) => t.edge === 'up' && Math.abs(t.x - part.x - part.w / 2) < 26 && t.y + 20 > top)
    const symbol = part.w >= 60 && part.h >= 40 && (lines.length === 1 || part.h > 80) && !named
    return (
        <g opacity={hidden ? 0.28 : 1} transform={shift ? `translate(${shift.dx} ${shift.dy})` : undefined}>
            <Rect
                x={part.x}
                y={part.y}
                width={part.w}
                height={part.h}
                rx={4}
                fill={marked ? 'dangerWash' : chosen ? 'copperWash' : 'sheet'}
                stroke={marked ? 'danger' : chosen ? 'copper' : 'ink'}
                strokeWidth={chosen || marked ? 3 : 1.4}
                strokeDasharray={off ? '5 4' : undefined}
                cursor={onPart ? 'pointer' : undefined}
                role={onPart ? 'button' : undefined}
                aria-label={onPart ? part.label : undefined}
                data-part={part.id}
                onClick={(e) => (e.shiftKey && onMany ? onMany : onPart)?.(part.id)}
            />
            {symbol && <Symbol kind={part.symbol} x={part.x + part.w / 2 - 20} y={top} />}
            {lines.map((line, i) => (
                <SvgText
                    key={line}
                    x={part.x + part.w / 2}
                    y={
                        (part.h > 60 ? part.y + part.h / 2 + 16 : part.y + part.h / 2 + (symbol ? 14 : 4)) +
                        (i - (lines.length - 1) / 2) * size * 1.1
                    }
                    textAnchor="middle"
                    fontSize={size}
                    fill="ink"
                    pointerEvents="none"
                    data-label={part.id}
                >
                    {line}
                </SvgText>
            ))}
            {off && (
                <SvgText
                    x={part.x + part.w / 2}
                    y={part.y + part.h + 13}
                    textAnchor="middle"
                    fontSize={12}
                    fontWeight={700}
                    fill="danger"
                    pointerEvents="none"
                >
                    off
                </SvgText>
            )}
            {live && (
                <SvgText
                    x={part.x + part.w / 2}
                    y={part.y + part.h / 2 + 32}
                    textAnchor="middle"
                    fontSize={12}
                    fontWeight={700}
                    fill="copper"
                    pointerEvents="none"
                >
                    {live}
                </SvgText>
            )}
            {part.terminals.map((t) => (
                <g key={t.place}>
                    <Circle
                        cx={t.x}
                        cy={t.y}
                        r={6}
                        fill={cursor === t.place ? 'copper' : 'paper'}
                        stroke={cursor === t.place ? 'copper' : 'ink'}
                        strokeWidth={1.6}
                    />
                    {part.terminals.length > 2 && <TerminalName terminal={t} crowded={part.terminals.length > 8} />}
                    {onPlace && (
                        <Circle
                            cx={t.x}
                            cy={t.y}
                            r={reach.get(t.place) ?? 13}
                            fill="transparent"
                            cursor="pointer"
                            role="button"
                            data-place={t.place}
                            aria-label={`${part.label} ${t.name}`}
                            onClick={() => onPlace(t.place)}
                        />
                    )}
                </g>
            ))}
        </g>
    )
})

/** A terminal's letters, inside the part; turned upright where many stand side by side. */
function TerminalName({ terminal: t, crowded }: { terminal: Terminal; crowded: boolean }) {
    const upright = crowded && (t.edge === 'up' || t.edge === 'down')
    const x = t.edge === 'left' ? t.x + 10 : t.edge === 'right' ? t.x - 10 : t.x
    const y = t.edge === 'up' ? t.y + (upright ? 10 : 19) : t.edge === 'down' ? t.y - 10 : t.y + 4
    const anchor = upright
        ? t.edge === 'up'
            ? 'end'
            : 'start'
        : t.edge === 'left'
          ? 'start'
          : t.edge === 'right'
            ? 'end'
            : 'middle'
    return (
        <g transform={upright ? `rotate(-90 ${x} ${y}) translate(0 4)` : undefined}>
            <SvgText x={x} y={y} textAnchor={anchor} fontSize={12} fill="faint" pointerEvents="none">
                {t.name}
            </SvgText>
        </g>
    )
}
