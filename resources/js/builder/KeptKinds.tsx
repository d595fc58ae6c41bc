import { Box, Heading, HStack, Stack, Text } from '@chakra-ui/react'
import type { KindsPage } from '@/lib/types'
import { SharedWith } from '@/people/SharedWith'
import { t } from '@/words'

/** The custom parts that there are. */
export function KeptKinds({ kinds, courses }: Pick<KindsPage, 'kinds' | 'courses'>) {
    return (
        <Stack as="section" aria-label={t('Kept')} gap="2">
            <Heading as="h2" size="md">
                {t('In the catalog')}
            </Heading>
            {kinds.length === 0 && <Text color="faint">{t('None of our own yet.')}</Text>}
            {kinds.map((k) => (
                <Box layerStyle="panel" key={k.id} p="3">
                    <HStack justify="space-between" align="start">
                        <Text fontWeight={700}>{k.title}</Text>
                        {k.mine && (
                            <SharedWith of="kind" name={k.name} title={k.title} shares={k.shares} courses={courses} />
                        )}
                    </HStack>
                    <Text fontSize="text" color="faint">
                        {t('terminals {{value}}', { value: Object.keys(k.document.terminals).join(', ') })}
                    </Text>
                    <Text fontSize="text" color="faint">
                        {Object.values(k.document.primitives)
                            .map((p) => p.type)
                            .join(', ')}
                    </Text>
                    <Text fontSize="text">
                        {Object.values(k.document.modes)
                            .map((m) => m.title)
                            .join('; ')}
                    </Text>
                </Box>
            ))}
        </Stack>
    )
}
