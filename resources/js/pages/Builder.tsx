import { Box, Flex, Grid, HStack, Stack, Tabs, Text } from '@chakra-ui/react'
import { useCallback, useEffect, useState } from 'react'
import { Find } from '@/bench/Find'
import { Board } from '@/board/Board'
import { Ladder } from '@/board/Ladder'
import { along, nearest, ownerOf, placeName, wiresAt } from '@/board/walk'
import { Files } from '@/builder/Files'
import { Circuits, Findings } from '@/builder/Findings'
import { HealthyRun } from '@/builder/HealthyRun'
import { Inspector, Word } from '@/builder/Inspector'
import { Palette } from '@/builder/Palette'
import { Process } from '@/builder/Process'
import { Tables } from '@/builder/Tables'
import { TroubleSet } from '@/builder/TroubleSet'
import type { Draft, Includable, KindFound, Moment, Presence } from '@/builder/types'
import { useDraft } from '@/builder/useDraft'
import { Versions } from '@/builder/Versions'
import { useTold } from '@/lib/query'
import type { BoardData } from '@/lib/types'
import { Frame } from '@/shell/Frame'
import { Select } from '@/shell/Select'
import { ToolButton } from '@/theme/buttons'

interface Props {
    draft: number
    start: Draft
    presence: Presence
    models: Includable[]
    catalogue: KindFound[]
}

const STEP = 14
const VIEWS = ['Board', 'Ladder', 'Sequence', 'Process', 'Trouble'] as const
type View = (typeof VIEWS)[number]

interface FaultRow {
    id: string
    title: string
    weight: number
}

/**
 * Where an instructor makes an appliance: kinds at the left, the board in the middle, what is computed of it at the
 * right.
 */
export default function Builder({ draft: id, start, presence, models, catalogue }: Props) {
    const bench = useDraft(id, start, presence)
    const { draft, edit, go } = bench
    const [view, setView] = useState<View>('Board')
    const [taken, setTaken] = useState<KindFound | null>(null)
    const [picked, setPicked] = useState<string[]>([])
    const [wire, setWire] = useState<string | null>(null)
    const [from, setFrom] = useState<string | null>(null)
    const [cursor, setCursor] = useState<string | null>(null)
    const [shown, setShown] = useState<string[]>([])
    const [seek, setSeek] = useState<string | null>(null)
    const [via, setVia] = useState<[number, number][] | null>(null)
    const [volts, setVolts] = useState<Moment['volts'] | null>(null)
    const [side, setSide] = useState('checks')
    const here = draft.board.parts.map((p) => p.id)

    const place = useCallback(
        async (kind: KindFound, at: [number, number]) => {
            setTaken(null)
            await edit({ do: 'place', kind: kind.kind, at })
        },
        [edit],
    )

    const onPlace = useCallback(
        (at: string) => {
            setCursor(at)
            if (view !== 'Board') return
            if (side === 'run') return // there a terminal is read, not wired
            if (from === null) {
                setFrom(at)
                setWire(null)
                setPicked([])
            } else if (from === at) {
                setFrom(null)
            } else {
                setFrom(null)
                void edit({ do: 'wire', from, to: at })
            }
        },
        [from, edit, view, side],
    )
    const onPart = useCallback((part: string) => {
        setWire(null)
        setFrom(null)
        setShown([])
        setPicked([part])
    }, [])
    const onMany = useCallback(
        (part: string) => setPicked((p) => (p.includes(part) ? p.filter((x) => x !== part) : [...p, part])),
        [],
    )
    const onWire = useCallback((w: string) => {
        setPicked([])
        setFrom(null)
        setWire(w)
    }, [])
    const onMove = useCallback(
        (part: string, dx: number, dy: number) =>
            void edit({ do: 'move', parts: picked.includes(part) ? picked : [part], by: [dx, dy] }),
        [edit, picked],
    )
    const onBlank = useCallback(
        (x: number, y: number) => {
            if (taken) void place(taken, [x - taken.size[0] / 2, y - taken.size[1] / 2])
            else if (via) setVia([...via, [x, y]])
            else {
                setPicked([])
                setWire(null)
                setFrom(null)
                setShown([])
            }
        },
        [taken, via, place],
    )
    const onShow = useCallback((parts: string[], wires: string[]) => {
        setView('Board')
        setShown([...parts, ...wires])
        setSeek(parts[0] ?? null)
    }, [])
    const remove = useCallback(() => {
        if (wire) void edit({ do: 'remove', wires: [wire] })
        else if (picked.length)
            void edit({
                do: 'remove',
                parts: [
                    ...new Set(
                        picked.map((p) => (draft.document.parts.some((x) => x.id === p) ? p : p.split('.')[0]!)),
                    ),
                ],
            })
        setWire(null)
        setPicked([])
        setShown([])
    }, [wire, picked, edit, draft.document.parts])
    const led = () => {
        if (wire && via?.length) void edit({ do: 'route', wire, via })
        setVia(null)
    }

    useEffect(() => {
        const key = (e: KeyboardEvent) => {
            const typing = e.target instanceof HTMLElement && e.target.closest('input, textarea, select')
            if ((e.ctrlKey || e.metaKey) && !typing && ['z', 'y', 'Z'].includes(e.key)) {
                e.preventDefault()
                void go(e.key === 'y' || e.shiftKey ? 'redo' : 'undo')
                return
            }
            if (typing || (e.target instanceof HTMLElement && e.target.closest('[role=tab]'))) return
            const step = { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] }[e.key] as
                [number, number] | undefined
            const onButton = e.target instanceof HTMLElement && !!e.target.closest('button, a')
            if (step && e.altKey && picked.length) {
                e.preventDefault()
                void edit({ do: 'move', parts: picked, by: [step[0] * STEP, step[1] * STEP] })
            } else if (step && view === 'Board') {
                e.preventDefault()
                const at = cursor ?? draft.board.parts.find((p) => p.terminals.length > 0)?.terminals[0]?.place
                if (at)
                    setCursor((e.shiftKey ? along(draft.board, at, ...step) : nearest(draft.board, at, ...step)) ?? at)
            } else if (e.key === 'Enter' && cursor && !onButton) onPlace(cursor)
            else if (e.key === 'Enter' && via) led()
            else if (e.key === 'p' && cursor) onPart(ownerOf(cursor))
            else if (e.key === 'P' && cursor) onMany(ownerOf(cursor))
            else if (e.key === 'w' && cursor) {
                const there = wiresAt(draft.board, cursor).map((w) => w.wire.id)
                const next = there[(there.indexOf(wire ?? '') + 1) % Math.max(1, there.length)]
                if (next) onWire(next)
            } else if (e.key === 'Delete' || e.key === 'Backspace') remove()
            else if (e.key === 'k') {
                e.preventDefault()
                document.querySelector<HTMLInputElement>('input[aria-label="Find a kind of part"]')?.focus()
            } else if (e.key === 'Escape') {
                setTaken(null)
                setFrom(null)
                setVia(null)
                setPicked([])
                setWire(null)
                setShown([])
            }
        }
        window.addEventListener('keydown', key)
        return () => window.removeEventListener('keydown', key)
    })

    const ladders = useTold<{ ladder: BoardData['ladder'] }>(`/drafts/${id}/ladder`, {
        of: draft.step,
        enabled: view === 'Ladder',
        keep: true,
    })
    const ladder = ladders.data?.ladder ?? null
    const [wantsFaults, setWantsFaults] = useState(false)
    const listed = useTold<{ faults: FaultRow[] }>(`/drafts/${id}/faults`, {
        of: draft.step,
        enabled: wantsFaults,
        keep: true,
    }) // what can be wrong changes with the model
    const faults = listed.data?.faults ?? null
    const problem = (ladders.error ?? listed.error)?.message
    const say = bench.say
    useEffect(() => {
        if (problem !== undefined) say(problem)
    }, [problem, say])

    const wrong = bench.last?.findings.filter((f) => f.grade === 'wrong').length ?? 0
    return (
        <Frame title={draft.title} full>
            <Grid h="100%" gap="2" templateColumns="236px minmax(0,1fr) 312px" data-step={draft.step}>
                <Stack gap="2" minH="0">
                    <Box layerStyle="panel" flex="1 1 50%" minH="0" p="2">
                        <Palette
                            draft={id}
                            all={catalogue}
                            taken={taken?.kind ?? null}
                            onTake={(k) => {
                                setTaken(k)
                                setView('Board')
                            }}
                            onPlace={(k) => void place(k, free(draft.board, k.size))}
                        />
                    </Box>
                    <Box
                        layerStyle="panel"
                        flex="0 1 auto"
                        maxH="50%"
                        overflowY="auto"
                        p="2"
                        tabIndex={0}
                        aria-label="What is picked"
                    >
                        <Inspector
                            draft={draft}
                            selected={picked.filter((p) => here.includes(p))}
                            wire={wire}
                            edit={edit}
                            onRemove={remove}
                            onRoute={() => setVia([])}
                        />
                    </Box>
                </Stack>
                <Flex direction="column" gap="2" minH="0">
                    <HStack gap="1" wrap="wrap">
                        <HStack gap="1" role="group" aria-label="View">
                            {VIEWS.map((v) => (
                                <Word key={v} on={view === v} onClick={() => setView(v)}>
                                    {v}
                                </Word>
                            ))}
                        </HStack>
                        <Box flex="1" />
                        <Word disabled={!draft.undo} onClick={() => void go('undo')}>
                            Undo
                        </Word>
                        <Word disabled={!draft.redo} onClick={() => void go('redo')}>
                            Redo
                        </Word>
                        <Word onClick={() => void go('tidy')}>Wires anew</Word>
                        <Find
                            board={draft.board}
                            onFound={(part, at) => {
                                setView('Board')
                                setSeek(at ?? part)
                                if (at) setCursor(at)
                                else onPart(part)
                            }}
                        />
                    </HStack>
                    {(bench.notice || bench.away || bench.behind) && (
                        <HStack
                            bg="copperWash"
                            borderRadius="md"
                            px="3"
                            py="2"
                            role={bench.notice ? 'alert' : 'status'}
                        >
                            <Text flex="1" fontSize="text">
                                {bench.notice ??
                                    (bench.away
                                        ? 'The server cannot be reached. What you did last waits; nothing is lost.'
                                        : `${bench.presence.by} has changed this model. Your next edit shows it as it is now.`)}
                            </Text>
                            {bench.notice && (
                                <ToolButton size="sm" onClick={bench.clear}>
                                    Understood
                                </ToolButton>
                            )}
                        </HStack>
                    )}
                    <Box flex="1" minH="0">
                        {view === 'Sequence' ? (
                            <Tables draft={draft} edit={edit} />
                        ) : view === 'Process' ? (
                            <Process draft={draft} models={models} edit={edit} />
                        ) : view === 'Trouble' ? (
                            <TroubleSet
                                draft={draft}
                                id={id}
                                picked={picked[0] ?? null}
                                faults={faults}
                                onFaults={() => setWantsFaults(true)}
                                edit={edit}
                                place={cursor}
                                wire={wire}
                            />
                        ) : view === 'Ladder' ? (
                            ladder ? (
                                <Ladder
                                    ladder={ladder}
                                    board={draft.board}
                                    cursor={cursor}
                                    part={picked[0] ?? null}
                                    onPlace={setCursor}
                                    onPart={onPart}
                                />
                            ) : (
                                <Text p="3">…</Text>
                            )
                        ) : (
                            <Board
                                board={draft.board}
                                cursor={from ?? cursor}
                                picked={picked}
                                wire={wire}
                                markedAll={shown}
                                seek={seek}
                                volts={volts}
                                onPlace={onPlace}
                                onPart={onPart}
                                onMany={onMany}
                                onWire={onWire}
                                onMove={onMove}
                                onBlank={onBlank}
                            />
                        )}
                    </Box>
                    <Text fontSize="text" color="faint" role="status" aria-label="What to do next">
                        {taken
                            ? `${taken.title}: press the board where it goes.`
                            : via
                              ? `${via.length} points. Press the board where the wire goes; Enter or “Done” leads it so.`
                              : from
                                ? `From ${placeName(draft.board, from)}: press where the wire goes, or Escape.`
                                : view !== 'Board'
                                  ? ''
                                  : side === 'run'
                                    ? 'Press a terminal to read its volts at that moment; drag a part to move it.'
                                    : draft.board.parts.length === 0
                                      ? 'An empty board: take a kind at the left and press the board; or include an appliance below.'
                                      : 'Press two terminals to draw a wire; drag a part to move it; Shift picks several.'}
                        {via && (
                            <ToolButton size="sm" ml="2" onClick={led}>
                                Done
                            </ToolButton>
                        )}
                    </Text>
                    <Include models={models} board={draft.board} edit={edit} />
                </Flex>
                <Box layerStyle="panel" minH="0" p="2">
                    <Tabs.Root
                        value={side}
                        onValueChange={(e) => setSide(e.value)}
                        h="100%"
                        display="flex"
                        flexDirection="column"
                        size="sm"
                        colorPalette="orange"
                        lazyMount
                        unmountOnExit
                    >
                        <Tabs.List>
                            <Tabs.Trigger value="checks" h="row" px="2">
                                Checks{wrong > 0 ? ` ▲${wrong}` : ''}
                            </Tabs.Trigger>
                            <Tabs.Trigger value="circuits" h="row" px="2">
                                Circuits
                            </Tabs.Trigger>
                            <Tabs.Trigger value="run" h="row" px="2">
                                Run
                            </Tabs.Trigger>
                            <Tabs.Trigger value="steps" h="row" px="2">
                                Steps
                            </Tabs.Trigger>
                            <Tabs.Trigger value="files" h="row" px="2">
                                Files
                            </Tabs.Trigger>
                        </Tabs.List>
                        <Pane value="checks">
                            <Findings checked={bench.last} busy={!bench.checked} edit={edit} onShow={onShow} />
                        </Pane>
                        <Pane value="circuits">
                            <Circuits checked={bench.last} onShow={onShow} />
                        </Pane>
                        <Pane value="run">
                            <HealthyRun
                                draft={id}
                                step={draft.step}
                                lanes={draft.board.lanes}
                                name={(at) => placeName(draft.board, at)}
                                place={cursor}
                                onVolts={setVolts}
                                onShow={onShow}
                            />
                        </Pane>
                        <Pane value="steps">
                            <Versions draft={id} step={draft.step} onRestore={bench.restore} />
                        </Pane>
                        <Pane value="files">
                            <Files draft={id} edit={edit} />
                        </Pane>
                    </Tabs.Root>
                    {bench.presence.others.length > 0 && (
                        <Text fontSize="note" color="copper" role="status" position="absolute" top="14px" right="260px">
                            {bench.presence.others.join(', ')} {bench.presence.others.length > 1 ? 'are' : 'is'} here
                            too
                        </Text>
                    )}
                </Box>
            </Grid>
        </Frame>
    )
}

function Pane({ value, children }: { value: string; children: React.ReactNode }) {
    return (
        <Tabs.Content value={value} flex="1" minH="0" overflowY="auto" pt="2" tabIndex={0}>
            {children}
        </Tabs.Content>
    )
}

/** An appliance put into this one as a whole; its ports are places to wire to. */
function Include({
    models,
    board,
    edit,
}: {
    models: Includable[]
    board: BoardData
    edit: (...edits: { do: string }[]) => Promise<boolean>
}) {
    const [open, setOpen] = useState(false)
    const [model, setModel] = useState(models[0]?.name ?? '')
    const ports = models.find((m) => m.name === model)?.ports ?? []
    if (!open)
        return (
            <Box>
                <Word onClick={() => setOpen(true)}>Include an appliance…</Word>
            </Box>
        )
    return (
        <HStack gap="2">
            <Select
                label="Appliance to include"
                value={model}
                options={models.map((m) => [m.name, m.title])}
                onChange={setModel}
            />
            <Text fontSize="note" color="faint" flex="1">
                {ports.length ? `ports ${ports.join(', ')}` : 'no ports: its terminals are wired to themselves'}
            </Text>
            <Word
                onClick={() => {
                    void edit({
                        do: 'include',
                        model,
                        id: model.split('-')[0],
                        by: [0, board.parts.length === 0 ? 0 : Math.max(...board.parts.map((p) => p.y + p.h)) + 60],
                    } as { do: string })
                    setOpen(false)
                }}
            >
                Include
            </Word>
            <Word onClick={() => setOpen(false)}>Leave it</Word>
        </HStack>
    )
}

/** A place on the board where a part of that size covers none. */
export function free(board: BoardData, size: [number, number]): [number, number] {
    const room = 42
    for (let y = 56; y < 4000; y += 28) {
        for (let x = 42; x + size[0] < Math.max(1190, board.width - room); x += 28) {
            if (
                !board.parts.some(
                    (p) =>
                        x < p.x + p.w + room &&
                        x + size[0] + room > p.x &&
                        y < p.y + p.h + room &&
                        y + size[1] + room > p.y,
                )
            )
                return [x, y]
        }
    }
    return [42, 56]
}
