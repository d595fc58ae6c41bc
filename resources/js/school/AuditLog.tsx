import { Box, Heading, HStack, Text } from '@chakra-ui/react'
import { useState } from 'react'
import type { SchoolPage } from '@/lib/types'
import { useGrave } from '@/shell/grave'
import { ToolButton } from '@/theme/buttons'
import { t } from '@/words'

/** Who did what to whom, by numbers: added to only, by the database itself. */
export function AuditLog({ audit }: Pick<SchoolPage, 'audit'>) {
    const grave = useGrave()
    const [open, setOpen] = useState(false)
    return (
        <Box as="section" aria-label={t('Audit log')}>
            <HStack justify="space-between" wrap="wrap">
                <Heading as="h2" size="lg">
                    {t('Audit log')}
                </Heading>
                <HStack gap="1">
                    <ToolButton aria-expanded={open} onClick={() => setOpen(!open)}>
                        {open ? t('Hide') : t('Show the last {{many}}', { many: audit.length })}
                    </ToolButton>
                    <ToolButton onClick={() => grave(() => window.location.assign('/school/audit.csv'))}>
                        {t('All of it as a file')}
                    </ToolButton>
                </HStack>
            </HStack>
            <Text fontSize="text" color="faint">
                {t('It shows account numbers, not names. Nobody can change or delete an entry.')}
            </Text>
            {open && (
                <Box
                    layerStyle="panel"
                    p="3"
                    mt="2"
                    maxH="420px"
                    overflowY="auto"
                    tabIndex={0}
                    aria-label={t('Entries')}
                >
                    {audit.map((e, i) => (
                        <Text key={i} fontSize="note" className="reading">
                            {e.at} {e.actor ?? '–'}: {e.act} · {e.of} {e.of_id} {e.more}
                        </Text>
                    ))}
                </Box>
            )}
        </Box>
    )
}
