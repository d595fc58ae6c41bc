import { Box, Flex, Heading, HStack, Stack, Table, Text } from '@chakra-ui/react'
import { Link, router } from '@inertiajs/react'
import { CopyTo } from '@/jobs/CopyTo'
import { JobTime } from '@/jobs/JobTime'
import { MoreForOne } from '@/jobs/MoreForOne'
import { MarkAgain } from '@/marks/MarkAgain'
import { jobName } from '@/jobs/kinds'
import { Frame } from '@/shell/Frame'
import type { JobPage } from '@/lib/types'
import { MainButton, ToolButton } from '@/theme/buttons'
import { t } from '@/words'

/** One job: what was given, and how each trainee fared. */
export default function Job({ job, rows, own, sets, may_set, pool, after, classes }: JobPage) {
    return (
        <Frame title={job.title}>
            <Stack gap="5">
                <Flex justify="space-between" align="start" gap="4">
                    <Box>
                        <Heading as="h1" size="2xl">
                            {job.title}
                        </Heading>
                        <Text fontSize="text" color="faint">
                            {job.course} · {jobName(job)} {t('· house rules:')} {job.rules.title}
                            {t(', version')} {job.rules.version}
                        </Text>
                    </Box>
                    <HStack flexShrink={0}>
                        {may_set && <CopyTo job={job.id} classes={classes} />}
                        {own.handed_back && (
                            <ToolButton asChild>
                                <Link href={`/attempts/${own.attempt}/debrief`}>{t('My own debrief')}</Link>
                            </ToolButton>
                        )}
                        {may_set && !own.handed_back && (
                            <MainButton onClick={() => router.post(`/jobs/${job.id}/attempt`)}>
                                {own.attempt ? t('Continue trying it') : t('Try it myself')}
                            </MainButton>
                        )}
                    </HStack>
                </Flex>
                <Box as="section" aria-label={t('The story')} layerStyle="panel" p="4">
                    <Text fontSize="18px">“{job.complaint}”</Text>
                    <Text mt="1">
                        {job.model}. {job.visit}.
                    </Text>
                    <Text fontSize="note" color="faint">
                        {t('The model is frozen as')} <span className="reading">{job.hash}</span>
                        {t(': later changes to it do not reach this job.')}
                    </Text>
                </Box>
                {pool.length > 0 && (
                    <Box as="section" aria-label={t('Pool')} layerStyle="panel" p="4">
                        <Text fontWeight={700}>{t('One of these was drawn for each:')}</Text>
                        {pool.map((p) => (
                            <Text key={p.id} fontWeight={p.id === job.id ? 700 : undefined}>
                                <Link href={`/jobs/${p.id}`} style={{ textDecoration: 'underline' }}>
                                    {p.fault}
                                </Link>{' '}
                                {t('({{trainees}} trainees)', { trainees: p.trainees })}
                            </Text>
                        ))}
                    </Box>
                )}
                {after && (
                    <Text>
                        {after.mark === null
                            ? t('Opens after “{{title}}” is passed.', { title: after.title })
                            : t('Opens after “{{title}}” is passed with {{mark}} or more.', {
                                  title: after.title,
                                  mark: after.mark,
                              })}
                    </Text>
                )}
                {may_set && <JobTime key={`${job.opens_at} ${job.closes_at} ${job.minutes}`} job={job} />}
                <Box bg="copperWash" borderRadius="md" p="3">
                    <Text>
                        <b>{t('The fault:')}</b> {job.fault}
                    </Text>
                    {job.key ? (
                        <>
                            <Text fontSize="text">
                                {t('Grade')} {job.key.difficulty.grade} {t('of 5,')} {job.key.difficulty.minutes}{' '}
                                {t('minutes at best.')}{' '}
                                {job.key.look_alikes.length > 0 &&
                                    t('Naming {{look_alikes}} is right too: nothing tells them apart.', {
                                        look_alikes: job.key.look_alikes.join(' or '),
                                    })}
                            </Text>
                            <Text fontSize="text" fontWeight={700} mt="2">
                                {t('The shortest way to it')}
                            </Text>
                            <Box as="ol" pl="5" fontSize="text" listStyleType="decimal">
                                {job.key.path.map((p) => (
                                    <li key={p.ask}>
                                        {p.ask}: <span className="reading">{p.shows}</span>
                                    </li>
                                ))}
                            </Box>
                        </>
                    ) : (
                        <Text fontSize="text" color="faint">
                            {t('The answer key appears once the model’s faults are analyzed.')}
                        </Text>
                    )}
                </Box>
                <Box layerStyle="panel" overflow="hidden">
                    <Table.Root>
                        <Table.Header>
                            <Table.Row bg="ground">
                                {['Trainee', 'Where', 'Entries', 'Conclusion', 'Mark', ''].map((h) => (
                                    <Table.ColumnHeader key={h} color="ink">
                                        {h}
                                    </Table.ColumnHeader>
                                ))}
                            </Table.Row>
                        </Table.Header>
                        <Table.Body>
                            {rows.map((r) => (
                                <Table.Row key={r.name} bg="sheet">
                                    <Table.Cell fontWeight={700}>{r.name}</Table.Cell>
                                    <Table.Cell>
                                        {r.handed_back ? t('closed') : r.attempt ? t('at the bench') : t('not started')}
                                    </Table.Cell>
                                    <Table.Cell className="reading">{r.entries}</Table.Cell>
                                    <Table.Cell>{r.verdict ?? '–'}</Table.Cell>
                                    <Table.Cell>
                                        <Text
                                            className="reading"
                                            color={r.passed === null ? undefined : r.passed ? 'good' : 'danger'}
                                        >
                                            {r.total === null
                                                ? '–'
                                                : `${r.total.toFixed(1)} ${r.passed ? 'passed' : 'not passed'}`}
                                        </Text>
                                        {r.marking?.error && (
                                            <Text fontSize="note" color="danger">
                                                {r.marking.error}
                                            </Text>
                                        )}
                                        {r.others.map((o, i) => (
                                            <Text key={i} fontSize="note" color="faint">
                                                {o.title}: <span className="reading">{o.total.toFixed(1)}</span>{' '}
                                                {o.passed ? t('passed') : t('not passed')}
                                            </Text>
                                        ))}
                                    </Table.Cell>
                                    <Table.Cell>
                                        <HStack gap="2" justify="flex-end">
                                            {r.handed_back && (
                                                <Link href={`/attempts/${r.attempt}/debrief`}>
                                                    <Text color="copper" textDecoration="underline">
                                                        {t('Debrief')}
                                                    </Text>
                                                </Link>
                                            )}
                                            {may_set && <MoreForOne job={job.id} row={r} />}
                                        </HStack>
                                    </Table.Cell>
                                </Table.Row>
                            ))}
                        </Table.Body>
                    </Table.Root>
                </Box>
                {may_set && (
                    <MarkAgain
                        job={job.id}
                        sets={sets}
                        marking={rows.some((r) => r.marking !== null && !r.marking.error)}
                    />
                )}
            </Stack>
        </Frame>
    )
}
