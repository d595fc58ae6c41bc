import { Badge, Box, Flex, Heading, HStack, Stack, Text } from '@chakra-ui/react'
import { Link, router } from '@inertiajs/react'
import { useState } from 'react'
import { FreeBench } from '@/jobs/FreeBench'
import { timeOf } from '@/jobs/moments'
import { FirstSteps } from '@/shell/FirstSteps'
import { jobName } from '@/jobs/kinds'
import { Frame } from '@/shell/Frame'
import type { MyJobsPage } from '@/lib/types'
import { MainButton, ToolButton } from '@/theme/buttons'
import { t } from '@/words'

export default function MyJobs({ jobs, open }: MyJobsPage) {
    const [now] = useState(() => Date.now())
    return (
        <Frame title={t('My jobs')}>
            <Stack gap="4">
                <HStack justify="space-between">
                    <Heading as="h1" size="2xl">
                        {t('My jobs')}
                    </Heading>
                    <ToolButton onClick={() => router.post('/warm-up')}>
                        {t('Warm-up: five minutes on a training board')}
                    </ToolButton>
                </HStack>
                <FirstSteps
                    title={t('First time here')}
                    steps={[
                        'Take the warm-up: five minutes on a board with nothing wrong, to try the meter and every tool.',
                        'Begin a job: read the call sheet, find the fault, repair it, verify, and close the call.',
                        'Read the debrief: what each of your readings proved, and the shorter way to the fault.',
                    ]}
                />
                {jobs.length === 0 && (
                    <Text color="faint">
                        {t(
                            'No job has been given to you yet. Your instructor gives them; the warm-up is open at any time.',
                        )}
                    </Text>
                )}
                <FreeBench open={open} />
                {jobs.map((j) => (
                    <Flex
                        layerStyle="panel"
                        key={j.id}

                        p="4"
                        gap="4"
                        align="center"
                    >
                        <Box flex="1">
                            <Text fontWeight={700} fontSize="17px">
                                {j.title}
                            </Text>
                            <Text>“{j.complaint}”</Text>
                            {j.why_not !== null && j.attempt === null && (
                                <Text fontSize="note" color="copper">
                                    {j.why_not}
                                </Text>
                            )}
                            {timeOf(j, now).length > 0 && (
                                <Text fontSize="note" color="faint">
                                    {timeOf(j, now).join(' · ')}
                                </Text>
                            )}
                        </Box>
                        <Badge bg={j.kind === 'exam' ? 'copperWash' : 'ground'} color="ink">
                            {jobName(j)}
                        </Badge>
                        {j.handed_back ? (
                            <>
                                <Text
                                    className="reading"
                                    w="150px"
                                    textAlign="right"
                                    color={j.passed ? 'good' : 'danger'}
                                >
                                    {j.total?.toFixed(1) ?? '–'} {j.passed ? t('passed') : t('not passed')}
                                </Text>
                                <ToolButton asChild w="120px">
                                    <Link
                                        aria-label={t('Debrief: {{title}}', { title: j.title })}
                                        href={`/attempts/${j.attempt}/debrief`}
                                    >
                                        {t('Debrief')}
                                    </Link>
                                </ToolButton>
                            </>
                        ) : (
                            <MainButton
                                w="120px"
                                disabled={j.attempt === null && !j.can_begin}
                                aria-label={`${j.attempt ? t('Continue') : t('Begin')}: ${j.title}`}
                                onClick={() => router.post(`/jobs/${j.id}/attempt`)}
                            >
                                {j.attempt ? t('Continue') : t('Begin')}
                            </MainButton>
                        )}
                    </Flex>
                ))}
            </Stack>
        </Frame>
    )
}
