import { Box, Flex, Grid, HStack, Stack, Text } from '@chakra-ui/react'
import { useCallback, useEffect, useReducer, useState } from 'react'
import { Find } from '@/bench/Find'
import { Board } from '@/board/Board'
import { Ladder } from '@/board/Ladder'
import { free } from '@/builder/free'
import { Include } from '@/builder/Include'
import { Inspector } from '@/builder/Inspector'
import { Word } from '@/builder/Word'
import { Palette } from '@/builder/Palette'
import { Process } from '@/builder/Process'
import { drawn, joined, NOTHING, selection, VIEWS, type Side } from '@/builder/selection'
import { SideTabs } from '@/builder/SideTabs'
import { Tables } from '@/builder/Tables'
import { TroubleSet } from '@/builder/TroubleSet'
import type { KindFound, Moment } from '@/builder/types'
import { useBuilderKeys } from '@/builder/useBuilderKeys'
import { useDraft } from '@/builder/useDraft'
import { WhatNext } from '@/builder/WhatNext'
import { useTold } from '@/lib/query'
import type { BoardData, BuilderPage, FaultRow } from '@/lib/types'
import { Frame } from '@/shell/Frame'
import { ToolButton } from '@/theme/buttons'
import { t } from '@/words'

/**
 * Where an instructor makes an appliance: kinds at the left, the board in the middle, what is computed of it at the
 * right.
 */
export default function Builder({ draft: id, start, presence, models, catalogue, may_edit, by }: BuilderPage) {
    const bench = useDraft(id, start, presence, may_edit ? null : by)
    const { draft, edit, go } = bench
    const [chosen, choose] = useReducer(selection, NOTHING)
    const { view, side, taken, picked, wire, from, port, pipe, via, cursor, shown, seek } = chosen
    const [volts, setVolts] = useState<Moment['volts'] | null>(null)
    const here = draft.board.parts.map((p) => p.id)

    const place = useCallback(
        async (kind: KindFound, at: [number, number]) => {
            choose({ choose: 'kind', kind: null })
            await edit({ do: 'place', kind: kind.kind, at })
        },
        [edit],
    )
    const onTake = useCallback((kind: KindFound | null) => choose({ choose: 'kind', kind }), [])
    const onFirst = useCallback(
        (kind: KindFound) => void place(kind, free(draft.board, kind.size)),
        [draft.board, place],
    )
    const onPlace = useCallback(
        (at: string) => {
            const line = drawn(chosen, at)
            choose({ choose: 'terminal', at })
            if (line) void edit({ do: 'wire', ...line })
        },
        [chosen, edit],
    )
    const onPort = useCallback(
        (at: string) => {
            const line = joined(chosen, at)
            choose({ choose: 'port', at })
            if (line) void edit({ do: 'pipe', ...line })
        },
        [chosen, edit],
    )
    const onPipe = useCallback((pipe: string) => choose({ choose: 'pipe', pipe }), [])
    const onCursor = useCallback((at: string) => choose({ choose: 'cursor', at }), [])
    const onPart = useCallback((part: string) => choose({ choose: 'part', part }), [])
    const onMany = useCallback((part: string) => choose({ choose: 'one more', part }), [])
    const onWire = useCallback((wire: string) => choose({ choose: 'wire', wire }), [])
    const onSide = useCallback((side: Side) => choose({ choose: 'side', side }), [])
    const onFound = useCallback((part: string, at: string | null) => choose({ choose: 'found', part, at }), [])
    const onShow = useCallback((parts: string[], wires: string[]) => choose({ choose: 'shown', parts, wires }), [])
    const onMove = useCallback(
        (part: string, dx: number, dy: number) =>
            void edit({ do: 'move', parts: picked.includes(part) ? picked : [part], by: [dx, dy] }),
        [edit, picked],
    )
    const onBlank = useCallback(
        (x: number, y: number) => {
            if (taken) void place(taken, [x - taken.size[0] / 2, y - taken.size[1] / 2])
            else choose(via ? { choose: 'point', at: [x, y] } : { choose: 'nothing' })
        },
        [taken, via, place],
    )
    const onRemove = useCallback(() => {
        if (wire ?? pipe) void edit({ do: 'remove', wires: [(wire ?? pipe)!] })
        else if (picked.length)
            void edit({
                do: 'remove',
                parts: [
                    ...new Set(
                        picked.map((p) => (draft.document.parts.some((x) => x.id === p) ? p : p.split('.')[0]!)),
                    ),
                ],
            })
        choose({ choose: 'nothing' })
    }, [wire, pipe, picked, edit, draft.document.parts])
    const onLed = () => {
        if (wire && via?.length) void edit({ do: 'route', wire, via })
        choose({ choose: 'led' })
    }
    useBuilderKeys({ board: draft.board, chosen, choose, edit, go, onPlace, onPort, onLed, onRemove })

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

    return (
        <Frame title={draft.title} full>
            <Grid h="100%" gap="2" templateColumns="220px minmax(0,1fr) 264px" data-step={draft.step}>
                <Stack gap="2" minH="0">
                    <Box layerStyle="panel" flex="1 1 50%" minH="0" p="2">
                        <Palette
                            draft={id}
                            all={catalogue}
                            taken={taken?.kind ?? null}
                            onTake={onTake}
                            onPlace={onFirst}
                        />
                    </Box>
                    <Box
                        layerStyle="panel"
                        flex="0 1 auto"
                        maxH="50%"
                        overflowY="auto"
                        p="2"
                        tabIndex={0}
                        aria-label={t('What is picked')}
                    >
                        <Inspector
                            draft={draft}
                            selected={picked.filter((p) => here.includes(p))}
                            wire={wire}
                            pipe={pipe}
                            edit={edit}
                            onRemove={onRemove}
                            onRoute={() => choose({ choose: 'to lead' })}
                        />
                    </Box>
                </Stack>
                <Flex direction="column" gap="2" minH="0">
                    <HStack gap="1" wrap="wrap">
                        <HStack gap="1" role="group" aria-label={t('View')}>
                            {VIEWS.map((v) => (
                                <Word key={v} on={view === v} onClick={() => choose({ choose: 'view', view: v })}>
                                    {v}
                                </Word>
                            ))}
                        </HStack>
                        <Box flex="1" />
                        <Word disabled={!draft.undo} onClick={() => void go('undo')}>
                            {t('Undo')}
                        </Word>
                        <Word disabled={!draft.redo} onClick={() => void go('redo')}>
                            {t('Redo')}
                        </Word>
                        <Word onClick={() => void go('tidy')}>{t('Re-route wires')}</Word>
                        <Include models={models} board={draft.board} edit={edit} />
                        <Find board={draft.board} onFound={onFound} />
                    </HStack>
                    <WhatNext board={draft.board} chosen={chosen} onLed={onLed} />
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
                                        ? t('The server cannot be reached. What you did last waits; nothing is lost.')
                                        : t('{{by}} has changed this model. Your next edit shows it as it is now.', {
                                              by: bench.presence.by,
                                          }))}
                            </Text>
                            {bench.notice && (
                                <ToolButton size="sm" onClick={bench.clear}>
                                    {t('Understood')}
                                </ToolButton>
                            )}
                        </HStack>
                    )}
                    <Box flex="1" minH="0">
                        {view === 'Sequence' ? (
                            <Tables draft={draft} edit={edit} />
                        ) : view === 'Process' ? (
                            <Process id={id} draft={draft} models={models} edit={edit} />
                        ) : view === 'Faults' ? (
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
                                    onPlace={onCursor}
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
                                port={port}
                                pipe={pipe}
                                onPort={onPort}
                                onPipe={onPipe}
                                onMany={onMany}
                                onWire={onWire}
                                onMove={onMove}
                                onBlank={onBlank}
                                readable
                            />
                        )}
                    </Box>
                </Flex>
                <Box layerStyle="panel" minH="0" p="2">
                    <SideTabs
                        id={id}
                        draft={draft}
                        edit={edit}
                        restore={bench.restore}
                        last={bench.last}
                        busy={!bench.checked}
                        side={side}
                        cursor={cursor}
                        onSide={onSide}
                        onVolts={setVolts}
                        onShow={onShow}
                    />
                    {bench.presence.others.length > 0 && (
                        <Text fontSize="note" color="copper" role="status" position="absolute" top="14px" right="260px">
                            {bench.presence.others.join(', ')} {bench.presence.others.length > 1 ? t('are') : t('is')}{' '}
                            {t('here too')}
                        </Text>
                    )}
                </Box>
            </Grid>
        </Frame>
    )
}
