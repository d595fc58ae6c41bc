import { Box, Flex, Grid, HStack, Stack, Tabs, Text } from '@chakra-ui/react'
import { useCallback, useEffect, useMemo, useRef, useState } from 'react'
import { Board } from '@/board/Board'
import { Ladder } from '@/board/Ladder'
import { ownerOf, placeName } from '@/board/walk'
import { Doors } from '@/bench/Doors'
import { knownLever, unsaid } from '@/bench/known'
import { Instruments } from '@/bench/Instruments'
import { Find } from '@/bench/Find'
import { unread } from '@/bench/Log'
import { MeterPanel } from '@/bench/MeterPanel'
import { Notices } from '@/bench/Notices'
import { Papers } from '@/bench/Papers'
import { PartPanel } from '@/bench/PartPanel'

import { TimeBar } from '@/bench/TimeBar'
import { useBench } from '@/bench/useBench'
import { useBenchKeys } from '@/bench/useBenchKeys'
import type { BenchPage } from '@/lib/types'
import { inUnits } from '@/lib/units'

import { Frame } from '@/shell/Frame'
import { useLook } from '@/shell/look'

import { readingAt, settlesAt } from '@/tape/stretches'
import { type Mark } from '@/tape/Tape'
import { MainButton, ToolButton } from '@/theme/buttons'

/** The trainee's place: the appliance, the meter, the tape, the call sheet and the suspects. */
export default function Bench(page: BenchPage) {
    const { attempt, job, board, doors, log, past, now, steps, told: given } = page
    const ownSheet = job.rules.own_sheet
    const bench = useBench({ attempt, log, past, now, told: given })
    const { scene, act } = bench
    const [hand, setHand] = useState<'red' | 'black'>('red')
    const [part, setPart] = useState<string | null>(null)
    const [cursor, setCursor] = useState<string | null>(null)
    const [scrub, setScrub] = useState<number | null>(null)
    const [jumpFrom, setJumpFrom] = useState<string | null>(null)
    const [drawing, setDrawing] = useState(false)
    const [aside, setAside] = useState<string | null>(steps ? 'call' : null)
    const [seek, setSeek] = useState<string | null>(null)

    const place = async (at: string) => {
        setPart(ownerOf(at))
        setCursor(at)
        const leads = { red: scene.red, black: scene.black, [hand]: at }
        const entry = await act('leads', leads)
        if (entry && !entry.refused && hand === 'red' && !leads.black) setHand('black')
        if (entry && !entry.refused && hand === 'black' && !leads.red) setHand('red')
        if (entry && !entry.refused && leads.red && leads.black && hand === 'black') setHand('red')
    }

    const placing = useRef(place)
    useEffect(() => {
        placing.current = place
    })
    const onPlace = useCallback((at: string) => void placing.current(at), [])

    useBenchKeys({ bench, board, hand, part, cursor, drawing, onHand: setHand, onCursor: setCursor, onPlace })

    const reading = readingAt(bench.seen, bench.time)
    const moving = settlesAt(bench.seen, bench.time) !== undefined
    const [look] = useLook()
    const say = useCallback((text: string) => inUnits(text, look.units), [look.units])
    const spoken = useMemo(
        () =>
            bench.log.map((e) => ({
                ...e,
                text: inUnits(e.text, look.units),
                reading: e.reading && { ...e.reading, text: inUnits(e.reading.text, look.units) },
            })),
        [bench.log, look.units],
    )
    const told = unsaid(bench.log)
    const marks: Mark[] = spoken
        .filter((e) => !e.refused && !['meant', 'suspect', 'todo', 'dial', 'hint'].includes(e.act.act))
        .map((e) => ({
            at: e.at_s,
            text: ownSheet ? unread(e) : e.text,
            ...(e.reading && !ownSheet ? { reading: e.reading.text } : {}),
            kind: Object.keys(e.dangers).length
                ? 'danger'
                : e.reading
                  ? 'reading'
                  : e.act.act === 'look'
                    ? 'look'
                    : 'act',
        }))
    const eyes =
        scene.eyes === null
            ? 'Look at a part to see what shines or moves there.'
            : `Eyes on ${board.parts.find((p) => p.id === scene.eyes)?.label ?? 'a wire'} ·`

    // Time goes on many times a second; what does not change with it is not drawn anew.
    const off = useMemo(
        () =>
            board.parts
                .filter(
                    (p) =>
                        p.symbol === 'hose' &&
                        p.controls.some((c) => knownLever(bench.log, p.id, c.lever, c.label) === 'off'),
                )
                .map((p) => p.id),
        [board, bench.log],
    )
    const papers = useMemo(
        () => (
            <Papers page={page} tried={bench.tried} log={bench.log} spoken={spoken} tagged={scene.tagged} act={act} />
        ),
        [page, bench.tried, bench.log, spoken, scene.tagged, act],
    )
    const tabs = useMemo(
        () =>
            [
                ['call', steps ? 'Steps' : 'Call'],
                ['log', `Log (${bench.log.length})`],
                ['suspects', 'Suspects'],
                ['list', 'List'],
                ...(ownSheet ? [['sheet', 'Sheet'] as const] : []),
                ...(job.rules.report ? [['report', 'Report'] as const] : []),
            ] as const,
        [steps, bench.log.length, ownSheet, job.rules.report],
    )
    const middle = useMemo(
        () => (
            <Flex direction="column" minH="0" minW="0" gap="2">
                <HStack gap="1" flexShrink={0} wrap={{ base: 'wrap', xl: 'nowrap' }}>
                    <Doors doors={doors} scene={scene} act={act} />
                    {board.ladder && (
                        <ToolButton on={drawing} onClick={() => setDrawing(!drawing)}>
                            Ladder
                        </ToolButton>
                    )}
                    <Find
                        board={board}
                        onFound={(id, at) => {
                            setPart(id)
                            setSeek(at ?? id)
                            if (at) setCursor(at)
                        }}
                    />
                    <Box flex="1" />
                    <Tabs.List borderWidth="0" gap="0" flexShrink={0}>
                        {tabs.map(([value, name]) => (
                            <Tabs.Trigger
                                key={value}
                                value={value}
                                h="touch"
                                px={tabs.length > 4 ? '1' : '2'}
                                tabIndex={aside === null && value === 'call' ? 0 : undefined}
                                onClick={() => aside === value && setAside(null)}
                            >
                                {name}
                            </Tabs.Trigger>
                        ))}
                    </Tabs.List>
                    <ToolButton
                        onClick={() => {
                            if (
                                window.confirm(
                                    steps
                                        ? 'Close the warm-up? You can start it again whenever you like.'
                                        : 'Close the call? The job ends here and is marked.',
                                )
                            )
                                void act('hand_back')
                        }}
                    >
                        Close the call
                    </ToolButton>
                </HStack>
                <Notices away={bench.away} notice={bench.notice} onClear={bench.clear} />
                <Box flex="1" minH="0" h={{ base: '56vh', md: 'auto' }} flexBasis={{ base: '56vh', md: '0' }}>
                    {drawing && board.ladder ? (
                        <Ladder
                            ladder={board.ladder}
                            board={board}
                            red={scene.red}
                            black={scene.black}
                            cursor={cursor}
                            part={part}
                            onPlace={onPlace}
                            onPart={setPart}
                        />
                    ) : (
                        <Board
                            board={board}
                            red={scene.red}
                            black={scene.black}
                            cursor={cursor}
                            part={part}
                            lifted={scene.lifted}
                            inHand={scene.off}
                            installed={scene.installed}
                            jumpers={scene.jumpers}
                            jaw={scene.clamp?.wires}
                            series={['ua', 'ma', 'aac'].includes(scene.mode)}
                            off={off}
                            atTaps={scene.at_taps}
                            doors={doors}
                            open={scene.open}
                            seek={seek}
                            readable
                            onPlace={onPlace}
                            onPart={setPart}
                        />
                    )}
                </Box>
            </Flex>
        ),
        [
            scene,
            off,
            doors,
            drawing,
            board,
            bench.away,
            bench.notice,
            bench.clear,
            cursor,
            part,
            seek,
            steps,
            act,
            onPlace,
            aside,
            tabs,
        ],
    )
    const right = useMemo(
        () => (
            <Flex direction="column" gap="2" minH="0" w={{ base: '100%', md: '236px' }} flexShrink={0}>
                <MeterPanel
                    scene={scene}
                    reading={reading}
                    moving={moving}
                    hand={hand}
                    names={{
                        red: scene.red ? placeName(board, scene.red) : '',
                        black: scene.black ? placeName(board, scene.black) : '',
                    }}
                    act={act}
                    onHand={setHand}
                    onOff={() => {
                        void act('leads', { red: null, black: null })
                        setHand('red')
                    }}
                    meaning={{ ask: told !== undefined, onMeant: (meaning) => void act('meant', { meaning }) }}
                />
                <Stack gap="2" flex="1" minH="0" overflowY="auto" tabIndex={0} aria-label="By hand">
                    {bench.log.length === 0 && aside === null && (
                        <Stack layerStyle="panel" gap="2" p="3">
                            <Text fontSize="text">
                                {steps
                                    ? `${steps.length} things to try, on a board with nothing wrong.`
                                    : `The customer says: “${job.complaint}”`}
                            </Text>
                            <MainButton onClick={() => setAside('call')}>
                                {steps ? 'See the steps' : 'Read the call sheet'}
                            </MainButton>
                        </Stack>
                    )}
                    <PartPanel
                        board={board}
                        part={board.parts.find((p) => p.id === part)}
                        place={cursor}
                        log={bench.log}
                        say={say}
                        lifted={scene.lifted}
                        off={scene.off}
                        locked={scene.locked}
                        heads={scene.heads}
                        jaw={scene.clamp?.wires ?? []}
                        jumper={{ from: jumpFrom, all: scene.jumpers, wires: scene.wired, onFrom: setJumpFrom }}
                        installed={scene.installed}
                        act={act}
                        onPlace={onPlace}
                    />
                    <Instruments board={board} scene={scene} log={spoken} act={act} />
                </Stack>
            </Flex>
        ),
        [
            scene,
            reading,
            moving,
            hand,
            board,
            told,
            spoken,
            act,
            part,
            cursor,
            bench.log,
            say,
            jumpFrom,
            onPlace,
            aside,
            steps,
            job.complaint,
        ],
    )

    return (
        <Frame title={job.title} full>
            <Tabs.Root
                value={aside}
                onValueChange={(e) => setAside(e.value)}
                h="100%"
                size="sm"
                colorPalette="orange"
                lazyMount
                unmountOnExit
            >
                <Flex
                    h="100%"
                    gap="2"
                    direction={{ base: 'column', md: 'row' }}
                    overflowY={{ base: 'auto', md: 'visible' }}
                >
                    <Grid
                        flex={{ base: 'none', md: '1' }}
                        minW="0"
                        h={{ base: 'auto', md: '100%' }}
                        gap="2"
                        templateColumns={{
                            base: 'minmax(0,1fr)',
                            md: `${aside === null ? '' : '272px '}minmax(0,1fr)`,
                        }}
                        templateRows={{ base: 'none', md: 'minmax(0,1fr) auto' }}
                    >
                        {aside !== null && papers}
                        {middle}
                        <TimeBar
                            bench={bench}
                            lanes={board.lanes}
                            marks={marks}
                            labour={scene.labour}
                            eyes={eyes}
                            scrub={scrub}
                            onScrub={job.kind === 'practice' ? setScrub : undefined}
                        />
                    </Grid>
                    {right}
                </Flex>
            </Tabs.Root>
        </Frame>
    )
}
