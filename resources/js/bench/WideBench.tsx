import { Box, Flex, Grid, HStack, Stack, Tabs } from '@chakra-ui/react'
import { t } from '@/words'
import type { BenchPieces } from './pieces'

/** The bench on a screen that is wider than high: papers, appliance and time, and the meter beside them. */
export function WideBench({ tools, close, notices, appliance, papers, time, meter, hands, tabs, aside }: BenchPieces) {
    return (
        <Flex h="100%" gap="2">
            <Grid
                flex="1"
                minW="0"
                h="100%"
                gap="2"
                templateColumns={`${aside === null ? '' : '272px '}minmax(0,1fr)`}
                templateRows="minmax(0,1fr) auto"
            >
                {aside !== null && (
                    <Box layerStyle="panel" p="2" minH="0">
                        {papers}
                    </Box>
                )}
                <Flex direction="column" minH="0" minW="0" gap="2">
                    <HStack gap="1" flexShrink={0} wrap="wrap">
                        {tools}
                        <Box flex="1" />
                        <Tabs.List borderWidth="0" gap="0" flexShrink={0}>
                            {tabs.map(([value, name]) => (
                                <Tabs.Trigger
                                    key={value}
                                    value={value}
                                    h="touch"
                                    px={tabs.length > 4 ? '1' : '2'}
                                    tabIndex={aside === null && value === 'call' ? 0 : undefined}
                                >
                                    {name}
                                </Tabs.Trigger>
                            ))}
                        </Tabs.List>
                        {close}
                    </HStack>
                    {notices}
                    <Box flex="1" minH="0">
                        {appliance}
                    </Box>
                </Flex>
                <Box gridColumn="1 / -1" minW="0">
                    {time}
                </Box>
            </Grid>
            <Flex direction="column" gap="2" minH="0" w="236px" flexShrink={0}>
                {meter}
                <Stack gap="2" flex="1" minH="0" overflowY="auto" tabIndex={0} aria-label={t('By hand')}>
                    {hands}
                </Stack>
            </Flex>
        </Flex>
    )
}
