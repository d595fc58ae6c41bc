import { HStack, Stack, Text } from '@chakra-ui/react'
import type { DoAct, Fields } from '@/lib/acts'
import type { Entry } from '@/lib/types'
import { ToolButton } from '@/theme/buttons'
import { t } from '@/words'

const TELL: { about: Fields<'tell'>['about']; word: string }[] = [
    { about: 'found', word: 'What was wrong, and what was done' },
    { about: 'watch', word: 'What to look out for' },
    { about: 'comes_back', word: 'That somebody comes back with a part' },
    { about: 'unsafe', word: 'That it must not be used, and why' },
]

interface Props {
    log: readonly Entry[]
    tagged: boolean
    act: DoAct
}

/** Before one leaves: the air of the room, what the customer is told, and a tag on what must not run. */
export function Leaving({ log, tagged, act }: Props) {
    const last = (name: string) => [...log].reverse().find((e) => e.act.act === name && !e.refused)
    const air = last('room_air')
    return (
        <Stack gap="1">
            <Text fontWeight={700}>{t('Before you leave')}</Text>
            <HStack gap="1" wrap="wrap">
                <ToolButton size="sm" onClick={() => void act('room_air')}>
                    {t('Read the air of the room')}
                </ToolButton>
                {air && (
                    <Text fontSize="text">
                        {t('CO {{value}}', { value: (air.seen as Record<string, string>)['carbon monoxide'] })}
                    </Text>
                )}
            </HStack>
            <ToolButton
                size="sm"
                justifyContent="flex-start"
                onClick={() => void act('tag_out', { to: tagged ? 'free' : 'tagged' })}
            >
                {tagged ? t('Take the tag off') : t('Tag it: not to be used')}
            </ToolButton>
            <Text fontSize="note" color="faint">
                {t('Tell the customer')}
            </Text>
            {TELL.map(({ about, word }) => {
                const isTold = log.some((e) => e.act.act === 'tell' && e.act['about'] === about)
                return (
                    <ToolButton
                        key={about}
                        size="sm"
                        justifyContent="flex-start"
                        whiteSpace="normal"
                        textAlign="left"
                        disabled={isTold}
                        onClick={() => void act('tell', { about })}
                    >
                        {isTold ? t('Told: {{word}}', { word: word.toLowerCase() }) : word}
                    </ToolButton>
                )
            })}
        </Stack>
    )
}
