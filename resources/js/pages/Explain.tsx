import { Box, Grid, Heading, HStack, Stack, Text } from '@chakra-ui/react'
import { router } from '@inertiajs/react'
import { useMutation } from '@tanstack/react-query'
import { useState } from 'react'
import { Board } from '@/board/Board'
import { Ladder } from '@/board/Ladder'
import { PerceivedAt } from '@/board/perceived'
import { ownerOf } from '@/board/walk'
import { ChainRow } from '@/explain/ChainRow'
import { kindName } from '@/jobs/kinds'
import type { Explained, ExplainPage, PredictionHint, SheetClosed } from '@/lib/generated/replies'
import { Refusal, send } from '@/lib/send'
import { SheetLine } from '@/live/SheetLine'
import { Frame } from '@/shell/Frame'
import { Select } from '@/shell/Select'
import { MainButton, ToolButton } from '@/theme/buttons'
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
    const [rows, setRows] = useState(given)
    const [chains, setChains] = useState<Record<number, string[]>>({})
    const [part, setPart] = useState<string | null>(null)
    const [open, setOpen] = useState(
        Math.max(
            0,
            given.findIndex((r) => r.said === null),
        ),
    )
    const [refused, setRefused] = useState<string | null>(null)
    const [sure, setSure] = useState(false)
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
    const fail = (error: unknown) => {
        const status = error instanceof Refusal ? error.status : 0
        if ([401, 409, 419].includes(status)) router.visit(`/attempts/${attempt}/sheet`, { replace: true })
        setRefused(error instanceof Error ? error.message : t('Something went wrong on this page. Load it again.'))
    }
    const say = useMutation({
        mutationFn: (body: { item: number; picked: string[] }) =>
            send<Explained>('POST', `/attempts/${attempt}/explanations`, body),
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
    const pick = (id: string) => setChains((all) => ({ ...all, [open]: [...(all[open] ?? []), id] }))
    const busy = say.isPending || hint.isPending || stopped
    return (
        <Frame title={job.title} full>
            <Grid
                h="100%"
                gap="2"
                templateColumns={{ base: 'minmax(0,1fr)', lg: 'minmax(0,1fr) 420px' }}
                templateRows={{ base: 'minmax(200px,40%) minmax(0,1fr)', lg: 'minmax(0,1fr)' }}
            >
                <Stack minH="0" gap="1">
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
                    <Box flex="1" minH="0">
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
                        {t('Pick the chain from the load to where it begins. You cannot change an answer.')}
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
                    <Box flex="1" minH="0" overflowY="auto" tabIndex={0} role="group" aria-label={t('Questions')}>
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
                    </Box>
                    {sure && left > 0 && (
                        <Text fontSize="text" role="alert">
                            {t('{{left}} questions have no answer. They count as wrong.', { left })}
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
