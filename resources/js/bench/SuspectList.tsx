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

/** The trainee's own list: star, strike out, and name the one it is. */
export function SuspectList({ faults, log, act }: Props) {
    const [words, setWords] = useState('')
    const [asked, setAsked] = useState<string | null>(null)
    const [why, setWhy] = useState('')
    const marks = useMemo(() => suspectMarks(log), [log])
    const whys = useMemo(() => suspectWhys(log), [log])
    const named = [...log].reverse().find((e) => e.act.act === 'name')?.act['fault']
    const shown = useMemo(() => {
        const wanted = words.toLowerCase().split(/\s+/).filter(Boolean)
        const list = faults.filter((f) => wanted.every((w) => `${f.title} ${f.family}`.toLowerCase().includes(w)))
        const rank = (f: FaultName) => (marks[f.id] === 'star' ? 0 : marks[f.id] === 'out' ? 2 : 1)
        return [...list].sort((a, b) => rank(a) - rank(b))
    }, [faults, words, marks])

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
                {shown.map((f) => {
                    const mark = marks[f.id] ?? 'open'
                    return (
                        <Box
                            key={f.id}
                            role="listitem"
                            borderBottomWidth="1px"
                            borderColor="line"
                            py="1"
                            bg={named === f.id ? 'copperWash' : undefined}
                        >
                            <Text
                                fontSize="note"
                                textDecoration={mark === 'out' ? 'line-through' : undefined}
                                color={mark === 'out' ? 'faint' : 'ink'}
                                fontWeight={mark === 'star' ? 700 : 400}
                            >
                                {f.title}
                                {named === f.id ? ' (named)' : ''}
                            </Text>
                            {whys[f.id] && (
                                <Text fontSize="note" color="faint">
                                    because {whys[f.id]}
                                </Text>
                            )}
                            <HStack gap="1" wrap="wrap">
                                <Mini
                                    word={mark === 'star' ? '★' : '☆'}
                                    label={`Star ${f.title}`}
                                    on={mark === 'star'}
                                    onClick={() =>
                                        void act('suspect', { fault: f.id, mark: mark === 'star' ? 'open' : 'star' })
                                    }
                                />
                                <Mini
                                    word={mark === 'out' ? 'Back in' : 'Strike'}
                                    label={`Strike out ${f.title}`}
                                    on={mark === 'out'}
                                    onClick={() =>
                                        void act('suspect', { fault: f.id, mark: mark === 'out' ? 'open' : 'out' })
                                    }
                                />
                                <Mini
                                    word="Why"
                                    label={`Say why of ${f.title}`}
                                    on={asked === f.id}
                                    onClick={() => setAsked(asked === f.id ? null : f.id)}
                                />
                                <Mini
                                    word="It is this"
                                    label={`Name ${f.title}`}
                                    on={false}
                                    onClick={() => void act('name', { fault: f.id })}
                                />
                            </HStack>
                            {asked === f.id && (
                                <HStack
                                    as="form"
                                    gap="1"
                                    mt="1"
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
                {shown.length === 0 && (
                    <Text color="faint" fontSize="text">
                        Nothing goes by these words.
                    </Text>
                )}
            </Stack>
        </Stack>
    )
}

function Mini({ word, label, on, onClick }: { word: string; label: string; on: boolean; onClick: () => void }) {
    return (
        <ToolButton size="xs" h="tight" minW="touch" px="2" aria-label={label} on={on} onClick={onClick}>
            {word}
        </ToolButton>
    )
}
