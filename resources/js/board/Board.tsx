import { chakra, Flex } from '@chakra-ui/react'
import { useCallback, useEffect, useLayoutEffect, useMemo, useRef, useState, type ReactNode } from 'react'
import type { AtTap } from '@/lib/acts'
import type { DoorShown } from '@/lib/generated/replies'
import type { BoardData } from '@/lib/types'
import { useKeys } from '@/lib/useKeys'
import { Beside } from './Beside'
import { BoardButtons, type Layer } from './BoardButtons'
import { Cabinet } from './Cabinet'
import { MiniMap } from './MiniMap'
import { PartBox } from './PartBox'
import { PipePath } from './PipePath'
import { PortMark } from './PortMark'
import { Across, AtTaps, ClampJaw, InSeries, Jumper, Lead, RunWire, Volts } from './Tools'
import { useHand } from './useHand'
import { buildable, legible, middle, shown, zoomed, type View } from './view'
import { extent, nearestWire, placeAt, reaches } from './walk'
import { BundlePath, WirePath } from './WirePath'

import { isSeat } from '@/theme/media'
import { t } from '@/words'

const Svg = chakra('svg')

interface Props {
    board: BoardData
    red?: string | null
    black?: string | null
    cursor?: string | null
    part?: string | null
    lifted?: string[]
    /** parts that are taken off */
    inHand?: string[]
    /** parts from the van that were fitted */
    installed?: string[]
    jumpers?: [string, string][]
    /** those of the jumpers that are wires run to stay: their colors, by their two places */
    runs?: Record<string, string>
    /** wires in the jaw of the clamp */
    jaw?: string[]
    /** the meter is on a current range */
    series?: boolean
    /** what is put to which tap */
    atTaps?: Partial<Record<AtTap, string>>
    /** parts that are known to be taken off: hoses */
    off?: string[]
    doors?: DoorShown[]
    /** doors that are off; none given: all of them */
    open?: string[]
    /** what stands beside the picked part */
    beside?: ReactNode
    /** parts whose every way of failing is struck */
    faint?: Set<string>
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
    /** a port where a pipe begins or ends */
    onPort?: (place: string) => void
    onPipe?: (pipe: string) => void
    /** the port that is picked, and the pipe */
    port?: string | null
    pipe?: string | null
    /** opens so large that its letters can be read, at its control where not all of it has room */
    readable?: boolean
}

const STEP = 1.6

const NO_DOORS: DoorShown[] = []

/** The appliance: parts where they sit, wires in their colours, every terminal a place for a lead. */
export function Board(props: Props) {
    const { board, red, black, cursor, doors = NO_DOORS, open } = props
    const making = props.onBlank !== undefined
    const all = useMemo(
        () => (making ? { x: 0, y: 0, w: board.width, h: board.height } : extent(board)),
        [board, making],
    )
    const reach = useMemo(() => reaches(board), [board])
    const [view, setView] = useState<View>(() => ({ scale: 1, ...middle(all) }))
    const frame = useRef<SVGSVGElement>(null)
    const { readable = false } = props
    const isWhole = useRef(false)
    /** the whole is too small for its letters to be read, so that anything beside a part would hide others */
    const [isSmall, setIsSmall] = useState(false)
    const opens = making ? buildable : legible
    const hasOpened = useRef(false)
    useLayoutEffect(() => {
        const el = frame.current
        if (!readable || !el || el.clientWidth === 0 || typeof ResizeObserver === 'undefined') return
        const room = el.getBoundingClientRect()
        setIsSmall(legible(board, all, room).scale > 1)
        // before it is seen for the first time; what is built goes on where one looks
        if (!making || !hasOpened.current) setView(opens(board, all, room))
        hasOpened.current = true
        const seen = new ResizeObserver(() => {
            const { scale } = legible(board, all, el.getBoundingClientRect())
            // with less room than before it stays readable, and round what was looked at
            if (!isWhole.current) setView((v) => (v.scale < scale ? { ...v, scale } : v))
        })
        seen.observe(el)
        return () => seen.disconnect()
    }, [board, all, readable, making, opens])
    const whole = () => {
        const box = frame.current?.getBoundingClientRect()
        isWhole.current = view.scale > 1
        if (box) setView(isWhole.current ? { scale: 1, ...middle(all) } : opens(board, all, box))
    }
    useKeys(['0'], () => readable && whole())
    const pulled = useHand(frame, view, all, setView, props.onMove)
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
    const [layer, setLayer] = useState<Layer>('Both')
    const pipes = useMemo(
        () => (board.pipes ?? []).filter((p) => props.onPort !== undefined || !isSeat(p.medium)),
        [board, props.onPort],
    )
    const bundles = useMemo(() => {
        const byCable = new Map<string, BoardData['wires']>()
        for (const wire of board.wires) {
            if (wire.bundled) byCable.set(wire.cable ?? '', [...(byCable.get(wire.cable ?? '') ?? []), wire])
        }
        return [...byCable]
    }, [board])
    const isRun = ([from, to]: [string, string]) => props.runs?.[`${from} ${to}`] !== undefined
    const [runs, jumpers] = [(props.jumpers ?? []).filter(isRun), (props.jumpers ?? []).filter((j) => !isRun(j))]
    const joined = useMemo(() => new Set(pipes.flatMap((p) => [p.from, p.to])), [pipes])
    const hidden = useMemo(
        () => new Set(doors.filter((d) => open && !open.includes(d.id)).flatMap((d) => d.covers)),
        [doors, open],
    )

    return (
        <Flex layerStyle="panel" h="100%" overflow="hidden" position="relative">
            {readable && view.scale > 1 && (
                <MiniMap
                    board={board}
                    all={all}
                    piece={{ x, y, w, h }}
                    onGo={(to, down) => setView((v) => ({ ...v, x: to, y: down }))}
                />
            )}
            <Svg
                ref={frame}
                viewBox={`${x} ${y} ${w} ${h}`}
                flex="1"
                minW="0"
                h="100%"
                role="group"
                aria-label={t('Board of the appliance')}
                touchAction="none"
                userSelect="none"
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
                {doors.map((door) => (
                    <Cabinet key={door.id} board={board} covered={door.covers} />
                ))}
                {layer !== 'Wires' &&
                    pipes.map((pipe) => (
                        <PipePath key={pipe.id} pipe={pipe} chosen={props.pipe === pipe.id} onPipe={props.onPipe} />
                    ))}
                {layer !== 'Pipes' &&
                    bundles.map(([cable, wires]) => (
                        <BundlePath key={cable} cable={cable} wires={wires} hidden={hidden} />
                    ))}
                {(layer !== 'Pipes' ? board.wires : []).map((wire) => (
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
                {runs.map(([from, to]) => (
                    <RunWire
                        key={`${from} ${to}`}
                        board={board}
                        from={from}
                        to={to}
                        colour={props.runs![`${from} ${to}`]!}
                    />
                ))}
                {board.parts.map((part) => (
                    <PartBox
                        key={part.id}
                        part={part}
                        reach={reach}
                        hidden={hidden.has(part.id)}
                        faint={props.faint?.has(part.id) ?? false}
                        chosen={props.part === part.id || (props.picked?.includes(part.id) ?? false)}
                        shift={
                            pulled &&
                            (pulled.part === part.id ||
                                (props.picked?.includes(part.id) && props.picked.includes(pulled.part)))
                                ? pulled
                                : undefined
                        }
                        onMany={props.onMany}
                        marked={props.marked === part.id || (props.markedAll?.includes(part.id) ?? false)}
                        live={props.live?.[part.id]}
                        off={props.off?.includes(part.id) ?? false}
                        inHand={props.inHand?.includes(part.id) ?? false}
                        inVan={part.van === true && !props.installed?.includes(part.id)}
                        cursor={cursor && cursor.startsWith(`${part.id}.`) ? cursor : null}
                        onPart={props.onPart}
                        onPlace={props.onPlace}
                    />
                ))}
                {layer !== 'Wires' &&
                    props.onPort &&
                    board.parts.flatMap((part) =>
                        (part.ports ?? []).map((port) => (
                            <PortMark
                                key={port.place}
                                port={port}
                                part={part.label}
                                chosen={props.port === port.place}
                                joined={joined.has(port.place)}
                                onPort={props.onPort!}
                            />
                        )),
                    )}
                {jumpers.map(([from, to]) => (
                    <Jumper key={`${from} ${to}`} board={board} from={from} to={to} />
                ))}
                {(props.jaw ?? []).map((wire) => (
                    <ClampJaw key={wire} board={board} wire={wire} />
                ))}
                {props.volts && <Volts board={board} volts={props.volts} />}
                {props.atTaps && <AtTaps board={board} at={props.atTaps} />}
                {!props.series && red && black && <Across board={board} red={red} black={black} />}
                {props.series && red && black && <InSeries board={board} red={red} black={black} />}
                {black && <Lead board={board} place={black} away={red} colour="leadBlack" letter="B" />}
                {red && <Lead board={board} place={red} away={black} colour="leadRed" letter="R" />}
            </Svg>
            {props.beside && props.part && (view.scale > 1 || !isSmall) && (
                <Beside frame={frame} part={props.part} view={`${x} ${y} ${w} ${h}`}>
                    {props.beside}
                </Beside>
            )}
            <BoardButtons
                view={view}
                readable={readable}
                layer={pipes.length > 0 ? layer : null}
                onLayer={setLayer}
                onWhole={whole}
                onNearer={nearer}
            />
        </Flex>
    )
}
