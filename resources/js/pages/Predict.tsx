import { Heading, HStack, Stack, Text } from '@chakra-ui/react'
import { useState } from 'react'
import { Board } from '@/board/Board'
import { Ladder } from '@/board/Ladder'
import type { AskedRow as Asked, Foretold, PredictPage } from '@/lib/generated/replies'
import { AskedRow } from '@/predict/AskedRow'
import { SheetFrame } from '@/sheet/SheetFrame'
import { SheetPanel } from '@/sheet/SheetPanel'
import { useSheet } from '@/sheet/useSheet'
import { ToolButton } from '@/theme/buttons'
import { t } from '@/words'

/** A sheet of readings, each said before it is taken: the board with the leads where they would go, and the sheet. */
export default function Predict({
    attempt,
    job,
    left_s,
    stopped: isStopped,
    hand_up,
    fault,
    board,
    doors,
    rows: given,
}: PredictPage) {
    const { rows, open, setOpen, refused, say, hint, close } = useSheet<Foretold, Asked, { said: number | null }>(
        attempt,
        'predictions',
        given,
    )
    const [drawing, setDrawing] = useState(false)
    const [standing, setStanding] = useState({ stopped: isStopped, leftS: left_s })
    const { stopped } = standing
    const row = rows[open]
    const left = rows.filter((r) => r.said === null).length
    const onPart = () => undefined
    return (
        <SheetFrame
            title={job.title}
            tools={
                <HStack gap="2" minH="touch">
                    <Text fontSize="text" flex="1">
                        {row?.when && <b>{row.when}. </b>}
                        {row && row.told.length > 0 ? `${row.told.join(', ')}.` : t('Nothing is running.')}
                    </Text>
                    {board.ladder && (
                        <ToolButton on={drawing} onClick={() => setDrawing(!drawing)}>
                            {t('Ladder')}
                        </ToolButton>
                    )}
                </HStack>
            }
            view={
                drawing && board.ladder ? (
                    <Ladder
                        ladder={board.ladder}
                        board={board}
                        red={row?.red ?? null}
                        black={row?.black ?? null}
                        cursor={null}
                        part={null}
                        onPlace={onPart}
                        onPart={onPart}
                    />
                ) : (
                    <Board
                        board={board}
                        doors={doors}
                        open={doors.map((d) => d.id)}
                        red={row?.red ?? null}
                        black={row?.black ?? null}
                        seek={row?.red ?? null}
                        readable
                    />
                )
            }
        >
            <SheetPanel
                attempt={attempt}
                job={job}
                handUp={hand_up}
                standing={standing}
                onStanding={setStanding}
                fault={fault}
                asks={t('Enter what the meter will read. You cannot change an answer.')}
                refused={refused}
                label={t('Readings')}
                left={left}
                leftSays={t('{{left}} readings have no answer. They count as wrong.', { left })}
                closing={close.isPending}
                onClose={() => close.mutate()}
            >
                <Stack as="ol" gap="2">
                    {rows.map((r, i) => (
                        <Stack as="li" listStyleType="none" key={i} gap="1">
                            {r.when !== rows[i - 1]?.when && (
                                <Heading as="h2" size="sm">
                                    {r.when}
                                </Heading>
                            )}
                            <AskedRow
                                row={r}
                                number={i + 1}
                                open={i === open}
                                busy={say.isPending || hint.isPending || stopped}
                                prices={job.rules.hints}
                                onHint={() => hint.mutate(i)}
                                onOpen={() => setOpen(i)}
                                onSay={(said) => say.mutate({ item: i, said })}
                            />
                        </Stack>
                    ))}
                </Stack>
            </SheetPanel>
        </SheetFrame>
    )
}
