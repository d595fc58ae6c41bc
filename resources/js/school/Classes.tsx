import { Box, Heading, HStack, Text } from '@chakra-ui/react'
import { router } from '@inertiajs/react'
import type { SchoolPage } from '@/lib/types'
import { useGrave } from '@/shell/grave'
import { Select } from '@/shell/Select'
import { t } from '@/words'

/** All classes of the school, and who leads each. */
export function Classes({ courses, people }: Pick<SchoolPage, 'courses' | 'people'>) {
    const grave = useGrave()
    const leaders = people.filter((p) => !p.closed && (p.role === 'instructor' || p.role === 'administrator'))
    return (
        <Box as="section" aria-label={t('Classes')}>
            <Heading as="h2" size="lg" mb="2">
                {t('Classes')}
            </Heading>
            {courses.length === 0 && <Text color="faint">{t('There is no class yet.')}</Text>}
            <Box layerStyle="panel">
                {courses.map((c) => (
                    <HStack key={c.id} justify="space-between" px="4" py="1" borderBottomWidth="1px" borderColor="line">
                        <Text>
                            {c.name}{' '}
                            <Text as="span" color="faint">
                                {t('({{trainees}} trainees)', c)}
                            </Text>
                        </Text>
                        <Select
                            w="220px"
                            label={t('Who leads {{name}}', { name: c.name })}
                            value={String(c.leader)}
                            options={[
                                ...leaders.map((p): [string, string] => [String(p.id), p.name]),
                                ...(leaders.some((p) => p.id === c.leader)
                                    ? []
                                    : [[String(c.leader), t('somebody who left')] as [string, string]]),
                            ]}
                            onChange={(v) =>
                                grave(() =>
                                    router.post(
                                        `/school/courses/${c.id}/lead`,
                                        { user: Number(v) },
                                        { preserveScroll: true },
                                    ),
                                )
                            }
                        />
                    </HStack>
                ))}
            </Box>
        </Box>
    )
}
