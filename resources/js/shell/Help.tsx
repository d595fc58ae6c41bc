import { Box, Popover, Portal, Stack, Text } from '@chakra-ui/react'
import { usePage } from '@inertiajs/react'
import { useState } from 'react'
import { useKeys } from '@/lib/useKeys'
import { ToolButton } from '@/theme/buttons'
import { HELP } from './help'
import { t } from '@/words'

/** What this page is for and which keys work on it, opened where one stands; the key ? too. */
export function Help() {
    const topic = HELP[usePage().component]
    const [open, setOpen] = useState(false)
    useKeys(['?'], () => setOpen((on) => !on), { enabled: topic !== undefined, printed: true })
    if (!topic) return null
    return (
        <Popover.Root
            open={open}
            onOpenChange={(e) => setOpen(e.open)}
            positioning={{ placement: 'bottom-end' }}
            lazyMount
            unmountOnExit
        >
            <Popover.Trigger asChild>
                <ToolButton size="sm" h="tight" minW="tight" px="0" aria-label={t('Help on this page')}>
                    ?
                </ToolButton>
            </Popover.Trigger>
            <Portal>
                <Popover.Positioner>
                    <Popover.Content
                        bg="sheet"
                        borderWidth="1px"
                        borderColor="line"
                        w="360px"
                        maxW="94vw"
                        maxH="80vh"
                        overflowY="auto"
                        p="4"
                        tabIndex={0}
                        aria-label={t('Help on this page')}
                    >
                        <Stack gap="2" fontSize="text">
                            {topic.says.map((sentence) => (
                                <Text key={sentence}>{t(sentence)}</Text>
                            ))}
                            {topic.keys && (
                                <Box as="dl">
                                    {topic.keys.map(([key, does]) => (
                                        <Box key={key} display="flex" gap="2">
                                            <Box as="dt" className="reading" minW="132px" fontWeight={600}>
                                                {t(key)}
                                            </Box>
                                            <Box as="dd">{t(does)}</Box>
                                        </Box>
                                    ))}
                                </Box>
                            )}
                        </Stack>
                    </Popover.Content>
                </Popover.Positioner>
            </Portal>
        </Popover.Root>
    )
}
