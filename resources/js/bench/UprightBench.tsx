import { Box, Flex, HStack, Stack, Tabs } from '@chakra-ui/react'
import { ToolButton } from '@/theme/buttons'
import type { BenchPieces } from './pieces'
import { t } from '@/words'

/** The bench on a phone or an upright tablet: the board first, the meter as a bar below it, all else on sheets. */
export function UprightBench({
    tools,
    close,
    notices,
    appliance,
    papers,
    time,
    meterBar,
    meter,
    hands,
    tabs,
    aside,
    onAside,
}: BenchPieces) {
    const all = [...tabs, ['part', t('Part')], ['meter', t('Meter')]] as const
    return (
        <Flex direction="column" h="100%" gap="1" minW="0">
            <HStack gap="1" flexShrink={0} overflowX="auto" pb="1">
                {tools}
                {close}
            </HStack>
            {notices}
            <Box flex="1" minH="0" position="relative">
                {appliance}
                {aside !== null && (
                    <Flex
                        data-sheet
                        direction="column"
                        layerStyle="panel"
                        position="absolute"
                        insetX="0"
                        bottom="0"
                        maxH="82%"
                        boxShadow="lg"
                        zIndex="2"
                    >
                        <HStack px="2" pt="1" justify="space-between">
                            <Box as="span" fontWeight={700}>
                                {all.find(([value]) => value === aside)?.[1]}
                            </Box>
                            <ToolButton size="sm" onClick={() => onAside(null)}>
                                {t('Close')}
                            </ToolButton>
                        </HStack>
                        <Box p="2" flex="1" minH="0" overflowY="auto">
                            {papers}
                            <Tabs.Content value="part" p="0">
                                <Stack gap="2">{hands}</Stack>
                            </Tabs.Content>
                            <Tabs.Content value="meter" p="0">
                                {meter}
                            </Tabs.Content>
                        </Box>
                    </Flex>
                )}
            </Box>
            {time}
            {meterBar}
            <Tabs.List borderWidth="0" gap="0" flexShrink={0} overflowX="auto">
                {all.map(([value, name]) => (
                    <Tabs.Trigger key={value} value={value} h="touch" px="2" flex="1 0 auto" justifyContent="center">
                        {name}
                    </Tabs.Trigger>
                ))}
            </Tabs.List>
        </Flex>
    )
}
