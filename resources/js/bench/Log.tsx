import { Box, Stack, Text } from '@chakra-ui/react'
import { useEffect, useRef } from 'react'
import { clock } from '@/tape/scale'
import type { Entry } from '@/lib/types'
import { t } from '@/words'

/** An entry without what was read: by house rule that is for the trainee to write down. */
export function unread(entry: Entry): string {
    return entry.reading ? (entry.text.split(`: ${entry.reading.text}`)[0] ?? entry.text) : entry.text
}

/** What was done and shown, in sentences, the latest in view; bare: without readings. */
export function Log({ log, bare = false }: { log: Entry[]; bare?: boolean }) {
    const end = useRef<HTMLDivElement>(null)
    useEffect(() => {
        void end.current?.scrollIntoView({ block: 'nearest' }) // a promise in newer browsers, and no clean-up
    }, [log.length])
    if (log.length === 0)
        return (
            <Text color="faint" fontSize="text">
                {t('Nothing done yet. Supply, fuel and demand come first.')}
            </Text>
        )
    return (
        <Stack gap="1" overflowY="auto" h="100%" tabIndex={0} aria-label={t('Log')}>
            {log.map((e) => (
                <Box key={e.id} fontSize="note" borderBottomWidth="1px" borderColor="line" pb="1">
                    <Text as="span" className="reading" color="faint" mr="2">
                        {clock(e.at_s)}
                    </Text>
                    <Text as="span" color={e.refused ? 'faint' : 'ink'}>
                        {bare ? unread(e) : e.text}
                    </Text>
                    {Object.values(e.dangers).map((d) => (
                        <Text key={d} color="danger" fontWeight={700}>
                            ▲ {d}
                        </Text>
                    ))}
                </Box>
            ))}
            <div ref={end} />
        </Stack>
    )
}
