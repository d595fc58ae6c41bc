import { Box, Text } from '@chakra-ui/react'
import type { DebriefPage } from '@/lib/types'
import { said } from '@/jobs/moments'
import { t } from '@/words'

type Event = DebriefPage['noted'][number]

/** What was noted round a call, and is no act of it: facts, in their order. */
export function Noted({ events }: { events: Event[] }) {
    if (events.length === 0) return null
    return (
        <Box as="section" aria-label={t('Noted')} fontSize="text">
            <Text fontWeight={700}>{t('Noted')}</Text>
            {events.map((e) => (
                <Text key={e.id}>
                    <span className="reading">{said(e.at)}</span> {inWords(e)}
                </Text>
            ))}
        </Box>
    )
}

function inWords(e: Event): string {
    switch (e.what) {
        case 'left page':
            return t('Left the bench page for {{seconds}} s.', { seconds: e.seconds })
        case 'lost connection':
            return t('Lost the connection for {{seconds}} s; {{text}}.', { seconds: e.seconds, text: e.text })
        case 'said':
            return t('{{by}} said: “{{text}}”', { by: e.by, text: e.text })
        case 'hint':
            return t('{{by}} gave a hint: “{{text}}”', { by: e.by, text: e.text })
        case 'stopped':
            return t('All benches were stopped.')
        case 'went on':
            return t('All benches resumed.')
        case 'hand up':
            return t('A hand went up.')
        case 'hand down':
            return t('The hand went down.')
        default:
            return t('The call was ended by {{by}}.', { by: e.by })
    }
}
