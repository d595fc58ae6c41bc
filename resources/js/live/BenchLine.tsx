import { Box, HStack, Input, Stack, Text } from '@chakra-ui/react'
import { router } from '@inertiajs/react'
import { useCallback, useState, type FormEvent } from 'react'
import { useSent, useTold } from '@/lib/query'
import type { AttemptEvent, AwayReply, HandState, Said, SaidAll } from '@/lib/types'
import { MainButton, ToolButton } from '@/theme/buttons'
import { t } from '@/words'
import { useLive, type Told } from './useLive'
import { useNoted } from './useNoted'

/** What opens below the buttons. */
const BELOW = {
    position: 'absolute',
    right: '0',
    top: '48px',
    zIndex: 30,
    w: '360px',
    maxW: '92vw',
    p: '3',
    gap: '2',
} as const

interface Props {
    attempt: number
    stopped: boolean
    handUp: boolean
    /** an examination: leaving the page is noted */
    exam: boolean
    /** nobody answers just now */
    away: boolean
    onStopped: (stopped: boolean, leftS: number | null) => void
}

/**
 * The line between a bench and the instructor: a hand to raise, what is said both ways, and the bench stopped from
 * there; and what is noted of the page and the line.
 */
export function BenchLine({ attempt, stopped, handUp, exam, away, onStopped }: Props) {
    const url = `/attempts/${attempt}`
    const [up, setUp] = useState(handUp)
    const [open, setOpen] = useState(false)
    const [fresh, setFresh] = useState<AttemptEvent[]>([])
    const [unread, setUnread] = useState<AttemptEvent | null>(null)
    const [text, setText] = useState('')
    const before = useTold<SaidAll>(`${url}/said`, { enabled: open })
    const onTold = useCallback(
        (told: Told) => {
            if (told.what === 'said') {
                const event = told.event as AttemptEvent
                setFresh((all) => [...all, event])
                if (!event.mine) setUnread(event)
            }
            if (told.what === 'hand') setUp(told.up as boolean)
            if (told.what === 'ended') router.visit(`${url}/debrief`)
            if (told.what === 'stopped' || told.what === 'went on') {
                onStopped(told.what === 'stopped', told.left_s as number | null)
            }
        },
        [url, onStopped],
    )
    useLive(`/live/bench/${attempt}`, onTold)
    const hand = useSent<HandState, { up: boolean }>(`${url}/hand`, { onDone: (state) => setUp(state.up) })
    const say = useSent<Said, { text: string }>(`${url}/said`, { onDone: () => setText('') })
    const { mutate: note } = useSent<AwayReply, { what: 'page' | 'connection'; seconds: number }>(`${url}/away`, {
        onDone: (reply) => onStopped(stopped, reply.left_s),
    })
    useNoted(exam, away, note)

    const all = [
        ...(before.data?.events ?? []),
        ...fresh.filter((e) => !before.data?.events.some((b) => b.id === e.id)),
    ]
    const said = all.filter((e) => e.what === 'said' || e.what === 'hint')
    const submit = (e: FormEvent) => {
        e.preventDefault()
        if (text.trim() !== '') say.mutate({ text })
    }
    return (
        <Box position="relative" flexShrink={0}>
            <HStack gap="1">
                <ToolButton size="sm" on={up} onClick={() => hand.mutate({ up: !up })}>
                    {up ? t('Hand is up') : t('Raise hand')}
                </ToolButton>
                <ToolButton
                    size="sm"
                    on={open}
                    onClick={() => {
                        setOpen(!open)
                        setUnread(null)
                    }}
                >
                    {t('Talk')}
                    {unread ? ' ●' : ''}
                </ToolButton>
            </HStack>
            {unread && !open && (
                <Stack {...BELOW} bg="copperWash" borderWidth="2px" borderColor="copper" borderRadius="md" role="alert">
                    <Spoken event={unread} />
                    <MainButton size="sm" alignSelf="flex-end" onClick={() => setUnread(null)}>
                        {t('Read')}
                    </MainButton>
                </Stack>
            )}
            {open && (
                <Stack
                    {...BELOW}
                    layerStyle="panel"
                    boxShadow="lg"
                    as="form"
                    onSubmit={submit}
                    aria-label={t('Talk with the instructor')}
                >
                    <Box maxH="240px" overflowY="auto" tabIndex={0} aria-label={t('What was said')}>
                        {said.length === 0 && <Text color="faint">{t('Nothing has been said yet.')}</Text>}
                        {said.map((e) => (
                            <Spoken key={e.id} event={e} />
                        ))}
                    </Box>
                    <HStack gap="1">
                        <Input
                            aria-label={t('Say to your instructor')}
                            h="touch"
                            borderColor="line"
                            maxLength={500}
                            value={text}
                            onChange={(e) => setText(e.target.value)}
                        />
                        <ToolButton type="submit" disabled={say.isPending}>
                            {t('Say it')}
                        </ToolButton>
                    </HStack>
                    {say.error && (
                        <Text role="alert" color="danger">
                            {say.error.message}
                        </Text>
                    )}
                </Stack>
            )}
            {stopped && (
                <Box
                    position="fixed"
                    inset="0"
                    zIndex={40}
                    bg="rgba(20,15,8,.45)"
                    display="flex"
                    alignItems="center"
                    justifyContent="center"
                >
                    <Box bg="sheet" borderRadius="lg" p="8" maxW="460px" role="alert">
                        <Text fontSize="24px" fontWeight={700}>
                            {t('Your instructor has stopped all benches.')}
                        </Text>
                        <Text mt="2">
                            {t('Your work is safe and your clock is stopped. Listen to your instructor.')}
                        </Text>
                    </Box>
                </Box>
            )}
        </Box>
    )
}

/** Something that was said, and by whom. */
function Spoken({ event }: { event: AttemptEvent }) {
    const by = event.what === 'hint' ? t('Hint from {{name}}:', { name: event.by }) : `${event.by}:`
    return (
        <Text>
            <b>{event.mine ? t('You:') : by}</b> {event.text}
        </Text>
    )
}
