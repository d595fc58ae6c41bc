import { Box, Grid, Stack, Text } from '@chakra-ui/react'
import type { ReactNode } from 'react'
import { Frame } from '@/shell/Frame'
import { t } from '@/words'

interface Props {
    title: string
    /** a row above what is looked at: what it is, or what is shown of it */
    tools: ReactNode
    /** board, ladder or chart */
    view: ReactNode
    /** the sheet */
    children: ReactNode
}

/** The page of a sheet: what there is to look at, and beside it what is asked. */
export function SheetFrame({ title, tools, view, children }: Props) {
    return (
        <Frame title={title} full>
            <Grid
                h="100%"
                gap="2"
                templateColumns={{ base: 'minmax(0,1fr)', lg: 'minmax(0,1fr) 430px' }}
                templateRows={{ base: 'minmax(200px,40%) minmax(0,1fr)', lg: 'minmax(0,1fr)' }}
            >
                <Stack minH="0" gap="1">
                    {tools}
                    <Box flex="1" minH="0">
                        {view}
                    </Box>
                    <Text fontSize="fine" color="faint">
                        {t(
                            "Simulation: on real equipment follow the maker's instructions, local codes, and work under a licensed person.",
                        )}
                    </Text>
                </Stack>
                {children}
            </Grid>
        </Frame>
    )
}
