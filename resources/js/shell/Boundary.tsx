import { Box, Heading, Text } from '@chakra-ui/react'
import { Component, type ReactNode } from 'react'
import { MainButton } from '@/theme/buttons'
import { t } from '@/words'

/** What one sees when a page breaks: a sentence and a way on, instead of nothing. */
export class Boundary extends Component<{ children: ReactNode }, { broken: boolean }> {
    override state = { broken: false }

    static getDerivedStateFromError() {
        return { broken: true }
    }

    override render() {
        if (!this.state.broken) return this.props.children
        return (
            <Box as="main" p="10" maxW="560px" mx="auto" role="alert">
                <Heading as="h1" size="xl" mb="2">
                    {t('This page has broken')}
                </Heading>
                <Text mb="4">
                    {t('What you did is kept on the server. Load the page again and go on where you were.')}
                </Text>
                <MainButton onClick={() => window.location.reload()}>{t('Load it again')}</MainButton>
            </Box>
        )
    }
}
