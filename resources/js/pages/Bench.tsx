import { Tabs } from '@chakra-ui/react'
import { useCallback, useEffect, useMemo, useRef, useState } from 'react'
import { PerceivedAt } from '@/board/perceived'
import { ownerOf, placeName } from '@/board/walk'
import { Appliance } from '@/bench/Appliance'
import { BeginHere } from '@/bench/BeginHere'
import { BenchTools } from '@/bench/BenchTools'
import { Ending } from '@/bench/Ending'
import { allStruck, hosesOff, knownLever, runsOf, suspectMarks, unsaid } from '@/bench/known'
import { Instruments } from '@/bench/Instruments'
import type { Meant } from '@/bench/Meaning'
import { logMarks } from '@/bench/logMarks'
import { MeterBar } from '@/bench/MeterBar'
import { MeterPanel } from '@/bench/MeterPanel'
import { Notices } from '@/bench/Notices'
import { Papers } from '@/bench/Papers'
import { PhonePanel } from '@/bench/PhonePanel'
import { PartBar } from '@/bench/PartBar'
import { PartPanel } from '@/bench/PartPanel'
import { tabsOf } from '@/bench/tabsOf'
import { TimeBar } from '@/bench/TimeBar'
import { UprightBench } from '@/bench/UprightBench'
import { useBench } from '@/bench/useBench'
import { TwinPart } from '@/bench/TwinPart'
import { TwinSwitch } from '@/bench/TwinSwitch'
import { useBenchKeys } from '@/bench/useBenchKeys'
import { WideBench } from '@/bench/WideBench'
import { useTwin } from '@/bench/useTwin'
import { useWireInHand } from '@/bench/useWireInHand'
import { WireTools } from '@/bench/WireTools'
import type { BenchPage } from '@/lib/types'
import { inUnits } from '@/lib/units'
import { Frame } from '@/shell/Frame'
import { useLook } from '@/shell/look'
import { Heard } from '@/sound/Heard'
import { readingAt, settlesAt } from '@/tape/stretches'
import { useUpright } from '@/theme/useMedia'
import { t } from '@/words'

/** The bench; one that is looked at over a shoulder begins anew from what there is, whenever something was done. */
export default function Bench(page: BenchPage) {
    return <TheBench key={page.watched === null ? page.attempt : `${page.log.length} ${page.now.now_s}`} {...page} />
}

/** The trainee's place: the appliance, the meter, the tape, the call sheet and the suspects. */
function TheBench(page: BenchPage) {
    const { attempt, job, board, doors, log, past, now, steps, told: given } = page
    const bench = useBench({ attempt, log, past, now, told: given, onlyLooked: page.watched !== null })
    const twin = useTwin(bench.scene, bench.seen, bench.act)
    const { scene, act, onTwin } = twin
    const isByPhone = job.work === 'remote' && page.watched === null
    const [hand, setHand] = useState<'red' | 'black'>('red')
    const [part, setPart] = useState<string | null>(null)
    const [cursor, setCursor] = useState<string | null>(null)
    const [scrub, setScrub] = useState<number | null>(null)
    const [jumpFrom, setJumpFrom] = useState<string | null>(null)
    const [drawing, setDrawing] = useState(false)
    const isUpright = useUpright()
    const Layout = isUpright ? UprightBench : WideBench
    const [aside, setAside] = useState<string | null>(steps || (isUpright && log.length === 0) ? 'call' : null)
    const [stopped, setStopped] = useState(page.stopped)
    const [leftS, setLeftS] = useState(page.left_s)
    const { play } = bench
    const onStopped = useCallback(
        (stands: boolean, left: number | null) => {
            setStopped(stands)
            setLeftS(left)
            if (stands) play(false)
        },
        [play],
    )
    const [seek, setSeek] = useState<string | null>(null)
    /** the part itself was pressed, and not a terminal: hands are beside it */
    const [byHand, setByHand] = useState(false)

    const { wiring } = page
    const { wire, setWire, press } = useWireInHand(wiring, act)

    const place = async (at: string) => {
        setPart(ownerOf(at))
        setByHand(false)
        setCursor(at)
        if (await press(at)) return
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
    const onPart = useCallback((id: string) => {
        setPart(id)
        setByHand(true)
    }, [])

    useBenchKeys({
        bench: { ...bench, act },
        board,
        hand,
        part,
        cursor,
        drawing,
        onHand: setHand,
        onCursor: setCursor,
        onPlace,
    })

    const reading = readingAt(bench.seen, bench.time)
    const moving = settlesAt(bench.seen, bench.time) !== undefined
    const second = Math.floor(bench.time)
    const [look, setLook] = useLook()
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
    const marks = logMarks(spoken, job.rules.own_sheet)
    const eyes =
        scene.eyes === null
            ? t('Look at a part to see what shines or moves there.')
            : t('Eyes on {{what}} ·', { what: board.parts.find((p) => p.id === scene.eyes)?.label ?? t('a wire') })

    // Time goes on many times a second; what does not change with it is not drawn anew.
    const off = useMemo(() => hosesOff(board, bench.log), [board, bench.log])
    const runs = useMemo(() => runsOf(scene.wired, bench.log), [scene.wired, bench.log])
    const suspects = useMemo(() => suspectMarks(bench.log), [bench.log])
    const ruledOut = useMemo(() => allStruck(page.faults, suspects), [page.faults, suspects])
    const picked = board.parts.find((p) => p.id === part)
    const beside = useMemo(
        () =>
            picked &&
            byHand &&
            !onTwin && (
                <PartBar
                    part={picked}
                    known={(lever, label) => knownLever(bench.log, picked.id, lever, label)}
                    fitted={scene.installed.includes(picked.id)}
                    act={act}
                />
            ),
        [picked, byHand, onTwin, bench.log, scene.installed, act],
    )
    const papers = useMemo(
        () => (
            <Papers
                page={page}
                tried={bench.tried}
                log={bench.log}
                spoken={spoken}
                scene={scene}
                past={bench.past}
                act={act}
            />
        ),
        [page, bench.tried, bench.log, spoken, scene, bench.past, act],
    )
    const many = bench.log.length
    const tabs = useMemo(() => tabsOf(page, many), [page, many])
    const names = useMemo(
        () => ({
            red: scene.red ? placeName(board, scene.red) : '',
            black: scene.black ? placeName(board, scene.black) : '',
        }),
        [board, scene.red, scene.black],
    )
    const appliance = useMemo(
        () => (
            <Appliance
                {...{ board, scene, doors, drawing, runs, part, seek, off, onPlace }}
                cursor={wire.from ?? cursor}
                picture={wiring?.picture ?? null}
                onPart={drawing ? setPart : onPart}
                faint={ruledOut}
                beside={beside || undefined}
            />
        ),
        [
            scene,
            off,
            doors,
            drawing,
            runs,
            wiring,
            wire.from,
            board,
            cursor,
            part,
            seek,
            onPlace,
            onPart,
            ruledOut,
            beside,
        ],
    )
    const asks = told !== undefined && job.is_traced
    const meterProps = useMemo(
        () => ({
            scene,
            reading,
            moving,
            time: second,
            hand,
            names,
            act,
            onHand: setHand,
            meaning: { ask: asks, onMeant: (meaning: Meant) => void act('meant', { meaning }) },
        }),
        [scene, reading, moving, second, hand, names, act, asks],
    )
    const removeLeads = useCallback(() => {
        void act('leads', { red: null, black: null })
        setHand('red')
    }, [act])
    const toDial = useCallback(() => setAside((open) => (open === 'meter' ? null : 'meter')), [])
    const hands = useMemo(
        () =>
            onTwin ? (
                <TwinPart part={picked} log={bench.log} act={act} />
            ) : (
                <>
                    {bench.log.length === 0 && aside === null && (
                        <BeginHere steps={steps} complaint={job.complaint} onCall={() => setAside('call')} />
                    )}
                    {isByPhone && <PhonePanel log={spoken} act={act} />}
                    <PartPanel
                        board={board}
                        part={picked}
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
                        faults={page.faults}
                        marks={suspects}
                        act={act}
                        onPlace={onPlace}
                    />
                    <Instruments board={board} scene={scene} log={spoken} act={act} />
                </>
            ),
        [
            scene,
            board,
            spoken,
            act,
            cursor,
            bench.log,
            say,
            jumpFrom,
            onPlace,
            aside,
            steps,
            job.complaint,
            page.faults,
            suspects,
            picked,
            onTwin,
            isByPhone,
        ],
    )
    return (
        <Frame title={job.title} full>
            <Tabs.Root
                value={aside}
                onValueChange={(e) => setAside(e.value || null)} // pressed again, it is laid aside
                deselectable
                h="100%"
                size="sm"
                colorPalette="orange"
                lazyMount
                unmountOnExit
            >
                <Layout
                    tabs={tabs}
                    aside={aside}
                    onAside={setAside}
                    tools={
                        <>
                            {wiring && page.watched === null && (
                                <WireTools board={board} job={wiring} wire={wire} onChange={setWire} />
                            )}
                            {scene.twin && <TwinSwitch onTwin={onTwin} onChange={twin.setOnTwin} />}
                            <BenchTools
                                pictured={wiring?.picture != null}
                                board={board}
                                doors={doors}
                                scene={scene}
                                drawing={drawing}
                                act={act}
                                onDrawing={setDrawing}
                                onFound={(id, at) => {
                                    setPart(id)
                                    setSeek(at ?? id)
                                    if (at) setCursor(at)
                                }}
                            />
                        </>
                    }
                    close={
                        <Ending
                            page={page}
                            leftS={leftS}
                            stopped={stopped}
                            away={bench.away}
                            act={act}
                            onStopped={onStopped}
                        />
                    }
                    notices={<Notices away={bench.away} notice={bench.notice} onClear={bench.clear} />}
                    appliance={
                        <PerceivedAt channels={twin.seen} time={scrub ?? bench.time} runs={bench.playing}>
                            {appliance}
                            <Heard board={board} isWanted={look.sound} />
                        </PerceivedAt>
                    }
                    papers={papers}
                    time={
                        <TimeBar
                            bench={bench}
                            isBlind={isByPhone}
                            lanes={board.lanes}
                            marks={marks}
                            labour={scene.labour}
                            eyes={eyes}
                            scrub={scrub}
                            onScrub={job.kind === 'practice' ? setScrub : undefined}
                            narrow={isUpright}
                            sound={look.sound}
                            onSound={(sound) => setLook({ sound })}
                            tapeRuns={look.tape}
                        />
                    }
                    meterBar={<MeterBar {...meterProps} onDial={toDial} />}
                    meter={<MeterPanel {...meterProps} bare={isUpright} onOff={removeLeads} />}
                    hands={hands}
                />
            </Tabs.Root>
        </Frame>
    )
}
