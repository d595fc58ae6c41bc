import { Box, Button, Flex, Heading, HStack, Input, Link as Anchor, Stack, Text, Textarea } from '@chakra-ui/react'
import { useForm } from '@inertiajs/react'
import { useState } from 'react'
import { FileLink } from '@/lib/FileLink'
import { TwoAtOnce } from './TwoAtOnce'
import { Drifted } from './Drifted'
import { VERDICTS, type MarkData, type MarkLine, type OtherMark } from './types'
import { MainButton, ToolButton } from '@/theme/buttons'
import type { PairsState } from '@/lib/types'

interface Props {
    attempt: number
    trainee: string
    fault: string
    mark: MarkData
    same: string[]
    report: { label: string; text: string }[]
    others: OtherMark[]
    pairs: PairsState | null
    engine: { then: number; now: number }
    judges: boolean
    onEntry: (entry: number) => void
}

/** The mark line by line, what an instructor set otherwise and why, and the marks under other rules. */
export function MarkSheet({
    attempt,
    trainee,
    fault,
    mark,
    same,
    report,
    others,
    pairs,
    engine,
    judges,
    onEntry,
}: Props) {
    return (
        <Stack gap="3" overflowY="auto" h="100%" pr="1" tabIndex={0} aria-label="Mark">
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
                {mark.passed ? 'Passed' : 'Not passed'}
                {mark.not_passed.length > 0 && `: ${mark.not_passed.join(', ')}`} · {VERDICTS[mark.verdict]}
            </Text>
            <Box bg="copperWash" borderRadius="sm" p="2">
                <Text>
                    <b>It was:</b> {fault}
                </Text>
                {mark.call_back.hours > 0 && (
                    <Text fontSize="text" mt="1">
                        {mark.call_back.said.length > 0 ? (
                            <>
                                Ran {mark.call_back.hours} more hours as you left it, and the customer calls back:{' '}
                                <i>“{mark.call_back.said.join(' ')}”</i>
                            </>
                        ) : (
                            `Ran ${mark.call_back.hours} more hours as you left it: no callback.`
                        )}
                    </Text>
                )}
                {same.length > 0 && (
                    <Text fontSize="text" mt="1">
                        Would have shown the same as what was named: {same.join('; ')}.
                    </Text>
                )}
            </Box>
            {mark.lines.map((line) => (
                <LineRow key={line.id} attempt={attempt} line={line} judges={judges} onEntry={onEntry} />
            ))}
            {(mark.habits ?? []).length > 0 && (
                <Box>
                    <Text fontWeight={700}>Good habits</Text>
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
                <Box as="dl" fontSize="text" aria-label="Closing report">
                    <Text fontWeight={700}>Closing report</Text>
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
                    Hints taken: {Object.values(mark.hints.taken).reduce((a, b) => a + b, 0)}, at {mark.hints.points}{' '}
                    points.
                </Text>
            )}
            {others.map((o, i) => (
                <Box key={i} borderTopWidth="1px" borderColor="line" pt="2">
                    <HStack justify="space-between">
                        <Text fontWeight={700}>
                            Under {o.rules.title}, version {o.rules.version}
                        </Text>
                        <Text className="reading" color={o.passed ? 'good' : 'danger'}>
                            {o.total.toFixed(1)}
                        </Text>
                    </HStack>
                    <Text fontSize="note" color="faint">
                        {o.passed ? 'Passed' : 'Not passed'}, pass mark {o.rules.pass_mark}
                        {o.at && `, marked again on ${o.at}`}.{' '}
                        {o.lines.map((l) => `${l.title} ${l.points.toFixed(1)}/${l.weight}`).join(', ')}.
                    </Text>
                </Box>
            ))}
            {engine.then !== engine.now && <Drifted attempt={attempt} engine={engine} onEntry={onEntry} />}
            <TwoAtOnce attempt={attempt} known={pairs} />
            <Text fontSize="note" color="faint">
                House rules: {mark.rules.title}, version {mark.rules.version}, pass mark {mark.rules.pass_mark}.
            </Text>
            <HStack gap="4" fontSize="text" pb="2">
                <Anchor asChild color="copper" textDecoration="underline" minH="touch" alignItems="center">
                    <FileLink href={`/attempts/${attempt}/debrief.pdf`}>Sheet to print (PDF)</FileLink>
                </Anchor>
                <Anchor
                    href={`/attempts/${attempt}/xapi`}
                    color="copper"
                    textDecoration="underline"
                    minH="touch"
                    alignItems="center"
                >
                    xAPI statements
                </Anchor>
            </HStack>
        </Stack>
    )
}

function LineRow({
    attempt,
    line,
    judges,
    onEntry,
}: {
    attempt: number
    line: MarkLine
    judges: boolean
    onEntry: (entry: number) => void
}) {
    const [open, setOpen] = useState(false)
    return (
        <Box>
            <HStack justify="space-between">
                <Text fontWeight={700}>{line.title}</Text>
                <HStack>
                    <Text className="reading">
                        {line.points.toFixed(1)} / {line.weight}
                    </Text>
                    {judges && (
                        <ToolButton
                            size="xs"
                            h="32px"
                            minW="touch"
                            aria-expanded={open}
                            aria-label={`Set ${line.title} otherwise`}
                            onClick={() => setOpen(!open)}
                        >
                            Set
                        </ToolButton>
                    )}
                </HStack>
            </HStack>
            <Box h="5px" bg="ground" borderRadius="full">
                <Box
                    h="5px"
                    w={`${100 * line.share}%`}
                    bg={line.share >= 0.7 ? 'good' : 'copper'}
                    borderRadius="full"
                />
            </Box>
            {line.override && (
                <Text fontSize="note" mt="0.5">
                    <b>Set by {line.override.by}:</b> {line.override.reason}{' '}
                    <span className="reading">(computed: {line.override.computed.toFixed(1)})</span>
                </Text>
            )}
            {line.why.map((w, i) => (
                <Text key={i} fontSize="note" color="faint" mt="0.5">
                    {w.text}
                    {w.entry !== null && (
                        <Box
                            as="button"
                            color="copper"
                            textDecoration="underline"
                            ml="1"
                            onClick={() => onEntry(w.entry!)}
                            aria-label={`Show entry ${w.entry + 1}`}
                        >
                            entry {w.entry + 1}
                        </Box>
                    )}
                </Text>
            ))}
            {open && <Override attempt={attempt} line={line} onDone={() => setOpen(false)} />}
        </Box>
    )
}

/** A line set otherwise: how many points, and why; what was said before stays beside it. */
function Override({ attempt, line, onDone }: { attempt: number; line: MarkLine; onDone: () => void }) {
    const form = useForm<{ line: string; points: string; reason: string }>({
        line: line.id,
        points: line.points.toFixed(1),
        reason: '',
    })
    const save = (points: string | null) => {
        form.transform((d) => ({ ...d, points: points === null ? null : points }))
        form.post(`/attempts/${attempt}/overrides`, { preserveScroll: true, preserveState: true, onSuccess: onDone })
    }
    return (
        <Stack
            gap="1"
            bg="ground"
            borderRadius="sm"
            p="2"
            mt="1"
            as="form"
            onSubmit={(e) => {
                e.preventDefault()
                save(form.data.points)
            }}
        >
            <HStack>
                <Input
                    aria-label={`Points for ${line.title}`}
                    className="reading"
                    w="90px"
                    h="touch"
                    bg="sheet"
                    borderColor="line"
                    inputMode="decimal"
                    value={form.data.points}
                    onChange={(e) => form.setData('points', e.target.value)}
                />
                <Text fontSize="text">of {line.weight} points</Text>
            </HStack>
            <Textarea
                aria-label="Why"
                placeholder="Why: it is kept beside the mark"
                rows={2}
                bg="sheet"
                borderColor="line"
                value={form.data.reason}
                onChange={(e) => form.setData('reason', e.target.value)}
            />
            {Object.values(form.errors).map((e) => (
                <Text key={e} color="danger" fontSize="text" role="alert">
                    {e}
                </Text>
            ))}
            <HStack>
                <MainButton type="submit" disabled={form.processing}>
                    Keep
                </MainButton>
                {line.override && (
                    <ToolButton onClick={() => save(null)} disabled={form.processing}>
                        Back to what was computed
                    </ToolButton>
                )}
            </HStack>
            {line.history?.map((h, i) => (
                <Text key={i} fontSize="note" color="faint">
                    {h.at?.slice(0, 10)} {h.by}:{' '}
                    {h.points === null ? 'back to what was computed' : `${h.points.toFixed(1)} points`}. {h.reason}
                </Text>
            ))}
        </Stack>
    )
}
