import { Box, Heading, HStack, Input, Stack, Text } from '@chakra-ui/react'
import { Link, router, usePage } from '@inertiajs/react'
import { useState, type FormEvent } from 'react'
import { kindName } from '@/jobs/kinds'
import { timeOf, weekOf } from '@/jobs/moments'
import type { PlanPage } from '@/lib/types'
import { Frame } from '@/shell/Frame'
import { Select } from '@/shell/Select'
import { MainButton } from '@/theme/buttons'
import { t } from '@/words'

/** The jobs of a class by weeks; and the whole plan given to another class. */
export default function Plan({ course, classes, may_copy, jobs }: PlanPage) {
    const { errors } = usePage<{ errors: Record<string, string> }>().props
    const [now] = useState(() => Date.now())
    const [to, setTo] = useState(classes[0]?.id ?? 0)
    const [day, setDay] = useState('')
    const weeks = new Map<string, PlanPage['jobs']>()
    for (const job of jobs) {
        const week = weekOf(job.opens_at ?? job.given_at)
        weeks.set(week, [...(weeks.get(week) ?? []), job])
    }
    const copy = (e: FormEvent) => {
        e.preventDefault()
        router.post(`/courses/${course.id}/plan`, { to, starts_on: day })
    }
    return (
        <Frame title={t('Plan: {{name}}', { name: course.name })}>
            <Stack gap="5">
                <Heading as="h1" size="2xl">
                    {t('Plan of {{name}}', { name: course.name })}
                </Heading>
                {jobs.length === 0 && <Text color="faint">{t('No job has been given to this class yet.')}</Text>}
                {[...weeks].map(([week, list]) => (
                    <Box key={week} as="section" aria-label={week} layerStyle="panel" p="4">
                        <Heading as="h2" size="md" mb="1">
                            {week}
                        </Heading>
                        {list.map((j) => (
                            <HStack
                                key={j.id}
                                justify="space-between"
                                wrap="wrap"
                                py="2"
                                borderTopWidth="1px"
                                borderColor="line"
                            >
                                <Box>
                                    <Link href={`/jobs/${j.id}`}>
                                        <Text fontWeight={700} color="copper" textDecoration="underline">
                                            {j.title}
                                        </Text>
                                    </Link>
                                    <Text fontSize="note" color="faint">
                                        {[
                                            kindName(j.kind),
                                            ...(j.pool ? [t('a fault drawn for each')] : []),
                                            ...timeOf(j, now),
                                            ...(j.after ? [t('after {{title}}', { title: j.after })] : []),
                                        ].join(' · ')}
                                    </Text>
                                </Box>
                                <Text className="reading">{t('{{done}} of {{trainees}} closed', j)}</Text>
                            </HStack>
                        ))}
                    </Box>
                ))}
                {may_copy && classes.length > 0 && jobs.length > 0 && (
                    <HStack
                        as="form"
                        layerStyle="panel"
                        p="4"
                        gap="2"
                        wrap="wrap"
                        onSubmit={copy}
                        aria-label={t('Give this plan again')}
                    >
                        <Text>{t('Give all of it to')}</Text>
                        <Box w="260px">
                            <Select
                                label={t('Class')}
                                value={String(to)}
                                options={classes.map((c): [string, string] => [String(c.id), c.name])}
                                onChange={(v) => setTo(Number(v))}
                            />
                        </Box>
                        <Text>{t('so that the first job opens on')}</Text>
                        <Input
                            type="date"
                            aria-label={t('Day')}
                            h="touch"
                            w="170px"
                            borderColor="line"
                            value={day}
                            onChange={(e) => setDay(e.target.value)}
                        />
                        <MainButton type="submit">{t('Give it')}</MainButton>
                        {Object.values(errors).map((error) => (
                            <Text key={error} role="alert" color="danger">
                                {error}
                            </Text>
                        ))}
                    </HStack>
                )}
            </Stack>
        </Frame>
    )
}
