import { Box, Button, Flex, Heading, HStack, Link as Anchor, Stack, Text } from '@chakra-ui/react'
import { FileLink } from '@/lib/FileLink'
import { TwoAtOnce } from './TwoAtOnce'
import { Drifted } from './Drifted'
import { LineRow } from './LineRow'
import { Noted } from './Noted'
import type { MarkData, OtherMark } from './types'
import type { DebriefPage, PairsState } from '@/lib/types'
import { Contested, ContestMark } from './Contest'
import { HowJudged } from '@/shell/HowJudged'
import { t } from '@/words'

interface Props {
    attempt: number
    trainee: string
    /** null: there was none to be found */
    fault: string | null
    verdict: string
    mark: MarkData
    same: string[]
    report: { label: string; text: string }[]
    others: OtherMark[]
    pairs: PairsState | null
    /** what kind of job it was */
    work: string
    /** a fault was traced: not so on a sheet of predictions, or when an appliance was wired */
    traced: boolean
    engine: { then: number; now: number }
    judges: boolean
    contest: DebriefPage['contest']
    noted: DebriefPage['noted']
    mayContest: boolean
    onEntry: (entry: number) => void
}

/** The mark line by line, what an instructor set otherwise and why, and the marks under other rules. */
export function MarkSheet({
    attempt,
    trainee,
    fault,
    verdict,
    mark,
    same,
    report,
    others,
    pairs,
    work,
    traced,
    engine,
    judges,
    contest,
    noted,
    mayContest,
    onEntry,
}: Props) {
    return (
        <Stack gap="3" overflowY="auto" h="100%" pr="1" tabIndex={0} aria-label={t('Mark')}>
            <Flex justify="space-between" align="baseline">
                <Heading as="h1" size="lg">
                    {trainee}
                </Heading>
                <Text
                    className="reading"
                    fontSize="30px"
                    fontWeight={600}
                    color={mark.passed ? 'good' : 'danger'}
                    data-testid="total"
                >
                    {mark.total.toFixed(1)}
                </Text>
            </Flex>
            <Text>
                {mark.passed ? t('Passed') : t('Not passed')}
                {mark.not_passed.length > 0 && `: ${mark.not_passed.join(', ')}`} · {verdict}
            </Text>
            <HowJudged work={work} />
            <Box bg="copperWash" borderRadius="sm" p="2" hidden={fault === null}>
                {fault !== null && (
                    <Text>
                        <b>{t('It was:')}</b> {fault}
                    </Text>
                )}
                {mark.call_back.hours > 0 && (
                    <Text fontSize="text" mt="1">
                        {mark.call_back.said.length > 0 ? (
                            <>
                                {t('Ran')} {mark.call_back.hours}{' '}
                                {t('more hours as you left it, and the customer calls back:')}{' '}
                                <i>“{mark.call_back.said.join(' ')}”</i>
                            </>
                        ) : (
                            t('Ran {{hours}} more hours as you left it: no callback.', { hours: mark.call_back.hours })
                        )}
                    </Text>
                )}
                {same.length > 0 && (
                    <Text fontSize="text" mt="1">
                        {t('Would have shown the same as what was named: {{same}}.', { same: same.join('; ') })}
                    </Text>
                )}
            </Box>
            {mark.lines.map((line) => (
                <LineRow key={line.id} attempt={attempt} line={line} judges={judges} onEntry={onEntry} />
            ))}
            {(mark.habits ?? []).length > 0 && (
                <Box>
                    <Text fontWeight={700}>{t('Good habits')}</Text>
                    {mark.habits!.map((h) => (
                        <Button
                            key={h.text}
                            variant="ghost"
                            h="auto"
                            minH="32px"
                            w="100%"
                            px="1"
                            py="1"
                            justifyContent="flex-start"
                            textAlign="left"
                            whiteSpace="normal"
                            fontWeight={400}
                            fontSize="text"
                            color="ink"
                            onClick={() => h.entry !== null && onEntry(h.entry)}
                        >
                            ✓ {h.text}
                        </Button>
                    ))}
                </Box>
            )}
            {report.length > 0 && (
                <Box as="dl" fontSize="text" aria-label={t('Closing report')}>
                    <Text fontWeight={700}>{t('Closing report')}</Text>
                    {report.map((r) => (
                        <HStack key={r.label} align="baseline">
                            <Text as="dt" color="faint" w="90px" flexShrink={0}>
                                {r.label}
                            </Text>
                            <Text as="dd">{r.text}</Text>
                        </HStack>
                    ))}
                </Box>
            )}
            {mark.hints.points > 0 && (
                <Text fontSize="text">
                    {t('Hints taken: {{reduce}}, at {{points}} points.', {
                        reduce: Object.values(mark.hints.taken).reduce((a, b) => a + b, 0),
                        points: mark.hints.points,
                    })}
                </Text>
            )}
            {others.map((o, i) => (
                <Box key={i} borderTopWidth="1px" borderColor="line" pt="2">
                    <HStack justify="space-between">
                        <Text fontWeight={700}>
                            {t('Under {{title}}, version {{version}}', {
                                title: o.rules.title,
                                version: o.rules.version,
                            })}
                        </Text>
                        <Text className="reading" color={o.passed ? 'good' : 'danger'}>
                            {o.total.toFixed(1)}
                        </Text>
                    </HStack>
                    <Text fontSize="note" color="faint">
                        {o.passed ? t('Passed') : t('Not passed')}
                        {t(', pass mark')} {o.rules.pass_mark}
                        {o.at && t(', marked again on {{at}}', { at: o.at })}.{' '}
                        {o.lines.map((l) => `${l.title} ${l.points.toFixed(1)}/${l.weight}`).join(', ')}.
                    </Text>
                </Box>
            ))}
            {engine.then !== engine.now && <Drifted attempt={attempt} engine={engine} onEntry={onEntry} />}
            {traced && <TwoAtOnce attempt={attempt} known={pairs} />}
            <Text fontSize="note" color="faint">
                {t('House rules: {{title}}, version {{version}}, pass mark {{pass_mark}}.', {
                    title: mark.rules.title,
                    version: mark.rules.version,
                    pass_mark: mark.rules.pass_mark,
                })}
            </Text>
            <Noted events={noted} />
            {contest && <Contested attempt={attempt} contest={contest} />}
            {mayContest && <ContestMark attempt={attempt} />}
            <HStack gap="4" fontSize="text" pb="2" wrap="wrap">
                <Anchor asChild color="copper" textDecoration="underline" minH="touch" alignItems="center">
                    <FileLink href={`/attempts/${attempt}/debrief.pdf`}>{t('Sheet to print (PDF)')}</FileLink>
                </Anchor>
                <Anchor
                    href={`/attempts/${attempt}/xapi`}
                    color="copper"
                    textDecoration="underline"
                    minH="touch"
                    alignItems="center"
                >
                    {t('xAPI statements')}
                </Anchor>
                <Anchor
                    href={`/attempts/${attempt}/paper.json`}
                    color="copper"
                    textDecoration="underline"
                    minH="touch"
                    alignItems="center"
                >
                    {t('Signed paper for the file')}
                </Anchor>
            </HStack>
        </Stack>
    )
}
