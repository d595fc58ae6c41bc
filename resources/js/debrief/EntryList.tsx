import { Box, Flex, Text } from '@chakra-ui/react'
import { clock } from '@/tape/scale'
import { ASIDE, type Row } from './types'
import { t } from '@/words'

/** What the trainee said of himself: shown, though it asked nothing of the appliance. */
const SAID = ['meant', 'suspect', 'todo']

/** Every entry with its moment, and what it left of the suspects. */
export function EntryList({
    entries,
    open,
    suspects,
    onOpen,
}: {
    entries: Row[]
    open: number
    /** whether there were any to leave */
    suspects: boolean
    onOpen: (entry: number) => void
}) {
    return (
        <Box overflowY="auto" h="100%" tabIndex={0} aria-label={t('Entries')}>
            {entries.map((r, i) =>
                ASIDE.includes(r.act) && !SAID.includes(r.act) ? null : (
                    <Flex
                        key={i}
                        as="button"
                        w="100%"
                        textAlign="left"
                        gap="2"
                        px="2"
                        py="1.5"
                        minH="touch"
                        align="center"
                        borderBottomWidth="1px"
                        borderColor="line"
                        bg={i === open ? 'copperWash' : undefined}
                        aria-pressed={i === open}
                        onClick={() => onOpen(i)}
                    >
                        <Text className="reading" w="42px" color="faint" flexShrink={0} fontSize="text">
                            {clock(r.at_s)}
                        </Text>
                        <Box flex="1" minW="0">
                            <Text fontSize="text">{r.text}</Text>
                            {r.flaws.map((f) => (
                                <Text key={f} fontSize="note" color="faint">
                                    {f}
                                </Text>
                            ))}
                            {r.dangers.map((d) => (
                                <Text key={d} fontSize="note" color="danger" fontWeight={700}>
                                    ▲ {d}
                                </Text>
                            ))}
                        </Box>
                        {suspects && !SAID.includes(r.act) && (
                            <Text
                                className="reading"
                                fontSize="note"
                                flexShrink={0}
                                color={r.after < r.before ? 'good' : 'faint'}
                            >
                                {r.before} → {r.after}
                            </Text>
                        )}
                    </Flex>
                ),
            )}
        </Box>
    )
}
