import { Badge, Box, Flex, Heading, Stack, Table, Text } from '@chakra-ui/react'
import { Link } from '@inertiajs/react'
import { FirstSteps } from '@/shell/FirstSteps'
import { jobName } from '@/jobs/kinds'
import { Frame } from '@/shell/Frame'
import type { ShopPage } from '@/lib/types'
import { MainButton } from '@/theme/buttons'
import { t } from '@/words'

/** The instructor's day: classes, what is running, what came back. */
export default function Shop({ courses, models, jobs, growing }: ShopPage) {
    return (
        <Frame title={t('Shop')}>
            <Stack gap="6">
                <Flex justify="space-between" align="end" gap="4">
                    <Box>
                        <Heading as="h1" size="2xl">
                            {t('Shop')}
                        </Heading>
                        <Text color="faint">
                            {courses.map((c) => (
                                <span key={c.id}>
                                    {c.name}: {c.trainees_count} {t('trainees ·')}{' '}
                                    <Link href={`/courses/${c.id}/plan`}>
                                        <Text as="span" color="copper" textDecoration="underline">
                                            {t('plan')}
                                        </Text>
                                    </Link>{' '}
                                    ·{' '}
                                    <Link href={`/courses/${c.id}/wall`}>
                                        <Text as="span" color="copper" textDecoration="underline">
                                            {t('wall')}
                                        </Text>
                                    </Link>{' '}
                                    ·{' '}
                                    <Link href={`/courses/${c.id}/record`}>
                                        <Text as="span" color="copper" textDecoration="underline">
                                            {t('record')}
                                        </Text>
                                    </Link>{' '}
                                    ·{' '}
                                    <a href={`/courses/${c.id}/marks.csv`}>
                                        <Text as="span" color="copper" textDecoration="underline">
                                            {t('marks as CSV')}
                                        </Text>
                                    </a>
                                </span>
                            ))}
                        </Text>
                    </Box>
                    <MainButton asChild>
                        <Link href="/models">
                            {t('Set a fault in one of {{many}} models', { many: models.length })}
                        </Link>
                    </MainButton>
                </Flex>
                <FirstSteps
                    title={t('Three steps to a first job')}
                    steps={[
                        'Pick a model and set a fault in it. The complaint and what the appliance does are computed.',
                        'Give it to a class. Try it yourself first, as a trainee would.',
                        'When a trainee closes the call, read the debrief together: every reading, what it proved, and the mark.',
                    ]}
                />
                {growing !== null && (
                    <Text role="status" color="faint">
                        {t('Loading the demo classes: {{percent}} %. You can start using the program now.', {
                            percent: Math.round(100 * growing),
                        })}
                    </Text>
                )}
                <Box layerStyle="panel" overflow="hidden">
                    <Table.Root size="md">
                        <Table.Header>
                            <Table.Row bg="ground">
                                {['Job', 'Kind', 'Class', 'Given to', 'At the bench', 'Closed'].map((h) => (
                                    <Table.ColumnHeader key={h} color="ink">
                                        {h}
                                    </Table.ColumnHeader>
                                ))}
                            </Table.Row>
                        </Table.Header>
                        <Table.Body>
                            {jobs.map((j) => (
                                <Table.Row key={j.id} bg="sheet">
                                    <Table.Cell>
                                        <Link href={`/jobs/${j.id}`}>
                                            <Text fontWeight={700} color="copper" textDecoration="underline">
                                                {j.title}
                                            </Text>
                                        </Link>
                                        <Text fontSize="note" color="faint">
                                            “{j.complaint}”
                                        </Text>
                                    </Table.Cell>
                                    <Table.Cell>
                                        <Badge bg={j.kind === 'exam' ? 'copperWash' : 'ground'} color="ink">
                                            {jobName(j)}
                                        </Badge>
                                    </Table.Cell>
                                    <Table.Cell>{j.course}</Table.Cell>
                                    <Table.Cell className="reading">
                                        {j.given}
                                        {j.faults > 1 && (
                                            <Text fontSize="note" color="faint" fontFamily="body">
                                                {t('one of {{faults}} faults each', { faults: j.faults })}
                                            </Text>
                                        )}
                                    </Table.Cell>
                                    <Table.Cell className="reading">{j.running}</Table.Cell>
                                    <Table.Cell className="reading">{j.done}</Table.Cell>
                                </Table.Row>
                            ))}
                        </Table.Body>
                    </Table.Root>
                    {jobs.length === 0 && (
                        <Text p="4" color="faint">
                            {t('No job has been given yet. Pick a model, choose a fault, and give it.')}
                        </Text>
                    )}
                </Box>
            </Stack>
        </Frame>
    )
}
