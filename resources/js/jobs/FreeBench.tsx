import { Box, HStack, Heading, Text } from '@chakra-ui/react'
import { router } from '@inertiajs/react'
import type { MyJobsPage } from '@/lib/types'
import { ToolButton } from '@/theme/buttons'
import { t } from '@/words'

/** Models that one can practise on at will. */
export function FreeBench({ open }: Pick<MyJobsPage, 'open'>) {
    if (open.length === 0) return null
    return (
        <Box as="section" aria-label={t('Free bench')} layerStyle="panel" p="4">
            <Heading as="h2" size="md">
                {t('Free bench')}
            </Heading>
            <Text fontSize="text" color="faint">
                {t('Practice as often as you like. Only you see the mark.')}
            </Text>
            {open.map((o) => (
                <HStack key={`${o.course} ${o.appliance}`} justify="space-between" wrap="wrap" py="1">
                    <Text>{o.title}</Text>
                    <HStack gap="1">
                        {(['healthy', 'drawn'] as const).map((fault) => (
                            <ToolButton
                                key={fault}
                                size="sm"
                                aria-label={
                                    fault === 'healthy'
                                        ? t('{{title}}, healthy', { title: o.title })
                                        : t('{{title}}, with a fault drawn', { title: o.title })
                                }
                                onClick={() => router.post(`/courses/${o.course}/free/${o.appliance}`, { fault })}
                            >
                                {fault === 'healthy' ? t('Healthy') : t('With a fault')}
                            </ToolButton>
                        ))}
                    </HStack>
                </HStack>
            ))}
        </Box>
    )
}
