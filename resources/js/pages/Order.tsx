import { HStack, Stack } from '@chakra-ui/react'
import { useState } from 'react'
import { Board } from '@/board/Board'
import { Ladder } from '@/board/Ladder'
import { PerceivedAt } from '@/board/perceived'
import { ownerOf } from '@/board/walk'
import type { AskedOfSequence, OrderPage, PickedAnswer } from '@/lib/generated/replies'
import { SequenceChart } from '@/order/SequenceChart'
import { SequenceRow } from '@/order/SequenceRow'
import { SheetFrame } from '@/sheet/SheetFrame'
import { SheetPanel } from '@/sheet/SheetPanel'
import { useSheet } from '@/sheet/useSheet'
import { ToolButton } from '@/theme/buttons'
import { t } from '@/words'

const NOTHING = { perceived: {}, meter: [] }

/** A sequence put in order: its steps, what proves them, runs that stopped, a chart to set right. */
export default function Order({
    attempt,
    job,
    left_s,
    stopped: isStopped,
    hand_up,
    board,
    doors,
    rows: given,
}: OrderPage) {
    const { rows, open, setOpen, refused, say, hint, close } = useSheet<
        PickedAnswer,
        AskedOfSequence,
        { picked: string[] }
    >(attempt, 'answers', given)
    const [answers, setAnswers] = useState<Record<number, string[]>>({})
    const [part, setPart] = useState<string | null>(null)
    const [standing, setStanding] = useState({ stopped: isStopped, leftS: left_s })
    const [chosen, setView] = useState<'chart' | 'board' | 'ladder'>('chart')
    const row = rows[open]
    const view = chosen === 'chart' && !row?.lanes.length ? 'board' : chosen
    const left = rows.filter((r) => r.said === null).length
    const busy = say.isPending || hint.isPending || standing.stopped
    const picks = (i: number) => rows[i]?.said?.picked ?? answers[i] ?? []
    return (
        <SheetFrame
            title={job.title}
            tools={
                <HStack gap="1" minH="touch" role="group" aria-label={t('What is shown')}>
                    {!!row?.lanes.length && (
                        <ToolButton on={view === 'chart'} onClick={() => setView('chart')}>
                            {t('Chart')}
                        </ToolButton>
                    )}
                    <ToolButton on={view === 'board'} onClick={() => setView('board')}>
                        {t('Board')}
                    </ToolButton>
                    {board.ladder && (
                        <ToolButton on={view === 'ladder'} onClick={() => setView('ladder')}>
                            {t('Ladder')}
                        </ToolButton>
                    )}
                </HStack>
            }
            view={
                <>
                    {view === 'chart' && row && <SequenceChart lanes={row.lanes} until={row.until_s} />}
                    {view === 'ladder' && board.ladder && (
                        <Ladder
                            ladder={board.ladder}
                            board={board}
                            red={null}
                            black={null}
                            cursor={null}
                            part={part}
                            onPlace={(place) => setPart(ownerOf(place))}
                            onPart={setPart}
                        />
                    )}
                    {view === 'board' && (
                        <PerceivedAt channels={NOTHING} time={0} runs={false}>
                            <Board
                                board={board}
                                doors={doors}
                                open={doors.map((d) => d.id)}
                                part={part}
                                onPart={setPart}
                                readable
                            />
                        </PerceivedAt>
                    )}
                </>
            }
        >
            <SheetPanel
                attempt={attempt}
                job={job}
                handUp={hand_up}
                standing={standing}
                onStanding={setStanding}
                fault={null}
                asks={t('The questions are about one call of this appliance. You cannot change an answer.')}
                refused={refused}
                label={t('Questions')}
                left={left}
                leftSays={t('{{left}} questions have no answer. They count as wrong.', { left })}
                closing={close.isPending}
                onClose={() => close.mutate()}
            >
                <Stack gap="2">
                    {rows.map((r, i) => (
                        <SequenceRow
                            key={i}
                            row={r}
                            number={i + 1}
                            open={i === open}
                            busy={busy}
                            picked={picks(i)}
                            prices={job.rules.hints}
                            onOpen={() => setOpen(i)}
                            onPick={(picked) => setAnswers((all) => ({ ...all, [i]: picked }))}
                            onHint={() => hint.mutate(i)}
                            onSay={() => say.mutate({ item: i, picked: picks(i) })}
                        />
                    ))}
                </Stack>
            </SheetPanel>
        </SheetFrame>
    )
}
