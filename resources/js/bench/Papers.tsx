import { Tabs } from '@chakra-ui/react'
import type { DoAct } from '@/lib/acts'
import type { BenchPage, Channels, Entry, Scene } from '@/lib/types'
import { CallSheet } from './CallSheet'
import { CommissioningPaper } from './CommissioningPaper'
import { LoggerPaper } from './LoggerPaper'
import { Log } from './Log'
import { OwnList } from './OwnList'
import { ReportForm } from './ReportForm'
import { Sheet } from './Sheet'
import { SuspectList } from './SuspectList'
import { WiringPaper } from './WiringPaper'
import { WarmUpSteps } from './WarmUpSteps'

interface Props {
    page: BenchPage
    /** steps of a warm-up that were tried */
    tried: string[]
    log: Entry[]
    /** the log in the units that are chosen */
    spoken: Entry[]
    scene: Scene
    /** what was perceived up to now */
    past: Channels
    act: DoAct
}

/** What lies beside the appliance: call, log, suspects, one's own list, sheet and report. */
export function Papers({ page, tried, log, spoken, scene, past, act }: Props) {
    const { job, board, faults, steps, units, questions } = page
    const ownSheet = job.rules.own_sheet
    return (
        <>
            <Tabs.Content value="call" h="100%" p="0">
                {steps ? (
                    <WarmUpSteps steps={steps} done={tried} />
                ) : (
                    <CallSheet
                        job={job}
                        questions={questions}
                        board={board}
                        log={log}
                        tagged={scene.tagged}
                        act={act}
                    />
                )}
            </Tabs.Content>
            {page.wiring && (
                <Tabs.Content value="wiring" h="100%" p="0">
                    <WiringPaper board={board} job={page.wiring} wires={scene.wired} act={act} />
                </Tabs.Content>
            )}
            {page.commissioning && (
                <Tabs.Content value="commissioning" h="100%" p="0">
                    <CommissioningPaper job={page.commissioning} log={log} act={act} />
                </Tabs.Content>
            )}
            {page.returning && (
                <Tabs.Content value="logger" h="100%" p="0">
                    <LoggerPaper board={board} scene={scene} last={page.returning.last} past={past} act={act} />
                </Tabs.Content>
            )}
            <Tabs.Content value="log" h="100%" p="0">
                <Log log={spoken} bare={ownSheet} />
            </Tabs.Content>
            <Tabs.Content value="suspects" h="100%" p="0">
                <SuspectList faults={faults} log={log} act={act} />
            </Tabs.Content>
            <Tabs.Content value="list" h="100%" p="0">
                <OwnList log={log} act={act} />
            </Tabs.Content>
            <Tabs.Content value="sheet" h="100%" p="0">
                <Sheet board={board} log={log} units={units} act={act} />
            </Tabs.Content>
            <Tabs.Content value="report" h="100%" p="0">
                <ReportForm board={board} log={spoken} act={act} />
            </Tabs.Content>
        </>
    )
}
