import { Box, HStack, Input, Stack, Text } from '@chakra-ui/react'
import { useEffect, useState } from 'react'
import { send } from '@/lib/send'
import { Word } from './Inspector'
import type { Step } from './types'

interface Props { draft: number; step: number; onRestore: (number: number) => Promise<boolean> }

/** Every step that was made, by whom; named, compared in words, and gone back to. */
export function Versions({ draft, step, onRestore }: Props) {
    const [steps, setSteps] = useState<Step[]>([])
    const [picked, setPicked] = useState<number | null>(null)
    const [differs, setDiffers] = useState<string[] | null>(null)
    const [name, setName] = useState('')
    useEffect(() => {
        let stale = false
        send<Step[]>('GET', `/drafts/${draft}/history`).then((s) => !stale && setSteps(s)).catch(() => undefined)
        return () => {
            stale = true
        }
    }, [draft, step])
    const pick = (number: number) => {
        setPicked(number)
        setDiffers(null)
        send<string[]>('GET', `/drafts/${draft}/difference?from=${number}&to=${step}`).then(setDiffers).catch(() => undefined)
    }
    const at = steps.find((s) => s.number === picked)
    return (
        <Stack gap="2" as="section" aria-label="Versions">
            <Text fontSize="13px" color="faint">Every step is kept. Pick one to see what has changed since, to name it, or to go back to it.</Text>
            {at && (
                <Box bg="ground" borderRadius="md" p="2" role="status" aria-label="What has changed since">
                    <Text fontSize="14px" fontWeight={700}>Since step {at.number}{at.label ? `, “${at.label}”` : ''}</Text>
                    {differs === null ? <Text fontSize="14px">…</Text> : differs.length === 0 ? <Text fontSize="14px">Nothing.</Text> : differs.map((d) => <Text key={d} fontSize="14px">{d}</Text>)}
                    <HStack gap="1" mt="1">
                        <Input aria-label="Name of this version" placeholder="name" h="40px" borderColor="line" value={name} onChange={(e) => setName(e.target.value)} />
                        <Word disabled={name.trim() === ''} onClick={() => void send<Step[]>('POST', `/drafts/${draft}/label`, { number: at.number, label: name.trim() }).then((s) => { setSteps(s); setName('') })}>Name it</Word>
                        <Word disabled={at.number === step} onClick={() => void onRestore(at.number)}>Go back to it</Word>
                    </HStack>
                </Box>
            )}
            {steps.map((s) => (
                <HStack key={s.number} borderTopWidth="1px" borderColor="line" pt="1" gap="2" align="flex-start">
                    <Word on={s.number === picked} onClick={() => pick(s.number)}>{s.number}</Word>
                    <Box flex="1">
                        {s.label && <Text fontSize="14px" fontWeight={700}>{s.label}</Text>}
                        <Text fontSize="14px">{s.words}</Text>
                        <Text fontSize="12px" color="faint">{s.by}, {s.at}{s.number === step ? ' · where it stands' : ''}</Text>
                    </Box>
                </HStack>
            ))}
        </Stack>
    )
}
