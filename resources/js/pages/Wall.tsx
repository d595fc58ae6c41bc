import { Box, Grid, Heading, HStack, Stack, Text } from '@chakra-ui/react'
import { router } from '@inertiajs/react'
import { useCallback, useEffect, useRef, useState } from 'react'
import { useSent, useTold } from '@/lib/query'
import type { BenchesStopped, WallCurves, WallPage } from '@/lib/types'
import { useLive } from '@/live/useLive'
import { after, rowsOf, type Row } from '@/live/wall'
import { WallCard } from '@/live/WallCard'
import { Frame } from '@/shell/Frame'
import { MainButton, ToolButton } from '@/theme/buttons'
import { t } from '@/words'

/** Milliseconds between one look at how many suspects are left to each and the next. */
const CURVES_MS = 10_000

/** A class at work, to be read from three metres. */
export default function Wall({ course, stopped, may_act, rows: begun }: WallPage) {
    const [now, setNow] = useState(() => Date.now())
    const [rows, setRows] = useState<Row[]>(() => rowsOf(begun, Date.now()))
    const [stands, setStands] = useState(stopped)
    useEffect(() => {
        const again = setInterval(() => setNow(Date.now()), 1000)
        return () => clearInterval(again)
    }, [])
    useEffect(() => setRows(rowsOf(begun, Date.now())), [begun])
    const all = useRef(rows)
    useEffect(() => {
        all.current = rows
    }, [rows])
    const onTold = useCallback((told: Parameters<typeof after>[1]) => {
        if (told.what === 'stopped' || told.what === 'went on') setStands(told.what === 'stopped')
        const next = after(all.current, told, Date.now())
        if (next === null) router.reload({ only: ['rows'] })
        else setRows(next)
    }, [])
    useLive(`/live/wall/${course.id}`, onTold)
    // asks for the curves, and so keeps them coming; whoever has begun meanwhile is in it too
    const curves = useTold<WallCurves>(`/courses/${course.id}/wall/curves`, { every: CURVES_MS, enabled: may_act })
    useEffect(() => {
        if (curves.data) setRows(rowsOf(curves.data.rows, Date.now()))
    }, [curves.data])
    const stop = useSent<BenchesStopped, { stopped: boolean }>(`/courses/${course.id}/stopped`)
    const working = rows.filter((r) => !r.done)
    const hands = working.filter((r) => r.hand_s !== null).length
    return (
        <Frame title={t('Wall: {{name}}', { name: course.name })} full>
            <Stack gap="3" h="100%" overflowY="auto" p="2">
                <HStack justify="space-between" wrap="wrap">
                    <Heading as="h1" fontSize="30px">
                        {course.name}
                    </Heading>
                    <Text fontSize="24px" role="status">
                        {t('{{many}} at work', { many: working.length })}
                        {hands > 0 && <b>{t(', {{hands}} with a hand up', { hands })}</b>}
                    </Text>
                    {may_act &&
                        (stands ? (
                            <MainButton size="lg" onClick={() => stop.mutate({ stopped: false })}>
                                {t('Resume all')}
                            </MainButton>
                        ) : (
                            <ToolButton size="lg" onClick={() => stop.mutate({ stopped: true })}>
                                {t('Stop all benches')}
                            </ToolButton>
                        ))}
                </HStack>
                {stop.error && (
                    <Text role="alert" color="danger">
                        {stop.error.message}
                    </Text>
                )}
                {stands && (
                    <Box bg="copperWash" borderRadius="md" p="3" fontSize="24px" fontWeight={700} role="status">
                        {t('All benches are stopped. The clocks are stopped too.')}
                    </Box>
                )}
                {rows.length === 0 && (
                    <Text fontSize="20px" color="faint">
                        {t('Nobody in this class is working right now. Trainees appear here when they begin a job.')}
                    </Text>
                )}
                <Grid templateColumns="repeat(auto-fill, minmax(380px, 1fr))" gap="3">
                    {rows.map((row) => (
                        <WallCard key={row.attempt} row={row} now={now} mayAct={may_act} />
                    ))}
                </Grid>
            </Stack>
        </Frame>
    )
}
