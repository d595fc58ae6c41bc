import { Box, Grid, Heading, HStack, Stack, Text } from '@chakra-ui/react'
import { router } from '@inertiajs/react'
import { useMutation } from '@tanstack/react-query'
import { useState } from 'react'
import { Board } from '@/board/Board'
import { Ladder } from '@/board/Ladder'
import { kindName } from '@/jobs/kinds'
import type { Predicted, PredictionHint, PredictPage, SheetClosed } from '@/lib/generated/replies'
import { Refusal, send } from '@/lib/send'
import { SheetLine } from '@/live/SheetLine'
import { AskedRow } from '@/predict/AskedRow'
import { Frame } from '@/shell/Frame'
import { MainButton, ToolButton } from '@/theme/buttons'
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
    const [rows, setRows] = useState(given)
    const [open, setOpen] = useState(
        Math.max(
            0,
            given.findIndex((r) => r.said === null),
        ),
    )
    const [drawing, setDrawing] = useState(false)
    const [refused, setRefused] = useState<string | null>(null)
    const [sure, setSure] = useState(false)
    const [standing, setStanding] = useState({ stopped: isStopped, leftS: left_s })
    const { stopped } = standing
    const row = rows[open]
    const left = rows.filter((r) => r.said === null).length
    const fail = (error: unknown) => {
        const status = error instanceof Refusal ? error.status : 0
        if ([401, 409, 419].includes(status)) router.visit(`/attempts/${attempt}/sheet`, { replace: true })
        setRefused(error instanceof Error ? error.message : t('Something went wrong on this page. Load it again.'))
    }
    const say = useMutation({
        mutationFn: (body: { item: number; said: number | null }) =>
            send<Predicted>('POST', `/attempts/${attempt}/predictions`, body),
        onSuccess: ({ item, said }) => {
            setRefused(null)
            setRows((all) => all.map((r, i) => (i === item ? { ...r, said } : r)))
        },
        onError: fail,
    })
    const hint = useMutation({
        mutationFn: (item: number) => send<PredictionHint>('POST', `/attempts/${attempt}/predictions/hint`, { item }),
        onSuccess: ({ item, text }) => {
            setRefused(null)
            setRows((all) => all.map((r, i) => (i === item ? { ...r, hints: [...r.hints, text] } : r)))
        },
        onError: fail,
    })
    const close = useMutation({
        mutationFn: () => send<SheetClosed>('POST', `/attempts/${attempt}/sheet`, {}),
        onSuccess: ({ goes }) => router.visit(goes),
        onError: fail,
    })
    const onPart = () => undefined
    return (
        <Frame title={job.title} full>
            <Grid
                h="100%"
                gap="2"
                templateColumns={{ base: 'minmax(0,1fr)', lg: 'minmax(0,1fr) 420px' }}
                templateRows={{ base: 'minmax(200px,40%) minmax(0,1fr)', lg: 'minmax(0,1fr)' }}
            >
                <Stack minH="0" gap="1">
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
                    <Box flex="1" minH="0">
                        {drawing && board.ladder ? (
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
                        )}
                    </Box>
                    <Text fontSize="fine" color="faint">
                        {t(
                            "Simulation: on real equipment follow the maker's instructions, local codes, and work under a licensed person.",
                        )}
                    </Text>
                </Stack>
                <Stack layerStyle="panel" minH="0" p="3" gap="2">
                    <HStack justify="space-between" align="start">
                        <Box>
                            <Heading as="h1" size="md">
                                {job.title}
                            </Heading>
                            <Text fontSize="note" color="faint">
                                {kindName(job.kind)}
                            </Text>
                        </Box>
                        <SheetLine
                            attempt={attempt}
                            job={job}
                            handUp={hand_up}
                            standing={standing}
                            onStanding={setStanding}
                        />
                    </HStack>
                    <Text fontSize="text">
                        {fault === null ? t('No fault: everything works.') : t('The fault: {{fault}}.', { fault })}{' '}
                        {t('Enter what the meter will read. You cannot change an answer.')}
                    </Text>
                    {stopped && (
                        <Text color="danger">
                            {t('Your instructor has stopped all benches. Wait until they go on.')}
                        </Text>
                    )}
                    {refused && (
                        <Text role="alert" color="danger" fontSize="text">
                            {refused}
                        </Text>
                    )}
                    <Box flex="1" minH="0" overflowY="auto" tabIndex={0} role="group" aria-label={t('Readings')}>
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
                    </Box>
                    {sure && left > 0 && (
                        <Text fontSize="text" role="alert">
                            {t('{{left}} readings have no answer. They count as wrong.', { left })}
                        </Text>
                    )}
                    <MainButton
                        disabled={close.isPending}
                        onClick={() => (left === 0 || sure ? close.mutate() : setSure(true))}
                    >
                        {sure && left > 0 ? t('Hand it in anyway') : t('Hand the sheet in')}
                    </MainButton>
                </Stack>
            </Grid>
        </Frame>
    )
}
