import { Box, HStack, Input, Stack, Text } from '@chakra-ui/react'
import { useQueryClient } from '@tanstack/react-query'
import { useState } from 'react'
import { useSent, useTold } from '@/lib/query'
import { Word } from './Word'
import type { Step } from './types'
import { t } from '@/words'

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
        <Stack gap="2" as="section" aria-label={t('Versions')}>
            <Text fontSize="note" color="faint">
                {t('Every step is kept. Pick one to see what has changed since, to name it, or to go back to it.')}
            </Text>
            {problem && (
                <Text role="alert" fontSize="text" color="danger">
                    {problem.message}
                </Text>
            )}
            {at && (
                <Box bg="ground" borderRadius="md" p="2" role="status" aria-label={t('What has changed since')}>
                    <Text fontSize="text" fontWeight={700}>
                        {t('Since step')} {at.number}
                        {at.label ? `, “${at.label}”` : ''}
                    </Text>
                    {differs === null ? (
                        <Text fontSize="text">…</Text>
                    ) : differs.length === 0 ? (
                        <Text fontSize="text">{t('Nothing.')}</Text>
                    ) : (
                        differs.map((d) => (
                            <Text key={d} fontSize="text">
                                {d}
                            </Text>
                        ))
                    )}
                    <HStack gap="1" mt="1">
                        <Input
                            aria-label={t('Name of this version')}
                            placeholder={t('name')}
                            h="row"
                            borderColor="line"
                            value={name}
                            onChange={(e) => setName(e.target.value)}
                        />
                        <Word
                            disabled={name.trim() === ''}
                            onClick={() => named.mutate({ number: at.number, label: name.trim() })}
                        >
                            {t('Name it')}
                        </Word>
                        <Word disabled={at.number === step} onClick={() => void onRestore(at.number)}>
                            {t('Restore it')}
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
                            <Text fontSize="text" fontWeight={700}>
                                {s.label}
                            </Text>
                        )}
                        <Text fontSize="text">{s.words}</Text>
                        <Text fontSize="fine" color="faint">
                            {s.by}, {s.at}
                            {s.number === step ? t(' · current') : ''}
                        </Text>
                    </Box>
                </HStack>
            ))}
        </Stack>
    )
}
