import { Box, Heading, HStack, Stack, Text } from '@chakra-ui/react'
import { Link } from '@inertiajs/react'
import type { AssessPage } from '@/lib/types'
import { kindName } from '@/jobs/kinds'
import { Frame } from '@/shell/Frame'
import { t } from '@/words'

/** The classes in which an assessor marks: what is closed and waits to be read. */
export default function Assess({ courses }: AssessPage) {
    return (
        <Frame title={t('Marking')}>
            <Stack gap="5">
                <Heading as="h1" size="2xl">
                    {t('Marking')}
                </Heading>
                {courses.length === 0 && (
                    <Text color="faint">
                        {t('You have no class yet. The instructor of a class adds you under “People”.')}
                    </Text>
                )}
                {courses.map((c) => (
                    <Box key={c.id} as="section" aria-label={c.name} layerStyle="panel" p="4">
                        <HStack justify="space-between" wrap="wrap">
                            <Heading as="h2" size="md">
                                {c.name}
                            </Heading>
                            <Link href={`/courses/${c.id}/record`}>
                                <Text color="copper" textDecoration="underline">
                                    {t('Record of the class')}
                                </Text>
                            </Link>
                        </HStack>
                        <Text color="faint">{t('{{name}} leads this class.', { name: c.leader })}</Text>
                        {c.jobs.map((j) => (
                            <HStack key={j.id} justify="space-between" py="2" borderTopWidth="1px" borderColor="line">
                                <Link href={`/jobs/${j.id}`}>
                                    <Text color="copper" textDecoration="underline">
                                        {j.title}
                                    </Text>
                                </Link>
                                <Text fontSize="text">
                                    {kindName(j.kind)}, {t('{{done}} closed, {{running}} at the bench', j)}
                                </Text>
                            </HStack>
                        ))}
                    </Box>
                ))}
            </Stack>
        </Frame>
    )
}
