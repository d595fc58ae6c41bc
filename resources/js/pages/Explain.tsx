import { HStack, Stack } from '@chakra-ui/react'
import { useState } from 'react'
import { Board } from '@/board/Board'
import { Ladder } from '@/board/Ladder'
import { PerceivedAt } from '@/board/perceived'
import { ownerOf } from '@/board/walk'
import { ChainRow } from '@/explain/ChainRow'
import type { AskedLoad, ExplainPage, PickedAnswer } from '@/lib/generated/replies'
import { SheetFrame } from '@/sheet/SheetFrame'
import { SheetPanel } from '@/sheet/SheetPanel'
import { useSheet } from '@/sheet/useSheet'
import { Select } from '@/shell/Select'
import { ToolButton } from '@/theme/buttons'
import { t } from '@/words'

/** Why loads are off: for each the chain of conditions is picked on the board, from the load to where it begins. */
export default function Explain({
    attempt,
    job,
    left_s,
    stopped: isStopped,
    hand_up,
    fault,
    board,
    doors,
    past,
    pickable,
    rows: given,
}: ExplainPage) {
    const { rows, open, setOpen, refused, say, hint, close } = useSheet<PickedAnswer, AskedLoad, { picked: string[] }>(
        attempt,
        'answers',
        given,
    )
    const [chains, setChains] = useState<Record<number, string[]>>({})
    const [part, setPart] = useState<string | null>(null)
    const [standing, setStanding] = useState({ stopped: isStopped, leftS: left_s })
    const { stopped } = standing
    const [drawing, setDrawing] = useState(false)
    const row = rows[open]
    const left = rows.filter((r) => r.said === null).length
    const labelOf = (id: string) => board.parts.find((p) => p.id === id)?.label ?? id
    const nameOf = (id: string) => {
        const one = pickable.find((p) => p.id === id)
        return one ? `${labelOf(one.part)}: ${one.title}` : id
    }
    const picks = (item: number) => rows[item]?.said?.picked ?? chains[item] ?? []
    const pick = (id: string) => setChains((all) => ({ ...all, [open]: [...(all[open] ?? []), id] }))
    const busy = say.isPending || hint.isPending || stopped
    return (
        <SheetFrame
            title={job.title}
            tools={
                <HStack
                    gap="1"
                    minH="touch"
                    overflowX="auto"
                    role="group"
                    aria-label={t('What of the part is in the chain')}
                >
                    <Select
                        label={t('Part')}
                        w="180px"
                        value={part ?? ''}
                        onChange={setPart}
                        options={[
                            ['', t('Press a part')],
                            ...board.parts
                                .filter((p) => pickable.some((one) => one.part === p.id))
                                .map((p): [string, string] => [p.id, p.label]),
                        ]}
                    />
                    {board.ladder && (
                        <ToolButton flexShrink={0} on={drawing} onClick={() => setDrawing(!drawing)}>
                            {t('Ladder')}
                        </ToolButton>
                    )}
                    {row?.said === null &&
                        pickable
                            .filter((p) => p.part === part)
                            .map((p) => (
                                <ToolButton key={p.id} flexShrink={0} onClick={() => pick(p.id)}>
                                    {p.title}
                                </ToolButton>
                            ))}
                </HStack>
            }
            view={
                <PerceivedAt channels={past} time={row?.at_s ?? 0} runs={false}>
                    {drawing && board.ladder ? (
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
                    ) : (
                        <Board
                            board={board}
                            doors={doors}
                            open={doors.map((d) => d.id)}
                            part={part}
                            markedAll={row ? [row.load.slice(0, row.load.lastIndexOf('.'))] : []}
                            onPart={setPart}
                            readable
                        />
                    )}
                </PerceivedAt>
            }
        >
            <SheetPanel
                attempt={attempt}
                job={job}
                handUp={hand_up}
                standing={standing}
                onStanding={setStanding}
                fault={fault}
                asks={t('Pick the chain from the load to where it begins. You cannot change an answer.')}
                refused={refused}
                label={t('Questions')}
                left={left}
                leftSays={t('{{left}} questions have no answer. They count as wrong.', { left })}
                closing={close.isPending}
                onClose={() => close.mutate()}
            >
                <Stack gap="2">
                    {rows.map((r, i) => (
                        <ChainRow
                            key={`${r.load} ${r.at_s}`}
                            row={r}
                            number={i + 1}
                            open={i === open}
                            busy={busy}
                            picked={picks(i)}
                            nameOf={nameOf}
                            prices={job.rules.hints}
                            onOpen={() => setOpen(i)}
                            onDrop={(at) =>
                                setChains((all) => ({ ...all, [i]: (all[i] ?? []).filter((_, j) => j !== at) }))
                            }
                            onHint={() => hint.mutate(i)}
                            onSay={() => say.mutate({ item: i, picked: picks(i) })}
                        />
                    ))}
                </Stack>
            </SheetPanel>
        </SheetFrame>
    )
}
