import { Box, HStack, Input, Stack, Text } from '@chakra-ui/react'
import { useMemo, useState } from 'react'
import type { DoAct } from '@/lib/acts'
import type { Entry, FaultName } from '@/lib/types'
import { suspectMarks, suspectWhys } from './known'
import { MainButton, ToolButton } from '@/theme/buttons'

interface Props {
    faults: FaultName[]
    log: Entry[]
    act: DoAct
}

/** So few are shown with all that can be said of each. */
const FEW = 4

/** The trainee's own list, part by part, one line each: star, strike out, say why, and name the one it is. */
export function SuspectList({ faults, log, act }: Props) {
    const [words, setWords] = useState('')
    const [asked, setAsked] = useState<string | null>(null)
    const [picked, setPicked] = useState<string | null>(null)
    const [why, setWhy] = useState('')
    const marks = useMemo(() => suspectMarks(log), [log])
    const whys = useMemo(() => suspectWhys(log), [log])
    const named = [...log].reverse().find((e) => e.act.act === 'name')?.act['fault']
    const shown = useMemo(() => {
        const wanted = words.toLowerCase().split(/\s+/).filter(Boolean)
        return faults.filter((f) => wanted.every((w) => `${f.title} ${f.family}`.toLowerCase().includes(w)))
    }, [faults, words])
    const groups = useMemo(() => byPart(shown, marks), [shown, marks])

    return (
        <Stack gap="2" h="100%" minH="0">
            <Input
                aria-label="Find a suspect"
                placeholder="Find: part, or what is wrong"
                value={words}
                onChange={(e) => setWords(e.target.value)}
                h="touch"
                bg="sheet"
                borderColor="line"
            />
            <Stack gap="0" overflowY="auto" minH="0" flex="1" tabIndex={0} role="list" aria-label="Suspects">
                {groups.map(({ part, faults: of }) => (
                    <Box key={part} role="group" aria-label={part}>
                        <Text fontSize="note" fontWeight={700} bg="ground" px="1" position="sticky" top="0" zIndex="1">
                            {part}
                            <Text as="span" fontWeight={400} color="faint">
                                {' '}
                                {of.filter((f) => marks[f.id] !== 'out').length} of {of.length}
                            </Text>
                        </Text>
                        {of.map((f) => {
                            const mark = marks[f.id] ?? 'open'
                            const isOpen = picked === f.id || asked === f.id || shown.length <= FEW
                            return (
                                <Box
                                    key={f.id}
                                    role="listitem"
                                    borderBottomWidth="1px"
                                    borderColor="line"
                                    bg={named === f.id ? 'copperWash' : undefined}
                                >
                                    <HStack gap="1">
                                        <Mini
                                            word={mark === 'star' ? '★' : '☆'}
                                            label={`Star ${f.title}`}
                                            on={mark === 'star'}
                                            onClick={() =>
                                                void act('suspect', {
                                                    fault: f.id,
                                                    mark: mark === 'star' ? 'open' : 'star',
                                                })
                                            }
                                        />
                                        <Box
                                            as="button"
                                            flex="1"
                                            minW="0"
                                            minH="tight"
                                            textAlign="start"
                                            fontSize="note"
                                            lineHeight="1.2"
                                            textDecoration={mark === 'out' ? 'line-through' : undefined}
                                            color={mark === 'out' ? 'faint' : 'ink'}
                                            fontWeight={mark === 'star' ? 700 : 400}
                                            aria-expanded={isOpen}
                                            onClick={() => setPicked(picked === f.id ? null : f.id)}
                                        >
                                            {wrong(f)}
                                            {named === f.id ? ' (named)' : ''}
                                        </Box>
                                        <Mini
                                            word={mark === 'out' ? '↺' : '✕'}
                                            label={`Rule out ${f.title}`}
                                            on={mark === 'out'}
                                            onClick={() =>
                                                void act('suspect', {
                                                    fault: f.id,
                                                    mark: mark === 'out' ? 'open' : 'out',
                                                })
                                            }
                                        />
                                    </HStack>
                                    {whys[f.id] && (
                                        <Text fontSize="note" color="faint" ps="11">
                                            because {whys[f.id]}
                                        </Text>
                                    )}
                                    {isOpen && (
                                        <HStack gap="1" ps="11" pb="1">
                                            <Mini
                                                word="Why"
                                                label={`Say why of ${f.title}`}
                                                on={asked === f.id}
                                                onClick={() => setAsked(asked === f.id ? null : f.id)}
                                            />
                                            <Mini
                                                word="Name as the fault"
                                                label={`Name ${f.title}`}
                                                on={false}
                                                onClick={() => void act('name', { fault: f.id })}
                                            />
                                        </HStack>
                                    )}
                                    {asked === f.id && (
                                        <HStack
                                            as="form"
                                            gap="1"
                                            pb="1"
                                            onSubmit={(e) => {
                                                e.preventDefault()
                                                if (why.trim() !== '') {
                                                    void act('suspect', { fault: f.id, mark, why: why.trim() })
                                                    setWhy('')
                                                    setAsked(null)
                                                }
                                            }}
                                        >
                                            <Input
                                                aria-label={`Why: ${f.title}`}
                                                placeholder="because …"
                                                maxLength={160}
                                                h="touch"
                                                bg="sheet"
                                                borderColor="line"
                                                ref={(field: HTMLInputElement | null) => field?.focus()}
                                                value={why}
                                                onChange={(e) => setWhy(e.target.value)}
                                            />
                                            <MainButton type="submit">Keep</MainButton>
                                        </HStack>
                                    )}
                                </Box>
                            )
                        })}
                    </Box>
                ))}
                {shown.length === 0 && (
                    <Text color="faint" fontSize="text">
                        No suspect matches.
                    </Text>
                )}
            </Stack>
        </Stack>
    )
}

/** By the part that they are in; parts with a star first, those with nothing left last. */
export function byPart(faults: FaultName[], marks: Record<string, string>): { part: string; faults: FaultName[] }[] {
    const groups = new Map<string, FaultName[]>()
    for (const fault of faults) {
        const part = fault.title.includes(': ') ? fault.title.slice(0, fault.title.indexOf(': ')) : 'The appliance'
        groups.set(part, [...(groups.get(part) ?? []), fault])
    }
    const rank = (of: FaultName[]) =>
        of.some((f) => marks[f.id] === 'star') ? 0 : of.every((f) => marks[f.id] === 'out') ? 2 : 1
    return [...groups].map(([part, of]) => ({ part, faults: of })).sort((a, b) => rank(a.faults) - rank(b.faults))
}

function wrong(fault: FaultName): string {
    return fault.title.slice(fault.title.indexOf(': ') < 0 ? 0 : fault.title.indexOf(': ') + 2)
}

function Mini({ word, label, on, onClick }: { word: string; label: string; on: boolean; onClick: () => void }) {
    return (
        <ToolButton size="xs" h="tight" minW="touch" px="2" aria-label={label} on={on} onClick={onClick}>
            {word}
        </ToolButton>
    )
}
