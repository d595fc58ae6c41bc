import { Box, Grid, Heading, Stack, Text } from '@chakra-ui/react'
import { Frame } from '@/shell/Frame'
import type { JudgingPage } from '@/lib/types'
import { t } from '@/words'

/** How an attempt of each kind of job is judged, as the rules are documented. */
export default function Judging({ sections }: JudgingPage) {
    return (
        <Frame title={t('How it is judged')} full>
            <Grid h="100%" gap="2" templateColumns={{ base: '1fr', md: '250px minmax(0,1fr)' }}>
                <Stack
                    as="nav"
                    layerStyle="panel"
                    gap="0"
                    p="2"
                    overflowY="auto"
                    maxH={{ base: '180px', md: 'none' }}
                    aria-label={t('Kinds of job')}
                >
                    {sections.map(({ id, title }) => (
                        <Box
                            as="a"
                            key={id}
                            {...{ href: `#${id}` }}
                            display="flex"
                            alignItems="center"
                            minH="touch"
                            px="2"
                            borderRadius="sm"
                            _hover={{ bg: 'copperWash' }}
                        >
                            {title}
                        </Box>
                    ))}
                </Stack>
                <Box layerStyle="panel" minH="0" overflowY="auto" p="4" tabIndex={0} aria-label={t('How it is judged')}>
                    <Heading as="h1" size="lg" mb="2">
                        {t('How it is judged')}
                    </Heading>
                    {sections.map(({ id, title, html }) => (
                        <Box as="section" key={id} id={id} maxW="78ch" mb="6">
                            <Heading as="h2" size="md" mb="2">
                                {title}
                            </Heading>
                            <Box fontSize="text" css={TEXT} dangerouslySetInnerHTML={{ __html: html }} />
                        </Box>
                    ))}
                    <Text fontSize="note" color="faint">
                        {t('The house rules of a job set what each line weighs and what counts as a pass.')}
                    </Text>
                </Box>
            </Grid>
        </Frame>
    )
}

const TEXT = {
    '& p, & ul, & ol, & table': { mb: '3' },
    '& li': { ml: '5', listStyle: 'disc' },
    '& h3': { fontWeight: 700, mb: '1' },
    '& code': { fontSize: '0.92em' },
    '& th, & td': {
        textAlign: 'left',
        verticalAlign: 'top',
        py: '1',
        pr: '4',
        borderBottomWidth: '1px',
        borderColor: 'line',
    },
}
