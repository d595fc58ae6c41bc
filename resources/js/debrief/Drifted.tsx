import { Box, Text } from '@chakra-ui/react'
import { useEffect, useState } from 'react'
import { send } from '@/lib/send'

interface Apart { entry: number; shown: string; now: string }

/** An attempt of an older engine: what would read otherwise today. Its mark is kept as it was. */
export function Drifted({ attempt, engine, onEntry }: { attempt: number; engine: { then: number; now: number }; onEntry: (entry: number) => void }) {
    const [apart, setApart] = useState<Apart[] | null>(null)
    const [problem, setProblem] = useState<string | null>(null)
    useEffect(() => {
        if (apart !== null || problem !== null) return
        const ask = () => void send<{ apart: Apart[] | null; error?: string | null }>('GET', `/attempts/${attempt}/drift`)
            .then((r) => (r.error ? setProblem(r.error) : setApart(r.apart))).catch((e: Error) => setProblem(e.message))
        ask()
        const timer = setInterval(ask, 1000)
        return () => clearInterval(timer)
    }, [attempt, apart, problem])
    return (
        <Box borderTopWidth="1px" borderColor="line" pt="2">
            <Text fontWeight={700}>Worked under engine {engine.then}; today's is {engine.now}</Text>
            {problem && <Text fontSize="14px" color="danger" role="alert">{problem}</Text>}
            {apart !== null && <Text fontSize="14px">{apart.length === 0 ? 'It would read the same today.' : `${apart.length} ${apart.length === 1 ? 'entry' : 'entries'} would read otherwise today. What was shown then stands, and so does the mark.`}</Text>}
            {apart?.slice(0, 8).map((a) => (
                <Text key={a.entry} fontSize="13.5px" color="faint">
                    <Box as="button" color="copper" textDecoration="underline" mr="1" onClick={() => onEntry(a.entry)}>entry {a.entry + 1}</Box>then: {a.shown}; today: {a.now}
                </Text>
            ))}
        </Box>
    )
}
