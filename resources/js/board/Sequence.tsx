import { Box, Heading, Stack, Text } from '@chakra-ui/react'
import type { SequenceTable } from '@/lib/types'
import { t } from '@/words'

/** The tables of a model's controls as they read: what each state feeds, and what leads on from it. */
export function Sequence({ tables }: { tables: SequenceTable[] }) {
    return (
        <Box layerStyle="panel" h="100%" overflowY="auto" p="3" tabIndex={0} aria-label={t('Sequence tables')}>
            {tables.length === 0 && (
                <Text color="faint">{t('No control with a table: this appliance works by its switches alone.')}</Text>
            )}
            {tables.map((table) => (
                <Stack key={table.part} gap="2" mb="4">
                    <Heading as="h2" size="md">
                        {table.part}: {table.title}
                    </Heading>
                    {table.remarks.length === 0 ? (
                        <Text fontSize="text" color="good">
                            {t(
                                'No problems found: every state can be reached and left, and the fuel stops when a proof is missing.',
                            )}
                        </Text>
                    ) : (
                        table.remarks.map((r) => (
                            <Text key={r.pointer} fontSize="text" color="danger">
                                ▲ {r.pointer}: {r.text}
                            </Text>
                        ))
                    )}
                    {table.states.map((s) => (
                        <Box key={s.state} borderTopWidth="1px" borderColor="line" pt="1">
                            <Text>
                                <Text as="span" fontWeight={700}>
                                    {s.title}
                                </Text>
                                <Text as="span" fontSize="text" color="faint">
                                    {' '}
                                    {s.outputs.length
                                        ? t('feeds {{outputs}}', { outputs: s.outputs.join(', ') })
                                        : t('feeds nothing')}
                                    {s.lamp === 'off' ? '' : t(', lamp {{lamp}}', { lamp: s.lamp })}
                                </Text>
                            </Text>
                            {s.lines.map((line) => (
                                <Text key={line} fontSize="text" pl="4">
                                    {line}
                                </Text>
                            ))}
                        </Box>
                    ))}
                </Stack>
            ))}
        </Box>
    )
}
