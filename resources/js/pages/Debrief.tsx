import { Box, Flex, Grid, Heading, HStack, Stack, Text } from '@chakra-ui/react'
import { lazy, Suspense, useState } from 'react'
import type { Briefing, Channels, Lane } from '@/lib/types'
import { TwoAtOnce, type PairsState } from '@/bench/TwoAtOnce'
import { Frame } from '@/shell/Frame'
import { clock } from '@/tape/scale'
import { Tape, type Mark } from '@/tape/Tape'

const SuspectCurve = lazy(() => import('@/bench/SuspectCurve').then((m) => ({ default: m.SuspectCurve })))

interface Why { text: string; entry: number | null }
interface MarkLine { id: string; title: string; share: number; weight: number; points: number; why: Why[] }
interface MarkData { total: number; passed: boolean; verdict: string; rules: { title: string; version: number; pass_mark: number }; lines: MarkLine[] }
interface Row { at_s: number; text: string; act: string; before: number; after: number; gained: number; left: Record<string, number>; best: { text: string; bits: number }[]; dangers: string[] }
interface Props { attempt: number; pairs: PairsState | null; job: Briefing; trainee: string; fault: { title: string }; titles: Record<string, string>; mark: MarkData; entries: Row[]; lanes: Lane[]; past: Channels }

const VERDICTS: Record<string, string> = {
    proved: 'Proved, among single faults', supported: 'The likeliest, but not proved', guess: 'A guess', contradicted: 'Contradicted by what was seen', none: 'No fault was named',
}
const ASIDE = ['meant', 'suspect', 'dial']

/** The mark, and what was known after each entry and what would have told more. */
export default function Debrief({ attempt, pairs, job, trainee, fault, titles, mark, entries, lanes, past }: Props) {
    const telling = entries.findIndex((r) => r.before > 1 && r.best.length > 0)
    const [open, setOpen] = useState(Math.max(0, telling))
    const row = entries[open]
    const end = Math.max(60, entries[entries.length - 1]?.at_s ?? 60)
    const marks: Mark[] = entries.filter((r) => !ASIDE.includes(r.act)).map((r) => ({
        at: r.at_s, text: r.text, kind: r.dangers.length ? 'danger' : r.act === 'leads' || r.act === 'read' ? 'reading' : r.act === 'look' ? 'look' : 'act',
    }))
    return (
        <Frame title={`Debrief: ${job.title}`} full>
            <Grid h="100%" gap="3" templateColumns="390px minmax(0,1fr) 330px" templateRows="minmax(0,1fr) auto">
                <Stack gap="3" minH="0" overflowY="auto" bg="sheet" borderWidth="1px" borderColor="line" borderRadius="md" p="3" tabIndex={0} aria-label="Mark">
                    <Flex justify="space-between" align="baseline">
                        <Heading as="h1" size="lg">{trainee}</Heading>
                        <Text className="reading" fontSize="30px" fontWeight={600} color={mark.passed ? 'good' : 'danger'} data-testid="total">{mark.total.toFixed(1)}</Text>
                    </Flex>
                    <Text>{mark.passed ? 'Passed' : 'Not passed'} · {VERDICTS[mark.verdict]}</Text>
                    <Box bg="copperWash" borderRadius="sm" p="2"><Text><b>It was:</b> {fault.title}</Text></Box>
                    {mark.lines.map((l) => (
                        <Box key={l.id}>
                            <HStack justify="space-between">
                                <Text fontWeight={700}>{l.title}</Text>
                                <Text className="reading">{l.points.toFixed(1)} / {l.weight}</Text>
                            </HStack>
                            <Box h="5px" bg="ground" borderRadius="full"><Box h="5px" w={`${100 * l.share}%`} bg={l.share >= 0.7 ? 'good' : 'copper'} borderRadius="full" /></Box>
                            {l.why.map((w, i) => (
                                <Text key={i} fontSize="13.5px" color="faint" mt="0.5">
                                    {w.text}
                                    {w.entry !== null && <Box as="button" color="copper" textDecoration="underline" ml="1" onClick={() => setOpen(w.entry!)} aria-label={`Show entry ${w.entry + 1}`}>entry {w.entry + 1}</Box>}
                                </Text>
                            ))}
                        </Box>
                    ))}
                    <TwoAtOnce attempt={attempt} known={pairs} />
                    <Text fontSize="13px" color="faint">House rules: {mark.rules.title}, version {mark.rules.version}, pass mark {mark.rules.pass_mark}.</Text>
                </Stack>
                <Box minH="0" overflowY="auto" bg="sheet" borderWidth="1px" borderColor="line" borderRadius="md" tabIndex={0} aria-label="Entries">
                    {entries.map((r, i) => ASIDE.includes(r.act) && r.act !== 'meant' ? null : (
                        <Flex
                            key={i} as="button" w="100%" textAlign="left" gap="3" px="3" py="1.5" minH="44px" align="center" borderBottomWidth="1px" borderColor="line"
                            bg={i === open ? 'copperWash' : undefined} aria-pressed={i === open} onClick={() => setOpen(i)}
                        >
                            <Text className="reading" w="46px" color="faint" flexShrink={0}>{clock(r.at_s)}</Text>
                            <Box flex="1" minW="0">
                                <Text>{r.text}</Text>
                                {r.dangers.map((d) => <Text key={d} fontSize="13px" color="danger" fontWeight={700}>▲ {d}</Text>)}
                            </Box>
                            {r.act !== 'meant' && <Text className="reading" fontSize="14px" flexShrink={0} color={r.after < r.before ? 'good' : 'faint'}>{r.before} → {r.after}</Text>}
                        </Flex>
                    ))}
                </Box>
                <Stack gap="3" minH="0" overflowY="auto" bg="sheet" borderWidth="1px" borderColor="line" borderRadius="md" p="3" tabIndex={0} aria-label="What was known">
                    <Suspense fallback={<Box h="170px" />}><SuspectCurve left={entries.map((r) => r.after)} width={300} /></Suspense>
                    {row && (
                        <>
                            <Box>
                                <Text fontSize="13px" color="faint">Entry {open + 1}, at {clock(row.at_s)}</Text>
                                <Text fontWeight={700}>{row.text}</Text>
                                <Text>{row.before} suspects before, {row.after} after{row.gained > 0 ? `: ${row.gained.toFixed(2)} bits told` : ''}.</Text>
                            </Box>
                            <Box>
                                <Text fontWeight={700}>Would have told most at that moment</Text>
                                {row.best.length === 0 && <Text fontSize="14px" color="faint">{row.before > 1 ? 'Nothing within reach at that moment could tell more.' : 'Nothing was left to tell: one suspect stood.'}</Text>}
                                {row.best.map((b, i) => <Text key={i} fontSize="14px">{i + 1}. {b.text} <span className="reading">({b.bits.toFixed(2)} bits)</span></Text>)}
                            </Box>
                            <Box>
                                <Text fontWeight={700}>Still possible after it</Text>
                                {Object.entries(row.left).map(([id, share]) => (
                                    <HStack key={id} justify="space-between" align="start" fontSize="14px"><Text>{titles[id] ?? id}</Text><Text className="reading">{(100 * share).toFixed(0)} %</Text></HStack>
                                ))}
                                {Object.keys(row.left).length === 0 && <Text fontSize="14px">No single fault shows all of this.</Text>}
                            </Box>
                        </>
                    )}
                </Stack>
                <Box gridColumn="1 / -1">
                    <Tape lanes={lanes} channels={past} marks={marks} now={end} span={end / 0.94} height={150} cursor={row?.at_s ?? null} />
                    <Text fontSize="13px" color="faint" mt="1">Simulation: on real equipment follow the maker's instructions, local codes, and work under a licensed person.</Text>
                </Box>
            </Grid>
        </Frame>
    )
}
