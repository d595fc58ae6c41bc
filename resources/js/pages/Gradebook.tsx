import { Box, Heading, HStack, Stack, Table, Text } from '@chakra-ui/react'
import { Link } from '@inertiajs/react'
import { useState } from 'react'
import type { GradebookPage } from '@/lib/types'
import { proficiencies, Span } from '@/record/Span'
import { FileLink } from '@/lib/FileLink'
import { Frame } from '@/shell/Frame'
import { ToolButton } from '@/theme/buttons'
import { t } from '@/words'

/** The record of a class: marks of every job, what each has shown, and what the class finds hard. */
export default function Gradebook({ course, jobs, competencies, people, hard }: GradebookPage) {
    const [view, setView] = useState<'marks' | 'competencies'>('marks')
    return (
        <Frame title={t('Record of {{name}}', { name: course.name })} full>
            <Stack gap="3" h="100%" minH="0" p="2">
                <HStack justify="space-between" wrap="wrap">
                    <Heading as="h1" size="xl">
                        {t('Record of {{name}}', { name: course.name })}
                    </Heading>
                    <a href={`/courses/${course.id}/record.xlsx`}>
                        <Text as="span" color="copper" textDecoration="underline">
                            {t('Spreadsheet')}
                        </Text>
                    </a>
                    <HStack gap="1" role="group" aria-label={t('View')}>
                        <ToolButton on={view === 'marks'} onClick={() => setView('marks')}>
                            {t('Marks')}
                        </ToolButton>
                        <ToolButton on={view === 'competencies'} onClick={() => setView('competencies')}>
                            {t('Competencies')}
                        </ToolButton>
                        <ToolButton asChild>
                            <a href={`/courses/${course.id}/marks.csv`}>{t('Marks as CSV')}</a>
                        </ToolButton>
                    </HStack>
                </HStack>
                {hard.length > 0 && (
                    <HStack as="section" aria-label={t('What the class finds hard')} gap="4" wrap="wrap">
                        <Text fontSize="text" fontWeight={700}>
                            {t('Hardest for the class')}
                        </Text>
                        {hard.slice(0, 4).map((h) => (
                            <Box key={h.competency} minW="150px">
                                <Text fontSize="note">{t(h.competency)}</Text>
                                <Span of={h} label={h.competency} />
                            </Box>
                        ))}
                    </HStack>
                )}
                {people.length === 0 && <Text color="faint">{t('Nobody is in this class yet.')}</Text>}
                <Box flex="1" minH="0" overflow="auto" layerStyle="panel" tabIndex={0} aria-label={t('Table')}>
                    <Table.Root size="sm" stickyHeader>
                        <Table.Header>
                            <Table.Row bg="ground">
                                <Table.ColumnHeader color="ink">{t('Trainee')}</Table.ColumnHeader>
                                {view === 'marks'
                                    ? jobs.map((j) => (
                                          <Table.ColumnHeader key={j.id} color="ink" minW="110px" whiteSpace="normal">
                                              <Link href={`/jobs/${j.id}`} style={{ textDecoration: 'underline' }}>
                                                  {j.title}
                                              </Link>
                                          </Table.ColumnHeader>
                                      ))
                                    : competencies.map((c) => (
                                          <Table.ColumnHeader key={c} color="ink" minW="110px">
                                              {t(c)}
                                          </Table.ColumnHeader>
                                      ))}
                                <Table.ColumnHeader color="ink" minW="180px">
                                    {t('Practise next')}
                                </Table.ColumnHeader>
                            </Table.Row>
                        </Table.Header>
                        <Table.Body>
                            {people.map((p) => (
                                <Table.Row key={p.id} bg="sheet">
                                    <Table.Cell fontWeight={700}>
                                        {p.name}{' '}
                                        <FileLink
                                            href={`/courses/${course.id}/people/${p.id}/record.pdf`}
                                            label={t('Record sheet of {{name}} (PDF)', { name: p.name })}
                                        >
                                            <Text
                                                as="span"
                                                color="copper"
                                                textDecoration="underline"
                                                fontWeight={400}
                                                fontSize="note"
                                            >
                                                {t('sheet')}
                                            </Text>
                                        </FileLink>
                                    </Table.Cell>
                                    {view === 'marks'
                                        ? jobs.map((j) => {
                                              const mark = p.marks.find((m) => m.job === j.id)
                                              return (
                                                  <Table.Cell key={j.id}>
                                                      {mark ? (
                                                          <Link href={`/attempts/${mark.attempt}/debrief`}>
                                                              <Text
                                                                  className="reading"
                                                                  color={mark.passed ? 'good' : 'danger'}
                                                                  textDecoration="underline"
                                                              >
                                                                  {mark.passed ? '✓' : '✕'} {mark.total?.toFixed(1)}
                                                              </Text>
                                                          </Link>
                                                      ) : (
                                                          '–'
                                                      )}
                                                  </Table.Cell>
                                              )
                                          })
                                        : competencies.map((c) => (
                                              <Table.Cell key={c}>
                                                  <Span
                                                      of={proficiencies(p.competencies)[c]}
                                                      label={`${p.name}, ${c}`}
                                                  />
                                              </Table.Cell>
                                          ))}
                                    <Table.Cell fontSize="note">
                                        <b>{t(p.next.competency)}</b>
                                        <Text color="faint">{p.next.why}</Text>
                                    </Table.Cell>
                                </Table.Row>
                            ))}
                        </Table.Body>
                    </Table.Root>
                </Box>
                <Text fontSize="fine" color="faint">
                    {t(
                        'A bar is where the true share lies with 95 % confidence (Wilson’s score interval); its mark is the mean over the jobs.',
                    )}
                </Text>
            </Stack>
        </Frame>
    )
}
