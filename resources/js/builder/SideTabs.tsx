import { Tabs } from '@chakra-ui/react'
import { memo } from 'react'
import { placeName } from '@/board/walk'
import { Files } from '@/builder/Files'
import { Circuits, Findings } from '@/builder/Findings'
import { HealthyRun } from '@/builder/HealthyRun'
import { ReadingSheet } from '@/builder/ReadingSheet'
import type { Side } from '@/builder/selection'
import type { Checked, Draft, Moment, ReadingsRun } from '@/builder/types'
import type { useDraft } from '@/builder/useDraft'
import { Versions } from '@/builder/Versions'
import { useTold } from '@/lib/query'
import { t } from '@/words'

type Bench = ReturnType<typeof useDraft>

interface Props {
    id: number
    draft: Draft
    edit: Bench['edit']
    restore: Bench['restore']
    /** what was checked last */
    last: Checked | null
    /** it is being checked now */
    busy: boolean
    side: Side
    cursor: string | null
    onSide: (side: Side) => void
    onVolts: (volts: Moment['volts'] | null) => void
    onShow: (parts: string[], wires: string[]) => void
}

/** What is computed of a draft, beside its board, and where it goes as a file. */
export const SideTabs = memo(function SideTabs(props: Props) {
    const { id, draft, edit, restore, last, busy, side, cursor, onSide, onVolts, onShow } = props
    const wrong = last?.findings.filter((f) => f.grade === 'wrong').length ?? 0
    const rows = (draft.document.readings ?? []).length
    // taken anew after each edit, whichever tab is open, where there is any
    const readings = useTold<ReadingsRun>(`/drafts/${id}/readings`, {
        of: draft.step,
        enabled: rows > 0,
        keep: true,
    })
    // what was told of another number of them belongs to other rows
    const taken = readings.error || readings.data?.readings.length !== rows ? null : readings.data
    const off = taken?.readings.filter((r) => r.holds === false).length ?? 0
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
                <Tabs.Trigger value="checks" h="row" px="1.5">
                    {t('Checks')}
                    {wrong > 0 ? ` ▲${wrong}` : ''}
                </Tabs.Trigger>
                <Tabs.Trigger value="circuits" h="row" px="1.5">
                    {t('Circuits')}
                </Tabs.Trigger>
                <Tabs.Trigger value="run" h="row" px="1.5">
                    {t('Run')}
                </Tabs.Trigger>
                <Tabs.Trigger value="sheet" h="row" px="1.5">
                    {t('Sheet')}
                    {off > 0 ? ` ▲${off}` : ''}
                </Tabs.Trigger>
                <Tabs.Trigger value="steps" h="row" px="1.5">
                    {t('Steps')}
                </Tabs.Trigger>
                <Tabs.Trigger value="files" h="row" px="1.5">
                    {t('Files')}
                </Tabs.Trigger>
            </Tabs.List>
            <Pane value="checks">
                <Findings checked={last} busy={busy} edit={edit} onShow={onShow} />
            </Pane>
            <Pane value="circuits">
                <Circuits checked={last} onShow={onShow} />
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
            <Pane value="sheet">
                <ReadingSheet
                    draft={draft}
                    id={id}
                    place={cursor}
                    name={(at) => placeName(draft.board, at)}
                    run={taken}
                    error={readings.error?.message ?? null}
                    edit={edit}
                    onShow={onShow}
                />
            </Pane>
            <Pane value="steps">
                <Versions draft={id} step={draft.step} onRestore={restore} />
            </Pane>
            <Pane value="files">
                <Files draft={id} about={draft.document.about ?? {}} edit={edit} />
            </Pane>
        </Tabs.Root>
    )
})

function Pane({ value, children }: { value: string; children: React.ReactNode }) {
    return (
        <Tabs.Content value={value} flex="1" minH="0" overflowY="auto" pt="2" tabIndex={0}>
            {children}
        </Tabs.Content>
    )
}
