import { Box, HStack, Input, Stack, Text } from '@chakra-ui/react'
import { useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { useSent, useTold } from '@/lib/query'
import { Word } from './Inspector'
import type { Step } from './types'

interface Props {
    draft: number
    step: number
    onRestore: (number: number) => Promise<boolean>
}

/** Every step that was made, by whom; named, compared in words, and gone back to. */
export function Versions({ draft, step, onRestore }: Props) {
    const client = useQueryClient()
    const history = `/drafts/${draft}/history`
    const told = useTold<Step[]>(history, { of: step, keep: true })
    const steps = told.data ?? []
    const [picked, setPicked] = useState<number | null>(null)
    const [name, setName] = useState('')
    const compared = useTold<string[]>(`/drafts/${draft}/difference?from=${picked}&to=${step}`, {
        enabled: picked !== null,
    })
    const differs = compared.data ?? null
    const named = useSent<Step[], { number: number; label: string }>(`/drafts/${draft}/label`, {
        onDone: (s) => {
            client.setQueryData([history, step], s)
            setName('')
        },
    })
    const problem = told.error ?? compared.error ?? named.error
    const at = steps.find((s) => s.number === picked)
    return (
        <Stack gap="2" as="section" aria-label="Versions">
            <Text fontSize="13px" color="faint">
                Every step is kept. Pick one to see what has changed since, to name it, or to go back to it.
            </Text>
            {problem && (
                <Text role="alert" fontSize="14px" color="danger">
                    {problem.message}
                </Text>
            )}
            {at && (
                <Box bg="ground" borderRadius="md" p="2" role="status" aria-label="What has changed since">
                    <Text fontSize="14px" fontWeight={700}>
                        Since step {at.number}
                        {at.label ? `, “${at.label}”` : ''}
                    </Text>
                    {differs === null ? (
                        <Text fontSize="14px">…</Text>
                    ) : differs.length === 0 ? (
                        <Text fontSize="14px">Nothing.</Text>
                    ) : (
                        differs.map((d) => (
                            <Text key={d} fontSize="14px">
                                {d}
                            </Text>
                        ))
                    )}
                    <HStack gap="1" mt="1">
                        <Input
                            aria-label="Name of this version"
                            placeholder="name"
                            h="40px"
                            borderColor="line"
                            value={name}
                            onChange={(e) => setName(e.target.value)}
                        />
                        <Word
                            disabled={name.trim() === ''}
                            onClick={() => named.mutate({ number: at.number, label: name.trim() })}
                        >
                            Name it
                        </Word>
                        <Word disabled={at.number === step} onClick={() => void onRestore(at.number)}>
                            Go back to it
                        </Word>
                    </HStack>
                </Box>
            )}
            {steps.map((s) => (
                <HStack key={s.number} borderTopWidth="1px" borderColor="line" pt="1" gap="2" align="flex-start">
                    <Word on={s.number === picked} onClick={() => setPicked(s.number)}>
                        {s.number}
                    </Word>
                    <Box flex="1">
                        {s.label && (
                            <Text fontSize="14px" fontWeight={700}>
                                {s.label}
                            </Text>
                        )}
                        <Text fontSize="14px">{s.words}</Text>
                        <Text fontSize="12px" color="faint">
                            {s.by}, {s.at}
                            {s.number === step ? ' · where it stands' : ''}
                        </Text>
                    </Box>
                </HStack>
            ))}
        </Stack>
    )
}
