import { Tabs } from '@chakra-ui/react'
import { placeName } from '@/board/walk'
import { Files } from '@/builder/Files'
import { Circuits, Findings } from '@/builder/Findings'
import { HealthyRun } from '@/builder/HealthyRun'
import type { Side } from '@/builder/selection'
import type { Moment } from '@/builder/types'
import type { useDraft } from '@/builder/useDraft'
import { Versions } from '@/builder/Versions'

interface Props {
    id: number
    bench: ReturnType<typeof useDraft>
    side: Side
    cursor: string | null
    onSide: (side: Side) => void
    onVolts: (volts: Moment['volts'] | null) => void
    onShow: (parts: string[], wires: string[]) => void
}

/** What is computed of a draft, beside its board, and where it goes as a file. */
export function SideTabs({ id, bench, side, cursor, onSide, onVolts, onShow }: Props) {
    const { draft, edit } = bench
    const wrong = bench.last?.findings.filter((f) => f.grade === 'wrong').length ?? 0
    return (
        <Tabs.Root
            value={side}
            onValueChange={(e) => onSide(e.value as Side)}
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
                    onVolts={onVolts}
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
    )
}

function Pane({ value, children }: { value: string; children: React.ReactNode }) {
    return (
        <Tabs.Content value={value} flex="1" minH="0" overflowY="auto" pt="2" tabIndex={0}>
            {children}
        </Tabs.Content>
    )
}
